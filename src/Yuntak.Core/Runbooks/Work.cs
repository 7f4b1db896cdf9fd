using Yuntak.Core.Labs;
using Yuntak.Core.Units;

namespace Yuntak.Core.Runbooks;

/// <summary>A change between what stands and what is planned, and how it is worked off: when, by which acts, and what counts as built when it is through.</summary>
internal abstract record Work
{
    /// <summary>What it is known by: the beginning of the ids of its steps.</summary>
    public abstract string Key { get; }

    /// <summary>The host it is about; null for none.</summary>
    public virtual HostId? Host => null;

    /// <summary>The guest it is about; null for none.</summary>
    public virtual GuestId? Guest => null;

    /// <summary>Whether it builds a guest from nothing.</summary>
    public virtual bool Builds => false;

    /// <summary>What it comes to: «Build tinker on kiln».</summary>
    public abstract string Title(Plan plan);

    /// <summary>When, among the others.</summary>
    public abstract Phase Phase(Plan plan);

    /// <summary>The recipe.</summary>
    public abstract IReadOnlyList<Act> Acts(Plan plan);

    /// <summary>What stands when it is through.</summary>
    public abstract Lab Adopt(Lab stands, Plan plan);

    /// <summary>What one act alone changes in what stands; null when it is only remembered until all is through.</summary>
    public virtual Lab? AdoptAt(Lab stands, Plan plan, Act act) => null;

    /// <summary>Whether what stands says by itself that an act was done.</summary>
    public virtual bool StandsDone(Plan plan, Act act) => false;

    /// <summary>Where it copies something to meanwhile, how much, and whether that stays there; null when it copies nothing.</summary>
    public virtual (HostId Host, string Pool, ByteSize Size, bool Stays)? CopiesTo(Plan plan) => null;

    /// <summary>What must hold before it begins.</summary>
    public virtual IEnumerable<Condition> Needs(Plan plan) => [];

    /// <summary>What holds when it is through.</summary>
    public virtual IEnumerable<Condition> Gives(Plan plan) => [];

    /// <summary>What to know before starting.</summary>
    public virtual IEnumerable<string> Cautions(Plan plan, IReadOnlyList<Act> acts) => [];

    /// <summary>Why it cannot be done without losing something; null when it can.</summary>
    public virtual Halt? Stop(Plan plan) => null;
}
