namespace Yuntak.Core.Rehearsals;

/// <summary>Something a rehearsal showed that its runbook should not have: a mind.</summary>
/// <param name="Kind">What sort: breaks what runs, no way back, a fault nothing shows.</param>
/// <param name="Title">One plain sentence.</param>
/// <param name="Text">What lies behind it.</param>
/// <param name="Step">The number of the step it is about.</param>
public sealed record Remark(string Kind, string Title, string Text, string Step);
