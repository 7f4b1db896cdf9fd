namespace Yuntak.Core.Findings;

/// <summary>On which side of its limit a rule says something.</summary>
public enum LimitSide
{
    /// <summary>Above it: exactly the limit is fine.</summary>
    Above,

    /// <summary>From it on: exactly the limit is noticed.</summary>
    From,

    /// <summary>Below it: exactly the limit is fine.</summary>
    Below,

    /// <summary>Up to it: exactly the limit is noticed.</summary>
    UpTo,
}
