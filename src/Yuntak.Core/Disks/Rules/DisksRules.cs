using Yuntak.Core.Findings;

namespace Yuntak.Core.Disks.Rules;

/// <summary>The rules about pools, in the order of the book.</summary>
internal static class DisksRules
{
    /// <summary>The rules.</summary>
    public static readonly IReadOnlyList<IRule> All =
    [
        new ParityDiskSmall(),
        new KeyNotKept(),
        new FullSoon(),
        new FillsSoon(),
        new ThinParity(),
        new SizesLeftOver(),
        new MixedKinds(),
        new UsbInParity(),
        new NoScrub(),
        new ThinPromised(),
        new GuestDisksOnSpinning(),
        new NamesDiffer(),
        new GuestDisksOnParity(),
        new SameBatch(),
        new HalfOfBoot(),
        new FolderNowhere(),
        new FolderNotBackedUp(),
        new LandingUnprotected(),
        new TierTooSmall(),
        new TierServesNothing(),
    ];
}
