namespace Yuntak.Core.Units;

/// <summary>Which family a bare size letter such as <c>4g</c> belongs to.</summary>
public enum Prefixes
{
    /// <summary>Powers of 1024: memory and virtual disks.</summary>
    Binary,

    /// <summary>Powers of 1000: disks as they are sold.</summary>
    Decimal,
}
