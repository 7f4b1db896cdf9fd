using CsCheck;
using Yuntak.Core.Arranging;
using Yuntak.Core.Bench;
using Yuntak.Core.Edits;
using Yuntak.Core.Findings;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Stations;
using Yuntak.Core.Units;
using Yuntak.Tests;

namespace Yuntak.Core.Tests.Arranging;

/// <summary>The arrangement against exhaustive search, against what people do by feel, and against packings whose best is known.</summary>
public class ArrangeTests
{
    /// <summary>Stops an arrangement may not bring about.</summary>
    private static readonly string[] Kinds =
    [
        "bench.memory-over",
        "bench.cores-over",
        "bench.pool-over",
        "bench.no-pool-for-guest",
        "wants.more-vcpu-than-threads",
        "wants.wrong-family",
        "kit.virtualisation-off",
        "kit.router-one-port",
        "kit.isolation-off",
        "wires.no-bridge",
        "wires.router-one-leg",
        "wires.share-not-allowed",
        "wires.port-clash",
        "devices.claimed-twice",
        "devices.shared-and-whole",
        "devices.taken",
        "devices.not-possible",
        "devices.only-elsewhere",
        "devices.host-needs",
    ];

    [Theory]
    [InlineData(0)]
    [InlineData(1)]
    [InlineData(2)]
    [InlineData(3)]
    public void Agrees_with_exhaustive_search_in_every_goal(int part)
    {
        for (var seed = part * 125; seed < (part + 1) * 125; seed++)
        {
            var random = new Random(seed);
            var survive = seed % 7 == 0;
            var lab = ArrangeGens.Of(
                seed,
                random.Next(1, 5),
                random.Next(1, survive ? 5 : 8),
                0.4 + random.NextDouble(),
                0.7,
                settled: seed % 3 == 0
            );
            var ask = new ArrangeAsk
            {
                Prefer = seed % 2 == 0 ? Prefer.FewHosts : Prefer.Even,
                SurviveOne = survive,
                Empty = seed % 11 == 0 ? lab.Hosts[0].Id : null,
                Seconds = 60,
            };
            var arranged = Arranger.Of(Sums.Of(lab), ask);
            var expected = BruteForce.Of(lab, ask);

            arranged.Goals.ShouldAllBe(g => g.Proven, $"seed {seed}");
            arranged
                .Goals.Select(g => (g.Name, (long)Math.Round((g.Most ? -g.Value : g.Value) * (g.Name == "watts" ? 10 : 1))))
                .ShouldBe(arranged.Goals.Select((g, n) => (g.Name, expected[n])), $"seed {seed}");
        }
    }

    /// <summary>Bin packing by feel: the largest first, each to the first host with room, or to the one it fills best (Johnson, 1973).</summary>
    [Theory]
    [InlineData(false)]
    [InlineData(true)]
    public void Never_places_less_than_first_fit_or_best_fit_decreasing(bool best)
    {
        for (var seed = 0; seed < 12; seed++)
        {
            var lab = ArrangeGens.Of(seed, 3, 14, 0.95 + (seed % 5 * 0.1), 0, odd: false);
            var by = lab
                .Guests.OrderBy(g => g.Importance)
                .ThenByDescending(g => g.Overrides.Memory)
                .Aggregate(
                    lab,
                    (l, g) =>
                        FitCheck
                            .OnEveryHost(Sums.Of(l), l.Guest(g.Id)!)
                            .Where(a => a.CanGo)
                            .OrderBy(a => best ? a.After.Memory.Room : default)
                            .FirstOrDefault()
                            is { } there
                            ? l.WithGuest(g.Id, x => x with { Placement = there.Guest.Placement })
                            : l
                );
            var arranged = Arranger.Of(Sums.Of(lab), new ArrangeAsk { Seconds = 1 });
            long[] feel =
            [
                .. Enum.GetValues<Importance>().Select(i => (long)by.Guests.Count(g => g.Importance == i && g.Placement is not null)),
            ];
            long[] found = [.. arranged.Goals.Take(3).Select(g => (long)g.Value)];
            found
                .AsSpan()
                .SequenceCompareTo(feel)
                .ShouldBeGreaterThanOrEqualTo(0, $"seed {seed}: {string.Join(", ", found)} against {string.Join(", ", feel)}");
        }
    }

