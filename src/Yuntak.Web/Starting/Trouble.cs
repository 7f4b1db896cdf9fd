using Microsoft.Data.Sqlite;

namespace Yuntak.Web.Starting;

/// <summary>The words for what the machine refuses: a full disk, a damaged file, a folder that may not be written.</summary>
internal static class Trouble
{
    private const int NoSpace = 28;
    private const int QuotaPassed = 122;
    private const int SqliteIo = 10;
    private const int SqliteCorrupt = 11;
    private const int SqliteFull = 13;
    private const int SqliteReadOnly = 8;
    private const int SqliteNotDatabase = 26;

    /// <summary>What happened, in words; null when it is none of these.</summary>
    public static string? Words(Exception? e) =>
        e switch
        {
            null => null,
            SqliteException { SqliteErrorCode: SqliteFull } => Full,
            SqliteException { SqliteErrorCode: SqliteIo } =>
                "The disk that holds Yuntak's data could not be written or read. What was saved before is still there.",
            SqliteException { SqliteErrorCode: SqliteReadOnly } =>
                "Yuntak may not write its data: the file, its folder or its disk is read-only. What was saved before is still there.",
            SqliteException { SqliteErrorCode: SqliteCorrupt or SqliteNotDatabase } =>
                "Yuntak's data is damaged. Stop Yuntak and start it again; it says what can be read and how to go on.",
            IOException io when (io.HResult & 0xffff) is NoSpace or QuotaPassed => Full,
            _ => Words(e.InnerException),
        };

    /// <summary>Whether a disk or a quota is full.</summary>
    public static bool IsFull(Exception? e) => Words(e) == Full;

    private const string Full =
        "The disk that holds Yuntak's data is full, so this was not kept. What was saved before is still there. Make room on it, then try once more.";
}
