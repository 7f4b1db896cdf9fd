using System.Globalization;
using System.Text.Json;
using System.Text.RegularExpressions;
using Yuntak.Core.Base;
using Yuntak.Core.Kit;
using Yuntak.Core.Labs;
using Yuntak.Core.Shapes;
using Yuntak.Core.Units;

namespace Yuntak.Formats.Intake;

/// <summary>Reads <c>lscpu -J</c>, with flat rows (older) or nested ones (newer), and plain <c>lscpu</c>.</summary>
internal static partial class ProcessorReader
{
    public static void ReadJson(JsonElement root, int line, string? problem, IntakeDraft draft)
    {
        List<(string Field, string Data)> rows = [];
        Collect(root.Rows("lscpu"), rows, depth: 0);
        Read(rows, line, problem is null ? [] : [problem], draft);
    }

    public static void ReadPlain(RawPart part, IntakeDraft draft)
    {
        var rows = part.Text.Split('\n').Select(l => l.Split(':', 2)).Where(p => p.Length == 2).Select(p => (p[0].Trim(), p[1].Trim()));
        Read([.. rows], part.Line, [], draft);
    }

    private static void Collect(IEnumerable<JsonElement> rows, List<(string Field, string Data)> into, int depth)
    {
        foreach (var row in rows)
        {
            if (row.Text("field") is { } field)
            {
                into.Add((field.TrimEnd(':').Trim(), row.Text("data") ?? ""));
            }

            if (depth < 16)
            {
                Collect(row.Rows("children"), into, depth + 1);
            }
        }
    }

    private static void Read(List<(string Field, string Data)> rows, int line, List<string> problems, IntakeDraft draft)
    {
        var read = rows.Count;
        // A family is one word; what is torn or strange stays one, so that what was read can be kept.
        var architecture = rows.FirstOrDefault(r => r.Field == "Architecture").Data is { } said
            ? string.Concat(Names.Clean(said).Where(c => !char.IsWhiteSpace(c)).Take(40))
            : null;
        var threads = Number(rows, "CPU(s)");
        if (architecture is null && threads is null)
        {
            problems.Add("processor: none of the rows expected; run it as LC_ALL=C lscpu -J, so that it answers in English");
            draft.Log.Add(KitParts.Processor, 0, line, problems);
            return;
        }

        var (sockets, cores) = Topology(rows);
        if (threads is null)
        {
            problems.Add("processor: the row «CPU(s)» is missing, so the threads are taken from the rows that are there");
            threads = cores * (Number(rows, "Thread(s) per core") ?? 1) ?? 1;
        }

        if (cores is null)
        {
            cores = Math.Max(1, threads.Value / Math.Max(1, Number(rows, "Thread(s) per core") ?? 1));
            problems.Add($"processor: no row says how many cores there are; {cores} is worked out from the threads");
        }

        // Switched-off threads are listed under CPU(s) too, and mixed cores make the product larger than the threads: the threads are what counts.
        cores = Math.Clamp(cores.Value, 1, Math.Max(1, threads.Value));
        draft.Processor = new Processor(
            architecture is { Length: > 0 } ? architecture : "unknown",
            sockets,
            cores.Value,
            Math.Max(1, threads.Value),
            Virtualisation(rows),
            rows.FirstOrDefault(r => r.Field == "Model name").Data
        );
        draft.Log.Add(KitParts.Processor, read, line, problems);
    }

    /// <summary>Sockets and cores. Processors with two sorts of cores repeat the rows for each sort; their cores add up.</summary>
    private static (int Sockets, int? Cores) Topology(List<(string Field, string Data)> rows)
    {
        var sockets = 0;
        int? cores = null;
        int? each = null;
        foreach (var (field, data) in rows)
        {
            int? number =
                int.TryParse(data, NumberStyles.None, CultureInfo.InvariantCulture, out var n) && n is > 0 and < 100_000 ? n : null;
            if (field is "Core(s) per socket" or "Core(s) per cluster")
            {
                each = number;
            }
            else if (field is "Socket(s)" or "Cluster(s)" && number is not null)
            {
                // «Socket(s): -» says nothing; then «Cluster(s): n» follows, and is the number that goes with the cores.
                cores = each is null ? cores : (cores ?? 0) + (each * number);
                sockets = field == "Socket(s)" ? Math.Max(sockets, number.Value) : sockets;
                each = null;
            }
        }

        return (Math.Max(1, sockets), each is null ? cores : (cores ?? 0) + each);
    }

    private static int? Number(List<(string Field, string Data)> rows, string field) =>
        rows.Where(r => r.Field == field)
            .Select(r => int.TryParse(r.Data, NumberStyles.None, CultureInfo.InvariantCulture, out var n) && n > 0 ? n : (int?)null)
            .FirstOrDefault(n => n is not null);

    /// <summary>On when the row or the flag is there; off when the flags are listed without it; unknown when no flags are listed or the family has none.</summary>
    private static bool? Virtualisation(List<(string Field, string Data)> rows)
    {
        if (rows.Any(r => r.Field == "Virtualization" && r.Data.Length > 0))
        {
            return true;
        }

        var flags = rows.FirstOrDefault(r => r.Field == "Flags").Data;
        if (flags is null || !rows.Any(r => r.Field == "Architecture" && r.Data is "x86_64" or "i686" or "i386"))
        {
            return null;
        }

        return VirtualisationFlag().IsMatch(flags);
    }

    [GeneratedRegex(@"\b(vmx|svm)\b", RegexOptions.ExplicitCapture, 1_000)]
    private static partial Regex VirtualisationFlag();
}
