using Yuntak.Core.Base;
using Yuntak.Core.Kit;
using Yuntak.Core.Labs;
using Yuntak.Core.Shapes;
using Yuntak.Core.Units;

namespace Yuntak.Formats.Intake;

/// <summary>A host while it is put together from the parts of a text. Later parts count more than earlier ones of the same sort.</summary>
internal sealed class IntakeDraft
{
    private readonly Dictionary<string, PciFunction> functions = new(StringComparer.Ordinal);
    private readonly Dictionary<string, int> groups = new(StringComparer.Ordinal);
    private readonly Dictionary<string, string> resets = new(StringComparer.Ordinal);
    private readonly Dictionary<string, string> controllers = new(StringComparer.Ordinal);
    private readonly List<Disk> disks = [];
    private readonly Dictionary<string, int> slices = new(StringComparer.Ordinal);
    private string? console;
    private bool? groupsSplit;
    private Firmware firmware = new();

    public PartLog Log { get; } = new();

    public Processor? Processor { get; set; }

    public ByteSize? Memory { get; set; }

    /// <summary>Memory that is plugged in, for when the kernel's own figure is missing.</summary>
    public ByteSize? Installed { get; set; }

    public UsbDraft Usb { get; } = new();

    public NetDraft Net { get; } = new();

    /// <summary>For each disk's id another one it may be known by.</summary>
    public Dictionary<string, string> DiskAliases { get; } = new(StringComparer.Ordinal);

    public Keyed<HealthReading> Health { get; } = new(h => h.Ids.Count > 0 ? h.Ids[0] : h.Device);

    public Keyed<Temperature> Temperatures { get; } = new(t => t.Where);

    public Keyed<DiskSpeed> DiskSpeeds { get; } = new(s => $"{s.Job} {s.Pattern} {s.Block}");

    public Keyed<LinkSpeed> LinkSpeeds { get; } = new(s => $"{s.From} {s.To}");

    public Keyed<MemorySlot> MemorySlots { get; } = new(s => s.Name);

    /// <summary>Slots by the address of what is in them.</summary>
    public Dictionary<string, string> Slots { get; } = new(StringComparer.Ordinal);

    /// <summary>What lies on the disks.</summary>
    public FoundDraft Found { get; } = new();

    public Keyed<Listener> Listeners { get; } = new(l => $"{l.Protocol} {l.Address} {l.Port}");

    /// <summary>What runs.</summary>
    public GroupsDraft Groups { get; } = new();

    /// <summary>The speed of a core, with 1 for the reference core.</summary>
    public double? CoreSpeed { get; set; }

    public BatteryState? Battery { get; set; }

    /// <summary>Whether the groups were looked for, so that having found none means that isolation is off.</summary>
    public bool IsolationLooked { get; set; }

    public bool? VirtualisationOffered { get; set; }

    public string? HostName { get; set; }

    public DateOnly? On { get; set; }

    public void AddDisks(IEnumerable<Disk> read) => disks.AddRange(read.Where(d => disks.TrueForAll(have => have.Id != d.Id)));

    /// <summary>Adds or replaces a function; false when it was known or there are too many.</summary>
    public bool AddFunction(PciFunction function)
    {
        var known = functions.ContainsKey(function.Address);
        if (known || functions.Count < IntakeLimits.MostThings)
        {
            functions[function.Address] = function;
        }

        return !known && functions.ContainsKey(function.Address);
    }

    public void AddGroup(string address, int group)
    {
        if (groups.Count < IntakeLimits.MostThings)
        {
            groups[address] = group;
        }
    }

    public void AddSysLines(RawPart part)
    {
        Dictionary<string, int> read = new(StringComparer.Ordinal);
        foreach (var (line, _) in part.Lines())
        {
            if (SysLine.Parse(line) is { } sys)
            {
                var (name, count) = Add(sys);
                read[name] = read.GetValueOrDefault(name) + (count ? 1 : 0);
            }
        }

        foreach (var (name, count) in read)
        {
            Log.Add(name, count, part.Line);
        }
    }

