using Yuntak.Core.Base;
using Yuntak.Core.Figures;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Shapes;
using Yuntak.Core.Units;

namespace Yuntak.Core.Wants;

/// <summary>The size of a guest: what is advised with its working, and what is given after the person's overrides.</summary>
public sealed class Sizing
{
    private readonly List<(Profile Profile, Load Load)> parts;
    private readonly double[] byHour = new double[DayShape.Hours];

    private Sizing(Guest guest, ProfileBook book, IReadOnlyList<Sizing> inner)
    {
        Guest = guest;
        Inner = inner;
        parts = [.. guest.Wants.Select(w => (Profile: book.Get(w.ProfileId), w)).Select(p => (p.Profile, new Load(p.Profile, p.w.Load)))];
        foreach (var part in parts)
        {
            var idle = Sum(part.Profile.Idle, part.Load);
            var busy = Math.Max(idle, Sum(part.Profile.Busy, part.Load));
            IdleCores += new Cores(idle);
            BusyCores += new Cores(busy);
            for (var hour = 0; hour < DayShape.Hours; hour++)
            {
                byHour[hour] += idle + ((busy - idle) * part.Profile.Shape.At(hour));
            }
        }

        foreach (var stack in inner)
        {
            IdleCores += stack.IdleCores;
            BusyCores += stack.BusyCores;
            for (var hour = 0; hour < DayShape.Hours; hour++)
            {
                byHour[hour] += stack.CoresAt(hour);
            }
        }

        var used = parts.Sum(p => Math.Max(Sum(p.Profile.Memory, p.Load), p.Profile.MemoryFloorGiB / SizingRules.MemoryMargin));
        ExpectedMemory = ByteSize.FromGiB(used) + EngineMemory + inner.Aggregate(ByteSize.Zero, (sum, s) => sum + s.InsideMemory);
        AdvisedVcpu = VcpuFigure();
        AdvisedMemory = MemoryFigure();
        AdvisedSystemDisk = DiskFigure("system disk", p => p.SystemDisk, ByteSize.FromGiB, ByteSize.FromGiB(1), s => s.SystemDisk);
        AdvisedBulk = DiskFigure(
            "bulk data",
            p => p.Bulk,
            b => ByteSize.Rounded(Math.Ceiling(Math.Round(b * 1e9, 3))),
            new ByteSize(1),
            s => s.Bulk
        );
        Overhead = PackagingOverhead.Of(guest, Memory, parts.Count);
        EncodeMegapixels = SumFigure(
            "pixels to encode",
            p => p.Encode,
            v => v,
            "what the load adds, in Mpx/s",
            s => s.EncodeMegapixels.Value
        );
        Bandwidth = SumFigure(
            "over the network",
            p => p.Bandwidth,
            DataRate.FromMbps,
            "Σ bitrates",
            s => s.Bandwidth.Value.BitsPerSecond / 1e6
        );
        AcceleratorShare = SumFigure(
            "of an AI accelerator",
            p => p.Accelerator,
            v => v,
            "cameras × frames a second × looks × time of a look",
            s => s.AcceleratorShare.Value
        );
        ClientMemory = SumFigure("memory of a machine started from it", p => p.ClientMemory, ByteSize.FromGiB, "image + 1 GiB", _ => 0);
        Fetch = SumFigure("fetched at each start", p => p.Fetch, b => ByteSize.Rounded(b * 1e9), "the image", _ => 0);
        GraphicsMemory = SumFigure(
            "memory of a graphics card",
            p => p.GraphicsMemory,
            ByteSize.FromGiB,
            "parameters × bits ÷ 8 × 1.2",
            s => s.GraphicsMemory.Value.GiB
        );
        Scratch = DiskFigure("scratch space", p => p.Scratch, b => ByteSize.Rounded(b * 1e9), new ByteSize(1), s => s.Scratch.Value);
    }

    /// <summary>The guest that was sized.</summary>
    public Guest Guest { get; }

    /// <summary>The app stacks whose engine runs inside it; what they need is counted in its own figures.</summary>
    public IReadOnlyList<Sizing> Inner { get; }

    /// <summary>Cores kept busy at rest.</summary>
    public Cores IdleCores { get; }

    /// <summary>Cores kept busy at the busiest hour.</summary>
    public Cores BusyCores { get; }

