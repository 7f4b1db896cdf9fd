using Yuntak.Core.Labs;

namespace Yuntak.Core.Simulation;

/// <summary>What simulated hosts come to, in lines that can be held against each other.</summary>
internal static class HouseWords
{
    /// <summary>Every host, pool, guest, bridge, share and way in, a line for each thing that is said of it.</summary>
    public static IEnumerable<string> Lines(SimHouse house)
    {
        foreach (var host in house.Hosts)
        {
            yield return $"{host.Name}: {host.Memory} of memory, {host.Processor.Threads} threads";
            foreach (var pool in host.Pools.Values)
            {
                yield return $"{host.Name}: pool {pool.Name}, {LabWords.Layouts.Word(pool.Made.Layout)}, {LabWords.Families.Word(pool.Made.Family)}, {(pool.Made.Encrypted == true ? "encrypted" : "open")}, on {string.Join(" ", pool.Disks.Order(StringComparer.Ordinal))}";
            }

            foreach (var bridge in host.Bridges.Values)
            {
                yield return $"{host.Name}: bridge {bridge.Name} {bridge.Port} {bridge.Aware} {bridge.Mtu} {string.Join(" ", bridge.Networks)}";
            }
        }

        foreach (var guest in house.Guests)
        {
            var (name, figures) = (guest.Figures.Name, guest.Figures);
            yield return $"{name}: on {house.HostIf(guest.Host)?.Name}{(figures.RunsIn is { } outer ? $" in {outer.Value}" : "")}";
            yield return $"{name}: {figures.Kind}, {figures.Vcpu} processors, {figures.Memory}, shrinks to {figures.MayShrinkTo}, privileged {figures.Privileged}, image {figures.Image}";
            yield return $"{name}: disk {figures.SystemDisk} in {figures.SystemPool}, bulk {figures.Bulk} in {figures.BulkPool}";
            yield return $"{name}: volumes in {guest.System?.Pool} and {guest.Bulk?.Pool}";
            yield return $"{name}: {string.Join(" | ", figures.Wires)}";
            yield return $"{name}: devices {string.Join(" ", guest.Devices.Order(StringComparer.Ordinal))}";
            yield return $"{name}: {guest.State}{(guest.MediumIn ? ", medium in" : "")}{(guest.Settled.Contains("service") ? "" : ", no service")}";
        }

        foreach (var share in house.Shares.Values)
        {
            yield return $"share {share.Name} of {share.From.Path}";
        }

        foreach (var (what, how) in house.Kept)
        {
            yield return $"{what}: {how}";
        }

        foreach (var way in house.Ways)
        {
            yield return $"way in {way.Key}";
        }
    }

    /// <summary>What there is and should not be, and what should be and is not; empty when they are the same.</summary>
    public static IReadOnlyList<string> Differences(SimHouse there, SimHouse should)
    {
        var (is_, wanted) = (Lines(there).ToHashSet(StringComparer.Ordinal), Lines(should).ToHashSet(StringComparer.Ordinal));
        return
        [
            .. is_.Except(wanted).Order(StringComparer.Ordinal).Select(l => $"is: {l}"),
            .. wanted.Except(is_).Order(StringComparer.Ordinal).Select(l => $"should be: {l}"),
        ];
    }
}
