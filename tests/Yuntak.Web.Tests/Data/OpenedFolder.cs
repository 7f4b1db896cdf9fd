using Yuntak.Core.Edits;
using Yuntak.Core.Labs;
using Yuntak.Data;
using Yuntak.Data.Opening;
using Yuntak.Tests;

namespace Yuntak.Web.Tests.Data;

/// <summary>A data folder of a test's own: it is opened, and changed through its store, as often as the test likes.</summary>
public abstract class OpenedFolder : IDisposable
{
    /// <summary>Where it is.</summary>
    protected TempFolder Folder { get; } = new();

    /// <summary>The path of its database.</summary>
    protected string Database => Folder.File(DataFolder.FileName);

    /// <summary>What it begins with: a draft of one host, called «first», and nothing that stands.</summary>
    protected static (Lab Draft, Lab AsBuilt) First() => (Small.Lab(Small.Host("kiln")) with { Name = "first" }, Lab.Empty("first"));

    /// <summary>Opens it as a start does; gives what the start says.</summary>
    protected async Task<IReadOnlyList<string>> OpenAsync(string version = "test") =>
        await new DataOpening(Folder.Path, TimeProvider.System, version).OpenAsync(First);

    /// <summary>The store of it, or of another data folder.</summary>
    protected LabStore Store(string? at = null) => new(new DatabaseFile(DataFolder.Database(at ?? Folder.Path)), TimeProvider.System);

    /// <summary>Changes the draft by calling it something.</summary>
    protected async Task CommitAsync(string name)
    {
        var store = Store();
        await store.CommitAsync(
            Pointer.Draft,
            (await store.HeadAsync(Pointer.Draft)).Revision,
            lab => new Changed(lab with { Name = name }, name)
        );
    }

    public void Dispose()
    {
        Folder.Dispose();
        GC.SuppressFinalize(this);
    }
}
