using System.Net;
using AngleSharp.Dom;
using AngleSharp.Html.Dom;
using Microsoft.AspNetCore.Http;
using Microsoft.Extensions.Primitives;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Shapes;
using Yuntak.Formats.LabFiles;
using Yuntak.Web.Pages.Wants;

namespace Yuntak.Web.Tests.Http;

/// <summary>Profiles, ways of packaging, engines inside guests and changes to many guests at once, as a visitor without script meets them.</summary>
public sealed class WantsTests(Site site) : IClassFixture<Site>
{
    [Fact]
    public async Task A_profile_is_changed_counts_and_is_dropped_again()
    {
        var page = await site.Get("/Wants/Profile/name-server");
        page.QuerySelector("#usual")!.TextContent.ShouldContain("320");
        var kept = await site.Send(page, "#keep-profile", ("memory.0.amount", "2"));
        kept.QuerySelector("#status .said")!.TextContent.ShouldContain("own profile name server and ad filter kept");
        kept.QuerySelector(".own-figure")!.TextContent.ShouldBe("yours");
        (await Line("signpost")).ShouldContain("2.5");

        var dropped = await site.Send(await site.Get("/Wants/Profile/name-server"), "#drop-profile");
        dropped.QuerySelector("#status .said")!.TextContent.ShouldContain("back to the profile that comes with Yuntak");
        (await Line("signpost")).ShouldContain("320");
    }

    [Fact]
    public async Task A_new_one_is_made_like_another_and_asked_for()
    {
        var page = await site.Get("/Wants/Profile?like=wiki");
        Value(page, "name").ShouldBe("");
        var kept = await site.Send(
            page,
            "#keep-profile",
            ("name", "glaze recipes"),
            ("load.1.label", "Kilns"),
            ("load.1.usual", "2"),
            ("load.1.min", "0"),
            ("load.1.max", "9"),
            ("busy.1.label", "kiln"),
            ("busy.1.amount", "1.5"),
            ("busy.1.per", "kilns")
        );
        kept.QuerySelector("#status .said")!.TextContent.ShouldContain("own profile glaze recipes kept");
        (await site.Get("/Wants/Guest")).QuerySelector("#profile-glaze-recipes").ShouldNotBeNull();
        var form = await site.Get("/Wants/Guest?profile=glaze-recipes");
        form.QuerySelector("#sizes")!.TextContent.ShouldContain("3.2");
        (await site.Get("/Find?q=glaze")).Body!.TextContent.ShouldContain("profile: glaze recipes");
        (await site.Client.GetStringAsync("/files/profiles.yaml")).ShouldContain("id: glaze-recipes");
        (await site.Client.GetStringAsync("/files/lab.yaml")).ShouldContain("id: glaze-recipes");
        await site.Send(await site.Get("/Wants/Profile/glaze-recipes"), "#drop-profile");
        (await site.Client.GetAsync("/Wants/Profile/glaze-recipes")).StatusCode.ShouldBe(HttpStatusCode.NotFound);
    }

    [Theory]
    [InlineData("busy.0.amount", "lots", "cores when busiest")]
    [InlineData("busy.0.amount", "-1", "a number belongs here, not «-1»")]
    [InlineData("busy.0.per", "pots", "«pots», which is not among the loads")]
    [InlineData("load.0.max", "1", "the usual amount lies from the least to the most")]
    [InlineData("hour.3", "140", "24 numbers from 0 to 1")]
    [InlineData("advised.machine", "", "at least one way of packaging")]
    [InlineData("first-start", "soon", "first start, minutes: a whole number from 0 to 1,440")]
    public async Task What_is_wrong_with_a_profile_is_said_and_what_was_typed_stays(string field, string typed, string says)
    {
        (string, string)[] fields = field.StartsWith("advised", StringComparison.Ordinal)
            ? [("advised.machine", ""), ("advised.system-container", ""), ("advised.app-stack", "")]
            : [(field, typed)];
        var page = await site.Send(await site.Get("/Wants/Profile/wiki"), "#keep-profile", [.. fields, ("summary", "kept as typed")]);

        page.QuerySelector(".problems")!.TextContent.ShouldContain(says);
        Value(page, "summary").ShouldBe("kept as typed");
        Value(page, field).ShouldBe(typed);
        (await site.Client.GetStringAsync("/files/profiles.yaml")).ShouldNotContain("wiki");
    }

