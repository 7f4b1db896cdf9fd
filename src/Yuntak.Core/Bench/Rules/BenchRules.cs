using Yuntak.Core.Findings;

namespace Yuntak.Core.Bench.Rules;

/// <summary>The rules about what is put where, in the order of the book.</summary>
internal static class BenchRules
{
    /// <summary>The rules.</summary>
    public static readonly IReadOnlyList<IRule> All =
    [
        new MemoryOver(),
        new MemoryTight(),
        new MemoryPromised(),
        new CoresOver(),
        new CoresTight(),
        new VcpuCrowded(),
        new PoolOver(),
        new PoolPastComfort(),
        new NoPoolForGuest(),
        new NoRefuge(),
        new RouterWithTestGuests(),
        new NotPlaced(),
    ];
}
