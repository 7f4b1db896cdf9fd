using Yuntak.Core.Disks;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Units;

namespace Yuntak.Core.Keeping;

/// <summary>What is assumed about copies until somebody measures it.</summary>
public static class KeepingRules
{
    /// <summary>The share of a system disk that changes in a day; an assumption, from memory.</summary>
    public const double SystemChanges = 0.02;

    /// <summary>The share of bulk data that changes in a day, beside what it grows by; an assumption, from memory.</summary>
    public const double BulkChanges = 0.005;

    /// <summary>How many times smaller than what was copied a store that keeps the same once may be: nothing is saved, to this; an assumption, from memory.</summary>
    public const double ReductionAtBest = 2;

    /// <summary>The days after which no drill is an omission (common practice).</summary>
    public const int DrillDays = 90;

    /// <summary>The days after which a drill of the whole house is due again (common practice).</summary>
    public const int HouseDrillDays = 366;

    /// <summary>The days after which all copies are read back again (common practice).</summary>
    public const int CheckDays = 30;

    /// <summary>How much a host's settings are.</summary>
    internal static readonly ByteSize Settings = new(50_000_000);

    /// <summary>Minutes to shut a guest down.</summary>
    internal const double StopMinutes = 1;

    /// <summary>Minutes to start a guest.</summary>
    internal const double StartMinutes = 2;

    /// <summary>Minutes to look whether a guest that was brought back does its work.</summary>
    internal const double CheckMinutes = 10;

    /// <summary>Minutes to find one file in a copy and bring it back.</summary>
    public const double FileMinutes = 10;

    /// <summary>Minutes to build a guest anew before its archive is laid in; common practice.</summary>
    internal static double AnewMinutes(GuestKind kind) => kind == GuestKind.AppStack ? 20 : 60;

    /// <summary>Services that keep a database of their own: copied as it was at one moment while it is written, it may not open again; common practice.</summary>
    internal static readonly IReadOnlySet<string> WithDatabase = new HashSet<string>(StringComparer.Ordinal)
    {
        "automation-hub",
        "file-cloud",
        "database",
        "wiki",
        "measurements",
        "document-archive",
    };

    /// <summary>Minutes to install a host anew and bring its settings back, beside its guests.</summary>
    internal const double HostMinutes = 90;

    /// <summary>Hours it takes to carry a disk somewhere and plug it in.</summary>
    public const double CarryHours = 2;

    /// <summary>What a line to another place carries while nobody said, in Mbit/s; an assumption, from memory.</summary>
    public const double UsualLine = 20;

    /// <summary>Minutes thinning takes.</summary>
    internal const double ThinMinutes = 5;

    /// <summary>Hours a terabyte is tidied in; an assumption, from memory.</summary>
    internal const double TidyHoursPerTerabyte = 0.5;

    /// <summary>What a disk that is carried takes in, in bytes a second.</summary>
    internal static double CarriedRate => new DiskSpec(default, DiskKind.Usb).SequentialRate;
}
