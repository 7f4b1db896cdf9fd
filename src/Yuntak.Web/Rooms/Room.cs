using Yuntak.Core.Findings;
using Yuntak.Core.Units;
using Yuntak.Web.Shared;

namespace Yuntak.Web.Rooms;

/// <summary>A station with all that the house asks of it, in one place: its pages, what it answers to a search, what waits in it.</summary>
public abstract class Room
{
    /// <summary>The station; null for the hall, whose pages lie beside the route.</summary>
    public abstract Station? Station { get; }

    /// <summary>Its pages, as the demo has them.</summary>
    public abstract IReadOnlyList<RoomPage> Pages { get; }

    /// <summary>Everything a search can find in it.</summary>
    public virtual IEnumerable<Hit> Answers(Desk desk) => [];

    /// <summary>What is found by words that ask for something, such as «add cameras 4».</summary>
    /// <param name="desk">The desk.</param>
    /// <param name="words">What follows «add».</param>
    public virtual IEnumerable<Hit> Asked(Desk desk, string words) => [];

    /// <summary>How many steps wait in it.</summary>
    public virtual int Waiting(Desk desk) => 0;

    /// <summary>What waits here, in words.</summary>
    public virtual string WaitingWords(Desk desk, int waiting) => Numbers.Count(waiting, "open step");

    /// <summary>A part of a path or a query, written so that it stays one.</summary>
    protected static string Escaped(string text) => Uri.EscapeDataString(text);
}
