using Yuntak.Core.Findings;

namespace Yuntak.Core.Wires.Rules;

/// <summary>The rules about networks, in the order of the book.</summary>
internal static class WiresRules
{
    /// <summary>The rules.</summary>
    public static readonly IReadOnlyList<IRule> All =
    [
        new PortTaken(),
        new AddressTwice(),
        new AddressOutside(),
        new AddressInRange(),
        new ServerChanges(),
        new MacTwice(),
        new NameTwice(),
        new NumberDiffers(),
        new RouterLegsCrossed(),
        new RouterNoAutostart(),
        new DefaultRouterAddress(),
        new DoubleTranslation(),
        new NoBridge(),
        new NoSuchPort(),
        new TagOnPlainBridge(),
        new MtuDiffers(),
        new CamerasWayOut(),
        new PageOutside(),
        new ClearOutside(),
        new NoLoginOutside(),
        new SameWayIn(),
        new WayNowhere(),
        new SitesOverlap(),
        new ServedTwice(),
        new MountsItself(),
        new NotAllowed(),
        new ShareNowhere(),
        new LinkFull(),
    ];
}
