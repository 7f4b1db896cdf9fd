using Yuntak.Core.Keeping;
using Yuntak.Core.Labs;

namespace Yuntak.Core.Runbooks;

/// <summary>A job comes, or copies something else or at another time than before.</summary>
/// <param name="Name">The job's name.</param>
internal sealed record JobWork(string Name) : Work
{
    /// <inheritdoc/>
    public override string Key => $"job/{Uri.EscapeDataString(Name)}";

    /// <summary>The jobs that are planned into a store that will stand, and differ in what asks for work.</summary>
    public static IEnumerable<Work> Find(Plan plan) =>
        plan
            .Draft.Jobs.Where(j =>
                KeptThings.IsThere(plan.Draft, j)
                && (
                    plan.AsBuilt.Jobs.FirstOrDefault(b => b.Name == j.Name) is not { } built
                    || KeptThings.Essence(plan.AsBuilt, built) != KeptThings.Essence(plan.Draft, j)
                )
            )
            .Select(j => new JobWork(j.Name));

    /// <inheritdoc/>
    public override string Title(Plan plan) => $"The job {Name}";

    /// <inheritdoc/>
    public override Phase Phase(Plan plan) => Runbooks.Phase.Copies;

    /// <inheritdoc/>
    public override IReadOnlyList<Act> Acts(Plan plan)
    {
        var job = KeptThings.Essence(plan.Draft, Of(plan));
        var before = plan.AsBuilt.Jobs.FirstOrDefault(j => j.Name == Name);
        var store = plan.Draft.Stores.First(s => s.Name == job.Store);
        var at = KeptPlaces.Of(plan, store);
        var had = before is null || before.Store != job.Store ? [] : KeptThings.Essence(plan.AsBuilt, before).Takes;
        var fresh = job.Takes.SelectMany(p => Fresh(p, had.FirstOrDefault(h => h.Key == p.Key))).ToList();
        var sums = HouseKeeping.Of(plan.Sums).Jobs.First(j => j.Job.Name == Name);
        var amount = sums.BytesOf([.. fresh]);
        var sources = Sources(plan, job.Store);
        // A job is set up where what it copies runs; of one that copies several hosts the step names the others.
        var here = sums.Sources(plan.Draft) is [var first, ..] ? first.Id : at;
        return
        [
            .. sources
                .Where(h => h.Id != at && !IsConnected(plan, job.Store, h.Id) && FirstInto(plan, job.Store) == Name)
                .Select(h => new ConnectStore(job.Store, h.Id)),
            new SetUpJob(job, here, before is not null),
            .. fresh.Count > 0 && amount > Units.ByteSize.Zero
                ?
                [
                    new RunFirstCopy(Name, [.. fresh], here),
                    // Only what the store is to verify is verified.
                    .. store.IsChecked ? [new ReadBack(Name, amount, store.Name, at)] : Array.Empty<Act>(),
                ]
                : Array.Empty<Act>(),
        ];
    }

    /// <summary>The hosts that copy into a store, by all of its jobs.</summary>
    private static IReadOnlyList<Host> Sources(Plan plan, string store)
    {
        var house = HouseKeeping.Of(plan.Sums);
        return house.Store(store)?.ConnectedTo(house) ?? [];
    }

    /// <summary>Whether a job of that host into that store stands already: then the host knows it.</summary>
    private static bool IsConnected(Plan plan, string store, HostId host)
    {
        var house = HouseKeeping.Of(plan.Standing);
        return house.Store(store)?.ConnectedTo(house).Any(h => h.Id == host) == true;
    }

    /// <summary>Of several jobs that come into a store the first connects its hosts.</summary>
    private static string FirstInto(Plan plan, string store) =>
        plan
            .Draft.Jobs.Where(j =>
                j.Store == store
                && KeptThings.IsThere(plan.Draft, j)
                && plan.AsBuilt.Jobs.FirstOrDefault(b => b.Name == j.Name)?.Store != store
            )
            .Select(j => j.Name)
            .FirstOrDefault("");

    /// <summary>What of a part was not taken before: all of it, or the volumes that were not ticked.</summary>
    private static IEnumerable<string> Fresh(JobPart part, JobPart? before) =>
        before is null ? [part.Key] : before.Without.Except(part.Without).Select(v => CopySegment.KeyOf(part, v));

    /// <inheritdoc/>
    public override IEnumerable<Condition> Needs(Plan plan) =>
        KeptPlaces
            .Needs(plan, plan.Draft.Stores.First(s => s.Name == Of(plan).Store))
            .Append(Condition.StoreThere(Of(plan).Store))
            .Concat(
                KeptThings
                    .Essence(plan.Draft, Of(plan))
                    .Takes.SelectMany(p =>
                        p.Guest is { } guest ? [Condition.Ready(guest), Condition.Changed(guest)]
                        : p.Host is { } host ? [Condition.Stands(host)]
                        : Array.Empty<Condition>()
                    )
            );

    /// <inheritdoc/>
    public override IEnumerable<Condition> Gives(Plan plan) => [Condition.Copied(Name)];

    /// <inheritdoc/>
    public override Lab Adopt(Lab stands, Plan plan) => stands with { Jobs = stands.Jobs.Put(Standing(plan), j => j.Name == Name) };

    /// <summary>As it stands then: without what it takes of guests that are on no host.</summary>
    private CopyJob Standing(Plan plan) => Of(plan) with { Takes = Of(plan).Takes.Without(p => !KeptThings.IsThere(plan.Draft, p)) };

    private CopyJob Of(Plan plan) => plan.Draft.Jobs.First(j => j.Name == Name);
}
