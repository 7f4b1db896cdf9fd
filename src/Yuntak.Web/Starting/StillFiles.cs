using Microsoft.Extensions.FileProviders;
using Microsoft.Extensions.Primitives;

namespace Yuntak.Web.Starting;

/// <summary>
/// The files that ship with Yuntak. They do not change while it runs, so nobody watches them: a host that runs many programs has no watch left to give, and pages would
/// fail for that.
/// </summary>
internal sealed class StillFiles(IFileProvider files) : IFileProvider
{
    /// <inheritdoc/>
    public IDirectoryContents GetDirectoryContents(string subpath) => files.GetDirectoryContents(subpath);

    /// <inheritdoc/>
    public IFileInfo GetFileInfo(string subpath) => files.GetFileInfo(subpath);

    /// <inheritdoc/>
    public IChangeToken Watch(string filter) => NullChangeToken.Singleton;
}
