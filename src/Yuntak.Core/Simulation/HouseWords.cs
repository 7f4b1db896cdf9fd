using System.Collections.Immutable;
using System.Text.Json.Nodes;
using Yuntak.Core.Labs;

namespace Yuntak.Core.Simulation;

/// <summary>What simulated hosts come to, in lines that can be held against each other.</summary>
internal static class HouseWords
{
    /// <summary>Every host, pool, guest, bridge, share and way in, a line for each thing that is said of it.</summary>
    private static IEnumerable<string> Lines(SimHouse house)
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
            yield return $"{name}: devices {(guest.Devices.IsEmpty ? "none" : string.Join(" ", guest.Devices.Order(StringComparer.Ordinal)))}";
            yield return $"{name}: {guest.State}{(guest.MediumIn ? ", medium in" : "")}{(guest.Settled.Contains("service") ? "" : ", no service")}";
        }

        foreach (var share in house.Shares.Values)
        {
            yield return $"share {share.Name} of {share.From.Path}";
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
        var kept = KeptDifferences(there.Kept, should.Kept).ToList();
        return
        [
            .. is_.Except(wanted).Concat(kept.Select(k => k.Is).OfType<string>()).Order(StringComparer.Ordinal).Select(l => $"is: {l}"),
            .. wanted
                .Except(is_)
                .Concat(kept.Select(k => k.ShouldBe).OfType<string>())
                .Order(StringComparer.Ordinal)
                .Select(l => $"should be: {l}"),
        ];
    }

    /// <summary>Stores, jobs and onward copies that are not alike: of one that is in both only what differs.</summary>
    private static IEnumerable<(string? Is, string? ShouldBe)> KeptDifferences(
        ImmutableDictionary<string, string> there,
        ImmutableDictionary<string, string> should
    )
    {
        foreach (var what in there.Keys.Union(should.Keys).Where(w => there.GetValueOrDefault(w) != should.GetValueOrDefault(w)))
        {
            var (is_, wanted) = (Read(there, what), Read(should, what));
            var differ = is_ is null || wanted is null ? null : Members(is_, wanted);
            yield return (Line(what, is_, differ), Line(what, wanted, differ));
        }

        static JsonObject? Read(ImmutableDictionary<string, string> kept, string what) =>
            kept.TryGetValue(what, out var how) ? (JsonObject)JsonNode.Parse(how)! : null;

        static List<string> Members(JsonObject a, JsonObject b) =>
            [.. a.Select(m => m.Key).Union(b.Select(m => m.Key)).Where(m => !JsonNode.DeepEquals(a[m], b[m]))];

        static string? Line(string what, JsonObject? how, List<string>? only) =>
            how is null
                ? null
                : $"{what}: {string.Join(", ", how.Where(m => m.Key != "name" && (only?.Contains(m.Key) ?? true)).Select(m => $"{m.Key} {Words(m.Value)}").DefaultIfEmpty("nothing of that"))}";
    }

    /// <summary>A value in words: «hearth, strongroom without system and bulk».</summary>
    private static string Words(JsonNode? value, string between = ", ") =>
        value switch
        {
            JsonArray all => all.Count == 0 ? "nothing" : string.Join(between, all.Select(v => Words(v, between))),
            JsonObject one => string.Join(" ", one.Select((m, n) => $"{(n == 0 ? "" : m.Key + " ")}{Words(m.Value, " and ")}")),
            JsonValue v when v.TryGetValue<bool>(out var yes) => yes ? "yes" : "no",
            null => "none",
            _ => value.ToString(),
        };
}
