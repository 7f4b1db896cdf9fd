using Microsoft.Data.Sqlite;
using Microsoft.EntityFrameworkCore;
using Yuntak.Core.Base;
using Yuntak.Core.Edits;
using Yuntak.Core.Labs;
using Yuntak.Data;
using Yuntak.Data.Opening;
using Yuntak.Tests;

namespace Yuntak.Web.Tests.Data;

/// <summary>One damaged row costs what is in it and no more: a start says so, and going on keeps the rest, photos and pasted texts among it.</summary>
public sealed class RecoveryTests : OpenedFolder
{
    private static readonly byte[] Picture = [0x89, 0x50, 0x4E, 0x47, 0x0D, 0x0A, 0x1A, 0x0A, 1, 2, 3];

    [Theory]
    [InlineData("UPDATE revisions SET LabId = 77 WHERE Number = 2", 4)]
    [InlineData("UPDATE revisions SET Pointer = 5000000000 WHERE Number = 2", 3)]
    [InlineData("UPDATE revisions SET Number = 5000000000 WHERE Number = 2", 3)]
    [InlineData("UPDATE revisions SET At = 'yesterday' WHERE Number = 2", 3)]
    [InlineData("UPDATE revisions SET Sentence = x'00' WHERE Number = 2", 4)]
    public async Task A_row_with_values_nobody_wrote_stops_no_recovery(string damage, int saved)
    {
        await FilledAsync();
        await RunAsync("PRAGMA foreign_keys = OFF; " + damage);

        (await Should.ThrowAsync<Damaged>(() => OpenAsync())).Message.ShouldContain("values that cannot be read");
        var said = await Recovery.GoOnAsync(Folder.Path, TimeProvider.System);
        said.ShouldContain(s => s.StartsWith($"Saved: {saved} of 4 changes, 1 of 1 photos, 1 of 1 pasted texts"));
        SqliteConnection.ClearAllPools();
        await OpenAsync();
        (await Store().HeadAsync(Pointer.Draft)).Lab.Name.ShouldBe("third");
        (await Photos().AllAsync()).ShouldHaveSingleItem();
    }

    [Fact]
    public async Task A_form_too_high_in_one_row_is_no_newer_Yuntak()
    {
        await FilledAsync();
        await RunAsync("UPDATE revisions SET SchemaVersion = 99 WHERE Number = 2");
        await OpenAsync();
        (await Store().HeadAsync(Pointer.Draft)).Lab.Name.ShouldBe("third");

        await RunAsync("UPDATE revisions SET SchemaVersion = 99 WHERE Id = (SELECT DraftRevision FROM labs)");
        (await Should.ThrowAsync<Damaged>(() => OpenAsync())).Message.ShouldContain("number 3");
        (await Recovery.GoOnAsync(Folder.Path, TimeProvider.System)).ShouldContain(s => s.StartsWith("Saved: 2 of 4 changes"));
    }

    [Fact]
    public async Task A_key_past_all_counting_is_one_row_and_not_a_way_to_it()
    {
        await FilledAsync();
        await RunAsync(
            $"PRAGMA foreign_keys = OFF; UPDATE revisions SET Id = {1L << 62} WHERE Number = 2; UPDATE revisions SET Content = x'00' WHERE Number = 3"
        );
        // Counting there would take years; walking the rows takes a moment.
        var said = await Recovery.GoOnAsync(Folder.Path, TimeProvider.System).WaitAsync(TimeSpan.FromSeconds(30));
        said.ShouldContain(s => s.StartsWith("Saved: 3 of 4 changes"));
        await OpenAsync();
        (await Store().HeadAsync(Pointer.Draft)).Lab.Name.ShouldBe("second");
    }

