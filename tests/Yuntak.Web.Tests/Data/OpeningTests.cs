using System.Text;
using Microsoft.Data.Sqlite;
using Microsoft.EntityFrameworkCore;
using Microsoft.EntityFrameworkCore.Infrastructure;
using Microsoft.Extensions.DependencyInjection;
using Yuntak.Core.Base;
using Yuntak.Core.Edits;
using Yuntak.Core.Labs;
using Yuntak.Data;
using Yuntak.Data.Opening;
using Yuntak.Tests;

namespace Yuntak.Web.Tests.Data;

/// <summary>A data folder is opened whole, or said in words why not, and then nothing in it is changed.</summary>
public sealed class OpeningTests : OpenedFolder
{
    [Fact]
    public async Task A_lock_that_a_start_cut_off_left_behind_stops_no_later_start()
    {
        await OpenAsync();
        await RunAsync("CREATE TABLE IF NOT EXISTS __EFMigrationsLock (Id INTEGER PRIMARY KEY, Timestamp TEXT NOT NULL)");
        await RunAsync("INSERT OR REPLACE INTO __EFMigrationsLock VALUES (1, '2026-01-01')");
        // As a first start that was cut off in the middle left it: no lab, no tables that were promised.
        await RunAsync(
            "PRAGMA foreign_keys = OFF; DELETE FROM labs; DROP TABLE readings; DROP TABLE photos; DELETE FROM __EFMigrationsHistory; DROP TABLE revisions; DROP TABLE labs"
        );

        await OpenAsync().WaitAsync(TimeSpan.FromSeconds(20));

        (await Store().HeadAsync(Pointer.Draft)).Lab.Name.ShouldBe("first");
    }

    [Theory]
    [InlineData("UPDATE revisions SET SchemaVersion = 99", "stored form 99")]
    [InlineData("INSERT INTO __EFMigrationsHistory VALUES ('20990101000000_Later', '99.0')", "written by Yuntak")]
    public async Task Data_of_a_newer_version_is_named_and_left_as_it_is(string newer, string said)
    {
        await OpenAsync();
        await RunAsync(newer);
        await RunAsync("UPDATE labs SET WrittenBy = '9.9.9, form 99'");
        await RunAsync("PRAGMA wal_checkpoint(TRUNCATE)");
        var before = await File.ReadAllBytesAsync(Database);

        var refused = await Should.ThrowAsync<Refused>(() => OpenAsync());

        refused.Message.ShouldContain("Yuntak 9.9.9");
        refused.Message.ShouldContain(said);
        (await File.ReadAllBytesAsync(Database)).ShouldBe(before);
    }

    [Fact]
    public void A_new_database_has_exactly_the_tables_the_migrations_make()
    {
        using var db = new DatabaseFile(Folder.File("never-made.db")).CreateDbContext();
        var script = db.Database.GetService<Microsoft.EntityFrameworkCore.Migrations.IMigrator>().GenerateScript();
        Schema.Script.ReplaceLineEndings("\n").Trim().ShouldBe(script.ReplaceLineEndings("\n").Trim());
        db.Database.HasPendingModelChanges().ShouldBeFalse();
    }

    [Fact]
    public async Task A_damaged_head_is_found_at_start_and_the_last_readable_change_is_offered_and_gone_on_from()
    {
        await OpenAsync();
        await CommitAsync("second");
        await CommitAsync("third");
        await RunAsync("UPDATE revisions SET Content = x'0102' WHERE Id = (SELECT DraftRevision FROM labs)");

        (await Should.ThrowAsync<Damaged>(() => OpenAsync())).Message.ShouldContain("cannot be read");
        Recovery.Offer(Folder.Path).ShouldContain("the last change of the draft that can be read, number 2");

        var said = await Recovery.GoOnAsync(Folder.Path, TimeProvider.System);
        SqliteConnection.ClearAllPools();
        await OpenAsync();

        (await Store().HeadAsync(Pointer.Draft)).Lab.Name.ShouldBe("second");
        said[0].ShouldContain("damaged-");
        Directory.GetFiles(Folder.Path, "damaged-*").ShouldNotBeEmpty("the damaged file is kept");
    }

