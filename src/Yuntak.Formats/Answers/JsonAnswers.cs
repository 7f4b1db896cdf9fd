using System.Globalization;
using System.Text.Encodings.Web;
using System.Text.Json;
using System.Text.Json.Nodes;
using Yuntak.Core.Base;
using Yuntak.Core.Bench;
using Yuntak.Core.Disks;
using Yuntak.Core.Findings;
using Yuntak.Core.Kit;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Runbooks;
using Yuntak.Core.Schedules;
using Yuntak.Core.Shapes;
using Yuntak.Core.Stations;
using Yuntak.Core.Units;
using Yuntak.Core.Wants;

namespace Yuntak.Formats.Answers;

/// <summary>The answers of the command line as JSON. The names in them are a promise to people's scripts: add, never rename.</summary>
public static class JsonAnswers
{
    private static readonly JsonSerializerOptions Readable = new()
    {
        WriteIndented = true,
        Encoder = JavaScriptEncoder.UnsafeRelaxedJsonEscaping,
    };

    /// <summary>What <c>intake --json</c> answers.</summary>
    /// <param name="reading">What was read.</param>
    /// <param name="changes">What it changes in a lab, in words; null when no lab was given.</param>
    public static string Intake(HostReading reading, IEnumerable<string>? changes = null)
    {
        var answer = new JsonObject
        {
            ["host"] = new JsonObject
            {
                ["architecture"] = reading.Processor?.Architecture,
                ["sockets"] = reading.Processor?.Sockets,
                ["cores"] = reading.Processor?.Cores,
                ["threads"] = reading.Processor?.Threads,
                ["effectiveCores"] = reading.Processor is { } p ? ProcessorBudget.EffectiveCores(p, LabSettings.Default).Value.Value : null,
                ["memoryBytes"] = reading.Memory?.Bytes,
                ["disks"] = List(reading.Disks.Select(Disk)),
                ["virtualisation"] = reading.Processor?.Virtualisation.OnOff() ?? "unknown",
                ["isolation"] = reading.Hardware.Isolation.OnOff() ?? "unknown",
                ["functions"] = List(reading.Hardware.Functions.Select(Function)),
                ["usb"] = List(reading.Hardware.UsbDevices.Select(d => Usb(d, reading.Hardware))),
                ["ports"] = List(reading.Hardware.Ports.Select(Port)),
                ["coreSpeed"] = reading.CoreSpeed,
                ["type"] = LabWords.HostTypes.Word(HostGuess.Of(reading)),
                ["mounts"] = List(reading.Hardware.Mounts.Select(FoundAnswer.Mount)),
                ["pools"] = List(reading.Hardware.Found.Select(FoundAnswer.Pool)),
                ["listeners"] = List(reading.Hardware.Listeners.Select(FoundAnswer.Listener)),
                ["runs"] = List(reading.Hardware.Runs.Select(FoundAnswer.Runs)),
                ["name"] = reading.HostName,
                ["readOn"] = reading.On?.ToString("O"),
            },
            ["parts"] = List(
                reading.Parts.Select(p => new JsonObject
                {
                    ["part"] = p.Part,
                    ["read"] = p.Read,
                    ["problems"] = List(p.Problems.Select(t => JsonValue.Create(t))),
                    ["hints"] = List(p.Hints.Select(t => JsonValue.Create(t))),
                })
            ),
        };
        if (changes is not null)
        {
            answer["changes"] = List(changes.Select(t => JsonValue.Create(t)));
        }

        return Text(answer);
    }

    /// <summary>What <c>size --json</c> answers.</summary>
    public static string Size(Sizing sizing) => Text(SizeAnswer.Of(sizing));

    /// <summary>What <c>pool --json</c> answers.</summary>
    public static string Pool(PoolPlan plan) => Text(PoolAnswer.Of(plan));

    /// <summary>What <c>layouts --json</c> answers.</summary>
    public static string Layouts(IEnumerable<LayoutCandidate> candidates) =>
        Text(new JsonObject { ["layouts"] = PoolAnswer.Of(candidates) });

    /// <summary>What <c>size --list --json</c> answers.</summary>
    public static string Profiles(ProfileBook book) => Text(new JsonObject { ["profiles"] = SizeAnswer.Profiles(book) });

    /// <summary>What <c>check --json</c> answers.</summary>
    public static string Check(Assessment lab) =>
        Text(
            new JsonObject
            {
                ["findings"] = List(
                    lab.Findings.Select(f => new JsonObject
                    {
                        ["rule"] = f.Rule.Id,
                        ["severity"] = f.Severity.ToString().ToLowerInvariant(),
                        ["subject"] = f.Subject.Name,
                        ["text"] = $"{f.Title}. {f.Text}",
                    })
                ),
                ["hosts"] = List(
                    lab.Hosts.Select(h => new JsonObject
                    {
                        ["name"] = h.Host.Name,
                        ["memoryCommittedBytes"] = h.Memory.Committed.Value.Bytes,
                        ["memoryTotalBytes"] = h.Memory.Total.Bytes,
                        ["memoryHardBytes"] = h.Memory.Hard.Bytes,
                        ["peakHour"] = h.Processor.PeakHour,
                        ["peakCores"] = Math.Round(h.Processor.Peak.Value.Value, 6),
                        ["effectiveCores"] = Math.Round(h.Processor.Effective.Value.Value, 6),
                    })
                ),
            }
        );