    /// <summary>
    /// Falkenauer's triplets (A hybrid grouping genetic algorithm for bin packing, Journal of Heuristics 2, 1996; cited from memory): three items to a bin of 1,000,
    /// each between 250 and 500, filling it exactly, so that a third of the items is a bound no packing beats. Made anew here in the same way.
    /// </summary>
    [Theory]
    [InlineData(4, 1)]
    [InlineData(6, 2)]
    [InlineData(8, 3)]
    public void Packs_triplets_that_sum_to_the_bin(int bins, int seed)
    {
        var random = new Random(seed);
        List<int> items = [];
        for (var n = 0; n < bins; n++)
        {
            var first = random.Next(380, 491);
            var second = random.Next(Math.Max(250, 1000 - first - 500), Math.Min(500, 1000 - first - 250) + 1);
            items.AddRange([first, second, 1000 - first - second]);
        }

        // A host keeps 1.5 GiB for itself; what a machine costs beside its memory grows evenly with it, so that every triplet costs the same.
        Guest Item(int size, int n) =>
            Small.Guest($"item {n}") with
            {
                Id = new GuestId($"item-{n}"),
                Overrides = new SizeOverrides(1, ByteSize.FromMiB(32 * size), ByteSize.FromGiB(1), ByteSize.Zero),
            };
        var bin = items
            .Take(3)
            .Select((size, n) => Item(size, n))
            .Aggregate(ByteSize.FromGiB(1.5), (sum, g) => sum + new MemoryShare(g, Small.Size(g)).Committed);
        var lab = Small.Lab([
            .. Enumerable.Range(0, bins).Select(n => Small.Host($"bin{n}", cores: 64, threads: 128) with { Memory = bin }),
        ]) with
        {
            Guests = [.. items.OrderBy(_ => random.Next()).Select(Item)],
        };

        var arranged = Arranger.Of(Sums.Of(lab), new ArrangeAsk { Seconds = 60 });

        arranged.LeftOut.ShouldBeEmpty();
        arranged.Placed.GroupBy(p => p.Host.Id).Select(g => g.Count()).ShouldAllBe(n => n == 3);
        // One bin fewer does not do, and it is said so.
        var fewer = Arranger.Of(Sums.Of(lab with { Hosts = [.. lab.Hosts.Skip(1)] }), new ArrangeAsk { Seconds = 1 });
        fewer.LeftOut.ShouldNotBeEmpty();
    }

    [Fact]
    public void What_is_accepted_brings_no_stop_that_was_not_there()
    {
        for (var seed = 0; seed < 60; seed++)
        {
            var lab = ArrangeGens.Of(seed, 3, 9, 0.9);
            var before = Stops(lab);
            var arranged = Arranger.Of(Sums.Of(lab), new ArrangeAsk { Seconds = 20 });
            var after = ArrangeEdits.All(arranged) is { Count: > 0 } takes ? lab.With(ArrangeEdits.Accept(takes)) : lab;

            Stops(after).Except(before).ShouldBeEmpty($"seed {seed}");
            // Nobody runs anywhere then who would not fit: what had no place is off.
            Stops(after).ShouldBeEmpty($"seed {seed}");
        }
    }

    [Fact]
    public void No_random_lab_is_made_worse_and_nothing_that_runs_is_taken_away() =>
        Gens.AnyLab.Holds(
            lab =>
            {
                var running = lab.Guests.Where((_, n) => n % 2 == 0).Select(g => g.Id).ToHashSet();
                var before = Stops(lab);
                var arranged = Arranger.Of(Sums.Of(lab), new ArrangeAsk { Seconds = 5, SurviveOne = lab.Guests.Count % 2 == 0 }, running);
                var takes = ArrangeEdits.All(arranged);
                var after = takes.Count == 0 ? lab : lab.With(ArrangeEdits.Accept(takes));

                Stops(after).Except(before).ShouldBeEmpty();
                foreach (var guest in lab.Guests)
                {
                    var then = after.Guest(guest.Id)!;
                    if (guest.Pinned && guest.Placement is { } was && then.Placement is { } now)
                    {
                        now.Host.ShouldBe(was.Host);
                        now.SystemPool.ShouldBe(was.SystemPool ?? now.SystemPool);
                        now.BulkPool.ShouldBe(was.BulkPool ?? now.BulkPool);
                    }

                    (running.Contains(guest.Id) && guest.Placement is not null && then.Placement is null).ShouldBeFalse("taken away");
                    then.RunsIn.ShouldBe(guest.RunsIn, "what runs inside another travels with it");
                    if (then.Placement?.Host == guest.Placement?.Host)
                    {
                        then.Claims.ShouldBe(guest.Claims);
                    }
                }
            },
            iter: 150
        );

