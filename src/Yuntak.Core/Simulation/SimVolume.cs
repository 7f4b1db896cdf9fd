using Yuntak.Core.Labs;
using Yuntak.Core.Units;

namespace Yuntak.Core.Simulation;

/// <summary>A volume of a guest where it lies.</summary>
/// <param name="Host">The host.</param>
/// <param name="Pool">The pool.</param>
/// <param name="Size">What it takes there.</param>
/// <param name="Written">How often its guest had run when it was written; a copy with another number is stale.</param>
internal sealed record SimVolume(HostId Host, string Pool, ByteSize Size, int Written = 0);
