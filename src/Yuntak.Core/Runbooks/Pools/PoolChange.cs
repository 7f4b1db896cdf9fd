using Yuntak.Core.Base;
using Yuntak.Core.Disks;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;

namespace Yuntak.Core.Runbooks;

/// <summary>How a pool gets from one form to another: called otherwise, disks replaced in their places, disks added, or everything laid out anew.</summary>
/// <param name="Before">As it stands.</param>
/// <param name="After">As it is planned.</param>
internal sealed record PoolChange(Pool Before, Pool After)
{
    /// <summary>Whether the way the disks share data stays.</summary>
    private bool SameWay => Before.Layout == After.Layout && Before.Family == After.Family && Before.Groups == After.Groups;

    /// <summary>Whether it is encrypted where it was not, or the other way round, as far as anybody has said.</summary>
    private bool OtherEncryption => Before.Encrypted is { } was && After.Encrypted is { } planned && was != planned;

    /// <summary>Whether a disk kept as it was found is to be laid out as others are: its data goes out and comes back.</summary>
    private bool Settled => Before.KeptAsFound && !After.KeptAsFound;

    /// <summary>Whether the same disks play the same parts. Their order says nothing but where parity has disks of its own.</summary>
    public bool SameDisks
    {
        get
        {
            var parity = After.Layout.IsDedicated() ? After.Layout.ParityDisks() : 0;
            return Before.DiskIds.Count == After.DiskIds.Count
                && Before.DiskIds.Take(parity).ToHashSet(StringComparer.Ordinal).SetEquals(After.DiskIds.Take(parity))
                && Before.DiskIds.Skip(parity).ToHashSet(StringComparer.Ordinal).SetEquals(After.DiskIds.Skip(parity));
        }
    }

    /// <summary>Whether nothing about it is work.</summary>
    public bool Nothing =>
        Before.Name == After.Name && SameWay && SameDisks && !Settled && (Before.Encrypted == After.Encrypted || After.Encrypted is null);

    /// <summary>Whether it is only called otherwise.</summary>
    public bool Renamed => Before.Name != After.Name && !Anew;

    /// <summary>Disks replaced in their places; empty when that is not all that changes.</summary>
    public IReadOnlyList<(string Old, string New)> Replaced =>
        SameWay
        && !OtherEncryption
        && Before.DiskIds.Count == After.DiskIds.Count
        && Before.DiskIds.Intersect(After.DiskIds).Any()
        && Before.Layout is not (PoolLayout.Stripe or PoolLayout.Single)
            ?
            [
                .. Before
                    .DiskIds.Except(After.DiskIds, StringComparer.Ordinal)
                    .Zip(After.DiskIds.Except(Before.DiskIds, StringComparer.Ordinal)),
            ]
            : [];

    /// <summary>Disks that join while everything stays where it is; empty when that is not all that changes.</summary>
    public ValueList<string> Joined
    {
        get
        {
            var more = After.DiskIds.Except(Before.DiskIds, StringComparer.Ordinal).ToList();
            var stays = Before.DiskIds.All(After.DiskIds.Contains) && Before.Family == After.Family && !OtherEncryption;
            var mirrored = Before.Layout == PoolLayout.Single && After.Layout == PoolLayout.Mirror;
            return stays && more.Count > 0 && (mirrored || (SameWay && Grows(more.Count))) ? [.. more] : [];
        }
    }

    /// <summary>Whether it is laid out anew: nothing else gets it there.</summary>
    public bool Anew => Settled || (!(SameWay && SameDisks && !OtherEncryption) && Replaced.Count == 0 && Joined.Count == 0);

    /// <summary>Whether somebody plans for it what nobody has looked at yet.</summary>
    public bool EncryptionUnknown => Before.Encrypted is null && After.Encrypted is not null && !Anew;

    /// <summary>Pairs join as pairs; a stripe of one piece, a mirror and parity take any number; groups of parity take whole groups, which is a new layout.</summary>
    private bool Grows(int more) => After.Layout == PoolLayout.StripedMirrors ? more % 2 == 0 : After.Groups == 1;
}
