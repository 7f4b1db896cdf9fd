namespace Yuntak.Core.Edits;

/// <summary>A change that makes no sense; the message is for the person and nothing was changed.</summary>
public sealed class EditRefused : Exception
{
    /// <summary>Refuses without saying why; needed by convention only.</summary>
    public EditRefused() { }

    /// <summary>Refuses with a reason.</summary>
    public EditRefused(string message)
        : base(message) { }

    /// <summary>Refuses with a reason and what lay behind it.</summary>
    public EditRefused(string message, Exception inner)
        : base(message, inner) { }
}
