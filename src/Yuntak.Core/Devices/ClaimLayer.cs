namespace Yuntak.Core.Devices;

/// <summary>The layers a device passes on its way, from the outside in.</summary>
public enum ClaimLayer
{
    /// <summary>On the host, before anything is handed over.</summary>
    Host,

    /// <summary>On the host, to hand it over by hand.</summary>
    HandOver,

    /// <summary>In the machine or container that gets it.</summary>
    Guest,

    /// <summary>In the app container inside.</summary>
    App,

    /// <summary>On the host, to take it back.</summary>
    Back,
}
