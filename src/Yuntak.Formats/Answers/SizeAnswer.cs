using System.Text.Json.Nodes;
using Yuntak.Core.Figures;
using Yuntak.Core.Profiles;
using Yuntak.Core.Runbooks;
using Yuntak.Core.Shapes;
using Yuntak.Core.Units;
using Yuntak.Core.Wants;

namespace Yuntak.Formats.Answers;

/// <summary>What <c>size --json</c> answers. The names in it are a promise to people's scripts: add, never rename.</summary>
public static class SizeAnswer
{
    /// <summary>The size of a guest with every step of its working.</summary>
    public static JsonObject Of(Sizing sizing)
    {
        var packaging = Packaging.For(sizing.Leading);
        return new JsonObject
        {
            ["vcpu"] = sizing.Vcpu,
            ["memoryBytes"] = sizing.Memory.Bytes,
            ["expectedMemoryBytes"] = sizing.ExpectedMemory.Bytes,
            ["ceilingBytes"] = sizing.Ceiling.Bytes,
            ["overheadBytes"] = sizing.Overhead.Value.Bytes,
            ["systemDiskBytes"] = sizing.SystemDisk.Bytes,
            ["bulkBytes"] = sizing.Bulk.Bytes,
            ["scratchBytes"] = sizing.Scratch.Value.Bytes,
            ["busyCores"] = Math.Round(sizing.BusyCores.Value, 6),
            ["megapixelsPerSecond"] = Math.Round(sizing.EncodeMegapixels.Value, 6),
            ["acceleratorShare"] = Math.Round(sizing.AcceleratorShare.Value.Value, 6),
            ["bandwidthBitsPerSecond"] = Math.Round(sizing.Bandwidth.Value.BitsPerSecond),
            ["graphicsMemoryBytes"] = sizing.GraphicsMemory.Value.Bytes,
            ["clientMemoryBytes"] = sizing.ClientMemory.Value.Bytes,
            ["fetchBytes"] = sizing.Fetch.Value.Bytes,
            ["recommendedKind"] = ProfileWords.Kinds.Word(packaging.Kind),
            ["reasons"] = new JsonArray([.. packaging.Reasons.Select(r => (JsonNode)r)]),
            ["working"] = new JsonArray([.. Figures(sizing).SelectMany(Working)]),
        };
    }

    /// <summary>Every profile with what it asks.</summary>
    /// <param name="book">The profiles to name.</param>
    public static JsonArray Profiles(ProfileBook book) =>
        new([
            .. book.All.Select(p => new JsonObject
            {
                ["profile"] = p.Id,
                ["name"] = p.Name,
                ["loads"] = new JsonArray([
                    .. p.Loads.Select(l => new JsonObject
                    {
                        ["load"] = l.Id,
                        ["asks"] = l.Label,
                        ["unit"] = l.Unit,
                        ["usually"] = l.Default,
                        ["least"] = l.Min,
                        ["most"] = l.Max,
                    }),
                ]),
            }),
        ]);

    /// <summary>The figures that say anything, in the order people ask for them.</summary>
    public static IEnumerable<IFigure> Figures(Sizing sizing)
    {
        IFigure[] always = [sizing.AdvisedMemory, sizing.AdvisedVcpu, sizing.Overhead, sizing.AdvisedSystemDisk];
        return always.Concat(
            new (IFigure Figure, bool Says)[]
            {
                (sizing.AdvisedBulk, sizing.AdvisedBulk.Value > ByteSize.Zero),
                (sizing.Scratch, sizing.Scratch.Value > ByteSize.Zero),
                (sizing.EncodeMegapixels, sizing.EncodeMegapixels.Value > 0),
                (sizing.Bandwidth, sizing.Bandwidth.Value.BitsPerSecond > 0),
                (sizing.AcceleratorShare, sizing.AcceleratorShare.Value.Value > 0),
                (sizing.GraphicsMemory, sizing.GraphicsMemory.Value > ByteSize.Zero),
                (sizing.ClientMemory, sizing.ClientMemory.Value > ByteSize.Zero),
                (sizing.Fetch, sizing.Fetch.Value > ByteSize.Zero),
            }
                .Where(f => f.Says)
                .Select(f => f.Figure)
        );
    }

    private static IEnumerable<JsonObject> Working(IFigure figure) =>
        figure
            .Inputs.Select(i => Row(i.Label, i.Origin.ToString().ToLowerInvariant(), i.ValueText))
            .Append(Row(figure.Label, figure.Formula, figure.ValueText));

    private static JsonObject Row(string label, string formula, string result) =>
        new()
        {
            ["label"] = label,
            ["formula"] = formula,
            ["result"] = result,
        };
}
