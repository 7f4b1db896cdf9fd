using Yuntak.Core.Base;
using Yuntak.Core.Units;

namespace Yuntak.Core.Labs;

/// <summary>A folder exported over the network.</summary>
/// <param name="Name">Its name, once in a lab; of the school with accounts it is the name it is mounted by.</param>
/// <param name="From">Where it lies.</param>
/// <param name="Allow">Who may: addresses, prefixes, accounts, or names of guests and hosts, which stand for their addresses.</param>
/// <param name="ReadOnly">Whether it can only be read.</param>
/// <param name="Protocol">How it is exported.</param>
/// <param name="Size">What is in it, counted where it lies; null where the exporting guest's bulk data is it, or nobody said.</param>
public sealed record NetworkShare(
    string Name,
    ShareEnd From,
    ValueList<string> Allow = default,
    bool ReadOnly = false,
    ShareProtocol Protocol = ShareProtocol.Addresses,
    ByteSize? Size = null
);
