using System.Text.Json;
using Yuntak.Core.Base;
using Yuntak.Core.Kit;
using Yuntak.Core.Labs;
using Yuntak.Core.Units;

namespace Yuntak.Formats.Intake;

/// <summary>Reads <c>fio --output-format=json</c> and <c>iperf3 -J</c>.</summary>
internal static class SpeedReader
{
    private const double MostBytesPerSecond = 1e13;

    /// <summary>Whether an object is a result of fio.</summary>
    public static bool IsDisk(JsonElement root) =>
        root.TryGetProperty("fio version", out _) || (root.TryGetProperty("jobs", out var jobs) && jobs.ValueKind == JsonValueKind.Array);

    /// <summary>Whether an object is a result of iperf3.</summary>
    public static bool IsLink(JsonElement root) =>
        root.TryGetProperty("intervals", out _)
        || (root.TryGetProperty("start", out var start) && start.ValueKind == JsonValueKind.Object && root.TryGetProperty("end", out _));

    public static void ReadDisk(JsonElement root, int line, string? problem, IntakeDraft draft)
    {
        List<string> problems = problem is null ? [] : [problem];
        var read = 0;
        foreach (var job in root.Rows("jobs").Take(IntakeLimits.MostThings))
        {
            var options = job.At("job options");
            var general = root.At("global options");
            var speed = new DiskSpeed(
                Names.Clean(job.Text("jobname") ?? "a run"),
                options.Text("rw") ?? general.Text("rw"),
                options.Text("bs") ?? general.Text("bs"),
                Rate(job.At("read")),
                PerSecond(job.At("read")),
                Rate(job.At("write")),
                PerSecond(job.At("write"))
            );
            if (speed.Read is null && speed.Write is null)
            {
                problems.Add($"line {line}: the run «{speed.Job}» neither read nor wrote anything");
                continue;
            }

            draft.DiskSpeeds.Add(speed);
            read++;
        }

        draft.Log.Add(KitParts.DiskSpeed, read, line, problems);
    }

    public static void ReadLink(JsonElement root, int line, string? problem, IntakeDraft draft)
    {
        List<string> problems = problem is null ? [] : [problem];
        var end = root.At("end");
        var bits =
            end.At("sum_received").Number("bits_per_second")
            ?? end.At("sum").Number("bits_per_second")
            ?? end.At("sum_sent").Number("bits_per_second");
        if (bits is not (> 0 and < MostBytesPerSecond * 8))
        {
            problems.Add($"line {line}: iperf3 says: {Names.Clean(root.Text("error") ?? "nothing of what arrived")}");
            draft.Log.Add(KitParts.LinkSpeed, 0, line, problems);
            return;
        }

        var ends = root.At("start").Rows("connected").FirstOrDefault();
        var (local, remote) = (Names.Clean(ends.Text("local_host") ?? "here"), Names.Clean(ends.Text("remote_host") ?? "there"));
        var reverse = root.At("start").At("test_start").Text("reverse") == "1";
        draft.LinkSpeeds.Add(new LinkSpeed(reverse ? remote : local, reverse ? local : remote, new DataRate(bits.Value)));
        draft.Log.Add(KitParts.LinkSpeed, 1, line, problems);
    }

    /// <summary>The rate; newer versions say bytes, older ones KiB in a second.</summary>
    private static DataRate? Rate(JsonElement side) =>
        (side.Number("bw_bytes") ?? (side.Number("bw") * 1024)) is { } bytes and > 0 and < MostBytesPerSecond
            ? DataRate.FromBytes(bytes)
            : null;

    private static double? PerSecond(JsonElement side) => side.Number("iops") is { } n and > 0 and < 1e12 ? Math.Round(n, 1) : null;
}
