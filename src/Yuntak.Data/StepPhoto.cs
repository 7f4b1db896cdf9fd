namespace Yuntak.Data;

/// <summary>What is known of a photo without looking at it.</summary>
/// <param name="Id">Key.</param>
/// <param name="Step">The id of the step it is kept with.</param>
/// <param name="What">What the step was, in words.</param>
/// <param name="At">When it was kept, in UTC.</param>
/// <param name="Gone">Whether it was taken away, and can be put back.</param>
public sealed record StepPhoto(long Id, string Step, string What, DateTime At, bool Gone);