    [Theory]
    [InlineData(0)]
    [InlineData(5_000)]
    public async Task A_file_that_is_no_database_is_said_and_kept_when_one_goes_on(int length)
    {
        await File.WriteAllTextAsync(Database, new string('x', length));

        await Should.ThrowAsync<Damaged>(() => OpenAsync());
        (await File.ReadAllTextAsync(Database)).Length.ShouldBe(length, "nothing was changed");

        await Recovery.GoOnAsync(Folder.Path, TimeProvider.System);
        await OpenAsync();
        (await Store().HeadAsync(Pointer.Draft)).Lab.Name.ShouldBe("first");
        (await File.ReadAllTextAsync(Directory.GetFiles(Folder.Path, "damaged-*").Single())).Length.ShouldBe(length);
    }

    [Fact]
    public async Task A_database_that_is_gone_while_copies_are_there_is_not_begun_anew()
    {
        await OpenAsync("1.0");
        await OpenAsync("2.0");
        SqliteConnection.ClearAllPools();
        File.Delete(Database);

        (await Should.ThrowAsync<Refused>(() => OpenAsync("2.0"))).Message.ShouldContain("./yuntak restore");
    }

    [Fact]
    public async Task A_change_of_version_keeps_a_copy_of_before_and_only_the_newest_few()
    {
        for (var version = 1; version <= 8; version++)
        {
            await OpenAsync($"{version}.0");
        }

        Directory.GetFiles(Folder.File(DataFolder.CopiesName)).Length.ShouldBe(5);
    }

    [Fact]
    public async Task A_damaged_key_file_is_put_aside()
    {
        await OpenAsync();
        await File.WriteAllTextAsync(Folder.File("keys/key-1.xml"), "");

        (await OpenAsync()).Single().ShouldContain("key file");

        Directory.GetFiles(Folder.File("keys"), "*.xml").ShouldBeEmpty();
        File.Exists(Folder.File("keys/key-1.xml.damaged")).ShouldBeTrue();
    }

    [Fact]
    public async Task Only_the_person_may_read_the_database_also_in_a_folder_that_was_there()
    {
        File.SetUnixFileMode(Folder.Path, (UnixFileMode)0b111_101_101);
        await OpenAsync();
        File.GetUnixFileMode(Database).ShouldBe(UnixFileMode.UserRead | UnixFileMode.UserWrite);
    }

    [Fact]
    public async Task A_backup_taken_while_changes_go_on_is_whole_and_comes_back_with_the_history()
    {
        await OpenAsync();
        await CommitAsync("second");
        using var stop = new CancellationTokenSource();
        var changing = Task.Run(
            async () =>
            {
                for (var n = 0; !stop.IsCancellationRequested; n++)
                {
                    await CommitAsync($"change {n}");
                }
            },
            TestContext.Current.CancellationToken
        );
        Backup.Take(Folder.Path, Folder.File("all.backup"));
        await stop.CancelAsync();
        await changing;

        File.GetUnixFileMode(Folder.File("all.backup")).ShouldBe(UnixFileMode.UserRead | UnixFileMode.UserWrite);
        using var other = new TempFolder();
        Backup.Restore(Folder.File("all.backup"), other.Path);
        await new DataOpening(other.Path, TimeProvider.System, "test").OpenAsync(First);
        var history = await Store(other.Path).HistoryAsync(Pointer.Draft, 1_000);
        history[^1].Sentence.ShouldBe("begun");
        history.ShouldContain(l => l.Sentence == "second");
        Should.Throw<Refused>(() => Backup.Restore(Folder.File("all.backup"), other.Path)).Message.ShouldContain("has data already");
        Should.Throw<Refused>(() => Backup.Take(Folder.Path, Folder.File("all.backup"))).Message.ShouldContain("nothing is written over");
    }

