using CsCheck;
using Yuntak.Core.Bench;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Shapes;
using Yuntak.Core.Stations;
using Yuntak.Core.Units;
using Yuntak.Core.Wants;
using Yuntak.Tests;

namespace Yuntak.Core.Tests.Handbook;

/// <summary>Memory and processor budgets against the handbook's sums done a second time; <see cref="Oracle"/>.</summary>
public class BudgetOracleTests
{
    private const string Device = "0000:04:00.0";

    /// <summary>What a random guest says of itself: kind, memory given, what it may shrink to, whether it has a device whole, cores at rest and busy, processors.</summary>
    private sealed record Said(char Kind, double GiB, double? ShrinkTo, bool Pinned, double Idle, double Busy, int Vcpu);

    private static readonly Gen<Said> AnyGuest =
        from kind in Pick.From('m', 's', 'a')
        from gib in Gen.Int[1, 24]
        from shrink in Gen.Int[0, 24]
        from pinned in Gen.Bool
        from idle in Gen.Int[0, 10]
        from more in Gen.Int[0, 60]
        from vcpu in Gen.Int[1, 8]
        select new Said(kind, gib, shrink == 0 ? null : shrink, pinned, idle / 10.0, (idle + more) / 10.0, vcpu);

    [Fact]
    [Reference("handbook, chapter 6, done again in plain arithmetic: budgets of a host")]
    public void Budgets_are_those_of_the_handbook() =>
        (
            from guests in AnyGuest.List[0, 9]
            from memory in Gen.Int[4, 128]
            from cores in Gen.Int[1, 16]
            from threads in Gen.Int[1, 2]
            from cache in Gen.Bool
            select (guests, memory, cores, threads, cache)
        ).Holds(
            sample =>
            {
                var (guests, gib, cores, threadsPerCore, cache) = sample;
                var host = HostOf(gib, cores, cores * threadsPerCore, cache);
                var lab = guests
                    .Select((g, n) => (g, n))
                    .Aggregate(
                        Small.Lab(host) with
                        {
                            Profiles = [.. guests.Select(ProfileOf).DistinctBy(p => p.Id)],
                        },
                        (l, g) =>
                            l.WithGuestOn(GuestOf(g.g, g.n), "kiln")
                                .WithGuest(
                                    new GuestId($"g{g.n}"),
                                    guest => guest with { Devices = g.g is { Kind: 'm', Pinned: true } ? [Device] : [] }
                                )
                    );
                var found = Assessment.Of(lab).Hosts[0];

                var total = gib * Oracle.GiB;
                var wanted = cache ? 4 * Oracle.GiB : 0;
                var taken = guests.Sum(Committed);
                var committed = (1.5 * Oracle.GiB) + wanted + taken;
                var hard = committed - wanted + Oracle.CacheFloor(wanted, total);
                ((double)found.Memory.Committed.Value.Bytes).ShouldBe(committed, guests.Count + 1);
                ((double)found.Memory.Hard.Bytes).ShouldBe(hard, guests.Count + 1);

                var peak = Enumerable
                    .Range(0, 24)
                    .Max(h => guests.Sum(g => Math.Min(g.Vcpu, g.Idle + ((g.Busy - g.Idle) * DayShape.Evening.At(h)))));
                found.Processor.Peak.Value.Value.ShouldBe(peak, 1e-9);
                found.Processor.Effective.Value.Value.ShouldBe(cores * (1 + (0.25 * (threadsPerCore - 1))), 1e-9);

                var stops = lab.Findings("bench.memory-over").Count > 0;
                stops.ShouldBe(hard > total + 0.5);
                (lab.Findings("bench.memory-tight").Count > 0).ShouldBe(!stops && committed > 0.9 * total * (1 + 1e-9));
                (lab.Findings("bench.cores-over").Count > 0).ShouldBe(peak / found.Processor.Effective.Value.Value > 1.2 * (1 + 1e-9));
            },
            iter: 300
        );

    private static double Committed(Said said)
    {
        var memory = said.GiB * Oracle.GiB;
        // Handbook: a machine counts whole when a device is handed to it, else down to what it may shrink to; a container counts with its expected use.
        var counted = said.Kind switch
        {
            'm' => said is { Pinned: false, ShrinkTo: { } least } ? Math.Min(least, said.GiB) * Oracle.GiB : memory,
            _ => Math.Min(0.5 * Oracle.GiB, memory),
        };
        return counted + Oracle.Overhead(said.Kind, memory, 1);
    }

    private static Host HostOf(double gib, int cores, int threads, bool cache)
    {
        var host = Small.Host("kiln", gib, cores, threads, 100);
        host = host.With(new Hardware(Functions: [new PciFunction(Device, "0c03")], Isolation: true));
        return cache ? host with { Pools = host.Pools.Change(_ => true, p => p with { Family = PoolFamily.CopyOnWrite }) } : host;
    }

    private static Profile ProfileOf(Said said) =>
        ProfileBook.Standard.Get("wiki") with
        {
            Id = $"said-{Math.Round(said.Idle * 10)}-{Math.Round(said.Busy * 10)}",
            Idle = [new Term("at rest", said.Idle)],
            Busy = [new Term("busy", said.Busy)],
            Memory = [new Term("it", 0.5)],
            Shape = DayShape.Evening,
        };

    private static Guest GuestOf(Said said, int n) =>
        Small.Guest(
            $"g{n}",
            ProfileOf(said).Id,
            said.Kind switch
            {
                'm' => GuestKind.Machine,
                's' => GuestKind.SystemContainer,
                _ => GuestKind.AppStack,
            }
        ) with
        {
            Overrides = new SizeOverrides(said.Vcpu, ByteSize.FromGiB(said.GiB)),
            MayShrinkTo = said.ShrinkTo is { } least ? ByteSize.FromGiB(least) : null,
        };
}
