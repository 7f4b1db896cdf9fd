using CsCheck;
using Yuntak.Core.Keeping;
using Yuntak.Tests;

namespace Yuntak.Core.Tests.Keeping;

/// <summary>Work that shares disks and lines: nothing is lost or made, no line carries more than it can, and nobody could be given more without taking it from one who has no more.</summary>
public class NightFlowTests
{
    private static readonly NightLine[] Lines =
    [
        new(NightLineKind.Disk, "a", 300e6),
        new(NightLineKind.Disk, "b", 180e6),
        new(NightLineKind.Wire, "c", 118e6),
        new(NightLineKind.Line, "d", 2e6),
    ];

    private static readonly Gen<NightPiece> AnyPiece =
        from bytes in Gen.Double[1e6, 4e10]
        from over in Gen.Int[1, 15]
        from twice in Gen.Bool
        from most in Gen.OneOf(Gen.Const(double.PositiveInfinity), Gen.Double[1e6, 2e8])
        select new NightPiece(
            bytes,
            [.. Lines.Where((_, n) => (over & (1 << n)) != 0).Select((l, n) => new NightUse(l, twice && n == 0 ? 2 : 1))],
            most
        );

    private static readonly Gen<NightWork[]> AnyNight = (
        from start in Gen.Double[0, 40_000]
        from pieces in AnyPiece.Array[1, 3]
        from after in Gen.Int[-3, 6]
        select (start, pieces, after)
    )
        .Array[1, 9]
        .Select(works =>
            works
                .Select(
                    (w, n) => new NightWork(NightKind.Copying, $"{n}", w.start, [.. w.pieces], w.after >= 0 && w.after < n ? w.after : null)
                )
                .ToArray()
        );

    [Fact]
    public void Bytes_are_neither_lost_nor_made_and_no_line_carries_more_than_it_can() =>
        AnyNight.Holds(
            works =>
            {
                var runs = NightFlow.Run(works);
                foreach (var (run, work) in runs.Zip(works))
                {
                    run.Bytes.ShouldBe(work.Pieces.Sum(p => p.Bytes), work.Pieces.Sum(p => p.Bytes) * 1e-6);
                    run.Starts.ShouldBeGreaterThanOrEqualTo(
                        work.After is { } after ? Math.Max(work.Start, runs[after].Ends) - 1e-6 : work.Start - 1e-6
                    );
                }

                foreach (var at in Moments(runs))
                {
                    foreach (var line in Lines)
                    {
                        Used(runs, line, at).ShouldBeLessThanOrEqualTo(line.Rate * (1 + 1e-9));
                    }
                }
            },
            iter: 300
        );

    /// <summary>The definition of max-min fairness: whoever has not all it may take goes over a full line on which nobody has more.</summary>
    [Fact]
    [Reference("Bertsekas and Gallager, Data Networks, 2nd ed. 1992, section 6.5.2")]
    public void Nobody_could_be_given_more_without_taking_it_from_one_who_has_no_more() =>
        AnyNight.Holds(
            works =>
            {
                var runs = NightFlow.Run(works);
                foreach (var at in Moments(runs))
                {
                    var on = runs.Select(r => (Run: r, Span: r.Spans.FirstOrDefault(s => s.From < at && at < s.To)))
                        .Where(r => r.Span is not null)
                        .ToList();
                    foreach (var (run, span) in on)
                    {
                        var piece = run.Work.Pieces[span!.Piece];
                        if (span.Rate >= piece.Most * (1 - 1e-9))
                        {
                            continue;
                        }

                        piece
                            .Over.Any(u =>
                                Used(runs, u.Line, at) >= u.Line.Rate * (1 - 1e-9)
                                && on.Where(o => o.Run.Work.Pieces[o.Span!.Piece].Over.Any(x => x.Line == u.Line))
                                    .All(o => o.Span!.Rate <= span.Rate * (1 + 1e-9))
                            )
                            .ShouldBeTrue(
                                $"{at}: {string.Join("; ", on.Select(o => $"{o.Run.Work.Name} {o.Span!.Rate:R} of {o.Run.Work.Pieces[o.Span.Piece].Most:R} over {string.Join(",", o.Run.Work.Pieces[o.Span.Piece].Over.Select(u => $"{u.Line.Name}*{u.Times}"))}"))}"
                            );
                    }
                }
            },
            iter: 300
        );

    [Fact]
    public void Alone_a_job_takes_the_sum_of_its_parts_at_the_slowest_of_their_lines() =>
        AnyPiece
            .Array[1, 4]
            .Holds(
                pieces =>
                {
                    var run = NightFlow.Run([new NightWork(NightKind.Copying, "one", 1.8e9, [.. pieces])]).Single();
                    (run.Ends - run.Starts).ShouldBe(pieces.Sum(p => p.Bytes / p.Alone), pieces.Sum(p => p.Bytes / p.Alone) * 1e-6);
                },
                iter: 200
            );

    [Fact]
    public void Two_alike_on_one_disk_take_twice_as_long_and_end_together()
    {
        NightWork One(string name) => new(NightKind.Copying, name, 0, [new(3e11, [new(Lines[0])])]);
        var runs = NightFlow.Run([One("first"), One("second")]);
        runs.ShouldAllBe(r => Math.Abs(r.Ends - 2000) < 1e-3);
    }

    [Fact]
    public void What_waits_for_something_that_never_ends_never_begins()
    {
        var runs = NightFlow.Run([new NightWork(NightKind.Copying, "one", 0, [new(1e6, [new(Lines[0])])], After: 0)]);
        runs.Single().Starts.ShouldBe(double.PositiveInfinity);
    }

    private static IEnumerable<double> Moments(IReadOnlyList<NightRun> runs)
    {
        var edges = runs.SelectMany(r => r.Spans).SelectMany(s => new[] { s.From, s.To }).Distinct().Order().ToList();
        return edges.Zip(edges.Skip(1), (a, b) => (a + b) / 2);
    }

    private static double Used(IReadOnlyList<NightRun> runs, NightLine line, double at) =>
        runs.Sum(r =>
            r.Spans.Where(s => s.From < at && at < s.To)
                .Sum(s => s.Rate * r.Work.Pieces[s.Piece].Over.Where(u => u.Line == line).Sum(u => u.Times))
        );
}
