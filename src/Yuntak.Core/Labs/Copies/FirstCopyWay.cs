namespace Yuntak.Core.Labs;

/// <summary>How the first copy gets to a store elsewhere.</summary>
public enum FirstCopyWay
{
    /// <summary>Over the line.</summary>
    Line,

    /// <summary>On a disk that is carried there.</summary>
    Carried,
}
