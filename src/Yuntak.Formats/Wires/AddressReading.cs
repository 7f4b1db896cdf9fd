using Yuntak.Core.Base;
using Yuntak.Core.Edits;

namespace Yuntak.Formats.Wires;

/// <summary>What a list of addresses said.</summary>
/// <param name="Found">Who has which address.</param>
/// <param name="Problems">What was not understood, line by line.</param>
public sealed record AddressReading(ValueList<FoundAddress> Found, ValueList<string> Problems);
