using System.Text.Json.Nodes;
using Yuntak.Core.Base;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;

namespace Yuntak.Formats.Exports;

/// <summary>
/// The devices and groups of an app stack's Compose file, from its claims on device nodes. Which number a node or group has is known on the host alone, so both are
/// variables: with the usual value where there is one, else with words that say what to look up and that stop the engine until somebody has.
/// </summary>
internal static class ComposeDevices
{
    /// <summary>Groups with a number of their own on Debian (base-passwd); that of «render» is handed out when it is installed.</summary>
    private static readonly Dictionary<string, int> Numbers = new(StringComparer.Ordinal)
    {
        ["dialout"] = 20,
        ["audio"] = 29,
        ["video"] = 44,
        ["plugdev"] = 46,
    };

    /// <summary>Adds <c>devices</c> and <c>group_add</c> to a service.</summary>
    /// <param name="service">The service.</param>
    /// <param name="guest">The app stack.</param>
    /// <param name="name">What its variables begin with.</param>
    public static void Add(JsonObject service, Guest guest, string name)
    {
        var prefix = ComposeFile.Prefix(name);
        List<string> nodes = [.. guest.Nodes.Select(n => $"{ComposeFile.Literal(n)}:{ComposeFile.Literal(n)}")];
        List<string> groups = [];
        foreach (var claim in guest.Claims.Where(c => c is { Way: ClaimWay.Node, Device: not null }))
        {
            nodes.AddRange(Nodes(claim, prefix).Except(nodes, StringComparer.Ordinal).ToList());
            groups.AddRange(Groups(claim).Except(groups, StringComparer.Ordinal).ToList());
        }

        if (nodes.Count > 0)
        {
            service["devices"] = new JsonArray([.. nodes.Select(n => JsonValue.Create(n))]);
        }

        if (groups.Count > 0)
        {
            service["group_add"] = new JsonArray([.. groups.Select(g => JsonValue.Create(Group(g, prefix)))]);
        }
    }

    private static string Group(string group, string prefix) =>
        Numbers.TryGetValue(group, out var usual)
            ? $"${{{prefix}_{group.ToUpperInvariant()}_GROUP:-{usual}}}"
            : $"${{{prefix}_{group.ToUpperInvariant()}_GROUP:?look up the number where its engine runs with getent group {group}}}";

    private static IEnumerable<string> Nodes(DeviceClaim claim, string prefix)
    {
        var card = claim.Device!.Contains(':', StringComparison.Ordinal);
        switch (claim.Need)
        {
            // A card node and a render node, numbered from 0 and 128 (the kernel's DRM minors).
            case DeviceNeed.VideoEncoder:
                yield return $"${{{prefix}_RENDER_NODE:-/dev/dri/renderD128}}:/dev/dri/renderD128";
                yield return $"${{{prefix}_CARD_NODE:-/dev/dri/card0}}:/dev/dri/card0";
                break;
            case DeviceNeed.AiAccelerator when card:
                yield return $"${{{prefix}_ACCEL_NODE:-/dev/accel/accel0}}:/dev/accel/accel0";
                break;
            // It comes back under another number once its firmware is in: the whole bus.
            case DeviceNeed.AiAccelerator:
                yield return "/dev/bus/usb:/dev/bus/usb";
                break;
            case DeviceNeed.RadioStick or DeviceNeed.SerialAdapter:
                yield return $"${{{prefix}_STICK:?choose the link that stays the same with ls -l /dev/serial/by-id}}:/dev/ttyUSB0";
                break;
            case DeviceNeed.Sound:
                yield return "/dev/snd:/dev/snd";
                break;
            default:
                yield return $"${{{prefix}_DEVICE:?name its node}}:${{{prefix}_DEVICE}}";
                break;
        }
    }

    private static IEnumerable<string> Groups(DeviceClaim claim) =>
        claim.Need switch
        {
            DeviceNeed.VideoEncoder => ["render", "video"],
            DeviceNeed.AiAccelerator when claim.Device!.Contains(':', StringComparison.Ordinal) => ["render"],
            DeviceNeed.AiAccelerator => ["plugdev"],
            DeviceNeed.RadioStick or DeviceNeed.SerialAdapter => ["dialout"],
            DeviceNeed.Sound => ["audio"],
            _ => [],
        };
}
