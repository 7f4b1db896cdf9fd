namespace Yuntak.Core.Simulation;

/// <summary>Whether a guest runs. How far it has come in its life is another matter.</summary>
internal enum GuestState
{
    /// <summary>It is shut down: its figures, devices and boot order can be changed.</summary>
    Off,

    /// <summary>It runs.</summary>
    Running,

    /// <summary>It was put to sleep. That is not off: nothing that needs it off can be done.</summary>
    Suspended,

    /// <summary>Its install medium runs in place of its own system.</summary>
    Installing,
}
