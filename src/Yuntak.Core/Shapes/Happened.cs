namespace Yuntak.Core.Shapes;

/// <summary>The sorts of difference between two forms of a thing.</summary>
public enum Happened
{
    /// <summary>Something is there that was not.</summary>
    Came,

    /// <summary>Something is no longer there.</summary>
    Went,

    /// <summary>Something is different.</summary>
    Changed,
}
