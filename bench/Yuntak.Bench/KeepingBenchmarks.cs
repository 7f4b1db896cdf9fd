using BenchmarkDotNet.Attributes;
using Yuntak.Core.Bench;
using Yuntak.Core.Keeping;
using Yuntak.Core.Labs;

namespace Yuntak.Bench;

/// <summary>The sums of copies, on a house far larger than a household's, each time from the start, against the sums of everything else of it.</summary>
public class KeepingBenchmarks
{
    private static readonly DateOnly Today = new(2027, 3, 1);
    private readonly Lab lab = LargeLabs.Of(20, 500).WithCopies(jobs: 200);
    private readonly Lab fewer = LargeLabs.Of(20, 500).WithCopies(jobs: 40);

    [Benchmark(Baseline = true)]
    public int The_sums_of_20_hosts_and_500_guests() => Sums.Of(lab, Today).Hosts.Count;

    [Benchmark]
    [Limit(1_000)]
    public int A_year_of_nights_of_200_jobs()
    {
        var keeping = HouseKeeping.Of(Sums.Of(lab, Today), Today);
        return Enumerable.Range(0, StoreRoom.Days).Sum(n => keeping.NightOf(Today.AddDays(n)).Runs.Count);
    }

    [Benchmark]
    public int How_well_500_guests_with_40_jobs_are_kept() => HouseKeeping.Of(Sums.Of(fewer, Today), Today).Guests.Count;

    [Benchmark]
    public int A_year_of_room_of_40_jobs()
    {
        var keeping = HouseKeeping.Of(Sums.Of(fewer, Today), Today);
        return keeping.Stores.Sum(s => keeping.Room(s).Curve.Count);
    }
}
