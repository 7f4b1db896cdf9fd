using Yuntak.Core.Base;
using Yuntak.Core.Labs;

namespace Yuntak.Core.Runbooks;

/// <summary>One step of a runbook: an act in its place.</summary>
/// <param name="Id">What it is known by: it follows from the work it belongs to and the values of the act that matter.</param>
/// <param name="Where">On which host.</param>
/// <param name="Act">The act.</param>
/// <param name="Text">What it says.</param>
/// <param name="Minutes">How long it should take.</param>
/// <param name="Least">The same when all goes well.</param>
/// <param name="Most">The same when it does not.</param>
/// <param name="Measured">Whether that follows from times measured here.</param>
/// <param name="LookFirst">What to look at before anything is done; null where nothing can be lost.</param>
/// <param name="Done">Whether it is ticked off.</param>
/// <param name="After">The steps that must be ticked off first; empty when it can start.</param>
public sealed record RunbookStep(
    string Id,
    string Where,
    Act Act,
    ActText Text,
    int Minutes,
    int Least,
    int Most,
    bool Measured,
    string? LookFirst,
    bool Done,
    ValueList<string> After
)
{
    /// <summary>The host it is done on; null for none of the lab's.</summary>
    public HostId? Host => Act.On;

    /// <inheritdoc cref="ActText.What"/>
    public string What => Text.What;

    /// <inheritdoc cref="ActText.Values"/>
    public ValueList<StepValue> Values => Text.Values;

    /// <inheritdoc cref="ActText.Check"/>
    public string Check => Text.Check;

    /// <inheritdoc cref="ActText.IfNot"/>
    public string IfNot => Text.IfNot;

    /// <inheritdoc cref="ActText.WayBack"/>
    public string WayBack => Text.WayBack;

    /// <inheritdoc cref="ActText.Caution"/>
    public string? Caution => Text.Caution;
}
