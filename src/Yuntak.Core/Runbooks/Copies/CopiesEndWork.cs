using Yuntak.Core.Keeping;
using Yuntak.Core.Labs;

namespace Yuntak.Core.Runbooks;

/// <summary>A store, job or onward copy that stands is planned no more.</summary>
/// <param name="What">What it is called: «job nightly».</param>
internal sealed record CopiesEndWork(string What) : Work
{
    /// <inheritdoc/>
    public override string Key => $"copies-end/{Uri.EscapeDataString(What)}";

    /// <summary>Those that stand and are planned no more; what copies into a store ends before the store does.</summary>
    public static IEnumerable<Work> Find(Plan plan) =>
        plan
            .AsBuilt.Onward.Where(b => plan.Draft.Onward.All(o => o.Key != b.Key || !KeptThings.IsThere(plan.Draft, o)))
            .Select(b => $"onward {b.Key}")
            .Concat(
                plan.AsBuilt.Jobs.Where(b => plan.Draft.Jobs.All(j => j.Name != b.Name || !KeptThings.IsThere(plan.Draft, j)))
                    .Select(b => $"job {b.Name}")
            )
            .Concat(
                plan.AsBuilt.Stores.Where(b => plan.Draft.Stores.All(s => s.Name != b.Name || !KeptThings.IsThere(plan.Draft, s)))
                    .Select(b => $"store {b.Name}")
            )
            .Select(what => new CopiesEndWork(what));

    /// <inheritdoc/>
    public override string Title(Plan plan) => $"No longer: {What}";

    /// <inheritdoc/>
    public override Phase Phase(Plan plan) => Runbooks.Phase.CopiesEnd;

    /// <inheritdoc/>
    public override IReadOnlyList<Act> Acts(Plan plan) => [new StopCopying(What, null)];

    /// <inheritdoc/>
    public override IEnumerable<Condition> Needs(Plan plan) =>
        What.StartsWith("store ", StringComparison.Ordinal)
            ? Find(plan)
                .OfType<CopiesEndWork>()
                .Where(w => !w.What.StartsWith("store ", StringComparison.Ordinal))
                .Select(w => Condition.CopiesEnded(w.What))
            : [];

    /// <inheritdoc/>
    public override IEnumerable<Condition> Gives(Plan plan) => [Condition.CopiesEnded(What)];

    /// <inheritdoc/>
    public override Lab Adopt(Lab stands, Plan plan) =>
        stands with
        {
            Stores = stands.Stores.Without(s => What == $"store {s.Name}"),
            Jobs = stands.Jobs.Without(j => What == $"job {j.Name}" || What == $"store {j.Store}"),
            Onward = stands.Onward.Without(o => What == $"onward {o.Key}" || What == $"store {o.From}" || What == $"store {o.To}"),
        };
}
