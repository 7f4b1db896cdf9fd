using Yuntak.Core.Profiles;
using Yuntak.Core.Units;

namespace Yuntak.Core.Labs;

/// <summary>What is known of a kind of host before anything is read of it. Every figure is a setting of the host itself.</summary>
/// <param name="Type">The kind.</param>
/// <param name="BaseMemory">Memory it keeps for itself: 1.5 GiB of a hypervisor and 1 GiB of a store box are common practice, the others from memory.</param>
/// <param name="SystemShare">What its system takes of the boot disk; nothing where the system has a place of its own.</param>
/// <param name="CoreSpeed">How fast a core is, with 1 for the reference core; assumed, from memory.</param>
/// <param name="Runs">The packagings offered on it, the usual one first.</param>
/// <param name="InstalledOn">Whether a system is installed onto one of its disks.</param>
public sealed record HostKind(
    HostType Type,
    ByteSize BaseMemory,
    ByteSize SystemShare,
    double CoreSpeed,
    IReadOnlyList<GuestKind> Runs,
    bool InstalledOn
)
{
    private static readonly ByteSize Usual = ByteSize.FromGiB(32);

    private static readonly HostKind[] All =
    [
        new(
            HostType.Hypervisor,
            ByteSize.FromGiB(1.5),
            Usual,
            1,
            [GuestKind.Machine, GuestKind.SystemContainer, GuestKind.AppStack],
            InstalledOn: true
        ),
        new(HostType.Server, ByteSize.FromGiB(0.5), Usual, 1, [GuestKind.AppStack, GuestKind.Machine], InstalledOn: true),
        new(HostType.StoreBox, ByteSize.FromGiB(1), default, 1, [GuestKind.AppStack, GuestKind.Machine], InstalledOn: false),
        new(HostType.StickStore, ByteSize.FromGiB(2), default, 1, [GuestKind.AppStack, GuestKind.Machine], InstalledOn: false),
        new(
            HostType.Board,
            ByteSize.FromGiB(0.3),
            ByteSize.FromGiB(8),
            0.35,
            [GuestKind.AppStack, GuestKind.SystemContainer],
            InstalledOn: true
        ),
    ];

    /// <summary>What is known of a kind.</summary>
    public static HostKind Of(HostType type) => Array.Find(All, k => k.Type == type)!;
}
