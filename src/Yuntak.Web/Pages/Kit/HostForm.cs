using System.Globalization;
using Yuntak.Core.Base;
using Yuntak.Core.Kit;
using Yuntak.Core.Labs;
using Yuntak.Core.Shapes;
using Yuntak.Web.Shared;

namespace Yuntak.Web.Pages.Kit;

/// <summary>What was typed about a host, kept as typed so that nothing is lost when something in it is wrong.</summary>
public sealed class HostForm
{
    private static readonly string[] NotAsked = ["id", "read-on", "read-from-tools"];
    private static readonly string[] NotOfProcessor = ["model"];
    private readonly FormFields fields;

    private HostForm(FormFields fields) => this.fields = fields;

    /// <summary>What was typed into a field; nothing when it was left empty.</summary>
    public string this[string field] => fields[field];

    /// <summary>Whether the processor was read and is not asked for.</summary>
    public bool HasProcessor { get; init; }

    /// <summary>Whether the memory was read and is not asked for.</summary>
    public bool HasMemory { get; init; }

    /// <summary>An empty form.</summary>
    public static HostForm Empty =>
        new(
            new FormFields(
                new Dictionary<string, string>(StringComparer.Ordinal)
                {
                    ["type"] = LabWords.HostTypes.Word(HostType.Hypervisor),
                    ["architecture"] = "x86_64",
                    ["sockets"] = "1",
                    ["cores"] = "4",
                    ["threads"] = "8",
                    ["memory"] = "16 GiB",
                }
            )
        );

    /// <summary>The form of a host that is there.</summary>
    public static HostForm Of(Host host)
    {
        var values = FormFields.From(HostShapes.Host, host);
        foreach (var (name, value) in FormFields.From(HostShapes.Processor, host.Processor))
        {
            values[name] = value;
        }

        values["virtualisation"] = host.Processor.Virtualisation.YesNo() ?? "";
        values["battery-backup"] = host.BatteryBackup.YesNo() ?? "";
        values["powers-on"] = host.PowersOn.YesNo() ?? "";
        values["address-fixed"] = host.AddressFixed.YesNo() ?? "";
        return new HostForm(new FormFields(values));
    }

    /// <summary>The form for a host that was just read.</summary>
    public static HostForm Of(HostReading reading) =>
        new(
            Empty
                .fields.With("name", reading.HostName ?? "")
                .With("type", LabWords.HostTypes.Word(HostGuess.Of(reading)))
                .With("core-speed", reading.CoreSpeed is { } speed ? speed.ToString("0.###", CultureInfo.InvariantCulture) : "")
                .With("virtualisation", reading.Processor?.Virtualisation.YesNo() ?? "")
                .With("network-ports", reading.Hardware.Ports.Count(p => !p.Wireless) is > 0 and var ports ? $"{ports}" : "")
                .With("battery-backup", reading.Hardware.Battery is null ? "" : "yes")
        )
        {
            HasProcessor = reading.Processor is not null,
            HasMemory = reading.Memory is not null,
        };

    /// <summary>The form as posted. Fields that were not asked for keep the defaults of an empty form.</summary>
    /// <param name="form">What was posted.</param>
    /// <param name="reading">What was read of the host, where it was.</param>
    public static HostForm Read(IFormCollection form, HostReading? reading = null) =>
        new(FormFields.Of(form).All.Aggregate(Empty.fields, (fields, f) => fields.With(f.Key, f.Value)))
        {
            HasProcessor = reading?.Processor is not null,
            HasMemory = reading?.Memory is not null,
        };

    /// <summary>The same form for a host of another name.</summary>
    public HostForm Named(string name) => new(fields.With("name", name)) { HasProcessor = HasProcessor, HasMemory = HasMemory };

    /// <summary>The host that was described.</summary>
    /// <param name="before">The host as it was; null for a new one.</param>
    /// <exception cref="Refused">Something typed does not make sense.</exception>
    public Host ToHost(Host? before)
    {
        var start = before ?? HostShapes.Host.Blank with { Id = new HostId("new") };
        return fields.Into(HostShapes.Host, start, NotAsked) with
        {
            Processor = fields.Into(HostShapes.Processor, start.Processor, NotOfProcessor),
        };
    }
}