    [Fact]
    public async Task A_profile_file_with_a_mistake_changes_nothing_and_names_its_line()
    {
        var text = await site.Client.GetStringAsync("/files/profiles/wiki");
        var wrong = text.Replace("family: files", "family: garage");
        var page = await site.Send(await site.Get("/Wants/Profiles"), "#read-profiles", ("text", wrong));

        page.QuerySelector(".problems")!.TextContent.ShouldContain("line 6, profiles[0].family: one of house");
        page.QuerySelector("textarea")!.TextContent.ShouldContain("garage");
        (await site.Client.GetStringAsync("/files/profiles.yaml")).ShouldNotContain("wiki");
    }

    [Fact]
    public async Task A_profile_file_that_was_uploaded_is_taken_over()
    {
        var text = (await site.Client.GetStringAsync("/files/profiles/music")).Replace("name: music and spoken word", "name: <b>music</b>");
        var page = await site.Upload(await site.Get("/Wants/Profiles"), "#read-profiles", new StringContent(text), "p.yaml");
        page.QuerySelector("#status .said")!.TextContent.ShouldContain("<b>music</b>");
        page.QuerySelectorAll(".profile-list b b").ShouldBeEmpty("text of people is shown, not run");
        await site.Send(await site.Get("/Wants/Profile/music"), "#drop-profile");
    }

    [Fact]
    public void Every_profile_goes_through_its_form_unchanged()
    {
        foreach (var profile in ProfileBook.Standard.All)
        {
            var posted = ProfileForm.Of(profile).Fields.ToDictionary(f => f.Key, f => new StringValues(f.Value));
            ProfileForm.Read(new FormCollection(posted)).ToProfile(profile.Id, profile).ShouldBe(profile, profile.Id);
        }
    }

    [Fact]
    public async Task The_ways_stand_side_by_side_with_what_is_given_up()
    {
        var page = await site.Get("/Wants/Guest/pressbook");
        var ways = page.QuerySelectorAll(".ways tbody th").Select(w => w.TextContent.Trim()).ToList();
        ways.Count.ShouldBe(5);
        ways[3].ShouldBe("app stack inside a system container");
        ways[4].ShouldBe("app stack inside a machine");
        page.QuerySelectorAll(".ways .verdict").Length.ShouldBe(15, "every way on every host");
        page.QuerySelector(".ways")!.TextContent.ShouldContain("the wall between it and the host gets thinner");
    }

    [Fact]
    public async Task Two_loads_are_compared_while_one_is_typed()
    {
        var page = await site.Get("/Wants/Guest/lantern");
        page.QuerySelector("#compare").ShouldBeNull("nothing was changed yet");
        var typed = await Sized(page, ("load-0-conversions-2160p", "2"));
        var rows = typed.QuerySelectorAll("#compare tbody tr").Select(r => string.Join('|', r.Children.Select(c => c.TextContent.Trim())));
        rows.ShouldContain(r => r.StartsWith("processors|7|13"));
        typed.QuerySelector("#compare caption")!.TextContent.ShouldBe("Beside as it is kept");
        (await Sized(await site.Get("/Wants/Guest?profile=wiki"), ("load-0-people", "40")))
            .QuerySelector("#compare caption")!
            .TextContent.ShouldBe("Beside a usual household");
    }

    [Fact]
    public async Task An_engine_gets_a_guest_of_its_own_from_the_form_and_from_the_bench()
    {
        var kept = await site.Send(await site.Get("/Wants/Guest/signpost"), "#save", ("engine", GuestForm.OwnContainer));
        kept.QuerySelector("#status .said")!.TextContent.ShouldContain("signpost runs in a system container of its own now, app engine");
        (await Line("signpost")).ShouldContain("on kiln, in app engine");
        var bench = await site.Get("/Bench?guest=app-engine");
        bench.QuerySelector("#inside-signpost").ShouldNotBeNull();
        bench.QuerySelector("#ruler-app-engine")!.GetAttribute("aria-label")!.ShouldContain("with signpost inside");
        bench.QuerySelector("#ruler-signpost").ShouldBeNull("it is counted in the other one");
        bench.QuerySelector("#tray-signpost").ShouldBeNull("it has a place");

        var panel = await site.Get("/Bench?guest=signpost");
        ((IHtmlSelectElement)panel.QuerySelector("select[name=engine]")!).Value.ShouldBe("app-engine");
        (await site.Get("/Runbook")).Body!.TextContent.ShouldContain("nesting");
        var refused = await site.Send(panel, "#nest", ("engine", "signpost"));
        refused.QuerySelector(".refusal")!.TextContent.ShouldContain("is an app stack itself");
        var out_ = await site.Send(panel, "#nest", ("engine", ""));
        out_.QuerySelector("#status .said")!.TextContent.ShouldContain("taken out of app engine and put on kiln");
        await site.Send(await site.Get("/Wants/Guest/app-engine"), "#remove-guest");
    }

