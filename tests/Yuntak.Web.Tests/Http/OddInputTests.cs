using System.Net;
using System.Text;
using AngleSharp.Html.Dom;
using AngleSharp.Html.Parser;

namespace Yuntak.Web.Tests.Http;

/// <summary>What programs and slips of the finger send: refused in words, nothing changed, never a fault.</summary>
public sealed class OddInputTests(Site site) : IClassFixture<Site>
{
    private static readonly string[] Odd =
    [
        "7",
        "99",
        "-1",
        "é",
        "٣",
        "１２",
        "NaN",
        "1e999",
        "9999-12-31",
        "8 PiB",
        "99999999999999999999",
        "machine,machine",
        "\u001b[31m",
        "<b>",
        "--mode=777",
        "rel",
        "../..",
        "",
        " ",
        "parity2",
        "null",
        "0000:01:00.0",
    ];

    [Theory]
    [InlineData("/Wants?handler=Bulk", "guests=tinker&change=7")]
    [InlineData("/Wants/Guest/tinker", "kind=7&name=tinker")]
    [InlineData("/Wants/Guest/tinker", "kind=٣&importance=99")]
    [InlineData("/Wants/Guest/tinker", "kind=machine&kind=machine&kind=machine")]
    [InlineData("/Disks?handler=Make", "host=kiln&name=x&layout=3&family=1")]
    [InlineData("/Disks?handler=Make", "")]
    [InlineData("/Disks?handler=Make", "host=kiln&name=x&layout=single&family=array&disk=")]
    [InlineData("/Disks?handler=Share", "host=kiln&pool=clay&name=x&size=1&path=/x&guest=")]
    [InlineData("/Bench/Arrange?handler=Accept", "take=&all=1&look=true")]
    [InlineData("/Runbook/Practice?handler=Move", "work=build-guest/tinker&did=&verb=start")]
    [InlineData("/Keeping/Plan?handler=Takes", "job=nightly&shown=x&ticked=")]
    [InlineData("/Wants?handler=Bulk", "guests=&change=x")]
    [InlineData("/Kit/Host/kiln", "gone=")]
    [InlineData("/Disks?handler=Pool", "")]
    [InlineData("/Disks?handler=Pool", "host=kiln&pool=clay&layout=5")]
    [InlineData("/Disks?handler=Move", "host=kiln")]
    [InlineData("/Disks?handler=Replace", "disk=x")]
    [InlineData("/Disks?handler=Apart", "")]
    [InlineData("/Bench?handler=Place", "")]
    [InlineData("/Bench?handler=Place", "guest=tinker&host=kiln&host=wren")]
    [InlineData("/Bench?handler=Pools", "")]
    [InlineData("/Bench?handler=Nest", "")]
    [InlineData("/Bench?handler=Fix", "")]
    [InlineData("/Bench?handler=Fix", "finding=x&fix=seven")]
    [InlineData("/Kit?handler=Correct", "")]
    [InlineData("/Kit?handler=Drop", "host=kiln")]
    [InlineData("/Kit?handler=HandOver", "")]
    [InlineData("/Kit/Ready/kiln?handler=Answer", "")]
    [InlineData("/Kit/Ready/kiln?handler=Tick", "item=é&on=true")]
    [InlineData("/Kit/Ready/kiln?handler=Tick", "")]
    [InlineData("/Kit/Ready/kiln", "")]
    [InlineData("/Kit/Host/kiln?handler=AddPool", "pool=x&layout=7&family=0")]
    [InlineData("/Kit/Host/kiln?handler=RemovePool", "")]
    [InlineData("/Runbook?handler=Tick", "")]
    [InlineData("/Runbook?handler=Tick", "step=x&as-built=é")]
    [InlineData("/Keeping?handler=Move", "")]
    [InlineData("/Keeping?handler=Move", "kind=onward&name=nothing&time=01:00")]
    [InlineData("/Keeping?handler=Move", "kind=copying&name=nightly&time=25:99")]
    [InlineData("/Keeping?handler=Clock", "")]
    [InlineData("/Keeping?handler=Clock", "time-zone=Mars/Olympus&wakes=06:30")]
    [InlineData("/Keeping?handler=Clock", "time-zone=Europe/Lisbon&wakes=%D9%A3")]
    [InlineData("/Keeping?handler=Keep", "")]
    [InlineData("/Keeping?handler=Keep", "job=nightly&keep=everything")]
    [InlineData("/Keeping?handler=Keep", "job=nightly&keep=daily+7&school=%C3%A9")]
    [InlineData("/Keeping?handler=Spread", "from=late&until=")]
    [InlineData("/Keeping/Plan?handler=Store", "")]
    [InlineData("/Keeping/Plan?handler=Store", "name=x&lies=pool:nowhere/none")]
    [InlineData("/Keeping/Plan?handler=Store", "name=x&lies=guest:nobody")]
    [InlineData("/Keeping/Plan?handler=Store", "name=x&lies=far&place=y&room=-8+TB")]
    [InlineData("/Keeping/Plan?handler=Store", "was=nothing&name=nightly&lies=box:none")]
    [InlineData("/Keeping/Plan?handler=RemoveStore", "")]
    [InlineData("/Keeping/Plan?handler=RemoveStore", "was=nothing")]
    [InlineData("/Keeping/Plan?handler=Job", "")]
    [InlineData("/Keeping/Plan?handler=Job", "name=x&store=nowhere&times=22:30")]
    [InlineData("/Keeping/Plan?handler=Job", "name=x&store=strongroom&times=mon,nun+22:30")]
    [InlineData("/Keeping/Plan?handler=Job", "was=nightly&name=nightly&store=strongroom&times=22:30&rate=-1")]
    [InlineData("/Keeping/Plan?handler=RemoveJob", "")]
    [InlineData("/Keeping/Plan?handler=Takes", "")]
    [InlineData("/Keeping/Plan?handler=Takes", "job=nothing&shown=hearth/system")]
    [InlineData("/Keeping/Plan?handler=Onward", "")]
    [InlineData("/Keeping/Plan?handler=Onward", "from=strongroom&to=strongroom&times=01:00")]
    [InlineData("/Keeping/Plan?handler=RemoveOnward", "")]
    [InlineData("/Keeping/Drills?handler=Drill", "")]
    [InlineData("/Keeping/Drills?handler=Drill", "what=guest:nobody&on=2027-01-01")]
    [InlineData("/Keeping/Drills?handler=Drill", "what=everything&on=2027-01-01")]
    [InlineData("/Keeping/Drills?handler=Drill", "key=guest+hearth+2026-10-17&worked=true&on=2190-01-01")]
    [InlineData("/Keeping/Drills?handler=Drill", "key=guest+hearth+2026-10-17&worked=true&on=2026-10-18&minutes=-4")]
    [InlineData("/Keeping/Drills?handler=NoDrill", "")]
    [InlineData("/Keeping/Drills?handler=Copies", "store=strongroom")]
    [InlineData("/Keeping/Drills?handler=Copies", "store=nowhere&text=hearth,2026-11-01T22:30,5")]
    [InlineData("/Keeping/Drills?handler=Forget", "")]
    [InlineData("/History?handler=Restore", "revision=é")]
    [InlineData("/Lab", "name=x")]
    [InlineData("/Lab?handler=Settings", "name=x&gain=٣")]
    [InlineData("/Clash/999?handler=Both", "")]
    public async Task A_form_that_is_not_whole_or_holds_no_such_value_is_refused_in_words(string path, string fields)
    {
        var before = await site.Client.GetStringAsync("/files/lab.json");
        var (status, text) = await PostAsync(path, fields);

        status.ShouldBeOneOf([HttpStatusCode.OK, HttpStatusCode.NotFound], $"{path} {fields}");
        text.ShouldNotContain("   at ");
        (await site.Client.GetStringAsync("/files/lab.json")).ShouldBe(before, $"{path} {fields} changed something");
    }

