using System.Data.Common;
using Microsoft.EntityFrameworkCore.Diagnostics;

namespace Yuntak.Data;

/// <summary>
/// Every connection syncs fully: a change that was acknowledged survives a killed process and a power cut. The write-ahead log itself is a property of the file,
/// set when the database is created.
/// </summary>
internal sealed class DurabilityInterceptor : DbConnectionInterceptor
{
    private const string Settings = "PRAGMA synchronous = FULL; PRAGMA foreign_keys = ON; PRAGMA busy_timeout = 5000;";

    public override void ConnectionOpened(DbConnection connection, ConnectionEndEventData eventData)
    {
        using var command = connection.CreateCommand();
        command.CommandText = Settings;
        command.ExecuteNonQuery();
    }

    public override async Task ConnectionOpenedAsync(
        DbConnection connection,
        ConnectionEndEventData eventData,
        CancellationToken cancellationToken = default
    )
    {
        await using var command = connection.CreateCommand();
        command.CommandText = Settings;
        await command.ExecuteNonQueryAsync(cancellationToken);
    }
}
