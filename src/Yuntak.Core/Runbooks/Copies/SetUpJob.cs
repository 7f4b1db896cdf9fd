using System.Text.Json.Nodes;
using Yuntak.Core.Labs;
using Yuntak.Core.Schedules;
using Yuntak.Core.Simulation;
using Yuntak.Core.Units;

namespace Yuntak.Core.Runbooks;

/// <summary>Sets a job up, or changes it.</summary>
/// <param name="Job">The job as it is to be, with what is there to be taken.</param>
/// <param name="Place">The host it is done at; null for none of the lab.</param>
/// <param name="Changes">Whether it stands already.</param>
internal sealed record SetUpJob(CopyJob Job, HostId? Place, bool Changes) : KeepingAct(Place)
{
    /// <inheritdoc/>
    public override string Type => "set-up-job";

    /// <inheritdoc/>
    public override IEnumerable<KeyValuePair<string, JsonNode?>> Values => [Value("job", Job.Name), .. Fields(JobShapes.Job.Write(Job))];

    internal override Duration Takes(Plan plan) => new(Changes ? 5 : 15);

    private const int MostLines = 60;

    internal override ActText Text(Plan plan) =>
        new(
            $"{(Changes ? "Change" : "Set up")} the job {Job.Name}",
            [
                .. House(plan).Jobs.FirstOrDefault(j => j.Job.Name == Job.Name) is { } sums
                    ? sums.Segments.Take(MostLines).Select(s => new StepValue("takes", $"{s.Name}, {s.Size.ToDecimalString()}"))
                    : [],
                .. Job
                    .Takes.Where(p => p.Without.Count > 0 && p.Guest is not null)
                    .Take(MostLines)
                    .Select(p => new StepValue(
                        "does not take",
                        $"{string.Join(" and ", p.Without.Select(CopyWords.Volumes.Display))} of {plan.NameOf(p.Guest!.Value)}{Why(plan, p)}"
                    )),
                .. Job
                    .Takes.Where(p => p.Kind is PartKind.Agent or PartKind.Archive)
                    .Take(MostLines)
                    .Select(p => new StepValue(
                        p.Kind == PartKind.Agent ? "by an agent" : "archive",
                        $"{(p.Guest is { } guest ? plan.NameOf(guest) : plan.NameOf(p.Host))}: {p.Path ?? "as the service writes it"}{(p.Kind == PartKind.Agent ? ", into this store with the account that may add; its key from the password store" : "")}"
                    )),
                .. Hosts(plan) is [_, _, ..] hosts ? [new StepValue("at each of", string.Join(", ", hosts))] : Array.Empty<StepValue>(),
                new("into", Job.Store),
                new("begins", CopyTimes.Parse(Job.Times).Words()),
                new("guests meanwhile", CopyWords.Modes.Display(Job.Mode)),
                new(
                    "keeps",
                    $"{Job.Keep ?? "everything"}{(Job.Keep is null ? "" : $", counts {ScheduleWords.Schools.Display(Job.School)}")}"
                ),
                .. Job.Limit is { } limit ? [new StepValue("at most", DataRate.FromMbps(limit).ToString())] : Array.Empty<StepValue>(),
                new(
                    "told",
                    $"{CopyWords.Told.Display(Job.Told)}{(Job.SilentDays is { } days ? $", and when nothing is heard for {days} days" : "")}"
                ),
            ],
            "Every volume named is ticked, and no other; the next beginning it shows is the one named.",
            "A volume cannot be ticked? It is left out of copies where the guest is defined: tick it there.",
            Changes ? "Set it as it was." : "Delete the job; copies stay."
        );

    /// <summary>The hosts whose guests it copies.</summary>
    private List<string> Hosts(Plan plan) =>
        [.. House(plan).Jobs.FirstOrDefault(j => j.Job.Name == Job.Name)?.Sources(plan.Draft).Select(h => h.Name) ?? []];

    /// <summary>Why something is left out, as somebody said in the draft.</summary>
    private string Why(Plan plan, JobPart part) =>
        plan.Draft.Jobs.FirstOrDefault(j => j.Name == Job.Name)?.Takes.FirstOrDefault(p => p.Key == part.Key) is { Why.Length: > 0 } said
            ? $": {said.Why}"
            : "";

    internal override void Do(SimHouse house, Plan plan) =>
        house.Kept = house.Kept.SetItem($"job {Job.Name}", JobShapes.Job.Write(Job).ToJsonString());

    internal override IEnumerable<Proof> Proofs(Plan plan) =>
        [new Proof("", h => h.Kept.GetValueOrDefault($"job {Job.Name}") == JobShapes.Job.Write(Job).ToJsonString())];
}
