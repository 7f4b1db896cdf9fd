namespace Yuntak.Data.Opening;

/// <summary>Data that cannot be read; the message says what is wrong, as the end of «The data in this folder cannot be used:».</summary>
public sealed class Damaged : Exception
{
    /// <summary>Damage without words; needed by convention only.</summary>
    public Damaged() { }

    /// <summary>Damage in words.</summary>
    public Damaged(string message)
        : base(message) { }

    /// <summary>Damage in words, and what lay behind it.</summary>
    public Damaged(string message, Exception inner)
        : base(message, inner) { }
}
