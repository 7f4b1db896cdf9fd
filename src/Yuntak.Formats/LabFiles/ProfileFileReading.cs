using Yuntak.Core.Base;
using Yuntak.Core.Profiles;

namespace Yuntak.Formats.LabFiles;

/// <summary>What became of a profile file.</summary>
/// <param name="Profiles">The profiles; null when anything is wrong, so that a file is never half taken.</param>
/// <param name="Problems">Everything that is wrong.</param>
public sealed record ProfileFileReading(ValueList<Profile>? Profiles, IReadOnlyList<LabFileProblem> Problems);
