using Yuntak.Core.Profiles;
using Yuntak.Core.Units;

namespace Yuntak.Core.Wants;

/// <summary>The rounding rules and margins that turn a want into a guest's size.</summary>
internal static class SizingRules
{
    /// <summary>What is added to the memory a service uses; common practice.</summary>
    public const double MemoryMargin = 1.15;

    /// <summary>What is added to the cores a service keeps busy; common practice.</summary>
    public const double ProcessorMargin = 1.25;

    /// <summary>The part of a machine's overhead that does not grow with its memory; common practice.</summary>
    public static readonly ByteSize MachineBaseOverhead = ByteSize.FromMiB(150);

    /// <summary>The part of a machine's memory that its page tables take: two levels, each 8 bytes for each 4 KiB page (x86-64 architecture manual).</summary>
    public const long PageTablesPart = 256;

    /// <summary>What a system container costs its host beside what runs in it; common practice.</summary>
    public static readonly ByteSize SystemContainerOverhead = ByteSize.FromMiB(16);

    /// <summary>What each application container costs its host beside what runs in it; common practice.</summary>
    public static readonly ByteSize AppContainerOverhead = ByteSize.FromMiB(8);

    /// <summary>What an app engine in a guest of its own takes of that guest's memory; common practice.</summary>
    public static readonly ByteSize AppEngineMemory = ByteSize.FromMiB(100);

    /// <summary>Memory of the system a machine carries on top of its services, whatever they are; common practice.</summary>
    public static readonly ByteSize MachineSystemMemory = ByteSize.FromMiB(512);

    /// <summary>Disk of the system a machine carries on top of its services; common practice.</summary>
    public static readonly ByteSize MachineSystemDisk = ByteSize.FromGiB(8);

    /// <summary>How many times its expected use an app stack may take before it counts as running away; common practice.</summary>
    public const int CeilingTimes = 2;

    /// <summary>What an app stack may take beyond its expected use at least before it counts as running away; common practice.</summary>
    public static readonly ByteSize CeilingRoom = ByteSize.FromMiB(512);

    /// <summary>The ceiling of an app stack against runaways: never its expected use itself.</summary>
    public static ByteSize Ceiling(ByteSize expected) => ByteSize.Max(CeilingTimes * expected, expected + CeilingRoom);

    /// <summary>The steps in which people type memory: 64 MiB below 1 GiB, 256 MiB below 4, 512 MiB below 16, 1 GiB above.</summary>
    public static ByteSize RoundingStep(ByteSize memory) =>
        memory.GiB < 1 ? ByteSize.FromMiB(64)
        : memory.GiB < 4 ? ByteSize.FromMiB(256)
        : memory.GiB < 16 ? ByteSize.FromMiB(512)
        : ByteSize.FromGiB(1);

    /// <summary>Rounds memory up to a figure people type.</summary>
    public static ByteSize RoundUp(ByteSize memory) => memory.RoundUpTo(RoundingStep(memory));

    /// <summary>Virtual processors for a busy load: a quarter more, rounded up, at least one.</summary>
    public static int Vcpu(Cores busy) => Math.Max(1, (int)Math.Ceiling(Math.Round(busy.Value * ProcessorMargin, 9)));

    /// <summary>
    /// Memory the host spends on a guest beside what the guest is given. For a machine 150 MiB and 1/256 of its memory: two levels of page tables,
    /// each 8 bytes per 4 KiB page (x86-64 architecture manual, 4-level paging).
    /// </summary>
    public static ByteSize Overhead(GuestKind kind, ByteSize given, int containers) =>
        kind switch
        {
            GuestKind.Machine => MachineBaseOverhead + (given / PageTablesPart),
            GuestKind.SystemContainer => SystemContainerOverhead,
            GuestKind.AppStack => containers * AppContainerOverhead,
        };
}
