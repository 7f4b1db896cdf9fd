using Google.OrTools.Sat;
using Yuntak.Core.Devices;
using Yuntak.Core.Labs;

namespace Yuntak.Core.Arranging;

/// <summary>The devices of one host in the model: every guest there has what it needs by one way, and no two ways clash.</summary>
/// <param name="model">The model.</param>
/// <param name="room">The host.</param>
internal sealed class DeviceLines(ArrangeModel model, HostRoom room)
{
    private readonly List<Take> takes = [];

    /// <summary>Adds what is needed on the host.</summary>
    /// <param name="there">All that could be on it.</param>
    /// <param name="slack">What may give.</param>
    public void Add(IReadOnlyList<SeatVar> there, HostSlack? slack)
    {
        // What stays, with a place or without, holds what it holds.
        foreach (var mover in model.Problem.Movers.Where(m => m.Home?.Room == room && (m.Fixed || model.Left[m.Number] is not null)))
        {
            takes.AddRange(
                mover
                    .Home!.Needs.Where(n => n.Asked.Claim.Chosen)
                    .Select(n => new Take(mover.Number, n, n.Ways[0], model.Left[mover.Number], Stays: true, Held: true))
            );
        }

        var wanting = there.Where(s => s.Seat.Needs.Count > 0).ToList();
        if (
            takes.Count == 0
            && wanting.Select(s => s.Seat.Mover).Distinct().Skip(1).FirstOrDefault(-1) < 0
            && wanting.TrueForAll(s => s.Seat.Needs.Count == 1)
        )
        {
            // One guest with one need has whichever way it likes.
            return;
        }

        foreach (var seat in wanting)
        {
            foreach (var need in seat.Seat.Needs)
            {
                var ways = need
                    .Ways.Select(w => new Take(seat.Seat.Mover, need, w, model.Model.NewBoolVar(""), seat.Seat.Stays, Held: false))
                    .ToList();
                takes.AddRange(ways);
                model.Model.AddBoolOr(
                    ways.Select(w => w.Taken!)
                        .Append(seat.Taken.Not())
                        .Concat(slack?.Without(model.Model, seat.Seat, need) is { } without ? [without] : [])
                );
                foreach (var way in ways)
                {
                    model.Model.AddImplication(way.Taken!, seat.Taken);
                }
            }
        }

        var map = model.Problem.Sums.Devices[room.Number].Map;
        for (var n = 0; n < takes.Count; n++)
        {
            foreach (var other in takes.Take(n).Where(o => Clash(map, takes[n], o)))
            {
                model.Model.AddBoolOr(new[] { takes[n].Taken, other.Taken }.OfType<ILiteral>().Select(t => t.Not()));
            }
        }

        foreach (var card in takes.Where(t => t.Way.Way == ClaimWay.Slice).GroupBy(t => t.Way.Device))
        {
            var most = room.Host.Hardware.Function(card.Key)!.Slices!.Value - card.Count(t => t.Taken is null);
            model.Model.Add(
                LinearExpr.Sum(card.Select(t => t.Taken).OfType<BoolVar>().Select(v => LinearExpr.Affine(v, 1, 0))) <= Math.Max(0, most)
            );
        }
    }

    private static bool Clash(DeviceMap map, Take mine, Take other) =>
        (mine.Mover != other.Mover || !ReferenceEquals(mine.Need, other.Need))
        // What both hold today and both keep is a fact, and a stop at its own station.
        && !(mine.Stays && other.Stays && (mine.Held || other.Held))
        && ClaimClash.IsThere(map, mine.Way, other.Way);

    /// <summary>A way of meeting a need.</summary>
    /// <param name="Mover">Which guest.</param>
    /// <param name="Need">What it needs.</param>
    /// <param name="Way">The way.</param>
    /// <param name="Taken">Whether it is taken; null for surely.</param>
    /// <param name="Stays">Whether the guest has it now.</param>
    /// <param name="Held">Whether it has it without having a place, or without being arranged at all.</param>
    private sealed record Take(int Mover, SeatNeed Need, ClaimVerdict Way, ILiteral? Taken, bool Stays, bool Held);
}