    /// <summary>Memory the services themselves are expected to use, before any margin.</summary>
    public ByteSize ExpectedMemory { get; }

    /// <summary>Virtual processors advised.</summary>
    public Figure<int> AdvisedVcpu { get; }

    /// <summary>Memory advised.</summary>
    public Figure<ByteSize> AdvisedMemory { get; }

    /// <summary>System disk advised.</summary>
    public Figure<ByteSize> AdvisedSystemDisk { get; }

    /// <summary>Bulk data advised.</summary>
    public Figure<ByteSize> AdvisedBulk { get; }

    /// <summary>What the host spends beside the memory given.</summary>
    public Figure<ByteSize> Overhead { get; }

    /// <summary>Pixels to encode, in Mpx/s: what a hardware encoder's capacity is held against.</summary>
    public Figure<double> EncodeMegapixels { get; }

    /// <summary>What goes over the network at the busiest moment.</summary>
    public Figure<DataRate> Bandwidth { get; }

    /// <summary>How busy an AI accelerator is kept; past 0.7 it falls behind now and then.</summary>
    public Figure<double> AcceleratorShare { get; }

    /// <summary>Room that is only needed while it works, best on flash.</summary>
    public Figure<ByteSize> Scratch { get; }

    /// <summary>Memory a machine needs that starts over the network from it.</summary>
    public Figure<ByteSize> ClientMemory { get; }

    /// <summary>What such a machine fetches at each start.</summary>
    public Figure<ByteSize> Fetch { get; }

    /// <summary>Memory of a graphics card that would hold it, in place of main memory.</summary>
    public Figure<ByteSize> GraphicsMemory { get; }

    /// <summary>Pixels that are left to a video encoder, in Mpx/s: those of services that do not convert with the processor.</summary>
    public double LeftToEncoder =>
        parts
            .Where(p => p.Profile.Loads.Any(l => l.Id == ProfileBook.SoftwareEncoding) && p.Load[ProfileBook.SoftwareEncoding] <= 0)
            .Sum(p => Sum(p.Profile.Encode, p.Load)) + Inner.Sum(s => s.LeftToEncoder);

    /// <summary>How long its first start may take, in minutes: that of the slowest of its services.</summary>
    public int FirstStartMinutes => parts.Max(p => p.Profile.FirstStartMinutes);

    /// <summary>Virtual processors given.</summary>
    public int Vcpu => Guest.Overrides.Vcpu ?? AdvisedVcpu.Value;

    /// <summary>Memory given: the ceiling the guest may reach.</summary>
    public ByteSize Memory => Guest.Overrides.Memory ?? AdvisedMemory.Value;

    /// <summary>System disk given.</summary>
    public ByteSize SystemDisk => Guest.Overrides.SystemDisk ?? AdvisedSystemDisk.Value;

    /// <summary>Bulk data given.</summary>
    public ByteSize Bulk => Guest.Overrides.Bulk ?? AdvisedBulk.Value;

    /// <summary>The profile of the want that comes first: it lends the guest its family and its name on the lists.</summary>
    public Profile Leading => parts[0].Profile;

    /// <summary>All profiles the guest follows.</summary>
    public IEnumerable<Profile> Profiles => parts.Select(p => p.Profile);

    /// <summary>Whether one of its services follows the profile of that id.</summary>
    public bool Follows(string profileId) => parts.Exists(p => p.Profile.Id == profileId);

    /// <summary>The services of the guest with their loads.</summary>
    public IEnumerable<(Profile Profile, Load Load)> Parts => parts;

    /// <summary>Sizes a guest with the profiles of its lab, and with the app stacks inside it.</summary>
    public static Sizing Of(Lab lab, Guest guest) => Of(guest, lab.Book, guest.Kind == GuestKind.AppStack ? [] : lab.GuestsIn(guest.Id));

    /// <summary>Sizes a guest by itself.</summary>
    /// <exception cref="KeyNotFoundException">The book has no profile of that id.</exception>
    public static Sizing Of(Guest guest, ProfileBook book) => Of(guest, book, []);

    /// <summary>Sizes a guest with the app stacks inside it.</summary>
    internal static Sizing Of(Guest guest, ProfileBook book, IEnumerable<Guest> inner) =>
        new(guest, book, [.. inner.Select(g => Of(g, book))]);

