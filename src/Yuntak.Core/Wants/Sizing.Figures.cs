using Yuntak.Core.Base;
using Yuntak.Core.Figures;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Shapes;
using Yuntak.Core.Units;

namespace Yuntak.Core.Wants;

/// <summary>How the figures of a size are worked out, line by line: the lines of each add up to it.</summary>
public sealed partial class Sizing
{
    private bool IsMachine => Guest.Kind == GuestKind.Machine;

    private ByteSize SystemMemory => IsMachine ? SizingRules.MachineSystemMemory : ByteSize.Zero;

    private int LeastProcessors => (int)Math.Ceiling(parts.Max(p => Largest(p.Profile.LeastProcessors, p.Load)));

    /// <summary>Nothing runs on more threads than its host has.</summary>
    private int? Threads => host?.Processor.Threads;

    private double LeastGiB((Profile Profile, Load Load) part) =>
        Math.Max(part.Profile.MemoryFloorGiB, Largest(part.Profile.LeastMemory, part.Load));

    private double Largest(ValueList<Term> terms, Load load) =>
        terms.Where(t => t.CountsFor(Guest.Kind)).Select(t => t.Under(load)).DefaultIfEmpty(0).Max();

    private ByteSize EngineMemory => Inner.Count > 0 || Follows(ProfileBook.AppEngine) ? SizingRules.AppEngineMemory : ByteSize.Zero;

    /// <summary>What it takes of the memory of the guest it runs in.</summary>
    private ByteSize InsideMemory => ByteSize.Min(ExpectedMemory, Memory) + Overhead.Value;

    private double Sum(ValueList<Term> terms, Load load)
    {
        var sum = 0.0;
        foreach (var term in terms)
        {
            if (term.CountsFor(Guest.Kind))
            {
                sum += term.Under(load);
            }
        }

        return sum;
    }

    /// <summary>What a core of the host counts for, in words; empty for a host like the reference.</summary>
    private string SpeedWords =>
        Speed is 1.0
            ? ""
            : $"; a core of {host!.Name} does {Numbers.Short(Speed)} of the reference core's work, {(host.CoreSpeed is null ? "assumed of its kind" : "as measured or said")}";

    private Figure<int> VcpuFigure()
    {
        var wanted = Math.Max(SizingRules.Vcpu(BusyCores), LeastProcessors);
        var least = Math.Max(1, LeastProcessors);
        var shortBy =
            wanted > Threads ? $"; {host!.Name} has only {Numbers.Count(Threads!.Value, "thread")}, {wanted} would be better" : "";
        return Figure.Of(
            "virtual processors",
            Math.Max(1, Math.Min(wanted, Threads ?? wanted)),
            $"busy cores × 1.25, rounded up, at least {least}{SpeedWords}{shortBy}",
            () =>
                Inputs((p, load) => Sum(p.Busy, load) >= Sum(p.Idle, load) ? p.Busy : p.Idle, v => new Cores(v / Speed))
                    .Concat(Inside(s => s.BusyCores))
                    .Append(new("margin", SizingRules.ProcessorMargin, Origin.Assumed)),
            Source.CommonPractice
        );
    }

    private Figure<ByteSize> MemoryFigure() =>
        Figure.Of(
            "memory",
            SizingRules.RoundUp(ExpectedMemory * SizingRules.MemoryMargin),
            "(base + what the load adds) × 1.15, rounded up to " + SizingRules.RoundingStep(ExpectedMemory * SizingRules.MemoryMargin),
            () =>
                parts
                    .SelectMany(MemoryInputs)
                    .Concat(IsMachine ? [new("the machine's own system", SystemMemory, Origin.Assumed)] : [])
                    .Concat(EngineMemory > ByteSize.Zero ? [new("app engine", EngineMemory, Origin.Assumed)] : [])
                    .Concat(Inside(s => s.InsideMemory))
                    .Append(new("margin", SizingRules.MemoryMargin, Origin.Assumed)),
            Source.CommonPractice
        );

