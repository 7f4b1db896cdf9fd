namespace Yuntak.Core.Labs;

/// <summary>Who begins an onward copy.</summary>
public enum OnwardWay
{
    /// <summary>The far store fetches; the near one cannot reach it.</summary>
    Pull,

    /// <summary>The near store sends.</summary>
    Push,
}
