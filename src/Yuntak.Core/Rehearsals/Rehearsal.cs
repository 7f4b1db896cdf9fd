using Yuntak.Core.Labs;
using Yuntak.Core.Runbooks;
using Yuntak.Core.Units;

namespace Yuntak.Core.Rehearsals;

/// <summary>A runbook taken against simulated hosts, before it is real.</summary>
public sealed class Rehearsal
{
    internal Rehearsal(
        Runbook runbook,
        IReadOnlyList<RehearsedStep> steps,
        IReadOnlyList<Absence> away,
        IReadOnlyList<(HostId Host, ByteSize Free)> leastMemory,
        IReadOnlyList<FaultTry> faults,
        IReadOnlyList<string> differences,
        IReadOnlyList<string> lost,
        RehearsedStep? noReturn,
        IReadOnlyList<Remark> remarks,
        IReadOnlyList<Lane> lanes
    )
    {
        (Runbook, Steps, Away, LeastMemory, Faults) = (runbook, steps, away, leastMemory, faults);
        (Differences, Lost, NoReturn, Remarks, Lanes) = (differences, lost, noReturn, remarks, lanes);
    }

    /// <summary>The runbook.</summary>
    public Runbook Runbook { get; }

    /// <summary>The steps that were open, in order.</summary>
    public IReadOnlyList<RehearsedStep> Steps { get; }

    /// <summary>Who is away from when to when; guests that are taken off for good are not told again once they are gone.</summary>
    public IReadOnlyList<Absence> Away { get; }

    /// <summary>The least memory that was free on each host at any moment; negative where what stands takes more than there is.</summary>
    public IReadOnlyList<(HostId Host, ByteSize Free)> LeastMemory { get; }

    /// <summary>What became of the faults that were switched on.</summary>
    public IReadOnlyList<FaultTry> Faults { get; }

    /// <summary>How what the hosts are at the end differs from the draft, a line each.</summary>
    public IReadOnlyList<string> Differences { get; }

    /// <summary>What was lost on the way; a runbook that loses anything is wrong.</summary>
    public IReadOnlyList<string> Lost { get; }

    /// <summary>The first step that cannot be taken back; null when all can.</summary>
    public RehearsedStep? NoReturn { get; }

    /// <summary>What the runbook should not have.</summary>
    public IReadOnlyList<Remark> Remarks { get; }

    /// <summary>When who runs, a lane a guest.</summary>
    public IReadOnlyList<Lane> Lanes { get; }

    /// <summary>Whether the hosts are what the draft says at the end, with no step refused and nothing lost.</summary>
    public bool ReachesDraft => Differences.Count == 0 && Lost.Count == 0 && Steps.All(s => s.Outcome == StepOutcome.Done);

    /// <summary>How long it takes, in minutes.</summary>
    public int Minutes => Steps.Count == 0 ? 0 : Steps.Max(s => s.Ends);

    /// <summary>What people call a guest.</summary>
    public string NameOf(GuestId guest) => Runbook.Plan.NameOf(guest);

    /// <summary>A guest as it is planned or, when it goes, as it stands.</summary>
    public Guest? Guest(GuestId guest) => Runbook.Plan.Guest(guest);

    /// <summary>What people call a host.</summary>
    public string NameOf(HostId host) => Runbook.Plan.NameOf(host);

    /// <summary>Takes the runbook from what stands to the draft against simulated hosts.</summary>
    /// <param name="asBuilt">What stands.</param>
    /// <param name="draft">What is planned.</param>
    /// <param name="faults">Faults to switch on, and where.</param>
    /// <param name="allFaults">Whether every fault is tried as well wherever it can strike, one at a time.</param>
    /// <exception cref="Base.Refused">There is no such fault or step, or the fault cannot strike there.</exception>
    public static Rehearsal Of(Lab asBuilt, Lab draft, IReadOnlyList<FaultAt>? faults = null, bool allFaults = false) =>
        Of(RunbookBuilder.Build(asBuilt, draft), faults, allFaults);

    /// <summary>The same for a runbook that is worked out already.</summary>
    /// <exception cref="Base.Refused">There is no such fault or step, or the fault cannot strike there.</exception>
    public static Rehearsal Of(Runbook runbook, IReadOnlyList<FaultAt>? faults = null, bool allFaults = false) =>
        new Rehearser(runbook, faults ?? [], allFaults).Run();
}
