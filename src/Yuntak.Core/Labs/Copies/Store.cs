using Yuntak.Core.Base;
using Yuntak.Core.Units;

namespace Yuntak.Core.Labs;

/// <summary>
/// A place where copies lie: the bulk data of a backup guest, a folder of a host's pool, a box outside the lab, a disk that is carried away, or room elsewhere. At most
/// one of guest, host and box is named; of none it is carried or in another place.
/// </summary>
/// <param name="Name">What people call it, once in a lab.</param>
/// <param name="Guest">The backup guest whose bulk data it is.</param>
/// <param name="Host">The host it lies on, or a carried disk is plugged into.</param>
/// <param name="Pool">The pool of that host.</param>
/// <param name="Box">The box outside the lab it is.</param>
/// <param name="Place">Where it is, when that is not the house.</param>
/// <param name="Carried">Whether it is a disk that is unplugged and carried away between copies.</param>
/// <param name="Room">How much it holds; null to take what its pool leaves.</param>
/// <param name="Deduplicates">Whether what is the same in several copies is kept once.</param>
/// <param name="Reduction">How many times smaller what lies in it is than what was copied, as measured; null while nobody measured.</param>
/// <param name="Encrypted">Whether it cannot be read without a key.</param>
/// <param name="Keys">Where copies of its key lie; a name of a host or guest of the lab means on it.</param>
/// <param name="KeyTried">The day the key last opened it.</param>
/// <param name="Unchangeable">Whether copies in it cannot be changed or deleted before their time, whoever asks.</param>
/// <param name="Medium">What copies lie on; null for what its pool is made of.</param>
/// <param name="Line">What the line to it carries, in Mbit/s; null for the links of the house.</param>
/// <param name="Writes">What it takes in, in MB/s, as measured.</param>
/// <param name="Reads">What it gives out, in MB/s, as measured.</param>
/// <param name="ChecksNew">Whether new copies are read back at once.</param>
/// <param name="ChecksDays">After how many days all copies are read back again; null for never.</param>
/// <param name="ChecksAt">When copies are read back.</param>
/// <param name="ThinsAt">When old copies are taken away by the retention; null to do so after each job.</param>
/// <param name="TidiesAt">When room that thinning freed is given back; null for at once.</param>
/// <param name="Stands">In a file: whether it is set up already.</param>
public sealed record Store(
    string Name,
    GuestId? Guest = null,
    HostId? Host = null,
    string? Pool = null,
    string? Box = null,
    string? Place = null,
    bool Carried = false,
    ByteSize? Room = null,
    bool Deduplicates = false,
    double? Reduction = null,
    bool Encrypted = false,
    ValueList<string> Keys = default,
    DateOnly? KeyTried = null,
    bool Unchangeable = false,
    StoreMedium? Medium = null,
    double? Line = null,
    double? Writes = null,
    double? Reads = null,
    bool ChecksNew = false,
    int? ChecksDays = null,
    string? ChecksAt = null,
    string? ThinsAt = null,
    string? TidiesAt = null,
    bool Stands = false
)
{
    /// <summary>Whether copies in it are verified, new ones or all.</summary>
    internal bool IsChecked => ChecksNew || ChecksDays is not null;

    /// <summary>Whether it is away from the house: in another place, or a disk that is carried.</summary>
    public bool IsElsewhere => Place is not null;
}