    [Fact]
    public void The_smallest_change_lets_it_in_and_a_hair_less_does_not()
    {
        var found = 0;
        for (var seed = 0; seed < 60 && found < 12; seed++)
        {
            var lab = ArrangeGens.Of(seed, 2, 6, 1.3, 0, odd: false);
            var arranged = Arranger.Of(Sums.Of(lab), new ArrangeAsk { Seconds = 60 });
            foreach (var left in arranged.LeftOut)
            {
                foreach (
                    var why in left.Hosts.Where(h =>
                        h.Proven && h.SmallestChange.EndsWith($" memory on {h.Host.Name}") && !h.SmallestChange.Contains(" and ")
                    )
                )
                {
                    found++;
                    ByteSize
                        .TryParse(why.SmallestChange[1..].Split(" memory on ")[0], Prefixes.Binary, out var more)
                        .ShouldBeTrue(why.SmallestChange);
                    // The amount is said in three figures: a hundredth more or less is a hair.
                    Everybody(lab, why.Host, new ByteSize((long)(more.Bytes * 1.01)), left).ShouldBeTrue($"seed {seed} {left.Guest.Name}");
                    Everybody(lab, why.Host, new ByteSize((long)(more.Bytes * 0.98)), left).ShouldBeFalse($"seed {seed} {left.Guest.Name}");
                }
            }

            // With a bigger host the guest has a place there beside all that had one.
            bool Everybody(Lab was, Host host, ByteSize more, LeftOut left)
            {
                var grown = was.WithHost(host.Id, h => h with { Memory = h.Memory + more }) with
                {
                    Guests = [.. was.Guests.Where(g => g.Id == left.Guest.Id || arranged.Placed.Any(p => p.Guest.Id == g.Id))],
                };
                return Arranger.Of(Sums.Of(grown), new ArrangeAsk { Seconds = 60 }).LeftOut.Count == 0;
            }
        }

        found.ShouldBeGreaterThanOrEqualTo(8);
    }

    [Fact]
    public void The_same_lab_gives_the_same_answer()
    {
        var lab = ArrangeGens.Of(5, 3, 12, 0.9);
        var first = Arranger.Of(Sums.Of(lab), new ArrangeAsk { Seconds = 30 });
        var second = Arranger.Of(Sums.Of(lab), new ArrangeAsk { Seconds = 30 });
        second.Placed.ShouldBe(first.Placed);
        second.Goals.ShouldBe(first.Goals);
    }

    [Fact]
    public void A_search_that_nobody_waits_for_ends()
    {
        using var stop = new CancellationTokenSource();
        var told = 0;
        // Once before it begins to search, once while it does.
        var progress = new Told(p =>
        {
            if (++told > 1)
            {
                stop.Cancel();
            }
        });
        Should.Throw<OperationCanceledException>(() =>
            Arranger.Of(Sums.Of(ArrangeGens.Of(0, 12, 120, 0.95)), new ArrangeAsk { Seconds = 60 }, null, progress, stop.Token)
        );
        told.ShouldBeGreaterThan(0);
    }

    private static HashSet<string> Stops(Lab lab) =>
        [
            .. Assessment
                .Of(lab)
                .Findings.Where(f => f.Severity == Severity.Stop && Kinds.Contains(f.Rule.Id))
                .Select(f => f.Key.Split('#')[0]),
        ];

    private sealed class Told(Action<ArrangeProgress> to) : IProgress<ArrangeProgress>
    {
        public void Report(ArrangeProgress value) => to(value);
    }
}
