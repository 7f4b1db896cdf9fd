using AngleSharp.Dom;
using AngleSharp.Html.Dom;
using Yuntak.Data;

namespace Yuntak.Web.Tests.Http;

/// <summary>Photos of the screen kept with a step of the runbook.</summary>
public sealed class PhotoTests : IAsyncLifetime
{
    private const string Form = "#step-1-1 form[action*=Photo] input[type=file]";

    /// <summary>The smallest image there is: one grey dot. Made by hand after W3C, Portable Network Graphics, 11.</summary>
    private static readonly byte[] Dot = Convert.FromBase64String(
        "iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAAAAAA6fptVAAAACklEQVR4nGNoAAAAggCBd81ytgAAAABJRU5ErkJggg=="
    );

    private readonly Site site = new();

    public ValueTask InitializeAsync() => site.InitializeAsync();

    public ValueTask DisposeAsync() => site.DisposeAsync();

    [Fact]
    public async Task A_photo_is_kept_with_its_step_taken_away_and_put_back()
    {
        var kept = await site.Upload(await site.Get("/Runbook"), Form, new ByteArrayContent(Dot), "screen.png");
        var image = kept.QuerySelectorAll<IHtmlImageElement>("#step-1-1 .photos img").ShouldHaveSingleItem();
        image.AlternativeText.ShouldNotBeNull().ShouldContain("br-cam");
        var sent = await site.Client.GetAsync(image.GetAttribute("src"), TestContext.Current.CancellationToken);
        sent.Content.Headers.ContentType!.MediaType.ShouldBe("image/png");
        sent.Headers.GetValues("X-Content-Type-Options").ShouldBe(["nosniff"]);
        (await sent.Content.ReadAsByteArrayAsync(TestContext.Current.CancellationToken)).ShouldBe(Dot);

        var gone = await site.Send(kept, "#step-1-1 .photos form");
        gone.QuerySelector(".photos").ShouldBeNull();
        (await site.Client.GetAsync(image.GetAttribute("src"), TestContext.Current.CancellationToken)).IsSuccessStatusCode.ShouldBeFalse();
        var back = await site.Send(gone, ".photo-gone");
        back.QuerySelectorAll("#step-1-1 .photos img").Length.ShouldBe(1);
        back.QuerySelector(".photo-gone").ShouldBeNull();
    }

    [Fact]
    public async Task A_photo_stays_to_be_seen_when_its_step_is_through()
    {
        var page = await site.Upload(await site.Get("/Runbook"), Form, new ByteArrayContent(Dot), "screen.png");
        page = await site.Send(page, "#step-1-1 .tick-box");
        page.QuerySelectorAll(".photos img").Length.ShouldBe(1);
    }

    [Theory]
    [InlineData("<svg xmlns='http://www.w3.org/2000/svg'><script>alert(1)</script></svg>")]
    [InlineData("GIF89a")]
    [InlineData("RIFF....WAVE")]
    [InlineData("\u0089PN")]
    public async Task What_is_no_image_is_refused_whatever_it_is_called(string content)
    {
        var page = await site.Upload(await site.Get("/Runbook"), Form, new StringContent(content), "screen.png");
        page.QuerySelector("#status .refusal")!.TextContent.ShouldContain("no PNG, JPEG or WebP image");
        page.QuerySelector(".photos").ShouldBeNull();
    }

    [Fact]
    public async Task Too_large_too_many_and_none_at_all_are_said()
    {
        var page = await site.Get("/Runbook");
        byte[] large = [.. Dot, .. new byte[PhotoStore.Largest]];
        (await site.Upload(page, Form, new ByteArrayContent(large), "a.png"))
            .QuerySelector("#status .refusal")!
            .TextContent.ShouldContain("8 MiB");
        (await site.Upload(page, Form, new ByteArrayContent([]), "a.png"))
            .QuerySelector("#status .refusal")!
            .TextContent.ShouldContain("Choose a photo");
        for (var n = 0; n < PhotoStore.MostOfStep; n++)
        {
            page = await site.Upload(page, Form, new ByteArrayContent(Dot), "a.png");
            page.QuerySelector("#status .refusal").ShouldBeNull();
        }

        page = await site.Upload(page, Form, new ByteArrayContent(Dot), "a.png");
        page.QuerySelector("#status .refusal")!.TextContent.ShouldContain("Take one away first");
        page.QuerySelectorAll("#step-1-1 .photos img").Length.ShouldBe(PhotoStore.MostOfStep);
    }
}
