using System.Text.Json.Serialization;
using Yuntak.Core.Base;
using Yuntak.Core.Units;

namespace Yuntak.Core.Labs;

/// <summary>
/// A machine that runs guests. What is there (facts) and what is planned for it are two records; for reading and changing one member they show as one, so that
/// a sum does not have to know on which side a figure lives.
/// </summary>
/// <param name="Id">Its identity.</param>
/// <param name="Name">What people call it.</param>
/// <param name="Description">A few words: «workshop tower».</param>
/// <param name="Facts">What is there, read or said.</param>
/// <param name="Plan">What is made of it.</param>
/// <param name="Stands">In a file: whether it is there already and serves somebody. In a lab that is kept, what stands (as built) says so itself.</param>
public sealed record Host(HostId Id, string Name, string Description, HostFacts Facts, HostPlan Plan, bool Stands = false)
{
    /// <inheritdoc cref="HostFacts.Processor"/>
    [JsonIgnore]
    public Processor Processor
    {
        get => Facts.Processor;
        init => Facts = Facts with { Processor = value };
    }

    /// <inheritdoc cref="HostFacts.Memory"/>
    [JsonIgnore]
    public ByteSize Memory
    {
        get => Facts.Memory;
        init => Facts = Facts with { Memory = value };
    }

    /// <inheritdoc cref="HostFacts.Disks"/>
    [JsonIgnore]
    public ValueList<Disk> Disks
    {
        get => Facts.Disks;
        init => Facts = Facts with { Disks = value };
    }

    /// <inheritdoc cref="HostFacts.NetworkPorts"/>
    [JsonIgnore]
    public int? NetworkPorts
    {
        get => Facts.NetworkPorts;
        init => Facts = Facts with { NetworkPorts = value };
    }

    /// <inheritdoc cref="HostFacts.BatteryBackup"/>
    [JsonIgnore]
    public bool? BatteryBackup
    {
        get => Facts.BatteryBackup;
        init => Facts = Facts with { BatteryBackup = value };
    }

    /// <inheritdoc cref="HostFacts.IdleWatts"/>
    [JsonIgnore]
    public double? IdleWatts
    {
        get => Facts.IdleWatts;
        init => Facts = Facts with { IdleWatts = value };
    }

    /// <inheritdoc cref="HostFacts.FullWatts"/>
    [JsonIgnore]
    public double? FullWatts
    {
        get => Facts.FullWatts;
        init => Facts = Facts with { FullWatts = value };
    }

    /// <inheritdoc cref="HostFacts.WasRead"/>
    [JsonIgnore]
    public bool WasRead
    {
        get => Facts.WasRead;
        init => Facts = Facts with { WasRead = value };
    }

    /// <inheritdoc cref="HostFacts.Inside"/>
    [JsonIgnore]
    public Hardware? Inside
    {
        get => Facts.Inside;
        init => Facts = Facts with { Inside = value };
    }

    /// <inheritdoc cref="HostFacts.PowersOn"/>
    [JsonIgnore]
    public bool? PowersOn
    {
        get => Facts.PowersOn;
        init => Facts = Facts with { PowersOn = value };
    }

    /// <inheritdoc cref="HostFacts.AddressFixed"/>
    [JsonIgnore]
    public bool? AddressFixed
    {
        get => Facts.AddressFixed;
        init => Facts = Facts with { AddressFixed = value };
    }

    /// <inheritdoc cref="HostFacts.ReadOn"/>
    [JsonIgnore]
    public DateOnly? ReadOn
    {
        get => Facts.ReadOn;
        init => Facts = Facts with { ReadOn = value };
    }

    /// <inheritdoc cref="HostFacts.Tries"/>
    [JsonIgnore]
    public ValueList<DeviceTry> Tries
    {
        get => Facts.Tries;
        init => Facts = Facts with { Tries = value };
    }

    /// <inheritdoc cref="HostFacts.Checks"/>
    [JsonIgnore]
    public ValueList<ReadinessCheck> Checks
    {
        get => Facts.Checks;
        init => Facts = Facts with { Checks = value };
    }

    /// <inheritdoc cref="HostFacts.Notes"/>
    [JsonIgnore]
    public ValueList<FactNote> Notes
    {
        get => Facts.Notes;
        init => Facts = Facts with { Notes = value };
    }

    /// <inheritdoc cref="HostFacts.Type"/>
    [JsonIgnore]
    public HostType Type
    {
        get => Facts.Type;
        init => Facts = Facts with { Type = value };
    }

    /// <inheritdoc cref="HostFacts.BaseMemory"/>
    [JsonIgnore]
    public ByteSize? BaseMemory
    {
        get => Facts.BaseMemory;
        init => Facts = Facts with { BaseMemory = value };
    }

    /// <inheritdoc cref="HostFacts.SystemShare"/>
    [JsonIgnore]
    public ByteSize? SystemShare
    {
        get => Facts.SystemShare;
        init => Facts = Facts with { SystemShare = value };
    }

