using System.Diagnostics;
using AngleSharp.Dom;
using AngleSharp.Html.Dom;
using Microsoft.Extensions.DependencyInjection;
using Microsoft.Extensions.Logging.Abstractions;
using Yuntak.Core.Arranging;
using Yuntak.Core.Base;
using Yuntak.Core.Edits;
using Yuntak.Data;
using Yuntak.Tests;
using Yuntak.Web.Arranging;
using Yuntak.Web.Shared;

namespace Yuntak.Web.Tests.Http;

/// <summary>Arranging on screen as a visitor without script meets it, and the desk that searches beside the requests.</summary>
public sealed class ArrangeTests(Site site) : IClassFixture<Site>
{
    [Fact]
    public async Task A_proposal_is_drawn_and_all_of_it_is_accepted_in_one_step_and_taken_back_in_one()
    {
        await using var own = new Site();
        await own.InitializeAsync();
        var found = await Found(own, await own.Get("/Bench/Arrange"));

        found.QuerySelector("#found-title")!.TextContent.ShouldBe("Proven: nothing better is to be had");
        found.QuerySelectorAll(".board.ghosts h2").Select(h => h.TextContent).ShouldBe(["kiln", "cellar"]);
        found.QuerySelectorAll(".ghost-part.comes").Length.ShouldBe(4, "two guests, each for wide and narrow");
        found.QuerySelectorAll(".ghost-list li").Select(l => l.TextContent.Trim()).ShouldContain(t => t.StartsWith("+ reelroom"));
        found.QuerySelector(".left-out[aria-label='owlwatch']")!.TextContent.ShouldContain("release the AI accelerator from glazelog");
        found.QuerySelectorAll(".goals tbody tr").Length.ShouldBeGreaterThan(6);

        var accepted = await own.Send(found, "#accept");
        accepted.QuerySelector("#status .said")!.TextContent.ShouldBe("arranged: pressbook moved kiln → cellar, reelroom put on kiln");
        var back = await own.Send(accepted, "#undo");
        back.QuerySelector("#status .said")!.TextContent.ShouldContain("taken back");
        back.QuerySelector(".tray #tray-reelroom").ShouldNotBeNull();
    }

    [Fact]
    public async Task Of_a_part_it_is_first_shown_what_that_does_by_itself()
    {
        await using var own = new Site();
        await own.InitializeAsync();
        var found = await Found(own, await own.Get("/Bench/Arrange"));
        ((IHtmlInputElement)found.QuerySelector("#take-pressbook")!).IsChecked = false;

        var shown = await own.Send(found, "#accept");
        shown.QuerySelector(".mixture")!.TextContent.ShouldContain("clay on kiln is too small");
        shown.QuerySelector("#take-pressbook")!.HasAttribute("checked").ShouldBeFalse();
        shown.QuerySelector("#take-reelroom")!.HasAttribute("checked").ShouldBeTrue();
        shown.QuerySelectorAll(".board.ghosts h2").Select(h => h.TextContent).ShouldBe(["kiln"]);
        (await own.Send(shown, "#accept")).QuerySelector("#status .said")!.TextContent.ShouldBe("arranged: reelroom put on kiln");
    }

    [Fact]
    public async Task Wrong_input_is_refused_in_words_and_nothing_changes()
    {
        var page = await site.Get("/Bench/Arrange");
        foreach (
            var (name, value, says) in new[]
            {
                ("seconds", "soon", "a number over 0"),
                ("seconds", "9999", "up to 120"),
                ("empty", "gone", "no longer in the lab"),
                ("scope", "of:gone", "no longer in the lab"),
                ("offers", "of:gone", "no offer «gone»"),
            }
        )
        {
            (await site.Send(page, "#arrange", (name, value))).QuerySelector("#status")!.TextContent.ShouldContain(says);
        }

        var found = await Found(site, page);
        (await site.Send(found, "#accept", ("take", "{\"Guest\":")))
            .QuerySelector("#status")!
            .TextContent.ShouldContain("no part of an arrangement");
        (
            await site.Send(
                found,
                "#accept",
                ("take", """{"Guest":"nobody","Host":"kiln","System":null,"Bulk":null,"Kind":0}"""),
                ("all", "1")
            )
        )
            .QuerySelector("#status")!
            .TextContent.ShouldContain("no longer in the lab");
        (await site.Get("/Bench/Arrange?job=unknown")).QuerySelector("#arrange").ShouldNotBeNull();
        (await site.Get("/Bench")).QuerySelector("#undo")!.HasAttribute("disabled").ShouldBeTrue();
    }

    [Fact]
    public async Task One_host_away_says_where_its_guests_go_and_what_would_not_live()
    {
        var away = await site.Get("/Bench/Away?host=wren");
        away.QuerySelectorAll(".ghost-list li").Select(l => l.TextContent.Trim()).ShouldContain(t => t.StartsWith("+ bootpost"));
        away.QuerySelectorAll(".left-out").Select(l => l.GetAttribute("aria-label")).ShouldBe(["gatehouse", "hearth"]);
        away.QuerySelector(".left-out[aria-label='hearth']")!.TextContent.ShouldContain("a radio stick in kiln");
        (await site.Get("/Bench/Away?host=nowhere")).QuerySelector(".boards .board").ShouldNotBeNull("back at the boards");
    }