    /// <summary>What <c>runbook --json</c> answers.</summary>
    public static string Runbook(Runbook runbook) =>
        Text(
            new JsonObject
            {
                ["lab"] = runbook.Lab,
                ["open"] = runbook.Open,
                ["sections"] = List(
                    runbook.Sections.Select(s => new JsonObject
                    {
                        ["title"] = s.Title,
                        ["cautions"] = List(s.Cautions.Select(t => JsonValue.Create(t))),
                        ["steps"] = List(s.Steps.Select(Step)),
                    })
                ),
            }
        );

    /// <summary>Files as JSON: for each its path and content.</summary>
    public static string Files(IEnumerable<(string Guest, string Path, string Content)> files) =>
        Text(
            new JsonObject
            {
                ["files"] = List(
                    files.Select(f => new JsonObject
                    {
                        ["guest"] = f.Guest,
                        ["path"] = f.Path,
                        ["content"] = f.Content,
                    })
                ),
            }
        );

    /// <summary>A refusal: what could not be read and why.</summary>
    public static string Problems(IEnumerable<string> problems) =>
        Text(new JsonObject { ["problems"] = List(problems.Select(t => JsonValue.Create(t))) });

    private static JsonObject Disk(Disk disk) =>
        new()
        {
            ["id"] = disk.Id,
            ["sizeBytes"] = disk.Size.Bytes,
            ["kind"] = disk.Kind.Words().Replace(' ', '-').ToLowerInvariant(),
            ["mountedAt"] = List(disk.MountedAt.Select(m => JsonValue.Create(m))),
            ["hours"] = disk.HoursRun,
            ["wearPercent"] = disk.Health?.WearPercent,
            ["health"] = disk.Health?.Word ?? "unknown",
        };

    private static JsonObject Function(PciFunction function) =>
        new()
        {
            ["address"] = function.Address,
            ["classCode"] = function.ClassCode,
            ["kind"] = PciClasses.KindOf(function.ClassCode),
            ["group"] = function.Group,
            ["driver"] = function.Driver,
            ["reset"] = function.Reset,
            ["name"] = function.Name,
        };

    private static JsonObject Usb(UsbDevice device, Hardware hardware) =>
        new()
        {
            // A device of the plain list has a bus, and so a controller, but nobody named its port.
            ["port"] = device.Port.Contains('?', StringComparison.Ordinal) ? null : device.Port,
            ["id"] = device.Id,
            ["name"] = device.Name,
            ["controller"] = hardware.ControllerOf(device.Port),
        };

    private static JsonObject Port(NetworkPort port) =>
        new()
        {
            ["name"] = port.Name,
            ["mac"] = port.Mac,
            ["speedMbps"] = port.SpeedMbps,
        };

    private static JsonObject Step(RunbookStep step) =>
        new()
        {
            ["id"] = step.Id,
            ["where"] = step.Where,
            ["what"] = step.What,
            ["caution"] = step.Caution,
            ["values"] = List(
                step.Values.Select(v => new JsonObject
                {
                    ["label"] = v.Label,
                    ["value"] = v.Value,
                    ["run"] = v.Run,
                    ["blank"] = v.Blank,
                })
            ),
            ["lookFirst"] = step.LookFirst,
            ["minutes"] = step.Minutes,
            ["leastMinutes"] = step.Least,
            ["mostMinutes"] = step.Most,
            ["check"] = step.Check,
            ["ifNot"] = step.IfNot,
            ["wayBack"] = step.WayBack,
            ["done"] = step.Done,
            ["act"] = new JsonObject(step.Act.Values.Prepend(KeyValuePair.Create("type", (JsonNode?)step.Act.Type))),
            ["wipes"] = List(step.Act.Wipes.Select(d => JsonValue.Create(d))),
            ["stops"] = List(step.Act.Stops.Select(g => JsonValue.Create(g.Value))),
        };

    private static JsonArray List(IEnumerable<JsonNode?> items) => new([.. items]);

    /// <summary>The copies a retention leaves, the newest first, by the clock on the wall.</summary>
    public static string Retention(IEnumerable<KeptCopy> left) =>
        Text(
            new JsonObject
            {
                ["kept"] = new JsonArray([
                    .. left.Select(c => JsonValue.Create(c.At.ToString("yyyy-MM-dd'T'HH:mm", CultureInfo.InvariantCulture))),
                ]),
            }
        );

    internal static string Text(JsonNode answer) => answer.ToJsonString(Readable);
}