    [Fact]
    public async Task A_name_of_sixty_thousand_characters_locks_nobody_out()
    {
        var (status, text) = await PostAsync("/Disks?handler=Apart", "host=kiln&pool=" + new string('p', 60_000));
        status.ShouldBe(HttpStatusCode.OK);
        text.ShouldContain("longer than 4,000 characters");
        (await site.Client.GetAsync("/Bench")).StatusCode.ShouldBe(HttpStatusCode.OK);

        (await PostAsync("/Disks?handler=Apart", "host=kiln&pool=" + new string('p', 3_900))).Status.ShouldBe(HttpStatusCode.OK);
        (await site.Client.GetAsync("/Bench")).StatusCode.ShouldBe(HttpStatusCode.OK, "what is said of it fits into a cookie");
    }

    [Theory]
    [InlineData("application/x-www-form-urlencoded; charset=utf-7")]
    [InlineData("application/x-www-form-urlencoded; charset=nonsense")]
    [InlineData("multipart/form-data; boundary=x; charset=utf-16")]
    public async Task Text_in_an_encoding_nobody_sends_is_refused(string type)
    {
        using var body = new ByteArrayContent("name=x"u8.ToArray());
        body.Headers.TryAddWithoutValidation("Content-Type", type);
        (await site.Client.PostAsync("/Lab?handler=Settings", body)).StatusCode.ShouldBe(HttpStatusCode.UnsupportedMediaType);
    }

