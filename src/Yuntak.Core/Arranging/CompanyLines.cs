using Google.OrTools.Sat;
using Yuntak.Core.Profiles;

namespace Yuntak.Core.Arranging;

/// <summary>Whom guests share a host with, in the model.</summary>
/// <param name="model">The model.</param>
/// <param name="slack">What may give; null where nothing does.</param>
internal sealed class CompanyLines(ArrangeModel model, HostSlack? slack)
{
    /// <summary>Who keeps apart, who keeps together, and whose ports clash.</summary>
    public void Add(List<SeatVar> vars)
    {
        var byMover = vars.ToLookup(v => v.Seat.Mover);
        foreach (var (a, b) in model.Problem.Apart)
        {
            Never(byMover, a, b, (x, y) => x == y, slack?.Apart(model.Model, a, b));
        }

        foreach (var (a, b) in model.Problem.Together)
        {
            Never(byMover, a, b, (x, y) => x != y, slack?.Together(model.Model, a, b));
        }

        var stacks = vars.Where(v => v.Seat.Guest.Kind == GuestKind.AppStack).ToLookup(v => v.Seat.Room);
        foreach (var room in stacks.Select(s => s.ToList()))
        {
            for (var n = 0; n < room.Count; n++)
            {
                foreach (var other in room.Take(n).Where(o => o.Seat.Mover != room[n].Seat.Mover))
                {
                    // A clash that is there today is another station's matter.
                    if (!(room[n].Seat.Stays && other.Seat.Stays) && PortsHeld.Clash(room[n].Seat.Sizing, other.Seat.Sizing))
                    {
                        model.Model.AddAtMostOne([room[n].Taken, other.Taken]);
                    }
                }
            }
        }
    }

    private void Never(ILookup<int, SeatVar> vars, int a, int b, Func<HostRoom, HostRoom, bool> not, BoolVar? unless)
    {
        foreach (var mine in vars[a])
        {
            foreach (var other in vars[b].Where(o => not(mine.Seat.Room, o.Seat.Room)))
            {
                model.Model.AddBoolOr(new ILiteral[] { mine.Taken.Not(), other.Taken.Not() }.Concat(unless is null ? [] : [unless]));
            }
        }

        // Who stays without a place, or is not to be moved, is somewhere all the same.
        foreach (var (here, there) in new[] { (a, b), (b, a) })
        {
            var home = model.Problem.Movers[there].Home;
            if (home is null || (model.Left[there] is null && !model.Problem.Movers[there].Fixed))
            {
                continue;
            }

            foreach (var mine in vars[here].Where(v => !v.Seat.Stays && not(v.Seat.Room, home.Room)))
            {
                model.Model.AddBoolOr(
                    new ILiteral[] { mine.Taken.Not() }
                        .Concat(model.Left[there] is { } stays ? [stays.Not()] : [])
                        .Concat(unless is null ? [] : [unless])
                );
            }
        }
    }
}
