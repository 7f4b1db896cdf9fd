using Yuntak.Core.Base;
using Yuntak.Core.Kit;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Shapes;
using Yuntak.Core.Units;
using Yuntak.Core.Wants;

namespace Yuntak.Core.Bench;

/// <summary>Asks what would happen if a guest were put on a host, without doing it.</summary>
public static class FitCheck
{
    /// <summary>The answer for one guest and one host.</summary>
    public static FitAnswer Of(Sums assessment, Guest guest, Host host)
    {
        // An app stack inside another guest leaves it first: that one needs less then.
        var lab = guest.RunsIn is null ? assessment.Lab : assessment.Lab.WithGuest(guest.Id, g => g with { RunsIn = null });
        List<Sizing> others =
        [
            .. (assessment.Host(host.Id)?.Guests ?? [])
                .Where(s => s.Guest.Id != guest.Id)
                .Select(s => s.Guest.Id == guest.RunsIn ? Sizing.Of(lab, s.Guest) : s),
        ];
        var placement =
            guest.Placement?.Host == host.Id
                ? guest.Placement
                : VolumePlacement.Choose(Sizing.Of(lab, guest), host, others, lab.AllFolders);
        // Devices of one host stay there when a guest goes to another, and with them what pins its memory.
        var stays = guest.Placement?.Host == host.Id;
        var placed = (stays ? guest : guest.WithoutDevices()) with { Placement = placement, RunsIn = null };
        var sizing = Sizing.Of(lab, placed);
        var after = new HostAssessment(host, assessment.Lab.Settings, [.. others, sizing], assessment.Lab.AllFolders);
        return new FitAnswer(placed, after, [.. Limits(assessment, after, sizing)]);
    }

    /// <summary>The answers for every host, in the lab's order.</summary>
    public static IReadOnlyList<FitAnswer> OnEveryHost(Sums assessment, Guest guest) =>
        [.. assessment.Lab.Hosts.Select(h => Of(assessment, guest, h))];

    /// <summary>The host that takes a guest best: one it fits, with the most memory left; null when none has room.</summary>
    public static FitAnswer? Best(Sums assessment, Guest guest) =>
        OnEveryHost(assessment, guest).Where(a => a.CanGo).OrderBy(a => a.Fit).ThenByDescending(a => a.After.Memory.Spare).FirstOrDefault();

    private static IEnumerable<FitLimit> Limits(Sums assessment, HostAssessment after, Sizing guest)
    {
        var host = after.Host;
        foreach (var limit in GuestLimits.Of(assessment, guest, host))
        {
            yield return limit;
        }

        if (after.Memory.Fit == Fit.Over)
        {
            var needs = after.Memory.Shares[^1].Committed;
            var spare = after.Memory.Room + needs;
            yield return new FitLimit(
                $"memory: {needs} wanted, {(spare > ByteSize.Zero ? spare.ToString() : "nothing")} spare on {host.Name}",
                $"+{(ByteSize.Zero - after.Memory.Spare).ToStringUp()} memory on {host.Name}"
            );
        }

        if (after.Processor.Fit == Fit.Over)
        {
            var p = after.Processor;
            yield return new FitLimit(
                $"processor: {p.Peak.Value} wanted at {Numbers.Hour(p.PeakHour)}, {host.Name} has {Numbers.OneDecimal(p.Effective.Value.Value)} effective",
                $"{Numbers.OneDecimal(Math.Ceiling(((p.Peak.Value - (p.Effective.Value * ProcessorBudget.OverShare.Value)).Value * 10) - 1e-9) / 10)} cores less at {Numbers.Hour(p.PeakHour)} on {host.Name}"
            );
        }

        foreach (var limit in DiskLimits(after, guest))
        {
            yield return limit;
        }
    }

    private static IEnumerable<FitLimit> DiskLimits(HostAssessment after, Sizing guest)
    {
        var host = after.Host;
        var placement = guest.Guest.Placement!;
        if (after.Pools.Count == 0)
        {
            yield return GuestLimits.NoPool(host);
            yield break;
        }

        foreach (
            var pool in after.Pools.Where(p =>
                p.Fit == Fit.Over && (p.Pool.Name == placement.SystemPool || p.Pool.Name == placement.BulkPool)
            )
        )
        {
            var needs = pool.ClaimOf(guest);
            var spare = pool.Spare + needs;
            yield return new FitLimit(
                $"disk: {needs.ToDecimalString()} wanted, {(spare > ByteSize.Zero ? spare.ToDecimalString() : "nothing")} spare in {pool.Pool.Name} on {host.Name}",
                $"+{(ByteSize.Zero - pool.Spare).ToDecimalStringUp()} room in {pool.Pool.Name} on {host.Name}"
            );
        }
    }
}
