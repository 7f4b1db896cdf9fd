using System.Globalization;
using Yuntak.Core.Edits;
using Yuntak.Core.Kit;
using Yuntak.Core.Labs;
using Yuntak.Web.Shared;

namespace Yuntak.Web.Pages.Kit;

/// <summary>What was typed about a host, kept as typed so that nothing is lost when something in it is wrong.</summary>
public sealed record HostForm(
    string Name,
    string Description,
    string Architecture,
    string Sockets,
    string Cores,
    string Threads,
    string Memory,
    string Virtualisation,
    string NetworkPorts,
    string BatteryBackup,
    string IdleWatts,
    string FullWatts
)
{
    private const string Yes = "yes";
    private const string No = "no";

    /// <summary>Whether the processor was read and is not asked for.</summary>
    public bool HasProcessor { get; init; }

    /// <summary>Whether the memory was read and is not asked for.</summary>
    public bool HasMemory { get; init; }

    /// <summary>An empty form.</summary>
    public static HostForm Empty => new("", "", "x86_64", "1", "4", "8", "16 GiB", "", "", "", "", "");

    /// <summary>The form of a host that is there.</summary>
    public static HostForm Of(Host host) =>
        new(
            host.Name,
            host.Description,
            host.Processor.Architecture,
            Text(host.Processor.Sockets),
            Text(host.Processor.Cores),
            Text(host.Processor.Threads),
            host.Memory.ToExactString(),
            Text(host.Processor.Virtualisation),
            Text(host.NetworkPorts),
            Text(host.BatteryBackup),
            Text(host.IdleWatts),
            Text(host.FullWatts)
        );

    /// <summary>The form for a host that was just read.</summary>
    public static HostForm Of(HostReading reading) =>
        Empty with
        {
            Name = reading.HostName ?? "",
            Virtualisation = Text(reading.Processor?.Virtualisation),
            NetworkPorts = reading.Hardware.Ports.Count(p => !p.Wireless) is > 0 and var ports ? Text(ports) : "",
            BatteryBackup = reading.Hardware.Battery is null ? "" : Yes,
            HasProcessor = reading.Processor is not null,
            HasMemory = reading.Memory is not null,
        };

    /// <summary>The form as posted. Fields that were not asked for keep the defaults of an empty form.</summary>
    public static HostForm Read(IFormCollection form)
    {
        string Field(string name, string otherwise) => form.TryGetValue(name, out var value) ? value.ToString() : otherwise;
        var empty = Empty;
        return new HostForm(
            Field("name", ""),
            Field("description", ""),
            Field("architecture", empty.Architecture),
            Field("sockets", empty.Sockets),
            Field("cores", empty.Cores),
            Field("threads", empty.Threads),
            Field("memory", empty.Memory),
            Field("virtualisation", ""),
            Field("network-ports", ""),
            Field("battery-backup", ""),
            Field("idle-watts", ""),
            Field("full-watts", "")
        );
    }

    /// <summary>The host that was described.</summary>
    /// <param name="before">The host as it was; null for a new one.</param>
    /// <exception cref="EditRefused">Something typed does not make sense.</exception>
    public Host ToHost(Host? before)
    {
        var processor = new Processor(
            Names.Clean(Architecture) is { Length: > 0 and < 40 } architecture ? architecture : "unknown",
            Typed.Whole(Sockets, "Sockets", 1, 64),
            Typed.Whole(Cores, "Cores", 1, 4096),
            Typed.Whole(Threads, "Threads", 1, 32_768),
            Known(Virtualisation),
            before?.Processor.Model
        );
        var host = before ?? new Host(new HostId("new"), Name, Description, processor, default);
        return host with
        {
            Name = Name,
            Description = Description.Length > 200 ? throw new EditRefused("A description has 200 characters at most.") : Description,
            Processor = processor,
            Memory = Typed.Size(Memory, "Memory"),
            NetworkPorts = Typed.OptionalWhole(NetworkPorts, "Network ports", 0, 256),
            BatteryBackup = Known(BatteryBackup),
            IdleWatts = Typed.OptionalNumber(IdleWatts, "Watts at rest"),
            FullWatts = Typed.OptionalNumber(FullWatts, "Watts at full load"),
        };
    }

    private static bool? Known(string text) =>
        text switch
        {
            Yes => true,
            No => false,
            _ => null,
        };

    private static string Text(bool? known) => known.YesNo() ?? "";

    private static string Text(IFormattable? number) => number?.ToString(null, CultureInfo.InvariantCulture) ?? "";
}
