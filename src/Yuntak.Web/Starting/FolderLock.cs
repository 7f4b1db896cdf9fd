namespace Yuntak.Web.Starting;

/// <summary>A data folder taken for this process alone. The system gives it back when the process ends, however it ends.</summary>
internal sealed class FolderLock : IDisposable
{
    /// <summary>The name of the file that is held open.</summary>
    public const string FileName = "in-use";

    private readonly FileStream held;

    private FolderLock(FileStream held) => this.held = held;

    /// <summary>Makes the folder when it is missing and takes it. Null when another Yuntak has it.</summary>
    public static FolderLock? Take(string folder)
    {
        // The data is the person's own: nobody else on the machine may look.
        Directory.CreateDirectory(folder, Yuntak.Data.DataFolder.OwnFolder);
        try
        {
            var path = Path.Combine(folder, FileName);
            return new FolderLock(
                new FileStream(path, FileMode.OpenOrCreate, FileAccess.ReadWrite, FileShare.None, 1, FileOptions.DeleteOnClose)
            );
        }
        catch (IOException)
        {
            return null;
        }
    }

    public void Dispose() => held.Dispose();
}
