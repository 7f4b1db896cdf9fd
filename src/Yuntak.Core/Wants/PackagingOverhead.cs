using Yuntak.Core.Figures;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Shapes;
using Yuntak.Core.Units;

namespace Yuntak.Core.Wants;

/// <summary>What a host spends on a guest beside the memory given, with its working.</summary>
internal static class PackagingOverhead
{
    private static readonly Source PageTables = new("150 MiB is common practice; page tables: x86-64 architecture manual, 4-level paging");

    /// <summary>The figure for a guest.</summary>
    /// <param name="guest">The guest.</param>
    /// <param name="memory">The memory it is given.</param>
    /// <param name="containers">How many application containers it has, when it is an app stack.</param>
    public static Figure<ByteSize> Of(Guest guest, ByteSize memory, int containers) =>
        Figure.Of(
            "overhead on the host",
            SizingRules.Overhead(guest.Kind, memory, containers),
            guest.Kind switch
            {
                GuestKind.Machine => "150 MiB + memory ÷ 256 (two levels of page tables, 8 bytes for each 4 KiB page)",
                GuestKind.SystemContainer => "16 MiB for a system container",
                GuestKind.AppStack => "8 MiB × containers",
            },
            () =>
                guest.Kind switch
                {
                    GuestKind.Machine =>
                    [
                        new("for each machine", SizingRules.MachineBaseOverhead, Origin.Assumed),
                        new($"1/256 of {memory}", memory / SizingRules.PageTablesPart),
                    ],
                    GuestKind.SystemContainer => [new("for each system container", SizingRules.SystemContainerOverhead, Origin.Assumed)],
                    GuestKind.AppStack => [new("containers", containers), new("each", SizingRules.AppContainerOverhead, Origin.Assumed)],
                },
            PageTables
        );
}
