using Yuntak.Core.Findings;

namespace Yuntak.Core.Keeping.Rules;

/// <summary>The rules about copies, in the order of the book.</summary>
internal static class KeepingRuleList
{
    /// <summary>The rules.</summary>
    public static readonly IReadOnlyList<IRule> All =
    [
        new NothingCopied(),
        new OnlyCopy(),
        new StoreInJob(),
        new StoreBesideSource(),
        new StoreSameHost(),
        new JobPilesUp(),
        new KeyOnProtected(),
        new StoreOver(),
        new CopySmall(),
        new InNoJob(),
        new TwiceInStore(),
        new KeyUnknown(),
        new NotChecked(),
        new NoDrill(),
        new DrillOverdue(),
        new AfterWaking(),
        new InBusyHours(),
        new KeepsLess(),
        new DatabaseBySnapshot(),
        new TooManyRights(),
        new StoreFills(),
        new NobodyTold(),
        new Nowhere(),
        new CopyMissing(),
        new CopyUnchecked(),
        new TwoStores(),
        new NotThreePlaces(),
    ];
}
