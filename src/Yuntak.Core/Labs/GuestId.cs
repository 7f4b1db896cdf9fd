namespace Yuntak.Core.Labs;

/// <summary>What a guest is known by for good, whatever it is called.</summary>
public readonly record struct GuestId(string Value)
{
    /// <inheritdoc/>
    public override string ToString() => Value;
}
