namespace Yuntak.Core.Base;

/// <summary>
/// How long sums are waited for: until whoever asked has gone. What is worked out asks from time to time, between one rule, night or piece of work and the next, and
/// breaks off. It goes with the flow of the call, so that the sums themselves need not hand it on; where no end was set they go on to theirs.
/// </summary>
public static class Patience
{
    private static readonly AsyncLocal<CancellationToken> Ends = new();

    /// <summary>Sets when the sums of this call, and of all that it calls, are no longer waited for.</summary>
    public static void Until(CancellationToken gone) => Ends.Value = gone;

    /// <summary>Breaks off when nothing waits any more.</summary>
    /// <exception cref="OperationCanceledException">The one who asked has gone.</exception>
    internal static void Check() => Ends.Value.ThrowIfCancellationRequested();
}
