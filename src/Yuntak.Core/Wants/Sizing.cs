using Yuntak.Core.Base;
using Yuntak.Core.Figures;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Shapes;
using Yuntak.Core.Units;

namespace Yuntak.Core.Wants;

/// <summary>The size of a guest: what is advised with its working, and what is given after the person's overrides.</summary>
public sealed partial class Sizing
{
    private readonly List<(Profile Profile, Load Load)> parts;
    private readonly double[] byHour = new double[DayShape.Hours];

    private readonly Host? host;

    private Sizing(Guest guest, ProfileBook book, IReadOnlyList<Sizing> inner, Host? host)
    {
        this.host = host;
        Guest = guest;
        Inner = inner;
        parts = [.. guest.Wants.Select(w => (Profile: book.Get(w.ProfileId), w)).Select(p => (p.Profile, new Load(p.Profile, p.w.Load)))];
        foreach (var part in parts)
        {
            var idle = Sum(part.Profile.Idle, part.Load) / Speed;
            var busy = Math.Max(idle, Sum(part.Profile.Busy, part.Load) / Speed);
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

        ExpectedMemory =
            ByteSize.FromGiB(parts.Sum(p => Math.Max(Sum(p.Profile.Memory, p.Load), LeastGiB(p) / SizingRules.MemoryMargin)))
            + SystemMemory
            + EngineMemory
            + inner.Aggregate(ByteSize.Zero, (sum, s) => sum + s.InsideMemory);
        AdvisedVcpu = VcpuFigure();
        for (var hour = 0; hour < DayShape.Hours; hour++)
        {
            byHour[hour] = Math.Min(byHour[hour], Vcpu);
        }

        AdvisedMemory = MemoryFigure();
        AdvisedSystemDisk = DiskFigure(
            "system disk",
            p => p.SystemDisk,
            ByteSize.FromGiB,
            ByteSize.FromGiB(1),
            s => s.SystemDisk,
            IsMachine ? SizingRules.MachineSystemDisk : default
        );
        AdvisedBulk = DiskFigure(
            "bulk data",
            p => p.Bulk,
            b => ByteSize.Rounded(Math.Ceiling(Math.Round(b * 1e9, 3))),
            new ByteSize(1),
            s => s.Bulk
        );
        Overhead = PackagingOverhead.Of(guest, Memory, parts.Count);
        EncodeMegapixels = SumFigure(
            "pixels to convert, Mpx/s",
            p => p.Encode,
            v => v,
            "Σ (half of what is decoded + what is encoded), width × height × frames a second",
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
            v => new Share(v),
            "cameras × frames a second × looks × time of a look",
            s => s.AcceleratorShare.Value.Value
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

    /// <summary>What its services cannot do without: what they are expected to use, and no less than a system of its own needs. The rest of the advice is comfort.</summary>
    public ByteSize LeastMemory => ByteSize.Max(ExpectedMemory - SystemMemory, SystemMemory);

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

    /// <summary>Pixels to convert, in Mpx/s, half of those decoded and all of those encoded: what a hardware encoder's capacity is held against.</summary>
    public Figure<double> EncodeMegapixels { get; }

    /// <summary>What goes over the network at the busiest moment.</summary>
    public Figure<DataRate> Bandwidth { get; }

    /// <summary>How busy an AI accelerator is kept; past 0.7 it falls behind now and then.</summary>
    public Figure<Share> AcceleratorShare { get; }

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

    /// <summary>The most memory it may ever take: for an app stack the ceiling against runaways unless the person set one, else what it is given.</summary>
    public ByteSize Ceiling =>
        Guest.Kind == GuestKind.AppStack ? Guest.Overrides.Memory ?? ByteSize.Max(Memory, SizingRules.Ceiling(ExpectedMemory)) : Memory;

    /// <summary>Memory given.</summary>
    public ByteSize Memory => Guest.Overrides.Memory ?? AdvisedMemory.Value;

    /// <summary>System disk given.</summary>
    public ByteSize SystemDisk => Guest.Overrides.SystemDisk ?? AdvisedSystemDisk.Value;

    /// <summary>Bulk data given.</summary>
    public ByteSize Bulk => Guest.Overrides.Bulk ?? AdvisedBulk.Value;

    /// <summary>The profile of the want that comes first: it lends the guest its family and its name on the lists.</summary>
    public Profile Leading => parts[0].Profile;

    /// <summary>Whether it is there to be broken: it gets no autostart, no backup and no restore.</summary>
    public bool IsThrowAway => parts.TrueForAll(p => p.Profile.Id == ProfileBook.TestMachine);

    /// <summary>Whether it is a ready-made machine with a system of its own that nobody logs into: a hub, a router.</summary>
    public bool IsAppliance => IsMachine && parts.TrueForAll(p => p.Profile.Id is ProfileBook.Hub or ProfileBook.Router);

    /// <summary>All profiles the guest follows.</summary>
    public IEnumerable<Profile> Profiles => parts.Select(p => p.Profile);

    /// <summary>Whether one of its services follows the profile of that id.</summary>
    public bool Follows(string profileId) => parts.Exists(p => p.Profile.Id == profileId);

    /// <summary>The services of the guest with their loads.</summary>
    public IEnumerable<(Profile Profile, Load Load)> Parts => parts;

    /// <summary>Sizes a guest with the profiles of its lab, with the app stacks inside it, and for the host it is put on.</summary>
    public static Sizing Of(Lab lab, Guest guest) =>
        Of(guest, lab.Book, guest.Kind == GuestKind.AppStack ? [] : lab.GuestsIn(guest.Id), lab.HostOf(guest));

    /// <summary>Sizes a guest by itself.</summary>
    /// <exception cref="KeyNotFoundException">The book has no profile of that id.</exception>
    public static Sizing Of(Guest guest, ProfileBook book) => Of(guest, book, [], null);

    /// <summary>Sizes a guest with the app stacks inside it, for a host if it is put on one.</summary>
    internal static Sizing Of(Guest guest, ProfileBook book, IEnumerable<Guest> inner, Host? host) =>
        new(guest, book, [.. inner.Select(g => Of(g, book, [], host))], host);

    /// <summary>How fast a core of its host is, with 1 for the reference core the profiles speak of; 1 while it is on none.</summary>
    public double Speed => host?.Speed ?? 1;

    /// <summary>Cores kept busy at an hour of the day: idle + (busy − idle) × weight, summed over the guest's services; never more than its virtual processors.</summary>
    /// <param name="hour">0 to 23.</param>
    public double CoresAt(int hour) => byHour[hour];

    /// <summary>What goes over the network at an hour of the day, in bits a second: streams × weight of the hour, summed over the guest's services.</summary>
    /// <param name="hour">0 to 23.</param>
    public double BitsPerSecondAt(int hour) =>
        parts.Sum(p => DataRate.FromMbps(Sum(p.Profile.Bandwidth, p.Load)).BitsPerSecond * p.Profile.Shape.At(hour))
        + Inner.Sum(s => s.BitsPerSecondAt(hour));

    /// <summary>What is read of its library at an hour of the day, in bits a second: what it streams, and of what it converts the source.</summary>
    /// <param name="hour">0 to 23.</param>
    public double ReadBitsPerSecondAt(int hour) =>
        parts.Sum(p => DataRate.FromMbps(p.Profile.Bandwidth.Sum(t => AsRead(t).Under(p.Load))).BitsPerSecond * p.Profile.Shape.At(hour))
        + Inner.Sum(s => s.ReadBitsPerSecondAt(hour));

    private static Term AsRead(Term sent) =>
        sent.Per.Select(Video.SourceMbps).FirstOrDefault(r => r is not null) is { } rate ? sent with { Amount = rate } : sent;
}
