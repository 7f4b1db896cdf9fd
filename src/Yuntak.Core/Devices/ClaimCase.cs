namespace Yuntak.Core.Devices;

/// <summary>What speaks for and against a claim while it is looked into.</summary>
internal sealed class ClaimCase
{
    private readonly List<string> reasons = [];
    private readonly List<string> moves = [];

    public ClaimAnswer Answer { get; private set; }

    public IReadOnlyList<string> Reasons => reasons;

    public IReadOnlyList<string> AlsoMoves => moves;

    /// <summary>It cannot be.</summary>
    public void No(string reason) => Add(ClaimAnswer.Impossible, reason);

    /// <summary>It can be, and this is lost or to be watched.</summary>
    public void Along(string reason) => Add(ClaimAnswer.Collateral, reason);

    /// <summary>It can be, and this goes along.</summary>
    public void Moves(string device, string reason)
    {
        moves.Add(device);
        Add(ClaimAnswer.Collateral, reason);
    }

    private void Add(ClaimAnswer answer, string reason)
    {
        Answer = answer > Answer ? answer : Answer;
        if (!reasons.Contains(reason))
        {
            reasons.Add(reason);
        }
    }
}
