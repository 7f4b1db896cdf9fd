using System.Text.Json.Nodes;
using Yuntak.Core.Disks;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Runbooks;
using Yuntak.Core.Shapes;

namespace Yuntak.Formats.Answers;

/// <summary>What <c>pool --json</c> and <c>layouts --json</c> answer. The names in it are a promise to people's scripts: add, never rename.</summary>
public static class PoolAnswer
{
    /// <summary>Room, risk and warnings of one way to join disks.</summary>
    public static JsonObject Of(PoolPlan plan) =>
        new()
        {
            ["rawBytes"] = plan.Room.Raw.Bytes,
            ["afterParityBytes"] = plan.Room.AfterParity.Bytes,
            ["afterPaddingBytes"] = plan.Room.AfterPadding.Bytes,
            ["usableBytes"] = plan.Room.Usable.Bytes,
            ["comfortBytes"] = plan.Room.Comfort.Bytes,
            ["efficiency"] = Math.Round(plan.Efficiency, 6),
            ["survives"] = plan.Risk.Survives,
            ["rebuildHours"] = Math.Round(plan.Risk.RebuildHours, 3),
            ["scrubHours"] = Math.Round(plan.Risk.ScrubHours, 3),
            ["mttdlYears"] = Significant(plan.Risk.MeanYearsToLoss),
            ["lossPerYear"] = Significant(plan.Risk.LossPerYear),
            ["lossPerYearInBatch"] = Significant(plan.Risk.LossInBatch),
            ["leftOverBytes"] = plan.LeftOver.Bytes,
            ["warnings"] = new JsonArray([.. plan.Warnings().Select(w => (JsonNode)w)]),
        };

    /// <summary>Every way to join some disks.</summary>
    public static JsonArray Of(IEnumerable<LayoutCandidate> candidates) => new([.. candidates.Select(Of)]);

    private static JsonObject Of(LayoutCandidate candidate)
    {
        var plan = candidate.Plan;
        var tree = new JsonObject
        {
            ["layout"] = DiskText.Word(plan.Layout, plan.Groups.Count),
            ["family"] = LabWords.Families.Word(plan.Family),
            ["words"] = plan.Words,
            ["best"] = candidate.Best,
            ["recommended"] = candidate.Recommended,
            ["smallWrites"] = plan.SmallWrites,
            ["grows"] = plan.Grows,
        };
        if (candidate.Cost is { } cost)
        {
            tree["pricePerUsableTB"] = Math.Round(cost.PerUsableTB, 2);
        }

        foreach (var (key, value) in Of(plan))
        {
            tree[key] = value?.DeepClone();
        }

        return tree;
    }

    /// <summary>Seven significant digits: these figures span many powers of ten.</summary>
    private static double Significant(double value) =>
        double.Parse(
            value.ToString("G7", System.Globalization.CultureInfo.InvariantCulture),
            System.Globalization.CultureInfo.InvariantCulture
        );
}
