namespace Yuntak.Data.Opening;

/// <summary>What a database is like that can be opened.</summary>
/// <param name="Begun">Whether there is a lab in it; none when the first start was cut off.</param>
/// <param name="NeedsMigration">Whether its tables are older than this build.</param>
/// <param name="HasMigrationLock">Whether a table is there that a cut-off start may have left locked.</param>
/// <param name="WrittenBy">The version that opened it last; empty when it does not say.</param>
internal sealed record Found(bool Begun, bool NeedsMigration, bool HasMigrationLock, string WrittenBy);
