using Yuntak.Core.Units;

namespace Yuntak.Core.Keeping;

/// <summary>What is left of a guest after something happened.</summary>
/// <param name="Name">What happened, as files and answers say it: slip, guest, pool, host, place, store-account.</param>
/// <param name="Words">The same for people.</param>
/// <param name="Loses">How old what is left is at worst; null where nothing is left.</param>
/// <param name="Restore">How long it takes to have it back; null where nothing is left.</param>
/// <param name="From">The store it comes back from; null where nothing is left.</param>
public sealed record Mishap(string Name, string Words, Duration? Loses, Duration? Restore, StoreSums? From);