    [Fact]
    public async Task Offers_and_marks_are_said_and_refused_in_words()
    {
        await using var own = new Site();
        await own.InitializeAsync();
        var page = await own.Get("/Bench/Arrange");
        var offer = await own.Send(
            page,
            "#offers details form",
            ("name", "<b>shelf</b>"),
            ("price", "180"),
            ("cores", "8"),
            ("threads", ""),
            ("memory", "32 GiB"),
            ("flash", "2 TB"),
            ("bulk", "24 TB"),
            ("idle-watts", "9")
        );
        offer.QuerySelector("#status .said")!.TextContent.ShouldBe("<b>shelf</b> offered");
        var bad = await own.Send(offer, "#offers details form", ("name", "x"), ("price", "much"), ("cores", "8"), ("memory", "1 GiB"));
        bad.QuerySelector("#status")!.TextContent.ShouldContain("price");
        var found = await Found(own, offer, ("offers", "all"));
        found.QuerySelector(".found")!.TextContent.ShouldNotContain("came to grief");

        var panel = await own.Get("/Bench?guest=gatehouse");
        var marked = await own.Send(panel, "#where", ("survives", "true"), ("apart", "tinker, hearth"), ("together", ""));
        marked.QuerySelector("#status")!.TextContent.ShouldContain("gatehouse has nowhere to go without wren");
        (await own.Send(marked, "#where", ("apart", "nobody at all"), ("together", "")))
            .QuerySelector("#status")!
            .TextContent.ShouldContain("There is no guest called «nobody at all»");
    }

    [Fact]
    public async Task Who_asks_the_same_joins_a_search_nobody_waits_for_ends_and_the_page_answers_meanwhile()
    {
        await using var own = new Site { Demo = false };
        await own.InitializeAsync();
        var store = own.Services.GetRequiredService<LabStore>();
        await store.CommitAsync(
            Pointer.Draft,
            (await store.HeadAsync(Pointer.Draft)).Revision,
            LabEdits.Replace(ArrangeGens.Of(0, 12, 120, 0.95, odd: false))
        );
        var desk = await own.Services.GetRequiredService<DeskService>().LoadAsync(CancellationToken.None);
        var clock = new HandClock();
        using var arranging = new ArrangeDesk(clock, NullLogger<ArrangeDesk>.Instance);
        var ask = new ArrangeAsk { Seconds = 100 };

        var first = arranging.Begin(desk, ask);
        arranging.Begin(desk, ask with { }).ShouldBeSameAs(first);
        arranging.Find(first.Id).ShouldBeSameAs(first);
        var second = arranging.Begin(desk, ask with { Seed = 2 });
        second.Ended.ShouldBeFalse("it waits for its turn");
        _ = arranging.Begin(desk, ask with { Seed = 3 });
        _ = arranging.Begin(desk, ask with { Seed = 4 });
        Should.Throw<Refused>(() => arranging.Begin(desk, ask with { Seed = 5 })).Message.ShouldContain("already");
        var clockOut = Stopwatch.StartNew();
        (await own.Get("/Bench/Arrange")).QuerySelector("#arrange").ShouldNotBeNull();
        clockOut.Elapsed.ShouldBeLessThan(TimeSpan.FromSeconds(5), "a guard; the bench measures");

        // Nobody asks any more: each timer runs out.
        clock.Fire();
        await first.Work.WaitAsync(TimeSpan.FromSeconds(30), TestContext.Current.CancellationToken);
        await second.Work.WaitAsync(TimeSpan.FromSeconds(30), TestContext.Current.CancellationToken);
        first.Trouble.ShouldNotBeNull().ShouldContain("stopped");
        second.Result.ShouldBeNull();
        // Asked once more it begins anew.
        arranging.Begin(desk, ask).ShouldNotBeSameAs(first);
    }

    private static async Task<IHtmlDocument> Found(Site site, IDocument page, params (string, string)[] fields)
    {
        var shown = await site.Send(page, "#arrange", fields);
        var patience = Stopwatch.StartNew();
        while (shown.QuerySelector("#arranging") is { } waiting && patience.Elapsed < TimeSpan.FromMinutes(2))
        {
            var job = waiting.GetAttribute("hx-get")!.Split("job=")[1];
            shown = await site.Get($"/Bench/Arrange?job={job}");
        }

        shown.QuerySelector("#found-title").ShouldNotBeNull();
        return shown;
    }

    /// <summary>A clock whose timers run out when it is told.</summary>
    private sealed class HandClock : TimeProvider
    {
        private readonly List<HandTimer> timers = [];

        public override ITimer CreateTimer(TimerCallback callback, object? state, TimeSpan dueTime, TimeSpan period)
        {
            var timer = new HandTimer(() => callback(state));
            timers.Add(timer);
            return timer;
        }

        public void Fire() => timers.ForEach(t => t.Fire());
    }

    private sealed class HandTimer(Action fire) : ITimer
    {
        public void Fire() => fire();

        public bool Change(TimeSpan dueTime, TimeSpan period) => true;

        public void Dispose() { }

        public ValueTask DisposeAsync() => ValueTask.CompletedTask;
    }
}
