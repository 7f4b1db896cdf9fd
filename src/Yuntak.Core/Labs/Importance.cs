namespace Yuntak.Core.Labs;

/// <summary>How much a guest matters when not everything can run.</summary>
public enum Importance
{
    /// <summary>Must run, whatever happens.</summary>
    Must,

    /// <summary>Should run on an ordinary day.</summary>
    Should,

    /// <summary>May wait.</summary>
    MayWait,
}
