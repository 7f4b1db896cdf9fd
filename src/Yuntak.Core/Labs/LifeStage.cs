namespace Yuntak.Core.Labs;

/// <summary>How far a guest has come from being written down to being in service. The order is the order of the work.</summary>
public enum LifeStage
{
    /// <summary>Only on paper.</summary>
    Planned,

    /// <summary>Exists on the host with its memory, processors and disks, or its folders.</summary>
    Defined,

    /// <summary>What it is made from lies on its host.</summary>
    ImageThere,

    /// <summary>The install medium is attached.</summary>
    MediumAttached,

    /// <summary>The system is on the disk.</summary>
    Installed,

    /// <summary>The medium is out and the disk is first in the boot order.</summary>
    MediumOut,

    /// <summary>Starts by itself without anyone at the console.</summary>
    StartsUnattended,

    /// <summary>Has today's updates.</summary>
    Updated,

    /// <summary>A template of it was taken.</summary>
    TemplateTaken,

    /// <summary>The host has the drivers of its devices, and they are where they should be.</summary>
    DevicesReady,

    /// <summary>Its devices are handed over.</summary>
    DevicesAttached,

    /// <summary>The groups of its device nodes are mapped inside.</summary>
    GroupsMapped,

    /// <summary>Its devices were seen at every layer.</summary>
    DevicesProven,

    /// <summary>Its bulk data is mounted.</summary>
    MountsIn,

    /// <summary>The shares of others are in.</summary>
    SharesIn,

    /// <summary>The engine for the stacks inside it was installed.</summary>
    EngineIn,

    /// <summary>An app stack was started for the first time, with folders, shares and devices in place.</summary>
    StackStarted,

    /// <summary>Its devices were proven in it.</summary>
    StackProven,

    /// <summary>Its page was visited, and its administrator made.</summary>
    FirstVisited,

    /// <summary>The service itself answers.</summary>
    ServiceIn,

    /// <summary>Starts with its host.</summary>
    AutostartSet,

    /// <summary>Has been copied once.</summary>
    FirstBackup,

    /// <summary>A copy has been brought back once.</summary>
    RestoreTried,

    /// <summary>In service.</summary>
    InService,
}