    /// <inheritdoc cref="HostFacts.CoreSpeed"/>
    [JsonIgnore]
    public double? CoreSpeed
    {
        get => Facts.CoreSpeed;
        init => Facts = Facts with { CoreSpeed = value };
    }

    /// <inheritdoc cref="HostFacts.Encoder"/>
    [JsonIgnore]
    public EncoderClass? Encoder
    {
        get => Facts.Encoder;
        init => Facts = Facts with { Encoder = value };
    }

    /// <inheritdoc cref="HostPlan.Pools"/>
    [JsonIgnore]
    public ValueList<Pool> Pools
    {
        get => Plan.Pools;
        init => Plan = Plan with { Pools = value };
    }

    /// <summary>What is planned for it on the networks.</summary>
    [JsonIgnore]
    public HostWires Wires
    {
        get => Plan.Wires ?? HostWires.None;
        init => Plan = Plan with { Wires = value == HostWires.None ? null : value };
    }

    /// <summary>What is known of its kind.</summary>
    public HostKind Kind => HostKind.Of(Type);

    /// <summary>How fast a core is, with 1 for the reference core: measured or said, else assumed of its kind.</summary>
    public double Speed => CoreSpeed ?? Kind.CoreSpeed;

    /// <summary>The disks it starts from: those that hold the root or a boot entry, two of a mirrored boot. Where nothing says so, the only disk of a host that is installed on one.</summary>
    public IEnumerable<Disk> BootDisks =>
        Disks.Any(d => d.IsBoot) ? Disks.Where(d => d.IsBoot)
        : Kind.InstalledOn && Disks.Count == 1 ? Disks
        : [];

    /// <summary>Whether it starts from a disk.</summary>
    public bool StartsFrom(Disk disk) => BootDisks.Any(d => d.Id == disk.Id);

    /// <summary>What its system keeps of a disk: of each disk it starts from the system share, at most the whole disk; of others nothing.</summary>
    public ByteSize SystemShareOf(Disk disk) => StartsFrom(disk) ? ByteSize.Min(SystemShare ?? Kind.SystemShare, disk.Size) : ByteSize.Zero;

    /// <summary>Whether it has disks a guest could live on besides those it starts from.</summary>
    public bool HasOtherDisks => Disks.Any(d => !StartsFrom(d) && !d.Removable && d.Kind is not (DiskKind.Usb or DiskKind.Card));

    /// <summary>What else was read inside it.</summary>
    public Hardware Hardware => Inside ?? Hardware.None;

    /// <summary>The same host with other things inside.</summary>
    public Host With(Hardware hardware) => this with { Inside = hardware == Hardware.None ? null : hardware };

    /// <summary>The pool of that name, if there is one.</summary>
    public Pool? PoolNamed(string? name) => Pools.FirstOrDefault(p => p.Name == name);

    /// <summary>The pool a folder lies in, by where pools are mounted: as was read or said, else below their names; null when it is in none.</summary>
    public Pool? PoolAt(string path) =>
        Pools
            .Where(p => (path + "/").StartsWith(PlaceOf(p).TrimEnd('/') + "/", StringComparison.Ordinal))
            .OrderByDescending(p => PlaceOf(p).Length)
            .FirstOrDefault();

    /// <summary>Where a pool is mounted: as was read or said, else below its name.</summary>
    public static string PlaceOf(Pool pool) => pool.MountedAt ?? $"/{Base.Names.Slug(pool.Name)}";

    /// <summary>The port it is looked after through: the one said or read to be, else the first there is.</summary>
    public NetworkPort? ManagementPort =>
        Hardware.Ports.FirstOrDefault(p => p.Management) ?? (Hardware.Ports.Count > 0 ? Hardware.Ports[0] : null);

    /// <summary>The disks that belong to no pool.</summary>
    public IEnumerable<Disk> DisksInNoPool => Disks.Where(d => Pools.All(p => !p.DiskIds.Contains(d.Id)));

    /// <summary>Those of them that may be joined into one: nobody starts from them, nothing is mounted on them, and they are not meant to be pulled out.</summary>
    public IEnumerable<Disk> DisksToJoin => DisksInNoPool.Where(d => !StartsFrom(d) && !d.Removable && d.MountedAt.Count == 0);

    /// <summary>
    /// Whether a disk holds something that nobody has said may go. Of a host that nobody has looked into, what is mounted where is how it will be; what its disks
    /// hold is said of today, and counts.
    /// </summary>
    public bool HoldsUnsaid(Disk disk) =>
        disk.MayBeWiped is null && (disk.Holds.Count > 0 || ((WasRead || Stands) && disk.MountedAt.Count > 0));

    /// <summary>The disks of a pool that are still in the host, each with the size that is left of it beside the host's own system.</summary>
    public IEnumerable<Disk> PartsOf(Pool pool) => DisksOf(pool).Select(d => d with { Size = d.Size - SystemShareOf(d) });

    /// <summary>The disks of a pool that are still in the host.</summary>
    public IEnumerable<Disk> DisksOf(Pool pool) => pool.DiskIds.Select(id => Disks.FirstOrDefault(d => d.Id == id)).OfType<Disk>();
}
