namespace Yuntak.Core.Simulation;

/// <summary>A simulated host refuses what it was asked to do, with the message a person would meet. Nothing was changed by what it refused.</summary>
internal sealed class HostRefuses : Exception
{
    /// <summary>Refuses without saying why; needed by convention only.</summary>
    public HostRefuses() { }

    /// <summary>Refuses with its message.</summary>
    public HostRefuses(string message)
        : base(message) { }

    /// <summary>Refuses with its message and what lay behind it.</summary>
    public HostRefuses(string message, Exception inner)
        : base(message, inner) { }
}
