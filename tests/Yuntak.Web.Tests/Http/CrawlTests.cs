using System.Globalization;
using System.Text.RegularExpressions;
using Microsoft.Extensions.DependencyInjection;
using Yuntak.Bench;
using Yuntak.Core.Edits;
using Yuntak.Core.Labs;
using Yuntak.Data;

namespace Yuntak.Web.Tests.Http;

/// <summary>
/// Every kind of link leads to a page: none to one that is not there, none to one that breaks. Links that differ only in numbers are of a kind, and followed a few times
/// each, since there is always a next night; <c>YUNTAK_CRAWL</c> says how many times.
/// </summary>
public partial class CrawlTests
{
    [Fact]
    public async Task Every_kind_of_link_of_the_demo_leads_somewhere()
    {
        await using var site = new Site();
        await site.InitializeAsync();
        var (seen, broken) = await CrawlAsync(site, 12);
        broken.ShouldBeEmpty();
        seen.ShouldBeGreaterThan(200);
    }

    [Fact]
    public async Task Every_kind_of_link_of_a_large_lab_leads_somewhere()
    {
        await using var site = new Site { Demo = false };
        await site.InitializeAsync();
        var store = site.Services.GetRequiredService<LabStore>();
        await store.CommitAsync(
            Pointer.Draft,
            (await store.HeadAsync(Pointer.Draft)).Revision,
            _ => new Changed(LargeLabs.Of(20, 500).WithCopies(40), "a large lab")
        );
        var (seen, broken) = await CrawlAsync(site, 3);
        broken.ShouldBeEmpty();
        seen.ShouldBeGreaterThan(200);
    }

    private static async Task<(int Seen, List<string> Broken)> CrawlAsync(Site site, int ofAKind)
    {
        ofAKind = Environment.GetEnvironmentVariable("YUNTAK_CRAWL") is { } more ? int.Parse(more, CultureInfo.InvariantCulture) : ofAKind;
        Queue<(string Path, string From)> open = new([("/", "the address")]);
        HashSet<string> seen = ["/"];
        Dictionary<string, int> kinds = [];
        List<string> broken = [];
        while (open.TryDequeue(out var next))
        {
            using var answer = await site.Client.GetAsync(next.Path);
            if (!answer.IsSuccessStatusCode)
            {
                broken.Add($"{(int)answer.StatusCode} {next.Path}, from {next.From}");
                continue;
            }

            if (answer.Content.Headers.ContentType?.MediaType != "text/html")
            {
                continue;
            }

            var page = new AngleSharp.Html.Parser.HtmlParser().ParseDocument(await answer.Content.ReadAsStringAsync());
            foreach (var link in page.QuerySelectorAll("a[href], area[href], [hx-get]"))
            {
                var to = (link.GetAttribute("href") ?? link.GetAttribute("hx-get")!).Split('#')[0];
                var kind = Digits().Replace(to, "0");
                if (to.StartsWith('/') && seen.Add(to) && (kinds[kind] = kinds.GetValueOrDefault(kind) + 1) <= ofAKind)
                {
                    open.Enqueue((to, next.Path));
                }
            }
        }

        return (kinds.Values.Sum(n => Math.Min(n, ofAKind)), broken);
    }

    [GeneratedRegex("[0-9]+")]
    private static partial Regex Digits();
}
