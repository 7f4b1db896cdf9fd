using Yuntak.Core.Edits;
using Yuntak.Core.Labs;
using Yuntak.Core.Wants;

namespace Yuntak.Core.Runbooks;

/// <summary>What ticking a step off changes in what stands.</summary>
internal static class Ticks
{
    /// <summary>A step on the way: it is remembered until its change is finished.</summary>
    public static Edit OnTheWay(string id, string sentence) =>
        lab => new Changed(lab.Ticks.Contains(id) ? lab : lab with { Ticks = lab.Ticks.With(id) }, sentence);

    /// <summary>The last step of a change: what stands becomes what was planned, and the steps on the way are forgotten.</summary>
    public static Edit Finishes(string prefix, string sentence, Func<Lab, Lab> change) =>
        lab =>
        {
            var changed = change(lab);
            return new Changed(
                changed with
                {
                    Ticks = changed.Ticks.Without(t => t.StartsWith(prefix, StringComparison.Ordinal)),
                },
                sentence
            );
        };

    /// <summary>A guest comes one stage further. When it is new, it stands from now on with the figures it was planned with.</summary>
    public static Edit Reaches(Lab draft, Guest planned, LifeStage stage) =>
        lab =>
        {
            var stands = lab.Guest(planned.Id) is { } known && lab.HostOf(known) is not null;
            var changed = stands
                ? lab.WithGuest(planned.Id, g => g with { Life = stage })
                : Stand(lab, AsFacts(draft, planned) with { Life = stage });
            return new Changed(changed, $"{planned.Name}: {stage.Words()}");
        };

    /// <summary>A guest takes over the planned figures, and stays as far in its life as it is.</summary>
    public static Lab Adopt(Lab lab, Lab draft, Guest planned) =>
        lab.Guest(planned.Id) is { } before
            ? Stand(lab, AsFacts(draft, planned) with { Life = before.Life })
            : Stand(lab, AsFacts(draft, planned));

    /// <summary>A guest with its advised figures written down, since what stands has figures, not advice.</summary>
    public static Guest AsFacts(Lab draft, Guest guest)
    {
        var sizing = Sizing.Of(draft, guest);
        return guest with { Overrides = new SizeOverrides(sizing.Vcpu, sizing.Memory, sizing.SystemDisk, sizing.Bulk) };
    }

    private static Lab Stand(Lab lab, Guest guest)
    {
        if (guest.RunsIn is { } outer && (lab.Guest(outer) is not { } there || lab.HostOf(there) is null))
        {
            throw new EditRefused($"{guest.Name} runs inside another guest that does not stand yet. Build that one first.");
        }

        return lab.Guest(guest.Id) is null ? lab with { Guests = lab.Guests.With(guest) } : lab.WithGuest(guest.Id, _ => guest);
    }
}
