namespace Yuntak.Data.Opening;

/// <summary>
/// The tables of a new database, as one script: what <c>dotnet ef migrations script</c> writes, kept beside the migrations because walking them takes a second of a
/// first start. A test holds the two against each other.
/// </summary>
internal static class Schema
{
    /// <summary>The script.</summary>
    public static string Script
    {
        get
        {
            using var text = new StreamReader(typeof(Schema).Assembly.GetManifestResourceStream("Schema.sql")!);
            return text.ReadToEnd();
        }
    }

    /// <summary>Makes the tables in a file that is not there yet.</summary>
    public static void Make(string file)
    {
        using var raw = RawDatabase.Open(file, write: true, create: true);
        raw.Run(Script);
        raw.Run("PRAGMA journal_mode = WAL");
    }
}
