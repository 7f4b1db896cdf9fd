using Yuntak.Core.Labs;

namespace Yuntak.Core.Runbooks;

/// <summary>How a pool gets from one form to another: disks replaced in their places, disks added, or everything laid out anew.</summary>
/// <param name="Before">As it stands.</param>
/// <param name="After">As it is planned.</param>
internal sealed record PoolChange(Pool Before, Pool After)
{
    /// <summary>Whether the way the disks share data stays.</summary>
    private bool SameWay => Before.Layout == After.Layout && Before.Family == After.Family && Before.Groups == After.Groups;

    /// <summary>Disks replaced in their places; empty when that is not all that changes.</summary>
    public IReadOnlyList<(string Old, string New)> Replaced =>
        SameWay
        && Before.DiskIds.Count == After.DiskIds.Count
        && Before.DiskIds.Intersect(After.DiskIds).Any()
        && Before.Layout != PoolLayout.Stripe
            ?
            [
                .. Before
                    .DiskIds.Except(After.DiskIds, StringComparer.Ordinal)
                    .Zip(After.DiskIds.Except(Before.DiskIds, StringComparer.Ordinal)),
            ]
            : [];

    /// <summary>Disks that join while everything stays where it is; empty when that is not all that changes.</summary>
    public IReadOnlyList<string> Joined
    {
        get
        {
            var more = After.DiskIds.Except(Before.DiskIds, StringComparer.Ordinal).ToList();
            var stays = Before.DiskIds.All(After.DiskIds.Contains) && Before.Family == After.Family;
            var mirrored = Before.Layout == PoolLayout.Single && After.Layout == PoolLayout.Mirror;
            return stays && more.Count > 0 && (mirrored || (SameWay && Grows(more.Count))) ? more : [];
        }
    }

    /// <summary>Pairs join as pairs; a stripe of one piece, a mirror and parity take any number; groups of parity take whole groups, which is a new layout.</summary>
    private bool Grows(int more) =>
        After.Layout switch
        {
            PoolLayout.StripedMirrors => more % 2 == 0,
            _ => After.Groups == 1,
        };
}