    [Fact]
    public async Task A_photo_and_a_text_that_are_not_whole_are_counted_as_lost()
    {
        await FilledAsync();
        await RunAsync(
            "UPDATE photos SET Content = x'00'; UPDATE readings SET Content = x'00FF00'; UPDATE revisions SET Content = x'00' WHERE Number = 3"
        );
        (await Recovery.GoOnAsync(Folder.Path, TimeProvider.System)).ShouldContain(s =>
            s.StartsWith("Saved: 3 of 4 changes, 0 of 1 photos, 0 of 1 pasted texts")
        );
    }

    [Fact]
    public async Task Damaged_at_a_page_in_the_middle_what_lies_before_and_behind_is_kept()
    {
        await OpenAsync();
        for (var n = 0; n < 60; n++)
        {
            await CommitAsync($"change {n}");
        }

        await RunAsync("PRAGMA wal_checkpoint(TRUNCATE)");
        SqliteConnection.ClearAllPools();
        var bytes = await File.ReadAllBytesAsync(Database);
        for (var at = bytes.Length / 2; at < (bytes.Length / 2) + 4_096; at++)
        {
            bytes[at] = 0xA5;
        }

        await File.WriteAllBytesAsync(Database, bytes);
        var said = await Recovery.GoOnAsync(Folder.Path, TimeProvider.System);
        said.ShouldContain(s => s.StartsWith("Saved: "));
        await OpenAsync();
        (await Store().HeadAsync(Pointer.Draft)).Number.ShouldBeGreaterThan(30);
    }

    [Theory]
    [InlineData("DELETE FROM __EFMigrationsHistory")]
    [InlineData("DROP TABLE photos")]
    [InlineData("DROP TABLE readings")]
    [InlineData("UPDATE revisions SET At = 'yesterday' WHERE Number = 1")]
    [InlineData("UPDATE photos SET At = 'yesterday'")]
    public async Task A_backup_on_which_no_start_works_is_refused_before_it_is_in_its_place(string damage)
    {
        await FilledAsync();
        await RunAsync(damage);
        await RunAsync("PRAGMA wal_checkpoint(TRUNCATE)");
        SqliteConnection.ClearAllPools();
        File.Copy(Database, Folder.File("taken.backup"));
        using var other = new TempFolder();
        Should
            .Throw<Refused>(() => Backup.Restore(Folder.File("taken.backup"), other.Path))
            .Message.ShouldContain("cannot be brought back");
        Directory.GetFileSystemEntries(other.Path).ShouldBeEmpty();
    }

    [Fact]
    public async Task Of_many_photos_at_once_no_more_are_kept_than_may_be()
    {
        await OpenAsync();
        var photos = Photos();
        var kept = await Task.WhenAll(
            Enumerable
                .Range(0, PhotoStore.MostOfStep + 6)
                .Select(async _ =>
                {
                    try
                    {
                        await photos.KeepAsync("step", "what", Picture);
                        return 1;
                    }
                    catch (Refused)
                    {
                        return 0;
                    }
                })
        );
        kept.Sum().ShouldBe(PhotoStore.MostOfStep);
        (await photos.AllAsync()).Count.ShouldBe(PhotoStore.MostOfStep);
    }

    /// <summary>Three changes of the draft and one of what stands, a photo, a pasted text.</summary>
    private async Task FilledAsync()
    {
        await OpenAsync();
        await CommitAsync("second");
        await CommitAsync("third");
        await Photos().KeepAsync("step", "what", Picture);
        await new ReadingStore(new DatabaseFile(Database), TimeProvider.System).KeepAsync(
            await ReadingStore.Packed([new MemoryStream("lscpu"u8.ToArray())], 1_000)
        );
        SqliteConnection.ClearAllPools();
    }

    private PhotoStore Photos() => new(new DatabaseFile(Database), TimeProvider.System);

    private async Task RunAsync(string statements)
    {
        await using var db = new DatabaseFile(Database, pooled: false).CreateDbContext();
        await db.Database.OpenConnectionAsync();
        foreach (var statement in statements.Split("; "))
        {
            await db.Database.ExecuteSqlRawAsync(statement);
        }
    }
}
