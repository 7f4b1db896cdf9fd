using Microsoft.Extensions.DependencyInjection;
using Yuntak.Core.Edits;
using Yuntak.Core.Keeping;
using Yuntak.Core.Labs;
using Yuntak.Core.Runbooks;
using Yuntak.Data;
using Yuntak.Data.Opening;
using Yuntak.Tests;

namespace Yuntak.Web.Tests.Data;

/// <summary>What a tick teaches comes with it and goes with it, on real SQLite files.</summary>
public sealed class TickingTests : IDisposable
{
    private static readonly Lab Stands = Copied.Sound();
    private static readonly Drill Planned = new(DrillKind.Guest, Copied.Today.AddDays(3), Copied.Cloud);
    private static readonly Lab Draft = Stands.With(KeepingEdits.Drill(Planned));
    private static readonly string Section = RunbookBuilder.Build(Stands, Draft).Sections.Single().Key;
    private readonly TempFolder folder = new();
    private readonly ServiceProvider services;
    private readonly LabStore store;
    private readonly Ticking ticking;

    public TickingTests()
    {
        services = new ServiceCollection().AddSingleton(TimeProvider.System).AddYuntakData(folder.Path).BuildServiceProvider();
        new DataOpening(folder.Path, TimeProvider.System, "test").OpenAsync(() => (Draft, Stands)).GetAwaiter().GetResult();
        (store, ticking) = (services.GetRequiredService<LabStore>(), services.GetRequiredService<Ticking>());
    }

    [Fact]
    public async Task A_drill_that_is_ticked_came_back_and_a_tick_taken_back_leaves_it_planned_as_it_was()
    {
        await TickAll();
        (await Plan()).Drills.Single(d => d.Guest == Copied.Cloud).ShouldBe(Planned with { On = Copied.Today, Worked = true });
        await Back();
        (await Plan()).ShouldBe(Draft, "or a drill counts that was never done");
        (await store.HeadAsync(Pointer.AsBuilt)).Lab.ShouldBe(Stands);
        (await store.HeadAsync(Pointer.Draft)).Sentence.ShouldStartWith("forgotten with the tick: drill of cloud");
    }

    [Fact]
    public async Task What_was_planned_meanwhile_stays()
    {
        await TickAll();
        await Change(KeepingEdits.ChangeJob("nightly", j => j with { Limit = 40 }));
        await Back();
        var now = await Plan();
        now.Jobs.Single().Limit.ShouldBe(40);
        now.Drills.Single(d => d.Guest == Copied.Cloud).ShouldBe(Planned);
    }

    [Fact]
    public async Task What_somebody_wrote_over_it_is_theirs()
    {
        await TickAll();
        await Change(KeepingEdits.Measured("nightly", 55));
        var drill = (await Plan()).Drills.Single(d => d.Guest == Copied.Cloud);
        await Change(KeepingEdits.Drill(drill with { Note = "the lists were empty" }));
        await Back();
        (await Plan()).Drills.ShouldContain(d => d.Note == "the lists were empty");
    }

    [Fact]
    public async Task A_tick_that_taught_nothing_takes_nothing_of_the_plan_back()
    {
        await TickAll();
        var learnt = await Plan();
        await ticking.OffAsync(await Built(), _ => lab => new Changed(lab with { Name = "renamed" }, "another tick"));
        await Back();
        (await Plan()).ShouldBe(learnt);
        await Back();
        (await Plan()).ShouldBe(Draft, "the step back stands for the tick before it");
    }

    [Fact]
    public async Task What_is_planned_no_longer_is_not_learnt_and_the_tick_stands()
    {
        await ticking.OffAsync(
            await Built(),
            learnt =>
                lab =>
                {
                    learnt(KeepingEdits.Measured("nobody", 5));
                    return new Changed(lab with { Name = "renamed" }, "a tick");
                }
        );
        (await Plan()).ShouldBe(Draft);
        (await store.HeadAsync(Pointer.AsBuilt)).Lab.Name.ShouldBe("renamed");
    }

    public void Dispose()
    {
        services.Dispose();
        folder.Dispose();
    }

    private async Task TickAll() =>
        (
            await ticking.OffAsync(await Built(), learnt => RunbookTick.OffAll(Draft, Section, Copied.Today, learnt))
        ).ShouldBeOfType<CommitResult.Committed>();

    private async Task Back() => (await ticking.BackAsync(await Built())).ShouldBeOfType<CommitResult.Committed>();

    private async Task<long> Built() => (await store.HeadAsync(Pointer.AsBuilt)).Revision;

    private async Task<Lab> Plan() => (await store.HeadAsync(Pointer.Draft)).Lab;

    private async Task Change(Edit edit) => await store.CommitAsync(Pointer.Draft, (await store.HeadAsync(Pointer.Draft)).Revision, edit);
}
