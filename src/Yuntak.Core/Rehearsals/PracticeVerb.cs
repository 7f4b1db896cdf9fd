using Yuntak.Core.Simulation;

namespace Yuntak.Core.Rehearsals;

/// <summary>Something that can be done in practice.</summary>
public sealed class PracticeVerb
{
    internal PracticeVerb(
        string name,
        string words,
        string asks,
        IReadOnlyList<string> steps,
        Func<SimHouse, PracticeTask, string, string> what
    ) => (Name, Words, Asks, For, Do) = (name, words, asks, steps, what);

    /// <summary>What it is known by.</summary>
    public string Name { get; }

    /// <summary>What it says.</summary>
    public string Words { get; }

    /// <summary>What has to be typed with it; empty for nothing.</summary>
    public string Asks { get; }

    /// <summary>The kinds of steps it is the doing of.</summary>
    internal IReadOnlyList<string> For { get; }

    /// <summary>What it does to simulated hosts, and what they say to it.</summary>
    internal Func<SimHouse, PracticeTask, string, string> Do { get; }
}
