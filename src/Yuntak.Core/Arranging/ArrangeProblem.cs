using Yuntak.Core.Bench;
using Yuntak.Core.Labs;

namespace Yuntak.Core.Arranging;

/// <summary>All that an arrangement chooses among: the guests with their seats, the hosts with their lines, and who keeps apart or together.</summary>
internal sealed class ArrangeProblem
{
    /// <param name="sums">The lab.</param>
    /// <param name="ask">What is asked.</param>
    /// <param name="running">The guests that run already: they stay where they are when no place is found for them.</param>
    public ArrangeProblem(Sums sums, ArrangeAsk ask, IReadOnlySet<GuestId> running)
    {
        Ask = ask;
        Offers = ask.WithOffers ? [.. sums.Lab.Offers.Where(o => ask.Offer is null || o.Name == ask.Offer)] : [];
        // An offer is looked at as a host like any other.
        Sums =
            Offers.Count == 0
                ? sums
                : Sums.Of(Offers.Aggregate(sums.Lab, (lab, offer) => lab with { Hosts = lab.Hosts.With(offer.AsHost(lab)) }));
        var lab = Sums.Lab;
        var own = lab.Hosts.Count - Offers.Count;
        Rooms =
        [
            .. lab.Hosts.Select(
                (h, n) => new HostRoom(n, new HostAssessment(h, lab.Settings, [], lab.AllFolders), n < own ? null : Offers[n - own])
            ),
        ];
        var maker = new SeatMaker(Sums, Rooms);
        List<Mover> movers = [];
        foreach (var now in Sums.Guests.Where(s => s.Guest.RunsIn is null))
        {
            var home = now.Guest.Placement?.Host;
            if (home is null && ask.Scope == ArrangeScope.OneHost)
            {
                continue;
            }

            if (ask.OnlySurvivors && home == ask.Empty && now.Guest is not { Survives: true, Importance: Importance.Must })
            {
                continue;
            }

            var survives = !ask.Away && now.Guest.Importance == Importance.Must && (ask.SurviveOne || now.Guest.Survives);
            var stuck = home is not null && (ask.Scope == ArrangeScope.Unplaced || (ask.Scope == ArrangeScope.OneHost && home != ask.Of));
            // Who is not to be moved needs the seat it has only, unless it is to have somewhere to go.
            var seats = maker.Of(movers.Count, now, onlyHome: stuck && !survives);
            var here = seats.FirstOrDefault(s => s.Stays);
            var runs = here is not null && running.Contains(now.Guest.Id);
            movers.Add(
                new Mover(
                    movers.Count,
                    now,
                    here,
                    stuck ? [] : [.. seats.Where(s => May(s, here, runs))],
                    seats,
                    runs,
                    stuck && here is not null,
                    survives
                )
            );
        }

        Movers = movers;
        var byId = movers
            .SelectMany(m => m.Now.Inner.Prepend(m.Now).Select(s => (s.Guest.Id, m.Number)))
            .ToDictionary(p => p.Id, p => p.Number);
        Apart = Pairs(lab, byId, g => g.Apart);
        Together = Pairs(lab, byId, g => g.Together);
    }

    /// <summary>What is asked.</summary>
    public ArrangeAsk Ask { get; }

    /// <summary>The lab, with the offers as hosts.</summary>
    public Sums Sums { get; }

    /// <summary>The offers that may be bought.</summary>
    public IReadOnlyList<HostOffer> Offers { get; }

    /// <summary>The hosts, offers last.</summary>
    public IReadOnlyList<HostRoom> Rooms { get; }

    /// <summary>The guests, in the lab's order.</summary>
    public IReadOnlyList<Mover> Movers { get; }

    /// <summary>Guests that are not to share a host, by number, the smaller first.</summary>
    public IReadOnlyList<(int A, int B)> Apart { get; }

    /// <summary>Guests that are to share one.</summary>
    public IReadOnlyList<(int A, int B)> Together { get; }

    /// <summary>Those on a host that are not to be moved, as they are there.</summary>
    public IEnumerable<Choice> FixedOn(HostRoom room) =>
        Movers.Where(m => m.Fixed && m.Home!.Room == room).Select(m => Choice.Now(m.Home!));

    /// <summary>The other halves of the pairs a guest is in.</summary>
    public static IEnumerable<int> Others(IReadOnlyList<(int A, int B)> pairs, Mover mover) =>
        pairs.Where(p => p.A == mover.Number || p.B == mover.Number).Select(p => p.A == mover.Number ? p.B : p.A);

    /// <summary>The host that is to be emptied, by number; null for none.</summary>
    public int? Emptied => Ask.Empty is { } id ? Rooms.FirstOrDefault(r => r.Host.Id == id)?.Number : null;

    /// <summary>Whether something keeps a guest off a seat that others have no part in; null where nothing does. What runs somewhere runs there.</summary>
    public FitLimit? Barred(Seat seat, Seat? home, bool runs) =>
        home is { Guest.Pinned: true } && seat != home && !Ask.Away
            ? new FitLimit($"{home.Guest.Name} is pinned to {home.Room.Host.Name}", $"let {home.Guest.Name} move")
        : seat.Room.Host.Id == Ask.Empty
            ? new FitLimit(
                $"{seat.Room.Host.Name} is {(Ask.Away ? "away" : "to be emptied")}",
                Ask.Away ? $"{seat.Room.Host.Name} back" : $"leave {seat.Guest.Name} on {seat.Room.Host.Name}"
            )
        : runs && seat == home ? null
        : seat.Limits.Count > 0 ? seat.Limits[0]
        : null;

    private bool May(Seat seat, Seat? home, bool runs) => Barred(seat, home, runs) is null && seat.System.Count > 0 && seat.Bulk.Count > 0;

    private static List<(int A, int B)> Pairs(Lab lab, Dictionary<GuestId, int> byId, Func<Guest, IEnumerable<GuestId>> others) =>
        [
            .. lab
                .Guests.Where(g => byId.ContainsKey(g.Id))
                .SelectMany(g => others(g).Where(byId.ContainsKey).Select(o => (A: byId[g.Id], B: byId[o])))
                .Where(p => p.A != p.B)
                .Select(p => p.A < p.B ? p : (p.B, p.A))
                .Distinct(),
        ];
}