    [Fact]
    public async Task Several_guests_are_changed_in_one_step_that_undo_takes_back()
    {
        var page = await site.Get("/Wants");
        var changed = await site.Send(page, "#bulk-go", ("change", "must"), ("guests", "lantern"), ("guests", "owlwatch"));
        changed.QuerySelector("#status .said")!.TextContent.ShouldContain("lantern, owlwatch: must run");
        (await site.Client.GetStringAsync("/files/lab.yaml")).Split("importance: must").Length.ShouldBeGreaterThan(2);
        await site.Send(changed, "#undo");
        var refused = await site.Send(await site.Get("/Wants"), "#bulk-go", ("change", "remove"));
        refused.Body!.TextContent.ShouldContain("Tick the guests it should happen to first.");
    }

    [Fact]
    public async Task What_a_bulk_change_refuses_happens_to_nobody_and_the_ticks_stay()
    {
        await site.Send(await site.Get("/Bench?guest=signpost"), "#nest", ("engine", "tinker"));
        var refused = await site.Send(
            await site.Get("/Wants"),
            "#bulk-go",
            ("change", "app-stack"),
            ("guests", "glazelog"),
            ("guests", "tinker")
        );
        refused.QuerySelector(".refusal")!.TextContent.ShouldContain("tinker cannot become an app stack while signpost runs in it");
        ((IHtmlInputElement)refused.QuerySelector("#tick-glazelog")!).IsChecked.ShouldBeTrue();
        ((IHtmlSelectElement)refused.QuerySelector("#bulk-change")!).Value.ShouldBe("app-stack");
        LabFile
            .Read(await site.Client.GetStringAsync("/files/lab.yaml"))
            .Lab!.Guests.First(g => g.Name == "glazelog")
            .Kind.ShouldBe(Core.Profiles.GuestKind.Machine);
        await site.Send(await site.Get("/Bench?guest=signpost"), "#nest", ("engine", ""));
    }

    [Fact]
    public async Task Details_of_an_image_are_kept_and_checked()
    {
        var page = await site.Get("/Wants/Guest/bootpost");
        var kept = await site.Send(page, "#save", ("made-for", "riscv64"), ("health-check", "1"));
        kept.QuerySelector("#status .said")!.TextContent.ShouldContain("bootpost");
        var wants = (await site.Get("/Wants")).Body!.TextContent;
        wants.ShouldContain("bootpost is made for another processor than wren has");
        wants.ShouldContain("health check does not wait for its first start");
        var refused = await site.Send(await site.Get("/Wants/Guest/bootpost"), "#save", ("made-for", "two words"));
        refused.Body!.TextContent.ShouldContain("one word without spaces, of at most 40");
        await site.Send(await site.Get("/Wants/Guest/bootpost"), "#save", ("made-for", ""), ("health-check", ""));
    }

    private async Task<IHtmlDocument> Sized(IHtmlDocument page, params (string, string)[] fields)
    {
        var form = page.QuerySelector("#want-form")!;
        form.SetAttribute(
            "action",
            "/Wants/Guest/"
                + (page.QuerySelector("h1")!.TextContent is var h && h.StartsWith("A ", StringComparison.Ordinal) ? "" : h)
                + "?handler=Size"
        );
        return await site.Send(page, "#want-form", fields);
    }

    private async Task<string> Line(string guest) => (await site.Get("/Wants")).QuerySelector($"li[data-guest={guest}]")!.TextContent;

    private static string Value(IHtmlDocument page, string name) => ((IHtmlInputElement)page.QuerySelector($"input[name='{name}']")!).Value;
}
