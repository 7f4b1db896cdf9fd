namespace Yuntak.Core.Runbooks;

/// <summary>Every kind of work, in one explicit list. A new kind is a file of its own and a line here; the compiler asks for the rest.</summary>
internal static class WorkBook
{
    private static readonly IReadOnlyList<Func<Plan, IEnumerable<Work>>> Kinds =
    [
        AddHost.Find,
        FitHost.Find,
        BridgeWork.Find,
        RemoveHost.Find,
        MakeNewPool.Find,
        ChangePool.Find,
        RemovePool.Find,
        RetireOldGuest.Find,
        MoveOldGuest.Find,
        ChangeGuest.Find,
        ReserveWork.Find,
        ShareWork.Find,
        BuildGuest.Find,
        WaysWork.Find,
        UnshareWork.Find,
        CopiesEndWork.Find,
        StoreWork.Find,
        JobWork.Find,
        OnwardWork.Find,
        DrillWork.Find,
    ];

    /// <summary>Everything there is to do.</summary>
    public static IReadOnlyList<Work> Between(Plan plan) => [.. Kinds.SelectMany(find => find(plan))];
}
