namespace Yuntak.Core.Rehearsals;

/// <summary>Every fault a rehearsal can switch on, in one explicit list.</summary>
public static class FaultBook
{
    internal static readonly IReadOnlyList<Fault> Kinds =
    [
        new MediumLeftIn(),
        new WrongDisk(),
        new DiskFull(),
        new DeviceBusy(),
        new MirrorSlow(),
        new AddressTaken(),
        new ShareAway(),
        new PowerCut(),
        new OnlySuspended(),
        new WrongFamily(),
        new SetupTimeout(),
        new SmallBackup(),
        new SecondTick(),
        new StepSkipped(),
    ];

    /// <summary>The faults, each with its name and what happens.</summary>
    public static IReadOnlyList<FaultInfo> All => [.. Kinds.Select(f => f.Info)];

    /// <summary>The fault of that name, if there is one.</summary>
    internal static Fault? Find(string name) => Kinds.FirstOrDefault(f => f.Info.Name == name);
}
