using System.Text.Json.Nodes;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;

namespace Yuntak.Formats.Answers;

/// <summary>What a host was found doing, for programs: sizes in bytes, times in seconds.</summary>
internal static class FoundAnswer
{
    public static JsonObject Mount(Mount mount) =>
        new()
        {
            ["at"] = mount.Target,
            ["from"] = mount.Source,
            ["fileSystem"] = mount.FileSystem,
            ["options"] = mount.Options,
            ["sizeBytes"] = mount.Size?.Bytes,
            ["usedBytes"] = mount.Used?.Bytes,
            ["uuid"] = mount.Uuid,
            ["fromNetwork"] = mount.FromNetwork,
            ["noExecution"] = mount.NoExecution,
        };

    public static JsonObject Pool(FoundPool pool) =>
        new()
        {
            ["name"] = pool.Name,
            ["layout"] = LabWords.Layouts.Word(pool.Layout),
            ["family"] = LabWords.Families.Word(pool.Family),
            ["disks"] = new JsonArray([.. pool.DiskIds.Select(d => JsonValue.Create(d))]),
            ["mountedAt"] = pool.MountedAt,
            ["sizeBytes"] = pool.Size?.Bytes,
            ["usedBytes"] = pool.Used?.Bytes,
            ["missing"] = pool.Missing,
            ["unsure"] = pool.Unsure,
        };

    public static JsonObject Listener(Listener listener) =>
        new()
        {
            ["protocol"] = listener.Protocol,
            ["address"] = listener.Address,
            ["port"] = listener.Port,
        };

    public static JsonObject Runs(Running running) =>
        new()
        {
            ["group"] = running.Group,
            ["name"] = running.Name,
            ["memoryBytes"] = running.Memory.Bytes,
            ["peakBytes"] = running.Peak?.Bytes,
            ["processorSeconds"] = running.ProcessorSeconds,
            ["kind"] = running.Kind is { } kind ? ProfileWords.Kinds.Word(kind) : null,
        };
}
