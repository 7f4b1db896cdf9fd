namespace Yuntak.Web.Tests.Http;

/// <summary>What no field takes is refused at every form, in words, and nothing of it is kept.</summary>
public class DoorTests(Site site) : IClassFixture<Site>
{
    [Theory]
    [InlineData("/Wants/Guest/glazelog", "#save", "kind", "99")]
    [InlineData("/Wants/Guest/glazelog", "#save", "importance", "99")]
    [InlineData("/Wants/Guest/glazelog", "#save", "health-check", "0")]
    [InlineData("/Wants/Profile/wiki", "#keep-profile", "family", "99")]
    [InlineData("/Disks?host=wren&pool=ember", "#keep-pool", "takes", "99")]
    [InlineData("/Disks?host=wren&pool=ember", "#keep-pool", "layout", "99")]
    [InlineData("/Disks?host=wren&pool=ember", "#keep-pool", "family", "99")]
    [InlineData("/Lab", "input[name=cache-rule]", "cache-rule", "99")]
    public async Task A_number_in_place_of_a_word_and_a_value_outside_its_limits_are_refused(
        string path,
        string button,
        string field,
        string typed
    )
    {
        var before = await site.Client.GetStringAsync("/files/lab.yaml");

        var page = await site.Send(await site.Get(path), button, (field, typed));

        page.Body!.TextContent.ShouldContain($"belongs here, not «{typed}»");
        (await site.Client.GetStringAsync("/files/lab.yaml")).ShouldBe(before);
    }

    [Fact]
    public async Task An_offer_in_no_condition_there_is_is_refused_too() =>
        (await site.Get("/Disks/Layouts?need=20TB&survives=1&offer-0-size=8TB&offer-0-price=150&offer-0-condition=7"))
            .QuerySelector(".refusal")!
            .TextContent.ShouldContain("belongs here, not «7»");
}
