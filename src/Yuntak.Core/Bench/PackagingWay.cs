using Yuntak.Core.Disks;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Units;

namespace Yuntak.Core.Bench;

/// <summary>One way of packaging a want, with what it costs on the hosts there are.</summary>
/// <param name="Kind">How the service itself is packaged.</param>
/// <param name="Within">For an app stack whose engine has a guest of its own: what that guest is; null when there is none.</param>
/// <param name="Committed">Memory counted on the host, all in.</param>
/// <param name="Overhead">What of it goes to packaging: overhead on the host, an engine's own memory, a system of its own.</param>
/// <param name="Starts">How soon it is up after a start.</param>
/// <param name="Shares">What it can share with others.</param>
/// <param name="Apart">How well it is kept apart.</param>
/// <param name="Needs">What must be there or done for it.</param>
/// <param name="GivenUp">What a person gives up by it, compared with the engine on the host; empty for the plain ways.</param>
/// <param name="Fits">The answer for every host, in the lab's order.</param>
public sealed record PackagingWay(
    GuestKind Kind,
    GuestKind? Within,
    ByteSize Committed,
    ByteSize Overhead,
    string Starts,
    string Shares,
    string Apart,
    string Needs,
    IReadOnlyList<string> GivenUp,
    IReadOnlyList<WayFit> Fits
)
{
    /// <summary>The way in words: «app stack inside a system container».</summary>
    public string Words => Within is { } outer ? $"{Kind.Words()} inside a {outer.Words()}" : Kind.Words();
}
