namespace Yuntak.Core.Wires;

/// <summary>What a machine of one sort fetches to start over the network.</summary>
/// <param name="Architecture">The number it says in option 93 (RFC 4578, 2.1).</param>
/// <param name="Machines">The machines, in words.</param>
/// <param name="File">The file it is told of, in folders of Yuntak's choosing.</param>
public sealed record BootFile(int Architecture, string Machines, string File);
