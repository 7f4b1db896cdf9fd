using Yuntak.Core.Labs;
using Yuntak.Core.Units;

namespace Yuntak.Core.Disks;

/// <summary>
/// Splits disks over groups of one layout, like sizes together, whatever the order in which they are listed: of all ways to cut the disks, sorted by size, into
/// groups, the one in which unequal sizes waste least, and of those the most even one. An even split is kept where another would save less than a hundredth.
/// Worked out once for every number of groups up to the most that is asked for, in about disks² × groups steps.
/// </summary>
internal sealed class GroupSplit
{
    private const double WorthIt = 0.01;
    private readonly PoolLayout layout;
    private readonly DiskSpec[] sorted;
    private readonly long[] sum;
    private readonly long[] everySecond;
    private readonly (long Waste, long Squares, int From)[][] best;

    /// <param name="layout">How each group shares its data.</param>
    /// <param name="disks">The disks, in any order.</param>
    /// <param name="most">The most groups that will be asked for.</param>
    public GroupSplit(PoolLayout layout, IEnumerable<DiskSpec> disks, int most)
    {
        this.layout = layout;
        sorted = [.. disks.OrderByDescending(d => d.Size).ThenBy(d => d.Kind)];
        sum = new long[sorted.Length + 1];
        everySecond = new long[sorted.Length + 1];
        for (var n = 0; n < sorted.Length; n++)
        {
            sum[n + 1] = sum[n] + sorted[n].Size.Bytes;
            everySecond[n + 1] = (n > 0 ? everySecond[n - 1] : 0) + sorted[n].Size.Bytes;
        }

        best = AreEqual ? [] : Cuts(Math.Min(most, sorted.Length / layout.FewestDisks()));
    }

    private bool AreEqual => sorted.Length == 0 || sorted[0].Size == sorted[^1].Size;

    /// <summary>The disks in so many groups. One group keeps the largest first, so that they become the parity disks where parity has its own.</summary>
    public IReadOnlyList<DiskGroup> Into(int groups)
    {
        var even = Even(groups);
        if (groups < 2 || groups >= best.Length || !even.TrueForAll(g => g.HasEnough))
        {
            return even;
        }

        var saved = even.Sum(g => (double)g.LeftOver.Bytes) - best[groups][sorted.Length].Waste;
        return saved > WorthIt * sum[^1] ? BySize(groups) : even;
    }

    private List<DiskGroup> Even(int groups)
    {
        var (width, more) = (sorted.Length / groups, sorted.Length % groups);
        List<DiskGroup> made = [];
        var at = 0;
        for (var n = 0; n < groups; n++)
        {
            var next = at + width + (n < more ? 1 : 0);
            made.Add(new DiskGroup(layout, [.. sorted[at..next]]));
            at = next;
        }

        return made;
    }

    private List<DiskGroup> BySize(int groups)
    {
        List<DiskGroup> made = [];
        for (var (n, end) = (groups, sorted.Length); n > 0; end = best[n][end].From, n--)
        {
            made.Insert(0, new DiskGroup(layout, [.. sorted[best[n][end].From..end]]));
        }

        return made;
    }

    /// <summary>For each number of groups and each number of first disks: the least waste, and where the last group begins.</summary>
    private (long Waste, long Squares, int From)[][] Cuts(int most)
    {
        var fewest = layout.FewestDisks();
        var cuts = new (long Waste, long Squares, int From)[most + 1][];
        cuts[0] = [.. Enumerable.Range(0, sorted.Length + 1).Select(n => (n == 0 ? 0L : -1L, 0L, 0))];
        for (var groups = 1; groups <= most; groups++)
        {
            var row = new (long Waste, long Squares, int From)[sorted.Length + 1];
            Array.Fill(row, (-1, 0, 0));
            for (var end = groups * fewest; end <= sorted.Length; end++)
            {
                for (var from = (groups - 1) * fewest; from <= end - fewest; from++)
                {
                    var before = cuts[groups - 1][from];
                    if (before.Waste < 0)
                    {
                        continue;
                    }

                    var waste = before.Waste + WasteOf(from, end);
                    var squares = before.Squares + ((long)(end - from) * (end - from));
                    if (row[end].Waste < 0 || waste < row[end].Waste || (waste == row[end].Waste && squares < row[end].Squares))
                    {
                        row[end] = (waste, squares, from);
                    }
                }
            }

            cuts[groups] = row;
        }

        return cuts;
    }

    /// <summary>Bytes that unequal sizes waste among the disks from one place to another, the largest first, without making a group of them.</summary>
    private long WasteOf(int from, int end) =>
        layout switch
        {
            PoolLayout.Single or PoolLayout.Stripe or PoolLayout.Dedicated1 or PoolLayout.Dedicated2 => 0,
            PoolLayout.StripedMirrors => sum[end] - sum[from] - (2 * SecondsOfPairs(from, end)),
            PoolLayout.Mirror or PoolLayout.Parity1 or PoolLayout.Parity2 or PoolLayout.Parity3 => sum[end]
                - sum[from]
                - ((end - from) * sorted[end - 1].Size.Bytes),
        };

    private long SecondsOfPairs(int from, int end)
    {
        var last = end - ((end - from) % 2);
        return everySecond[last] - everySecond[from];
    }
}
