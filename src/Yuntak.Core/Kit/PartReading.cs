namespace Yuntak.Core.Kit;

/// <summary>What became of one part of a pasted or uploaded text.</summary>
/// <param name="Part">Which part: «processor», «memory», «disks», or «other» for what was not understood.</param>
/// <param name="Read">How many things were read from it.</param>
/// <param name="Problems">What is wrong with it, each naming its line; empty when all is well.</param>
public sealed record PartReading(string Part, int Read, IReadOnlyList<string> Problems);
