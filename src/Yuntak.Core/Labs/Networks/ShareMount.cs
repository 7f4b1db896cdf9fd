namespace Yuntak.Core.Labs;

/// <summary>A guest's use of a share.</summary>
/// <param name="Share">The share's name.</param>
/// <param name="At">Where the guest sees it.</param>
/// <param name="By">Who mounts it.</param>
/// <param name="Library">Whether it is the guest's bulk data, so that the guest keeps none of its own.</param>
public sealed record ShareMount(string Share, string At, MountBy By = MountBy.Host, bool Library = false);
