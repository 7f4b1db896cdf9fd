using Microsoft.EntityFrameworkCore;
using Microsoft.Extensions.DependencyInjection;
using Yuntak.Core.Base;
using Yuntak.Core.Edits;
using Yuntak.Core.Labs;
using Yuntak.Core.Units;
using Yuntak.Data;
using Yuntak.Data.Opening;
using Yuntak.Tests;

namespace Yuntak.Web.Tests.Data;

/// <summary>The store on real SQLite files.</summary>
public sealed class LabStoreTests : IDisposable
{
    private static readonly GuestId Notes = new("notes");
    private readonly TempFolder folder = new();
    private readonly List<ServiceProvider> opened = [];
    private readonly LabStore store;

    public LabStoreTests() => store = Open();

    [Fact]
    public async Task A_change_is_kept_and_found_again_after_opening_anew()
    {
        var head = await store.HeadAsync(Pointer.Draft);
        var committed = (CommitResult.Committed)await store.CommitAsync(Pointer.Draft, head.Revision, Give(4));

        var again = await Open().HeadAsync(Pointer.Draft);

        again.Lab.ShouldBe(committed.Head.Lab);
        again.Number.ShouldBe(2);
        again.Sentence.ShouldStartWith("notes: memory");
        (await Open().HeadAsync(Pointer.AsBuilt)).Lab.ShouldBe(Lab.Empty("stands"));
    }

    [Fact]
    public async Task Undo_and_redo_walk_the_changes_and_a_new_change_ends_redo()
    {
        await Commit(Give(2));
        await Commit(Give(4));
        await Commit(Give(6));

        (await Undo()).ShouldBe(4);
        (await Undo()).ShouldBe(2);
        (await Redo()).ShouldBe(4);
        (await Undo()).ShouldBe(2);
        (await Undo()).ShouldBe(0);
        (await store.HeadAsync(Pointer.Draft)).CanUndo.ShouldBeFalse();
        (await Redo()).ShouldBe(2);
        (await Redo()).ShouldBe(4);
        (await Redo()).ShouldBe(6);
        (await store.HeadAsync(Pointer.Draft)).CanRedo.ShouldBeFalse();
        (await Undo()).ShouldBe(4);
        await Commit(Give(8));
        var head = await store.HeadAsync(Pointer.Draft);
        head.CanRedo.ShouldBeFalse();
        (await Undo()).ShouldBe(4);
    }

    [Fact]
    public async Task Nothing_to_undo_is_said_plainly()
    {
        var head = await store.HeadAsync(Pointer.Draft);
        (await Should.ThrowAsync<Refused>(() => store.UndoAsync(Pointer.Draft, head.Revision))).Message.ShouldBe(
            "There is nothing to take back."
        );
        (await Should.ThrowAsync<Refused>(() => store.RedoAsync(Pointer.Draft, head.Revision))).Message.ShouldBe(
            "There is nothing to do again."
        );
    }

    [Fact]
    public async Task Undo_sentences_do_not_pile_up()
    {
        await Commit(Give(2));
        await Undo();
        await Redo();
        await Undo();
        (await store.HeadAsync(Pointer.Draft)).Sentence.ShouldStartWith("taken back: notes");
    }

    [Fact]
    public async Task Each_step_back_and_forth_names_the_change_it_is_about()
    {
        await Commit(Give(2));
        await Commit(GuestEdits.Place(Notes, new HostId("wren")));
        await Undo();
        (await store.HeadAsync(Pointer.Draft)).Sentence.ShouldStartWith("taken back: notes moved");
        await Undo();
        (await store.HeadAsync(Pointer.Draft)).Sentence.ShouldStartWith("taken back: notes: memory");
        await Redo();
        (await store.HeadAsync(Pointer.Draft)).Sentence.ShouldStartWith("done again: notes: memory");
        await Redo();
        (await store.HeadAsync(Pointer.Draft)).Sentence.ShouldStartWith("done again: notes moved");
    }

