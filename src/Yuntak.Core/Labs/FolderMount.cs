namespace Yuntak.Core.Labs;

/// <summary>A named folder of the host that an application container keeps its data in.</summary>
/// <param name="HostPath">The folder outside.</param>
/// <param name="ContainerPath">Where the application sees it.</param>
/// <param name="ReadOnly">Whether the application may only read.</param>
public sealed record FolderMount(string HostPath, string ContainerPath, bool ReadOnly = false);