    private (string Part, bool Read) Add(SysLine line)
    {
        switch (line.Kind)
        {
            case SysLineKind.Group:
                AddGroup(line.Name, int.Parse(line.Value));
                return (KitParts.Isolation, true);
            case SysLineKind.Reset when resets.Count < IntakeLimits.MostThings:
                resets[line.Name] = Names.Clean(line.Value);
                return (KitParts.Reset, true);
            case SysLineKind.Slices when slices.Count < IntakeLimits.MostThings && int.TryParse(line.Value, out var count) && count >= 0:
                slices[line.Name] = count;
                return (KitParts.Cards, false);
            case SysLineKind.Switches:
                // The switch that makes the kernel take functions for apart that the board does not keep apart.
                groupsSplit = line.Value.Contains("pcie_acs_override=", StringComparison.Ordinal);
                return (KitParts.Cards, false);
            case SysLineKind.Console:
                console = line.Name;
                return (KitParts.Cards, false);
            case SysLineKind.Slot when Slots.Count < IntakeLimits.MostThings:
                Slots[line.Name] = Names.Clean(line.Value);
                return (KitParts.Cards, false);
            case SysLineKind.UsbPath:
                return (KitParts.Usb, Usb.AddPath(line));
            case SysLineKind.UsbValue:
                Usb.AddValue(line);
                return (KitParts.Usb, false);
            case SysLineKind.NetPath:
                return (KitParts.Network, Net.AddPath(line));
            case SysLineKind.NetValue:
                return (KitParts.Network, Net.AddValue(line));
            case SysLineKind.BlockPath when controllers.Count < IntakeLimits.MostThings:
                controllers[line.Name] = line.Key;
                return (KitParts.Disks, false);
            case SysLineKind.Firmware:
                return (KitParts.Firmware, AddFirmware(line));
            case SysLineKind.ControlGroup:
                return (KitParts.Runs, Groups.Add(line));
            case SysLineKind.Virtualisation:
                VirtualisationOffered = true;
                return (KitParts.Virtualisation, true);
            default:
                return (KitParts.Other, false);
        }
    }

    private bool AddFirmware(SysLine line)
    {
        var before = firmware;
        var text = Names.Clean(line.Value);
        firmware = line.Key switch
        {
            // The firmware writes month, day and year.
            "bios_date" when DateOnly.TryParseExact(text, ["MM/dd/yyyy", "M/d/yyyy", "yyyy-MM-dd"], out var day) => firmware with
            {
                Date = day,
            },
            "bios_version" => firmware with { Version = text.Length > 60 ? text[..60] : text },
            "board_name" => firmware with { Board = text.Length > 60 ? text[..60] : text },
            _ => firmware,
        };
        return firmware != before;
    }

    public HostReading ToReading()
    {
        var health = Health.Items.ToList();
        var whole = disks.Select(d => Whole(d, health)).ToList();
        return new HostReading(WithOffer(Processor), Memory ?? Installed, whole, Log.Readings())
        {
            Hardware = new Hardware(
                [.. MemorySlots.Items],
                Functions(),
                Usb.Buses(),
                Usb.Devices(),
                Net.Ports(),
                Net.Bridges(),
                [.. Temperatures.Items],
                [.. DiskSpeeds.Items],
                [.. LinkSpeeds.Items],
                Battery,
                firmware == new Firmware() ? null : firmware,
                groups.Count > 0 ? true
                    : IsolationLooked ? false
                    : null,
                [.. Found.Mounts.Items],
                Found.Pools(whole),
                [.. Listeners.Items],
                Groups.Runs(),
                groupsSplit
            ),
            OtherHealth = health,
            CoreSpeed = CoreSpeed,
            VirtualisationOffered = VirtualisationOffered,
            AddressFixed = Net.AddressFixed(),
            HostName = HostName,
            On = On,
        };
    }

    /// <summary>A processor that could, on a host whose kernel does not offer it: the firmware keeps it off.</summary>
    private Processor? WithOffer(Processor? processor) =>
        processor is not null && VirtualisationOffered is { } offered
            ? processor with
            {
                Virtualisation = processor.Virtualisation == false ? false : offered,
            }
            : processor;

    private Disk Whole(Disk disk, List<HealthReading> health)
    {
        var own = health.Find(h => h.IsOf(disk) || (DiskAliases.GetValueOrDefault(disk.Id) is { } alias && h.Ids.Contains(alias)));
        if (own is not null)
        {
            health.Remove(own);
            disk = disk with { Health = own.Health, HoursRun = own.HoursRun };
        }

        return controllers.GetValueOrDefault(disk.Name) is { } controller ? disk with { Controller = controller } : disk;
    }

    private ValueList<PciFunction> Functions()
    {
        // Kernels before 5.15 list none at all, which says nothing.
        var looked = resets.Count > 0;
        var addresses = functions
            .Keys.Concat(groups.Keys)
            .Concat(resets.Keys)
            .Distinct(StringComparer.Ordinal)
            .Order(StringComparer.Ordinal);
        return
        [
            .. addresses
                .Take(IntakeLimits.MostThings)
                .Select(a =>
                {
                    var function = functions.GetValueOrDefault(a) ?? new PciFunction(a, "");
                    return function with
                    {
                        Group = groups.TryGetValue(a, out var group) ? group : null,
                        // The kernel lists only functions that can be reset at all.
                        Reset = resets.GetValueOrDefault(a) ?? (looked ? "" : null),
                        Slot = function.Slot ?? Slots.GetValueOrDefault(a) ?? Slots.GetValueOrDefault(a.Split('.')[0]),
                        ConsoleGraphics = a == console,
                        Slices = slices.TryGetValue(a, out var most) ? most : null,
                    };
                }),
        ];
    }
}
