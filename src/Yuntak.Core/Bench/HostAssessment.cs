using Yuntak.Core.Base;
using Yuntak.Core.Labs;
using Yuntak.Core.Shapes;
using Yuntak.Core.Wants;

namespace Yuntak.Core.Bench;

/// <summary>Everything worked out about one host.</summary>
public sealed class HostAssessment
{
    internal HostAssessment(Host host, LabSettings settings, IReadOnlyList<Sizing> guests, ValueList<SharedFolder> folders)
    {
        Host = host;
        Guests = guests;
        Memory = new MemoryBudget(host, settings, Bench.ReadCache.Of(host, settings), [.. guests.Select(g => new MemoryShare(g.Guest, g))]);
        Processor = new ProcessorBudget(host, settings, guests);
        Pools = [.. host.Pools.Select(p => new PoolBudget(host, p, guests, settings, folders))];
    }

    /// <summary>The host.</summary>
    public Host Host { get; }

    /// <summary>The guests put on it, sized, in the lab's order. App stacks inside another guest are counted in that one.</summary>
    public IReadOnlyList<Sizing> Guests { get; }

    /// <summary>The same with those inside others, each after the one it is in.</summary>
    public IEnumerable<Sizing> AllGuests => Guests.SelectMany(g => g.Inner.Prepend(g));

    /// <summary>Its memory.</summary>
    public MemoryBudget Memory { get; }

    /// <summary>Its processors.</summary>
    public ProcessorBudget Processor { get; }

    /// <summary>Its pools.</summary>
    public IReadOnlyList<PoolBudget> Pools { get; }

    /// <summary>The worst of its budgets.</summary>
    public Fit Fit => (Fit)Math.Max((int)Memory.Fit, Math.Max((int)Processor.Fit, Pools.Count == 0 ? 0 : Pools.Max(p => (int)p.Fit)));

    /// <summary>The pool of that name, if there is one.</summary>
    public PoolBudget? Pool(string? name) => Pools.FirstOrDefault(p => p.Pool.Name == name);
}