    [Fact]
    public async Task A_change_based_on_an_old_revision_is_answered_with_both_and_nothing_is_lost()
    {
        var old = await store.HeadAsync(Pointer.Draft);
        await Commit(Give(4));

        var stale = (
            await store.CommitAsync(Pointer.Draft, old.Revision, GuestEdits.Place(Notes, new HostId("wren")))
        ).ShouldBeOfType<CommitResult.Stale>();

        Memory(stale.Theirs.Lab).ShouldBe(4);
        stale.Mine.Guest(Notes)!.Placement!.Host.Value.ShouldBe("wren");
        stale.Common.ShouldBe(old.Lab);
        (await store.HeadAsync(Pointer.Draft)).Lab.ShouldBe(stale.Theirs.Lab, "nothing is overwritten");
        var aside = await Open().AsideAsync(stale.MineRevision);
        aside!.Value.Mine.ShouldBe(stale.Mine, "what was wanted is kept, also when the process ends");
        (await store.HistoryAsync(Pointer.Draft, 10)).ShouldContain(l => l.Sentence == "set aside: notes moved kiln → wren");
    }

    [Fact]
    public async Task Undo_on_an_old_page_is_refused_with_what_happened_since()
    {
        var old = await store.HeadAsync(Pointer.Draft);
        await Commit(Give(4));
        (await Should.ThrowAsync<Refused>(() => store.UndoAsync(Pointer.Draft, old.Revision))).Message.ShouldContain("notes: memory");
    }

    [Fact]
    public async Task A_revision_from_nowhere_is_refused()
    {
        var built = await store.HeadAsync(Pointer.AsBuilt);
        await Should.ThrowAsync<Refused>(() => store.CommitAsync(Pointer.Draft, 9_999, Give(4)));
        await Should.ThrowAsync<Refused>(() => store.CommitAsync(Pointer.Draft, built.Revision, Give(4)));
    }

    [Fact]
    public async Task A_refused_edit_leaves_no_trace()
    {
        var before = await store.HistoryAsync(Pointer.Draft, 100);
        var head = await store.HeadAsync(Pointer.Draft);
        await Should.ThrowAsync<Refused>(() => store.CommitAsync(Pointer.Draft, head.Revision, GuestEdits.Remove(new GuestId("nobody"))));
        (await store.HistoryAsync(Pointer.Draft, 100)).ShouldBe(before);
    }

    [Fact]
    public async Task A_change_that_changes_nothing_makes_no_revision()
    {
        var head = await store.HeadAsync(Pointer.Draft);
        await store.CommitAsync(Pointer.Draft, head.Revision, GuestEdits.Place(Notes, new HostId("kiln")));
        (await store.HeadAsync(Pointer.Draft)).Revision.ShouldBe(head.Revision);
    }

    [Fact]
    public async Task Of_many_changes_at_once_one_lands_and_all_are_kept()
    {
        var head = await store.HeadAsync(Pointer.Draft);
        var results = await Task.WhenAll(
            Enumerable.Range(1, 8).Select(n => Task.Run(() => store.CommitAsync(Pointer.Draft, head.Revision, Give(n))))
        );

        results.OfType<CommitResult.Committed>().Count().ShouldBe(1);
        results.OfType<CommitResult.Stale>().Count().ShouldBe(7);
        (await store.HistoryAsync(Pointer.Draft, 100)).Count.ShouldBe(9);
    }

    [Fact]
    public async Task The_two_pointers_move_apart()
    {
        var built = await store.HeadAsync(Pointer.AsBuilt);
        await store.CommitAsync(Pointer.AsBuilt, built.Revision, LabEdits.Rename("stands now"));
        (await store.HeadAsync(Pointer.AsBuilt)).Lab.Name.ShouldBe("stands now");
        (await store.HeadAsync(Pointer.Draft)).Lab.Name.ShouldBe("test lab");
    }

