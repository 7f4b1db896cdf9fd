using Yuntak.Core.Figures;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Shapes;
using Yuntak.Core.Units;
using Yuntak.Core.Wants;

namespace Yuntak.Core.Bench;

/// <summary>A host's processors through the day: cores wanted at each hour against effective cores.</summary>
public sealed class ProcessorBudget
{
    /// <summary>The share of the effective cores past which the peak hour is tight; common practice.</summary>
    public static readonly Share TightShare = new(0.8);

    /// <summary>The share past which work queues up so far that services fail; common practice.</summary>
    public static readonly Share OverShare = new(1.2);

    /// <summary>Virtual processors for each hardware thread past which it hurts; common practice.</summary>
    public static readonly Share TightVcpuPerThread = new(4);

    private readonly double[] wanted = new double[DayShape.Hours];

    internal ProcessorBudget(Host host, LabSettings settings, IReadOnlyList<Sizing> guests)
    {
        Guests = guests;
        Effective = EffectiveCores(host.Processor, settings);
        foreach (var guest in guests)
        {
            for (var hour = 0; hour < DayShape.Hours; hour++)
            {
                wanted[hour] += guest.CoresAt(hour);
            }

            Vcpu += guest.Vcpu;
        }

        for (var hour = 1; hour < DayShape.Hours; hour++)
        {
            PeakHour = wanted[hour] > wanted[PeakHour] + 1e-9 ? hour : PeakHour;
        }

        VcpuPerThread = new(host.Processor.Threads > 0 ? Vcpu / (double)host.Processor.Threads : 0);
        Peak = Figure.Of(
            $"cores wanted on {host.Name} at {Numbers.Hour(PeakHour)}",
            new Cores(wanted[PeakHour]),
            "Σ idle + (busy − idle) × weight of the hour, each guest at most its virtual processors" + SpeedWords(host),
            () =>
                guests.Select(g => new FigureInput(
                    g.Guest.Name,
                    new Cores(g.CoresAt(PeakHour)),
                    Origin.Assumed,
                    $"idle {g.IdleCores}, busy {g.BusyCores}{(g.CoresAt(PeakHour) >= g.Vcpu ? $", at most its {Numbers.Count(g.Vcpu, "processor")}" : "")}; the shape of the day is assumed"
                )),
            Source.CommonPractice
        );
    }

    private static string SpeedWords(Host host) =>
        host.Speed is 1.0
            ? ""
            : $"; its cores do {Numbers.Short(host.Speed)} of the reference core's work, {(host.CoreSpeed is null ? "assumed of its kind" : "as measured or said")}";

    /// <summary>The guests counted, in the lab's order.</summary>
    public IReadOnlyList<Sizing> Guests { get; }

    /// <summary>What the cores and their second threads are worth together.</summary>
    public Figure<Cores> Effective { get; }

    /// <summary>The hour with the most cores wanted, 0 to 23; the earliest of several.</summary>
    public int PeakHour { get; }

    /// <summary>Cores wanted in the peak hour.</summary>
    public Figure<Cores> Peak { get; }

    /// <summary>Virtual processors given to all guests.</summary>
    public int Vcpu { get; }

    /// <summary>Virtual processors for each hardware thread.</summary>
    public Share VcpuPerThread { get; }

    /// <summary>The share of the effective cores wanted in the peak hour.</summary>
    public Share Share => new(Effective.Value.Value > 0 ? Peak.Value.Value / Effective.Value.Value : 0);

    /// <summary>The verdict.</summary>
    public Fit Fit =>
        Share > OverShare ? Fit.Over
        : Share > TightShare || VcpuPerThread > TightVcpuPerThread ? Fit.Tight
        : Fit.Fits;

    /// <summary>Cores wanted at an hour, 0 to 23.</summary>
    public double At(int hour) => wanted[hour];

    /// <summary>cores × (1 + y × (threads per core − 1)), where y is what a second thread adds; written so that unequal cores work too.</summary>
    public static Figure<Cores> EffectiveCores(Processor processor, LabSettings settings) =>
        Figure.Of(
            "effective cores",
            new Cores(processor.Cores + (settings.SecondThreadGain * Math.Max(0, processor.Threads - processor.Cores))),
            "cores + y × (threads − cores)",
            () =>
                [
                    new("cores", processor.Cores, Origin.Read),
                    new("threads", processor.Threads, Origin.Read),
                    new(
                        "y, what a second thread adds",
                        settings.SecondThreadGain,
                        Origin.Assumed,
                        "a setting; published gains lie around 0.15 to 0.30"
                    ),
                ],
            Source.FromMemory
        );
}
