namespace Yuntak.Core.Labs;

/// <summary>What a host is known by for good, whatever it is called.</summary>
public readonly record struct HostId(string Value)
{
    /// <inheritdoc/>
    public override string ToString() => Value;
}