    [Theory]
    [InlineData("1-first")]
    [InlineData("2-acts")]
    public async Task A_backup_of_an_earlier_version_comes_back(string name)
    {
        // These databases were written by builds before this one; a backup is the same file.
        using var shelf = new TempFolder();
        File.Copy(Path.Combine(Repository.Root, "tests", "Yuntak.Web.Tests", "golden", name + ".db"), shelf.File("backup"));
        Backup.Restore(shelf.File("backup"), Folder.Path);
        Directory.GetFiles(shelf.Path).ShouldBe([shelf.File("backup")], "the backup is only read");
        await OpenAsync();
        (await Store().HeadAsync(Pointer.Draft)).Number.ShouldBeGreaterThan(1);
    }

    [Fact]
    public async Task What_is_no_backup_is_refused_and_changes_nothing()
    {
        await File.WriteAllTextAsync(Folder.File("photo"), "not a backup, but long enough to be looked at");
        using var other = new TempFolder();
        Should.Throw<Refused>(() => Backup.Restore(Folder.File("photo"), other.Path)).Message.ShouldContain("cannot be brought back");
        Directory.GetFileSystemEntries(other.Path).ShouldBeEmpty();
    }

    [Fact]
    public async Task What_was_set_aside_and_pasted_goes_after_thirty_days_and_the_history_stays()
    {
        await OpenAsync();
        var clock = new SetClock();
        var database = new DatabaseFile(Database);
        var store = new LabStore(database, clock);
        var readings = new ReadingStore(database, clock);
        var first = (await store.HeadAsync(Pointer.Draft)).Revision;
        await store.CommitAsync(Pointer.Draft, first, LabEdits.Rename("mine"));
        await store.CommitAsync(Pointer.Draft, first, LabEdits.Rename("theirs"));
        var text = Encoding.UTF8.GetBytes("MemTotal: 1 kB");
        var key = await readings.KeepAsync(text);
        (await readings.KeepAsync(text)).ShouldBe(key, "a text given twice is kept once");
        var thinning = new Thinning(database, clock);

        clock.Now += TimeSpan.FromDays(29);
        (await thinning.RunAsync()).ShouldBe(0);
        clock.Now += TimeSpan.FromDays(2);
        (await thinning.RunAsync()).ShouldBe(2);

        (await store.HistoryAsync(Pointer.Draft, 100)).Count.ShouldBe(2);
        (await readings.FindAsync(key)).ShouldBeNull();
    }

    [Fact]
    public async Task The_history_is_read_page_by_page_to_the_first()
    {
        await OpenAsync();
        for (var n = 0; n < 9; n++)
        {
            await CommitAsync($"change {n}");
        }

        List<string> seen = [];
        long? before = null;
        while (await Store().HistoryAsync(Pointer.Draft, 4, before) is { Count: > 0 } page)
        {
            seen.AddRange(page.Select(l => l.Sentence));
            before = page[^1].Revision;
        }

        seen.Count.ShouldBe(10);
        seen[^1].ShouldBe("begun");
    }

    [Fact]
    public async Task A_revision_that_is_damaged_is_refused_in_words_and_the_others_open()
    {
        await OpenAsync();
        await CommitAsync("second");
        await CommitAsync("third");
        await RunAsync("UPDATE revisions SET Content = x'0102' WHERE Sentence = 'second'");
        await OpenAsync();

        var store = Store();
        var head = await store.HeadAsync(Pointer.Draft);
        head.Lab.Name.ShouldBe("third");
        (await Should.ThrowAsync<Refused>(() => store.UndoAsync(Pointer.Draft, head.Revision))).Message.ShouldContain("damaged");
    }

    private async Task RunAsync(string statement)
    {
        await using var db = new DatabaseFile(Database, pooled: false).CreateDbContext();
        await db.Database.ExecuteSqlRawAsync(statement);
    }
}