    /// <summary>Cores kept busy at an hour of the day: idle + (busy − idle) × weight, summed over the guest's services.</summary>
    /// <param name="hour">0 to 23.</param>
    public double CoresAt(int hour) => byHour[hour];

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

    private Figure<int> VcpuFigure() =>
        Figure.Of(
            "virtual processors",
            SizingRules.Vcpu(BusyCores),
            "busy cores × 1.25, rounded up, at least 1",
            () =>
                Inputs(p => p.Busy.Count > 0 ? p.Busy : p.Idle, v => new Cores(v))
                    .Concat(Inside(s => s.BusyCores))
                    .Append(new("busy cores", BusyCores))
                    .Append(new("margin", SizingRules.ProcessorMargin, Origin.Assumed)),
            Source.CommonPractice
        );

    private Figure<ByteSize> MemoryFigure() =>
        Figure.Of(
            "memory",
            SizingRules.RoundUp(ExpectedMemory * SizingRules.MemoryMargin),
            "(base + what the load adds) × 1.15, rounded up to " + SizingRules.RoundingStep(ExpectedMemory * SizingRules.MemoryMargin),
            () =>
                Inputs(p => p.Memory, v => ByteSize.FromGiB(v))
                    .Concat(
                        parts
                            .Where(p => p.Profile.MemoryFloorGiB > 0)
                            .Select(p => new FigureInput(
                                $"at least, for a {p.Profile.Name}",
                                ByteSize.FromGiB(p.Profile.MemoryFloorGiB),
                                Origin.Assumed
                            ))
                    )
                    .Concat(EngineMemory > ByteSize.Zero ? [new("app engine", EngineMemory, Origin.Assumed)] : [])
                    .Concat(Inside(s => s.InsideMemory))
                    .Append(new("expected use", ExpectedMemory))
                    .Append(new("margin", SizingRules.MemoryMargin, Origin.Assumed)),
            Source.CommonPractice
        );

    private Figure<ByteSize> DiskFigure(
        string label,
        Func<Profile, ValueList<Term>> terms,
        Func<double, ByteSize> size,
        ByteSize whole,
        Func<Sizing, ByteSize> ofInner
    ) =>
        Figure.Of(
            label,
            Inner.Aggregate(size(parts.Sum(p => Sum(terms(p.Profile), p.Load))).RoundUpTo(whole), (sum, s) => sum + ofInner(s)),
            whole.Bytes > 1 ? "base + what the load adds, rounded up to 1 GiB" : "what the load adds",
            () => Inputs(terms, v => size(v)).Concat(Inside(s => ofInner(s)).Where(i => i.Value is not ByteSize { Bytes: 0 })),
            Source.CommonPractice
        );

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
                Inputs(terms, v => unit(v))
                    .Concat(Inner.Where(s => ofInner(s) > 0).Select(s => new FigureInput(s.Guest.Name, unit(ofInner(s))))),
            Source.CommonPractice
        );

    private IEnumerable<FigureInput> Inside(Func<Sizing, object> value) =>
        Inner.Select(s => new FigureInput($"{s.Guest.Name}, inside it", value(s)));

    private IEnumerable<FigureInput> Inputs(Func<Profile, ValueList<Term>> terms, Func<double, object> unit)
    {
        foreach (var (profile, load) in parts)
        {
            foreach (var term in terms(profile).Where(t => t.CountsFor(Guest.Kind)))
            {
                var origin = term.Trade ? Origin.Assumed : Origin.Published;
                if (term.Per.Count == 0)
                {
                    yield return new FigureInput(term.Label, unit(term.Amount), origin);
                    continue;
                }

                var loads = term.Per.Select(id => profile.Loads.First(l => l.Id == id)).ToList();
                var said = loads.All(l => load.WasSaid(l.Id)) ? Origin.Entered : Origin.Assumed;
                var times = string.Join(
                    " × ",
                    loads.Select(l => $"{Numbers.Short(load[l.Id])} {(l.Unit.Length > 0 ? l.Unit : l.Label.ToLowerInvariant())}")
                );
                yield return new FigureInput($"{term.Label} × {times}", unit(term.Under(load)), said == Origin.Entered ? origin : said);
            }
        }
    }
}
