using Yuntak.Core.Labs;

namespace Yuntak.Data;

/// <summary>What became of a change.</summary>
public abstract record CommitResult
{
    /// <summary>The change is stored; it survives the process being killed.</summary>
    /// <param name="Head">The new head.</param>
    public sealed record Committed(Head Head) : CommitResult;

    /// <summary>The head had moved since the page was shown. Nothing was overwritten; the change was set aside as a revision of its own.</summary>
    /// <param name="Common">The lab both changes started from.</param>
    /// <param name="Theirs">What stands now.</param>
    /// <param name="Mine">What was wanted.</param>
    /// <param name="MineRevision">The key of the revision set aside.</param>
    public sealed record Stale(Lab Common, Head Theirs, Lab Mine, long MineRevision) : CommitResult;
}
