using Yuntak.Core.Arranging;
using Yuntak.Core.Bench;
using Yuntak.Core.Labs;

namespace Yuntak.Web.Pages.Bench;

/// <summary>A host as it is and as it would be.</summary>
/// <param name="Now">As it is; null for one that is to be bought.</param>
/// <param name="Then">As it would be.</param>
/// <param name="Comes">The guests that would come, with the host they come from.</param>
/// <param name="Goes">The guests that would leave, with where to.</param>
/// <param name="IsAway">Whether the host itself is away.</param>
public sealed record GhostBoard(
    HostAssessment? Now,
    HostAssessment Then,
    IReadOnlyList<(Guest Guest, string? From)> Comes,
    IReadOnlyList<(Guest Guest, string? To)> Goes,
    bool IsAway = false
)
{
    /// <summary>Whether anything of it would change.</summary>
    public bool Changes => Comes.Count > 0 || Goes.Count > 0 || Now is null;

    /// <summary>The boards of a lab with some parts of an arrangement taken over; those that change first.</summary>
    /// <param name="now">The lab as it is.</param>
    /// <param name="takes">What is taken over.</param>
    /// <param name="bought">What is bought for it.</param>
    /// <param name="away">The host that is away, if one is.</param>
    public static IReadOnlyList<GhostBoard> Of(
        Sums now,
        IReadOnlyList<ArrangeTake> takes,
        IReadOnlyList<HostOffer> bought,
        HostId? away = null
    )
    {
        var lab =
            takes.Count == 0 && bought.Count == 0 ? now.Lab : ArrangeEdits.Accept(takes, [.. bought.Select(b => b.Name)])(now.Lab).Lab;
        var then = lab == now.Lab ? now : Sums.Of(lab);
        return
        [
            .. then
                .Hosts.Select(h => new GhostBoard(
                    now.Host(h.Host.Id),
                    h,
                    [.. h.Guests.Where(g => Before(g.Guest)?.Id != h.Host.Id).Select(g => (g.Guest, Before(g.Guest)?.Name))],
                    [
                        .. now.Host(h.Host.Id)
                            ?.Guests.Where(g => then.HostOf(lab.Guest(g.Guest.Id)!)?.Host.Id != h.Host.Id)
                            .Select(g => (g.Guest, then.HostOf(lab.Guest(g.Guest.Id)!)?.Host.Name))
                            ?? [],
                    ],
                    h.Host.Id == away
                ))
                .OrderByDescending(b => b.Changes),
        ];
        Host? Before(Guest guest) => now.Lab.Guest(guest.Id) is { } was ? now.Lab.HostOf(was) : null;
    }
}
