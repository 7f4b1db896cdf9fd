namespace Yuntak.Core.Base;

/// <summary>A change that makes no sense; the message is for the person and nothing was changed.</summary>
public sealed class Refused : Exception
{
    /// <summary>Refuses without saying why; needed by convention only.</summary>
    public Refused() { }

    /// <summary>Refuses with a reason.</summary>
    public Refused(string message)
        : base(message) { }

    /// <summary>Refuses with a reason and what lay behind it.</summary>
    public Refused(string message, Exception inner)
        : base(message, inner) { }
}
