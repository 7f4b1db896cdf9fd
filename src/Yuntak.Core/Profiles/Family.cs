namespace Yuntak.Core.Profiles;

/// <summary>The families of services; each has its own hue on every drawing.</summary>
public enum Family
{
    /// <summary>House automation.</summary>
    House,

    /// <summary>Films, music, photos to look at.</summary>
    Media,

    /// <summary>Files, databases, notes.</summary>
    Files,

    /// <summary>Cameras.</summary>
    Cameras,

    /// <summary>Router, names, start-up over the network.</summary>
    Network,

    /// <summary>Backups.</summary>
    Keeping,

    /// <summary>Trying things out.</summary>
    Workshop,
}
