namespace Yuntak.Core.Labs;

/// <summary>What system a host runs. It decides base memory, system share, readiness lines, first steps and which guests it can run: see <see cref="HostKind"/>.</summary>
public enum HostType
{
    /// <summary>A bare-metal hypervisor.</summary>
    Hypervisor,

    /// <summary>General Linux with a container engine.</summary>
    Server,

    /// <summary>A storage box with a system and a page of its own.</summary>
    StoreBox,

    /// <summary>A store whose whole system is in memory, started from a stick.</summary>
    StickStore,

    /// <summary>A small board started from a card or USB flash.</summary>
    Board,
}
