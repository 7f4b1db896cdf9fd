namespace Yuntak.Core.Devices;

/// <summary>What a claim comes to grief on, or is to be watched for.</summary>
internal enum ClaimTrouble
{
    /// <summary>Nothing that has a rule of its own.</summary>
    Other,

    /// <summary>The host itself needs what would go.</summary>
    HostNeeds,

    /// <summary>I/O isolation is off.</summary>
    IsolationOff,

    /// <summary>Another guest has the same card, or one of its group, whole.</summary>
    TakenWhole,

    /// <summary>Containers share what would go, or what is shared has gone.</summary>
    Shared,

    /// <summary>Another guest has it otherwise.</summary>
    Taken,

    /// <summary>Several devices have its id.</summary>
    SameId,

    /// <summary>The guest it runs in does not have it.</summary>
    OuterLayer,

    /// <summary>The host is without a picture afterwards.</summary>
    Headless,

    /// <summary>It cannot be reset.</summary>
    NoReset,

    /// <summary>The host has no driver for it.</summary>
    NoDriver,

    /// <summary>It hangs on a hub.</summary>
    OnHub,
}
