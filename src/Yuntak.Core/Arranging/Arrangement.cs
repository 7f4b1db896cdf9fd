using Yuntak.Core.Labs;

namespace Yuntak.Core.Arranging;

/// <summary>A proposal of where guests go. Nothing is moved by it.</summary>
/// <param name="Ask">What was asked.</param>
/// <param name="Status">What was proven of it.</param>
/// <param name="Goals">The goals in their order, with what was reached.</param>
/// <param name="Placed">The guests with a place, in the lab's order.</param>
/// <param name="LeftOut">The guests without.</param>
/// <param name="Bought">The offers that are bought for it.</param>
/// <param name="Power">What the hosts with something to do take, now and then.</param>
/// <param name="Seconds">How long was searched.</param>
public sealed record Arrangement(
    ArrangeAsk Ask,
    ArrangeStatus Status,
    IReadOnlyList<GoalReached> Goals,
    IReadOnlyList<ArrangedGuest> Placed,
    IReadOnlyList<LeftOut> LeftOut,
    IReadOnlyList<HostOffer> Bought,
    PowerUse Power,
    double Seconds
)
{
    /// <summary>The guests of which anything changes.</summary>
    public IEnumerable<ArrangedGuest> Changes => Placed.Where(p => p.Changes);

    /// <summary>The guests that go to another host, or to one at last.</summary>
    public IEnumerable<ArrangedGuest> Moves => Placed.Where(p => p.Moves);

    /// <summary>Guests that are on a host in the plan only and lose it, because others need the room.</summary>
    public IEnumerable<Guest> TakenOff => LeftOut.Where(l => !l.Stays && l.Guest.Placement is not null).Select(l => l.Guest);
}
