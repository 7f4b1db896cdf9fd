using Yuntak.Core.Units;

namespace Yuntak.Core.Findings;

/// <summary>The limit of a rule in figures. The rule itself asks it, so that what the rule book says is what is held.</summary>
/// <param name="Value">The limit, in its unit; a share is 1 for all of it.</param>
/// <param name="Unit">What it is counted in: «%» for shares, else a word such as «disks».</param>
/// <param name="Of">What is held against it.</param>
/// <param name="Side">On which side something is said.</param>
public sealed record RuleLimit(double Value, string Unit, string Of, LimitSide Side = LimitSide.Above)
{
    /// <summary>The unit of shares.</summary>
    public const string Percent = "%";

    /// <summary>A limit on a share of a whole.</summary>
    public static RuleLimit Share(Share limit, string of, LimitSide side = LimitSide.Above) => new(limit.Value, Percent, of, side);

    /// <summary>Whether something is said of a figure. Round figures are compared with a tolerance; see <see cref="Units.Share"/>.</summary>
    public bool Notices(double figure) =>
        Side switch
        {
            LimitSide.Above => new Share(figure) > new Share(Value),
            LimitSide.From => new Share(figure) >= new Share(Value),
            LimitSide.Below => new Share(figure) < new Share(Value),
            LimitSide.UpTo => new Share(figure) <= new Share(Value),
        };

    /// <summary>The same for a share.</summary>
    public bool Notices(Share figure) => Notices(figure.Value);

    /// <summary>The limit in words: «over 90 % of a host's memory».</summary>
    public override string ToString() =>
        $"{Side switch
        {
            LimitSide.Above => "over",
            LimitSide.From => "from",
            LimitSide.Below => "under",
            LimitSide.UpTo => "up to",
        }} {(Unit == Percent ? Numbers.Percent(Value) : $"{Numbers.Short(Value)} {Unit}")} {Of}";
}
