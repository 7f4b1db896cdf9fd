using Yuntak.Core.Bench;
using Yuntak.Core.Labs;
using Yuntak.Core.Runbooks;
using Yuntak.Core.Simulation;

namespace Yuntak.Core.Tests.Rehearsals;

/// <summary>Takes a piece of work that is half done back on simulated hosts, as its steps say.</summary>
internal static class WayBack
{
    /// <summary>Random labs have guests that could never have started where they stand: for another family, or beyond the memory of their host.</summary>
    public static bool CanStandAsItDoes(SimHouse house) =>
        house.Hosts.All(h => h.FreeMemory.Bytes >= 0)
        && house.Guests.All(g => g.Family is null || ProcessorFamily.Runs(house.HostIf(g.Host)!.Processor.Architecture, g.Family));

    /// <summary>Whether the work can be taken back here: it is on guests, and nothing of it is past its point of no return.</summary>
    public static bool Leads(RunbookSection section, IEnumerable<RunbookStep> done) =>
        section.Steps.All(s => s.Act is GuestAct) && done.All(s => s.Act.GoesBack);

    /// <summary>Takes it back.</summary>
    /// <exception cref="HostRefuses">A host refuses.</exception>
    public static void Take(SimHouse house, Plan plan, RunbookSection section)
    {
        // What stood, with what is only known of it by now: what the hosts began as.
        var stood = Sums.Of(Known.Adopt(plan.AsBuilt, plan.Draft));
        foreach (var id in section.Steps.Select(s => s.Act).OfType<GuestAct>().Select(a => a.Guest).Distinct().Reverse())
        {
            if (house.GuestIf(id) is not { } guest)
            {
                continue;
            }

            if (plan.Stands(id) is null)
            {
                house.ShutDown(id);
                house.Delete(id);
            }
            else if (section.Builds != id)
            {
                house.PutBack(GuestNeeds.Of(stood, id));
                guest.Settled = guest.Settled.Add("service");
            }
        }

        // Who was stopped while its exporter was away comes back with it.
        house.StartAgain(section.Steps.SelectMany(s => s.Act.Stops));
    }
}