    /// <summary>The lines of one service: its terms, or what it needs at least where they come to less.</summary>
    private IEnumerable<FigureInput> MemoryInputs((Profile Profile, Load Load) part)
    {
        var least = LeastGiB(part);
        return Sum(part.Profile.Memory, part.Load) >= least / SizingRules.MemoryMargin
            ? Inputs(part.Profile.Memory, part, v => ByteSize.FromGiB(v))
            :
            [
                new FigureInput(
                    $"{part.Profile.Name}: at least {ByteSize.FromGiB(least)} with the margin",
                    ByteSize.FromGiB(least / SizingRules.MemoryMargin),
                    Origin.Assumed
                ),
            ];
    }

    /// <summary>A size on disk. Whole gibibytes are said in binary, what is filled with data in decimal as it is bought.</summary>
    private Figure<ByteSize> DiskFigure(
        string label,
        Func<Profile, ValueList<Term>> terms,
        Func<double, ByteSize> size,
        ByteSize whole,
        Func<Sizing, ByteSize> ofInner,
        ByteSize system = default
    )
    {
        string Said(ByteSize value) => whole.Bytes > 1 ? value.ToString() : value.ToDecimalString();
        return Figure.Of(
            label,
            Inner.Aggregate(size(parts.Sum(p => Sum(terms(p.Profile), p.Load))).RoundUpTo(whole) + system, (sum, s) => sum + ofInner(s)),
            whole.Bytes > 1 ? "base + what the load adds, rounded up to 1 GiB" : "what the load adds",
            () =>
                Inputs((p, _) => terms(p), v => Said(size(v)))
                    .Concat(system > ByteSize.Zero ? [new("the machine's own system", Said(system), Origin.Assumed)] : [])
                    .Concat(
                        Inner
                            .Where(s => ofInner(s) > ByteSize.Zero)
                            .Select(s => new FigureInput($"{s.Guest.Name}, inside it", Said(ofInner(s))))
                    ),
            Source.CommonPractice,
            Said
        );
    }

    private Figure<T> SumFigure<T>(
        string label,
        Func<Profile, ValueList<Term>> terms,
        Func<double, T> unit,
        string formula,
        Func<Sizing, double> ofInner
    )
        where T : notnull =>
        Figure.Of(
            label,
            unit(parts.Sum(p => Sum(terms(p.Profile), p.Load)) + Inner.Sum(ofInner)),
            formula,
            () =>
                Inputs((p, _) => terms(p), v => unit(v))
                    .Concat(Inner.Where(s => ofInner(s) > 0).Select(s => new FigureInput(s.Guest.Name, unit(ofInner(s))))),
            Source.CommonPractice
        );

    private IEnumerable<FigureInput> Inside(Func<Sizing, object> value) =>
        Inner.Select(s => new FigureInput($"{s.Guest.Name}, inside it", value(s)));

    private IEnumerable<FigureInput> Inputs(Func<Profile, Load, ValueList<Term>> terms, Func<double, object> unit) =>
        parts.SelectMany(p => Inputs(terms(p.Profile, p.Load), p, unit));

    /// <summary>A line for each term that counts; what a load of nothing adds is left out.</summary>
    private IEnumerable<FigureInput> Inputs(ValueList<Term> terms, (Profile Profile, Load Load) part, Func<double, object> unit)
    {
        var (profile, load) = part;
        foreach (var term in terms.Where(t => t.CountsFor(Guest.Kind) && t.Under(load) > 0))
        {
            var origin = term.Trade ? Origin.Assumed : Origin.Published;
            if (term.Per.Count == 0)
            {
                yield return new FigureInput(term.Label, unit(term.Under(load)), origin);
                continue;
            }

            var loads = term.Per.Select(id => profile.Loads.First(l => l.Id == id)).ToList();
            var said = loads.All(l => load.WasSaid(l.Id)) ? Origin.Entered : Origin.Assumed;
            var times = loads
                .Where(l => !l.YesNo)
                .Select(
                    (l, n) =>
                        $" × {Numbers.Short(load[l.Id])}"
                        + (n == 0 && term.Past > 0 ? $" past {Numbers.Short(term.Past)}" : "")
                        + (l.Unit.Length > 0 ? $" {l.Unit}" : $" ({l.Label.ToLowerInvariant()})")
                );
            yield return new FigureInput(term.Label + string.Concat(times), unit(term.Under(load)), said == Origin.Entered ? origin : said);
        }
    }
}
