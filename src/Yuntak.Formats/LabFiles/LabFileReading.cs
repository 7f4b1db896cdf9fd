using Yuntak.Core.Labs;

namespace Yuntak.Formats.LabFiles;

/// <summary>What became of a lab file.</summary>
/// <param name="Lab">The lab; null when anything is wrong, so that a file is never half taken.</param>
/// <param name="Problems">Everything that is wrong.</param>
public sealed record LabFileReading(Lab? Lab, IReadOnlyList<LabFileProblem> Problems);
