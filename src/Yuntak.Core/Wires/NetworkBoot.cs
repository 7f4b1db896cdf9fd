using System.Net;
using Yuntak.Core.Labs;
using Yuntak.Core.Units;
using Yuntak.Core.Wants;

namespace Yuntak.Core.Wires;

/// <summary>What the place that hands out addresses has to say so that a machine starts over the network, with the numbers of a lab.</summary>
/// <param name="Server">The guest that serves the files.</param>
/// <param name="Address">Its address; null while it has none that stays.</param>
/// <param name="TestMemory">Memory of a machine to try it with: what the image needs, and at least the image and 1 GiB.</param>
public sealed record NetworkBoot(Guest Server, IPAddress? Address, ByteSize TestMemory)
{
    /// <summary>The option that names the server (RFC 2132, 9.4).</summary>
    public const int ServerOption = 66;

    /// <summary>The option that names the file (RFC 2132, 9.5).</summary>
    public const int FileOption = 67;

    /// <summary>The profile of a server of boot files.</summary>
    public const string ProfileId = "network-boot";

    /// <summary>The files by the client's architecture: 0 for an old-style firmware, 7 for a 64-bit one of x86, 9 for one that calls itself EBC and is of x86-64 too (RFC 4578, 2.1, with its errata).</summary>
    public static readonly IReadOnlyList<BootFile> Files =
    [
        new(0, "x86, old-style firmware", "bios/start.0"),
        new(7, "x86-64, current firmware", "efi64/start.efi"),
        new(9, "x86-64, current firmware, as some boards number it", "efi64/start.efi"),
    ];

    /// <summary>The lines for the place that hands out addresses, in general form.</summary>
    public IEnumerable<string> Lines =>
        Files
            .Select(f => $"when option 93 is {f.Architecture}: option {FileOption} = {f.File}")
            .Prepend($"option {ServerOption} = {Address?.ToString() ?? "the address of " + Server.Name}");

    /// <summary>Every server of boot files that is on a host.</summary>
    public static IEnumerable<NetworkBoot> Of(HouseWires wires, IEnumerable<Sizing> sizings) =>
        sizings
            .Where(s => s.Follows(ProfileId) && wires.Lab.HostOf(s.Guest) is not null)
            .Select(s => new NetworkBoot(
                s.Guest,
                wires.AddressOf(s.Guest),
                ByteSize.Max(s.ClientMemory.Value, s.Fetch.Value + ByteSize.FromGiB(1))
            ));
}
