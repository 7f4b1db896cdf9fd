using System.Text.RegularExpressions;
using Yuntak.Core.Base;
using Yuntak.Core.Labs;

namespace Yuntak.Formats.Intake;

/// <summary>One line with a path below /sys: a path alone, the target of a link with or without its source, or a path with the value in it.</summary>
/// <param name="Kind">What it tells.</param>
/// <param name="Name">The thing: an address, a port, a kernel name.</param>
/// <param name="Key">The property, or the controller or function it hangs on.</param>
/// <param name="Value">The value.</param>
internal sealed partial record SysLine(SysLineKind Kind, string Name, string Key = "", string Value = "")
{
    private const string Switches = "/proc/cmdline:";

    /// <summary>Reads a line; null when it tells nothing that is known here.</summary>
    public static SysLine? Parse(string line)
    {
        var arrow = line.IndexOf(" -> ", StringComparison.Ordinal);
        var path = Names.Clean(arrow < 0 ? line : line[(arrow + 4)..]);
        if (path.Length > 1_000 || path.IndexOf('/', StringComparison.Ordinal) is < 0 or > 40)
        {
            return null;
        }

        if (path.StartsWith(Switches, StringComparison.Ordinal))
        {
            return new(SysLineKind.Switches, "", Value: path[Switches.Length..]);
        }

        if (arrow < 0 && GroupValue().Match(path) is { Success: true } running)
        {
            return new(SysLineKind.ControlGroup, running.Groups["group"].Value, running.Groups["key"].Value, running.Groups["value"].Value);
        }

        return arrow < 0 && Value_(path) is { } value ? value : Group(path) ?? Usb(path) ?? Hanging(path) ?? Offered(path);
    }

    private static SysLine? Value_(string path)
    {
        var match = ValueLine().Match(path);
        if (!match.Success)
        {
            return null;
        }

        var (thing, key, value) = (match.Groups["thing"].Value, match.Groups["key"].Value, match.Groups["value"].Value.Trim());
        return match.Groups["where"].Value switch
        {
            "bus/usb/devices/" => new(SysLineKind.UsbValue, thing, key, value),
            "class/net/" => new(SysLineKind.NetValue, thing, key, value),
            "class/dmi/" or "devices/virtual/dmi/" => new(SysLineKind.Firmware, thing, key, value),
            "bus/pci/slots/" when key == "address" => new(SysLineKind.Slot, value, Value: thing),
            "bus/pci/devices/" when key == "reset_method" => new(SysLineKind.Reset, Address(thing), Value: value),
            "bus/pci/devices/" when key == "sriov_totalvfs" => new(SysLineKind.Slices, Address(thing), Value: value),
            "bus/pci/devices/" when key == "boot_vga" && value == "1" => new(SysLineKind.Console, Address(thing)),
            _ => null,
        };
    }

    private static SysLine? Group(string path) =>
        GroupLine().Match(path) is { Success: true } match
            ? new(SysLineKind.Group, Address(match.Groups["address"].Value), Value: match.Groups["group"].Value)
            : null;

    private static SysLine? Usb(string path)
    {
        var match = UsbLine().Match(path);
        if (!match.Success)
        {
            return null;
        }

        var device = match.Groups["rest"].Value.TrimEnd('/').Split('/')[^1];
        // A name with a colon is an interface of the device before it.
        var name = device.Contains(':', StringComparison.Ordinal) ? device.Split(':')[0] : device;
        return new(
            SysLineKind.UsbPath,
            name.Length == 0 ? "usb" + match.Groups["bus"].Value : name,
            Address(match.Groups["controller"].Value),
            match.Groups["bus"].Value
        );
    }

    private static SysLine? Hanging(string path)
    {
        var net = NetLine().Match(path);
        if (net.Success)
        {
            return new(
                SysLineKind.NetPath,
                net.Groups["name"].Value,
                LastAddress(path),
                path.Contains("/virtual/", StringComparison.Ordinal) ? "virtual" : ""
            );
        }

        var block = BlockLine().Match(path);
        return block.Success && LastAddress(path) is { Length: > 0 } address
            ? new(SysLineKind.BlockPath, block.Groups["name"].Value, address)
            : null;
    }

    private static SysLine? Offered(string path) =>
        path == "/sys/dev/char/10:232" || path.EndsWith(" /sys/dev/char/10:232", StringComparison.Ordinal)
            ? new(SysLineKind.Virtualisation, "")
            : null;

    private static string LastAddress(string path) => AddressPart().Matches(path) is { Count: > 0 } found ? Address(found[^1].Value) : "";

    /// <summary>An address as all parts write it: with its domain and in small letters.</summary>
    internal static string Address(string text)
    {
        var small = text.ToLowerInvariant();
        return small.Length == 7 && small[2] == ':' ? "0000:" + small : small;
    }

    [GeneratedRegex(
        @"/sys/(?<where>bus/usb/devices/|class/net/|class/dmi/|devices/virtual/dmi/|bus/pci/slots/|bus/pci/devices/)(?<thing>[^/\s]+)/(?<key>[A-Za-z_]+):(?<value>.*)$",
        RegexOptions.ExplicitCapture,
        1_000
    )]
    private static partial Regex ValueLine();

    [GeneratedRegex(
        @"iommu_groups/(?<group>[0-9]{1,5})/devices/(?<address>[0-9a-f]{4,8}:[0-9a-f]{2}:[0-9a-f]{2}\.[0-7])/?$",
        RegexOptions.ExplicitCapture | RegexOptions.IgnoreCase,
        1_000
    )]
    private static partial Regex GroupLine();

    [GeneratedRegex(
        @"(?<controller>[^/\s]+)/usb(?<bus>[0-9]{1,3})(?<rest>(/[0-9]+-[0-9.]+(:[0-9.]+)?)*)/?$",
        RegexOptions.ExplicitCapture,
        1_000
    )]
    private static partial Regex UsbLine();

    [GeneratedRegex(@"devices/\S+/net/(?<name>[^/\s]{1,32})$", RegexOptions.ExplicitCapture, 1_000)]
    private static partial Regex NetLine();

    [GeneratedRegex(@"devices/\S+/(block|nvme/nvme[0-9]+)/(?<name>[a-z]+[a-z0-9]*)$", RegexOptions.ExplicitCapture, 1_000)]
    private static partial Regex BlockLine();

    [GeneratedRegex(
        @"/sys/fs/cgroup/(?<group>\S{1,400}?)/(?<key>memory\.current|memory\.peak|cpu\.stat):(?<value>.*)$",
        RegexOptions.ExplicitCapture,
        1_000
    )]
    private static partial Regex GroupValue();

    [GeneratedRegex(@"[0-9a-f]{4,8}:[0-9a-f]{2}:[0-9a-f]{2}\.[0-7]", RegexOptions.IgnoreCase, 1_000)]
    private static partial Regex AddressPart();
}
