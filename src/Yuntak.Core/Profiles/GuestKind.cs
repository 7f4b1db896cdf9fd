namespace Yuntak.Core.Profiles;

/// <summary>How a guest is packaged.</summary>
public enum GuestKind
{
    /// <summary>A full virtual machine with its own kernel.</summary>
    Machine,

    /// <summary>Shares the host's kernel, looks like a machine.</summary>
    SystemContainer,

    /// <summary>One or more application containers described by a Compose file.</summary>
    AppStack,
}
