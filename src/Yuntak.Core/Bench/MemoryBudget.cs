using Yuntak.Core.Figures;
using Yuntak.Core.Labs;
using Yuntak.Core.Shapes;
using Yuntak.Core.Units;

namespace Yuntak.Core.Bench;

/// <summary>A host's memory: what is committed, what is promised, what is left.</summary>
public sealed class MemoryBudget
{
    /// <summary>The share of the memory past which a host is tight; common practice.</summary>
    public static readonly Share TightShare = new(0.9);

    /// <summary>The share of the memory that may be promised before it hurts; common practice.</summary>
    public static readonly Share PromisedShare = new(1.3);

    internal MemoryBudget(Host host, LabSettings settings, ByteSize readCache, IReadOnlyList<MemoryShare> shares)
    {
        Total = host.Memory;
        CacheFloor = Bench.ReadCache.FloorOf(host, readCache);
        HostBase = BaseOf(host, settings);
        ReadCache = readCache;
        Shares = shares;
        var committed = HostBase + ReadCache;
        var promised = committed;
        foreach (var share in shares)
        {
            committed += share.Committed;
            promised += share.Promised;
        }

        Promised = promised;
        Committed = Figure.Of(
            $"memory committed on {host.Name}",
            committed,
            "host base + read cache + Σ machines (given + overhead) + Σ containers (expected use + overhead)",
            () =>
                new FigureInput[]
                {
                    new("host base", HostBase, host.BaseMemory is null ? Origin.Assumed : Origin.Entered, BaseWords(host)),
                    new("read cache", ReadCache, Origin.Assumed, $"a setting; it yields down to {CacheFloor}"),
                }
                    .Where(i => i.Value is not ByteSize { Bytes: 0 })
                    .Concat(
                        shares.Select(s => new FigureInput(
                            s.Guest.Name,
                            s.Committed,
                            Note: s.IsPinned ? "pinned by a device handed over whole" : null
                        ))
                    ),
            Source.CommonPractice
        );
    }

    /// <summary>What a host keeps for itself: as somebody said of it; else of a hypervisor what the lab's settings say, and of another kind what is usual there.</summary>
    public static ByteSize BaseOf(Host host, LabSettings settings) =>
        host.BaseMemory ?? (host.Type == HostType.Hypervisor ? settings.HostBase : host.Kind.BaseMemory);

    private static string BaseWords(Host host) =>
        host.BaseMemory is not null ? $"set for {host.Name}"
        : host.Type == HostType.Hypervisor ? "a setting"
        : $"usual for a {host.Type.Words()}";

    /// <summary>Memory of the host.</summary>
    public ByteSize Total { get; }

    /// <summary>What the host keeps for itself.</summary>
    public ByteSize HostBase { get; }

    /// <summary>Read cache of copy-on-write pools.</summary>
    public ByteSize ReadCache { get; }

    /// <summary>What the read cache keeps under pressure.</summary>
    public ByteSize CacheFloor { get; }

    /// <summary>The guests' parts, in the lab's order.</summary>
    public IReadOnlyList<MemoryShare> Shares { get; }

    /// <summary>Everything counted as in use.</summary>
    public Figure<ByteSize> Committed { get; }

    /// <summary>The same with every ceiling reached.</summary>
    public ByteSize Promised { get; }

    /// <summary>What the host keeps of its memory whatever happens: its own part, and what the read cache keeps under pressure.</summary>
    internal ByteSize Kept => HostBase + CacheFloor;

    /// <summary>What cannot yield: the same with the read cache at its floor.</summary>
    public ByteSize Hard => Committed.Value - ReadCache + CacheFloor;

    /// <summary>What is left; while the read cache can make up for it nothing is, and negative only when too much is committed even then.</summary>
    public ByteSize Spare => Hard > Total ? Total - Hard : ByteSize.Max(ByteSize.Zero, Total - Committed.Value);

    /// <summary>What one guest more could take: what is left, and what the read cache would yield.</summary>
    public ByteSize Room => Total - Hard;

    /// <summary>The share committed.</summary>
    public Share Share => Committed.Value.ShareOf(Total);

    /// <summary>The verdict.</summary>
    public Fit Fit =>
        Hard > Total ? Fit.Over
        : Share > TightShare || Promised.ShareOf(Total) > PromisedShare ? Fit.Tight
        : Fit.Fits;
}
