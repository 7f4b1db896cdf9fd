using Yuntak.Core.Labs;

namespace Yuntak.Core.Keeping;

/// <summary>When what is tried: a guest each month, the one that matters most and was tried longest ago first; the whole house once a year.</summary>
public static class DrillPlan
{
    private const int DaysAMonth = 30;

    /// <summary>The drill of a guest that is due next.</summary>
    public static Drill? NextGuest(HouseKeeping keeping)
    {
        var tried = keeping
            .Worked()
            .Where(d => d is { Kind: DrillKind.Guest, Guest: not null })
            .GroupBy(d => d.Guest!.Value)
            .ToDictionary(g => g.Key, g => g.Max(d => d.On));
        var guest = keeping
            .Guests.Where(g => g.From is not null)
            .OrderBy(g => tried.TryGetValue(g.Guest.Id, out var on) ? on.DayNumber : 0)
            .ThenBy(g => g.Guest.Importance)
            .FirstOrDefault();
        if (guest is null)
        {
            return null;
        }

        var last = tried.Count == 0 ? (DateOnly?)null : tried.Values.Max();
        var due = last?.AddDays(DaysAMonth) ?? keeping.On.AddDays(Soon);
        return new Drill(DrillKind.Guest, due < keeping.On ? keeping.On.AddDays(Soon) : due, guest.Guest.Id);
    }

    /// <summary>The drill of the whole house that is due next.</summary>
    public static Drill NextHouse(HouseKeeping keeping)
    {
        var last = keeping.Worked().Where(d => d.Kind == DrillKind.House).Select(d => (DateOnly?)d.On).Max();
        var due = last?.AddDays(KeepingRules.HouseDrillDays) ?? keeping.On.AddDays(DaysAMonth);
        return new Drill(DrillKind.House, due < keeping.On ? keeping.On.AddDays(DaysAMonth) : due);
    }

    /// <summary>Drills for a year: a guest each month in turn, and the whole house once.</summary>
    public static IReadOnlyList<Drill> Year(HouseKeeping keeping)
    {
        List<Drill> drills = [];
        var first = NextGuest(keeping);
        var guests = keeping
            .Guests.Where(g => g.From is not null)
            .OrderBy(g => g.Guest.Id != first?.Guest)
            .ThenBy(g => g.Guest.Importance)
            .ToList();
        for (var n = 0; first is not null && n < 12; n++)
        {
            drills.Add(new Drill(DrillKind.Guest, first.On.AddMonths(n), guests[n % guests.Count].Guest.Id));
        }

        return first is null ? [] : [.. drills, NextHouse(keeping)];
    }

    /// <summary>Drills that were planned for a day that is past, and nobody said how they went.</summary>
    public static IEnumerable<Drill> Overdue(HouseKeeping keeping) => keeping.Lab.Drills.Where(d => d.Worked is null && d.On < keeping.On);

    /// <summary>When something was last brought back, of which it is known that it worked.</summary>
    public static DateOnly? LastWorked(HouseKeeping keeping) => keeping.Worked().Select(d => (DateOnly?)d.On).Max();

    /// <summary>The drills that brought back what they were to. One of a day that is yet to come was not done, whatever is said of it.</summary>
    internal static IEnumerable<Drill> Worked(this HouseKeeping keeping) =>
        keeping.Lab.Drills.Where(d => d.Worked == true && d.On <= keeping.On);

    private const int Soon = 7;
}
