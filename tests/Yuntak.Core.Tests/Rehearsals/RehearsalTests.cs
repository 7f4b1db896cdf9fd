using CsCheck;
using Yuntak.Core.Bench;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Rehearsals;
using Yuntak.Core.Runbooks;
using Yuntak.Core.Units;
using Yuntak.Tests;

namespace Yuntak.Core.Tests.Rehearsals;

/// <summary>Runbooks taken against simulated hosts, over random labs.</summary>
public class RehearsalTests
{
    /// <summary>Two or three full hosts, with guests that are told to go elsewhere: what fits at the end may not fit on the way.</summary>
    private static readonly Gen<(Lab Stands, Lab Draft)> Tight =
        from hosts in Gen.Int[2, 3]
        from sizes in Gen.Int[1, 6].Array[2, 5]
        from places in Gen.Int[0, 2].Array[sizes.Length]
        from goals in Gen.Int[0, 2].Array[sizes.Length]
        from grown in Gen.Int[0, 5].Array[sizes.Length]
        from disk in Gen.Int[40, 300].Array[sizes.Length]
        let stands = Put(hosts, sizes, disk, places)
        let draft = Put(
            hosts,
            [
                .. sizes.Select(
                    (s, n) =>
                        grown[n] == 0 ? s + 1
                        : grown[n] == 1 ? Math.Max(1, s - 1)
                        : s
                ),
            ],
            disk,
            goals
        )
        where stands is not null && draft is not null
        select (stands, draft);

    [Fact]
    public void No_runbook_loses_anything_and_each_that_is_not_refused_reaches_exactly_the_draft() =>
        Changes.AnyTwo.Holds(
            pair =>
            {
                var rehearsal = Rehearsal.Of(pair.Stands, pair.Draft);
                rehearsal.Lost.ShouldBeEmpty();
                if (rehearsal.Steps.All(s => s.Outcome == StepOutcome.Done))
                {
                    rehearsal.Differences.ShouldBeEmpty();
                }
            },
            iter: 1000
        );

    [Fact]
    public void Where_some_order_reaches_the_draft_the_runbook_s_own_does()
    {
        var (reached, none) = (0, 0);
        Gen.OneOf(Changes.AnyTwo, Tight, Tight, Tight)
            .Where(pair => RunbookBuilder.Build(pair.Stands, pair.Draft).Sections.Count <= 5)
            .Holds(
                pair =>
                {
                    var rehearsal = Rehearsal.Of(pair.Stands, pair.Draft);
                    if (rehearsal.ReachesDraft)
                    {
                        Interlocked.Increment(ref reached);
                    }
                    else if (WayBack.CanStandAsItDoes(Beginning.Of(rehearsal.Runbook)))
                    {
                        EveryOrder.Reaches(rehearsal.Runbook).ShouldBeFalse(Told(rehearsal));
                        Interlocked.Increment(ref none);
                    }
                },
                iter: 1000
            );
        reached.ShouldBeGreaterThan(none);
    }

    private static string Told(Rehearsal rehearsal) =>
        string.Join("\n", rehearsal.Steps.Select(s => $"{s.Number} {s.Step.What}: {s.Outcome} {s.Message}").Concat(rehearsal.Differences));

    /// <summary>A lab of hosts with 8 GiB and 1 TB, guests of so many GiB of memory and GB of disk put on them; null when they do not fit.</summary>
    private static Lab? Put(int hosts, int[] sizes, int[] disks, int[] places)
    {
        var lab = Small.Lab([.. Enumerable.Range(0, hosts).Select(n => Small.Host($"h{n}", gib: 9, cores: 8, threads: 16, poolTB: 0.5))]);
        for (var n = 0; n < sizes.Length; n++)
        {
            var guest = Small.Guest($"g{n}") with
            {
                Overrides = new SizeOverrides(1, ByteSize.FromGiB(sizes[n]), ByteSize.FromGB(disks[n]), null),
                Wants = [new Want("wiki")],
            };
            lab = lab.WithGuestOn(guest, $"h{places[n] % hosts}");
        }

        var sums = Sums.Of(lab);
        return sums.Hosts.All(h => h.Memory.Fit != Fit.Over && h.Pools.All(p => p.Fit != Fit.Over)) ? lab : null;
    }
}