    [Fact]
    public async Task The_write_ahead_log_is_on_and_every_commit_is_synced()
    {
        await using var db = await opened[0].GetRequiredService<IDbContextFactory<YuntakDb>>().CreateDbContextAsync();
        (await db.Database.SqlQueryRaw<string>("SELECT journal_mode AS Value FROM pragma_journal_mode").SingleAsync()).ShouldBe("wal");
        (await db.Database.SqlQueryRaw<long>("SELECT synchronous AS Value FROM pragma_synchronous").SingleAsync()).ShouldBe(2, "2 is FULL");
        (await db.Database.SqlQueryRaw<long>("SELECT foreign_keys AS Value FROM pragma_foreign_keys").SingleAsync()).ShouldBe(1);
    }

    [Fact]
    public async Task The_model_and_the_migrations_agree()
    {
        await using var db = await opened[0].GetRequiredService<IDbContextFactory<YuntakDb>>().CreateDbContextAsync();
        db.Database.HasPendingModelChanges().ShouldBeFalse();
        (await db.Database.GetPendingMigrationsAsync()).ShouldBeEmpty();
    }

    [Fact]
    public void Any_lab_is_stored_and_read_back_the_same() =>
        Gens.AnyBuilt.Holds(lab => LabJson.Read(LabJson.Write(lab), LabJson.Version) == lab, iter: 200);

    [Fact]
    public void What_a_newer_Yuntak_wrote_is_left_alone() =>
        Should
            .Throw<NotSupportedException>(() => LabJson.Read(LabJson.Write(Lab.Empty("x")), LabJson.Version + 1))
            .Message.ShouldContain("Nothing was changed");

    [Fact]
    public async Task Texts_given_to_be_read_are_kept()
    {
        var readings = opened[0].GetRequiredService<ReadingStore>();
        using var pasted = new MemoryStream("MemTotal: 1 kB"u8.ToArray());
        using var uploaded = new MemoryStream("<script>"u8.ToArray());
        var id = await readings.KeepAsync(await ReadingStore.Packed([pasted, uploaded], 18));
        using var text = new StreamReader(ReadingStore.Open((await readings.FindAsync(id))!));
        (await text.ReadToEndAsync()).ShouldBe("MemTotal: 1 kB\n<scr\n", "each on lines of its own, and no more than was allowed");
        (await readings.FindAsync(id + 1)).ShouldBeNull();
    }

    [Fact]
    public async Task A_second_creation_leaves_the_first() =>
        (await store.CreateAsync(Lab.Empty("other"), Lab.Empty("other"))).ShouldBeFalse();

    public void Dispose()
    {
        opened.ForEach(s => s.Dispose());
        folder.Dispose();
    }

    private LabStore Open()
    {
        var services = new ServiceCollection().AddSingleton(TimeProvider.System).AddYuntakData(folder.Path).BuildServiceProvider();
        opened.Add(services);
        new DataOpening(folder.Path, TimeProvider.System, "test")
            .OpenAsync(() =>
                (Small.Lab(Small.Host("kiln"), Small.Host("wren")).WithGuestOn(Small.Guest("notes"), "kiln"), Lab.Empty("stands"))
            )
            .GetAwaiter()
            .GetResult();
        return services.GetRequiredService<LabStore>();
    }

    private static Edit Give(double gib) =>
        GuestEdits.Change(Notes, g => g with { Overrides = new SizeOverrides(Memory: ByteSize.FromGiB(gib)) });

    private static double Memory(Lab lab) => lab.Guest(Notes)!.Overrides.Memory?.GiB ?? 0;

    private async Task Commit(Edit edit) => await store.CommitAsync(Pointer.Draft, (await store.HeadAsync(Pointer.Draft)).Revision, edit);

    private async Task<double> Undo() =>
        Memory(((CommitResult.Committed)await store.UndoAsync(Pointer.Draft, (await store.HeadAsync(Pointer.Draft)).Revision)).Head.Lab);

    private async Task<double> Redo() =>
        Memory(((CommitResult.Committed)await store.RedoAsync(Pointer.Draft, (await store.HeadAsync(Pointer.Draft)).Revision)).Head.Lab);
}
