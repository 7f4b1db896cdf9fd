using Yuntak.Core.Runbooks;
using Yuntak.Core.Simulation;

namespace Yuntak.Core.Rehearsals;

/// <summary>Something that goes wrong at a step, as it does for people.</summary>
internal abstract class Fault
{
    /// <summary>What it is called, and in words.</summary>
    public abstract FaultInfo Info { get; }

    /// <summary>Whether it can strike at a step.</summary>
    public abstract bool Strikes(Act act, SimHouse house, Plan plan);

    /// <summary>What is wrong before the step is begun.</summary>
    public virtual void Before(SimHouse house, Act act, Plan plan) { }

    /// <summary>How the step goes under it.</summary>
    public virtual void Run(SimHouse house, Act act, Plan plan) => act.Do(house, plan);

    /// <summary>What is wrong after the step.</summary>
    public virtual void After(SimHouse house, Act act, Plan plan) { }

    /// <summary>Whether the step is done again after it was caught; only time is lost where it is not.</summary>
    public virtual double Slower => 1;

    /// <summary>What it costs where nothing shows it, and how bad that is.</summary>
    public abstract (string Words, double Weight) Cost(SimHouse house, Act act, Plan plan);

    /// <summary>The guest a step is about; null for none.</summary>
    protected static SimGuest? GuestOf(Act act, SimHouse house) => act is GuestAct { Guest: var id } ? house.GuestIf(id) : null;

    /// <summary>What a guest is called.</summary>
    protected static string Name(Act act, Plan plan) => act is GuestAct { Guest: var id } ? plan.NameOf(id) : plan.NameOf(act.On);
}
