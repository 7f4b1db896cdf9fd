namespace Yuntak.Core.Devices;

/// <summary>What speaks for and against a claim while it is looked into.</summary>
internal sealed class ClaimCase
{
    private readonly List<(ClaimAnswer Answer, string Text)> reasons = [];
    private readonly List<string> moves = [];
    private readonly List<string> costs = [];
    private readonly HashSet<ClaimTrouble> troubles = [];

    public ClaimAnswer Answer { get; private set; }

    /// <summary>The reasons, what speaks loudest first.</summary>
    public IReadOnlyList<string> Reasons => [.. reasons.OrderByDescending(r => r.Answer).Select(r => r.Text)];

    public IReadOnlyList<string> AlsoMoves => moves;

    public IReadOnlyList<string> Costs => costs;

    public IReadOnlySet<ClaimTrouble> Troubles => troubles;

    /// <summary>It cannot be.</summary>
    public void No(string reason, ClaimTrouble trouble = ClaimTrouble.Other) => Add(ClaimAnswer.Impossible, reason, trouble);

    /// <summary>It can be, and this is lost or to be watched.</summary>
    public void Along(string reason, ClaimTrouble trouble = ClaimTrouble.Other) => Add(ClaimAnswer.Collateral, reason, trouble);

    /// <summary>It can be, and this goes along.</summary>
    public void Moves(string device, string reason)
    {
        moves.Add(device);
        Add(ClaimAnswer.Collateral, reason, ClaimTrouble.Other);
    }

    /// <summary>Good to know; changes nothing.</summary>
    public void Note(string reason, ClaimTrouble trouble = ClaimTrouble.Other) => Add(ClaimAnswer.Possible, reason, trouble);

    /// <summary>What the way itself costs, whatever the device.</summary>
    public void Cost(string cost) => costs.Add(cost);

    private void Add(ClaimAnswer answer, string reason, ClaimTrouble trouble)
    {
        Answer = answer > Answer ? answer : Answer;
        if (trouble != ClaimTrouble.Other)
        {
            troubles.Add(trouble);
        }

        if (!reasons.Exists(r => r.Text == reason))
        {
            reasons.Add((answer, reason));
        }
    }
}
