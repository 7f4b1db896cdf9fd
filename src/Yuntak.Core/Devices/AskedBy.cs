namespace Yuntak.Core.Devices;

/// <summary>Who asks for a device.</summary>
public enum AskedBy
{
    /// <summary>A claim of the guest.</summary>
    Claim,

    /// <summary>A function listed as handed over whole.</summary>
    Listed,

    /// <summary>A profile the guest follows brings it along.</summary>
    Profile,
}
