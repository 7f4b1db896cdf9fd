namespace Yuntak.Formats.Intake;

/// <summary>What a stretch of text looks like.</summary>
internal enum RawKind
{
    /// <summary>A JSON object.</summary>
    Json,

    /// <summary>Lines «name: value» as in /proc/meminfo.</summary>
    Meminfo,

    /// <summary>Lines «name: value» as lscpu prints them without -J.</summary>
    PlainLscpu,

    /// <summary>Anything else.</summary>
    Other,
}