    [Fact]
    public async Task What_no_page_needs_is_not_answered()
    {
        using var request = new HttpRequestMessage(HttpMethod.Trace, "/Bench");
        request.Headers.Add("X-Secret", "abc");
        var answer = await site.Client.SendAsync(request);
        answer.StatusCode.ShouldBe(HttpStatusCode.MethodNotAllowed);
        (await answer.Content.ReadAsStringAsync()).ShouldNotContain("abc");
    }

    [Theory]
    [InlineData("/files/lab.yaml")]
    [InlineData("/files/backup")]
    [InlineData("/bench/preview/tinker")]
    [InlineData("/Bench")]
    public async Task Nobody_keeps_a_copy_of_what_is_the_households(string path) =>
        (await site.Client.GetAsync(path)).Headers.CacheControl!.NoStore.ShouldBeTrue();

    /// <summary>Every form of every page, with one field left out, given twice or given something odd. A seed names the run.</summary>
    [Theory]
    [InlineData(1)]
    [InlineData(2)]
    public async Task No_form_of_any_page_can_be_sent_so_that_it_fails(int seed)
    {
        var random = new Random(seed);
        foreach (var path in Yuntak.Web.Rooms.House.Pages.Where(p => !p.AfterReading).Select(p => p.Path))
        {
            var page = new HtmlParser().ParseDocument(await site.Client.GetStringAsync(path));
            var forms = page.QuerySelectorAll("form[method=post]").OfType<IHtmlFormElement>().ToList();
            foreach (var form in forms.OrderBy(_ => random.Next()).Take(6))
            {
                var fields = form.QuerySelectorAll("input, select, textarea")
                    .Select(e => (Name: e.GetAttribute("name") ?? "", Value: e.GetAttribute("value") ?? ""))
                    .Where(f => f.Name.Length > 0)
                    .ToList();
                var at = random.Next(fields.Count);
                if (fields[at].Name == "__RequestVerificationToken")
                {
                    continue;
                }

                switch (random.Next(3))
                {
                    case 0:
                        fields.RemoveAt(at);
                        break;
                    case 1:
                        fields.Add((fields[at].Name, Odd[random.Next(Odd.Length)]));
                        break;
                    default:
                        fields[at] = (fields[at].Name, Odd[random.Next(Odd.Length)]);
                        break;
                }

                var answer = await site.Client.PostAsync(
                    form.GetAttribute("action"),
                    new FormUrlEncodedContent(fields.Select(f => KeyValuePair.Create(f.Name, f.Value)))
                );
                ((int)answer.StatusCode).ShouldBeLessThan(500, $"{form.GetAttribute("action")} {string.Join('&', fields)}");
            }
        }
    }

    private async Task<(HttpStatusCode Status, string Text)> PostAsync(string path, string fields)
    {
        var page = new HtmlParser().ParseDocument(await site.Client.GetStringAsync("/Bench"));
        var hidden = string.Join(
            '&',
            new[] { "__RequestVerificationToken", "based-on" }.Select(n =>
                $"{n}={Uri.EscapeDataString(page.QuerySelector($"input[name={n}]")!.GetAttribute("value")!)}"
            )
        );
        var answer = await site.Client.PostAsync(
            path,
            new StringContent($"{hidden}&{fields}", Encoding.UTF8, "application/x-www-form-urlencoded")
        );
        return (answer.StatusCode, await answer.Content.ReadAsStringAsync());
    }
}
