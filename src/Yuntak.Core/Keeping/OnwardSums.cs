using Yuntak.Core.Labs;
using Yuntak.Core.Schedules;
using Yuntak.Core.Units;

namespace Yuntak.Core.Keeping;

/// <summary>An onward copy: how much goes from store to store, and how long that takes.</summary>
public sealed class OnwardSums
{
    private readonly IReadOnlyList<Arrival> arrivals;

    /// <param name="onward">The onward copy.</param>
    /// <param name="from">The near store.</param>
    /// <param name="to">The far store.</param>
    /// <param name="arrivals">What comes into the near store, by jobs and onward.</param>
    internal OnwardSums(OnwardCopy onward, StoreSums? from, StoreSums? to, IReadOnlyList<Arrival> arrivals)
    {
        Onward = onward;
        From = from;
        To = to;
        this.arrivals = arrivals;
        Times = CopyTimes.Parse(onward.Times);
        Over = Lines.Join(from?.End(to?.HostId, into: false) ?? [], to?.End(from?.HostId, into: true) ?? []);
        Most = Math.Min(
            Math.Min(from?.MostOut ?? double.PositiveInfinity, to?.MostIn ?? double.PositiveInfinity),
            onward.Limit is { } limit ? DataRate.FromMbps(limit).BytesPerSecond : double.PositiveInfinity
        );
    }

    /// <summary>The onward copy.</summary>
    public OnwardCopy Onward { get; }

    /// <summary>The near store.</summary>
    public StoreSums? From { get; }

    /// <summary>The far store.</summary>
    public StoreSums? To { get; }

    /// <summary>When it begins.</summary>
    public CopyTimes Times { get; }

    /// <summary>The lines it goes over.</summary>
    internal Base.ValueList<NightUse> Over { get; }

    /// <summary>The most it takes, in bytes a second.</summary>
    internal double Most { get; }

    /// <summary>What the first copy is: one whole copy of all that is in the near store.</summary>
    public ByteSize First => arrivals.Aggregate(ByteSize.Zero, (sum, a) => sum + a.Job.First) * (1 / (From?.Reduction ?? 1));

    /// <summary>What each further copy is: what came into the near store since, or the newest whole copy where nothing is kept once.</summary>
    public ByteSize Each => arrivals.Aggregate(ByteSize.Zero, (sum, a) => sum + a.Between(Times)) * (1 / (From?.Reduction ?? 1));

    /// <summary>How long the first copy takes over the line, when nothing else runs.</summary>
    public Duration FirstOverLine => Alone(First);

    /// <summary>How long each further copy takes, when nothing else runs.</summary>
    public Duration EachTime => Alone(Each);

    /// <summary>How long the first copy takes on a disk that is carried there: onto the disk, the way, and off it.</summary>
    public Duration FirstCarried =>
        Duration.Of(First, OntoDisk) + Duration.FromHours(KeepingRules.CarryHours) + Duration.Of(First, OffDisk);

    private double OntoDisk => Math.Min(KeepingRules.CarriedRate, From?.MostOut ?? double.PositiveInfinity);

    private double OffDisk => Math.Min(KeepingRules.CarriedRate, To?.MostIn ?? double.PositiveInfinity);

    /// <summary>From how much on carrying is quicker than the line; null where the line is always quicker.</summary>
    public ByteSize? BreakEven
    {
        get
        {
            var line = new NightPiece(1, Over, Most).Alone;
            var gained = (1 / line) - (1 / OntoDisk) - (1 / OffDisk);
            return gained > 0 ? ByteSize.Rounded(KeepingRules.CarryHours * 3600 / gained) : null;
        }
    }

    /// <summary>How long the first copy takes as it is planned.</summary>
    public Duration FirstTime => Onward.First == FirstCopyWay.Carried ? FirstCarried : FirstOverLine;

    private Duration Alone(ByteSize amount) =>
        amount <= ByteSize.Zero || Over.Count == 0 ? new(0) : Duration.Of(amount, new NightPiece(1, Over, Most).Alone);
}
