namespace Yuntak.Core.Arranging;

/// <summary>What hosts take from the wall at rest, and what that costs. Hosts of which nobody knows it are left out and named.</summary>
/// <param name="Today">Watts of the hosts that have something to do now.</param>
/// <param name="Then">Watts of those that would.</param>
/// <param name="MoneyToday">What today's cost in a year.</param>
/// <param name="MoneyThen">What then they would.</param>
/// <param name="Off">Hosts that could be switched off.</param>
/// <param name="Unknown">Hosts of which nobody knows what they take.</param>
public sealed record PowerUse(
    double Today,
    double Then,
    double MoneyToday,
    double MoneyThen,
    IReadOnlyList<string> Off,
    IReadOnlyList<string> Unknown
);
