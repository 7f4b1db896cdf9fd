using System.Net;
using System.Security.Cryptography.X509Certificates;
using Yuntak.Core.Base;
using Yuntak.Web.Door;
using Yuntak.Web.Starting;

namespace Yuntak.Web.Tests.Http;

/// <summary>Nobody from another machine comes in without the pass phrase, and whoever knows it does.</summary>
public class FrontDoorTests
{
    [Fact]
    public async Task Without_a_phrase_nobody_else_comes_in_and_this_machine_is_asked_to_set_one()
    {
        await using var house = await Household.OpenAsync();

        (await house.Elsewhere().GetStringAsync("/Bench")).ShouldContain("No pass phrase is set yet");
        (await house.Elsewhere(follow: false).GetAsync("/files/lab.yaml")).StatusCode.ShouldBe(HttpStatusCode.Unauthorized);
        (await house.Elsewhere().GetStringAsync("/Pass")).ShouldContain(
            "No pass phrase is set yet",
            Case.Insensitive,
            "it is not set from there"
        );

        var here = house.Here();
        (await here.GetStringAsync("/Bench")).ShouldContain("The new one");
        var answer = await Household.SendAsync(here, "/Pass", ("phrase", Household.Phrase), ("again", Household.Phrase));
        (await answer.Content.ReadAsStringAsync()).ShouldContain("Sign out everywhere");
        (await here.GetAsync("/Bench")).StatusCode.ShouldBe(HttpStatusCode.OK);
        (await house.Elsewhere().GetStringAsync("/Bench")).ShouldContain("Come in");
    }

    [Fact]
    public async Task A_program_that_passes_on_what_others_ask_is_not_this_machine()
    {
        await using var house = await Household.OpenAsync();
        var here = house.Here();
        here.DefaultRequestHeaders.Add("X-Forwarded-For", "192.168.1.9");
        (await here.GetStringAsync("/Bench")).ShouldContain("No pass phrase is set yet");
    }

    [Theory]
    [InlineData("too short", "12 characters")]
    [InlineData("aaaaaaaaaaaaaaaa", "too easily guessed")]
    public async Task A_weak_phrase_is_refused_in_words(string phrase, string says)
    {
        await using var house = await Household.OpenAsync();
        var answer = await Household.SendAsync(house.Here(), "/Pass", ("phrase", phrase), ("again", phrase));
        (await answer.Content.ReadAsStringAsync()).ShouldContain(says);
        new PassFile(house.Data).IsSet.ShouldBeFalse();
    }

    [Fact]
    public async Task Every_page_and_every_file_is_behind_the_door()
    {
        await using var house = await Household.OpenAsync();
        new PassFile(house.Data).Set(Household.Phrase);
        var other = house.Elsewhere(follow: false);
        string[] files =
        [
            "/files/lab.yaml",
            "/files/lab.json",
            "/files/backup",
            "/files/runbook.md",
            "/files/collect.sh",
            "/bench/preview/x",
        ];
        foreach (var path in Yuntak.Web.Rooms.House.Pages.Select(p => p.Path).Where(p => p is not "/SignIn").Concat(files))
        {
            var answer = await other.GetAsync(path);
            ((int)answer.StatusCode).ShouldBeOneOf([302, 401], path);
            (await answer.Content.ReadAsStringAsync()).ShouldNotContain("kiln");
            ((int)(await other.PostAsync(path, new FormUrlEncodedContent([]))).StatusCode).ShouldBeOneOf([401, 405], path);
        }
    }

    [Fact]
    public async Task Who_knows_the_phrase_comes_in_goes_where_they_wanted_and_leaves_again()
    {
        await using var house = await Household.OpenAsync();
        new PassFile(house.Data).Set(Household.Phrase);
        var phone = house.Elsewhere();

        var wrong = await Household.SendAsync(phone, "/SignIn?then=%2FHistory", ("phrase", "not the right phrase"));
        wrong.StatusCode.ShouldBe(HttpStatusCode.Forbidden);
        (await wrong.Content.ReadAsStringAsync()).ShouldContain("That did not open it.");

        var right = await Household.SendAsync(phone, "/SignIn", ("phrase", Household.Phrase), ("then", "/History"));
        right.RequestMessage!.RequestUri!.AbsolutePath.ShouldBe("/History");

        await Household.SendAsync(phone, "/SignIn?handler=Out");
        (await phone.GetStringAsync("/History")).ShouldContain("Come in");
    }

    [Theory]
    [InlineData("//elsewhere.example/")]
    [InlineData("https://elsewhere.example/")]
    [InlineData("/\\elsewhere.example")]
    [InlineData("javascript:alert(1)")]
    public async Task Signing_in_leads_nowhere_else(string then)
    {
        await using var house = await Household.OpenAsync();
        new PassFile(house.Data).Set(Household.Phrase);
        var answer = await Household.SendAsync(
            house.Elsewhere(follow: false),
            "/SignIn?then=" + Uri.EscapeDataString(then),
            ("phrase", Household.Phrase),
            ("then", then)
        );
        answer.Headers.Location!.ToString().ShouldBe("/");
    }

    [Fact]
    public async Task Signing_out_everywhere_and_a_new_phrase_sign_every_browser_out()
    {
        await using var house = await Household.OpenAsync();
        var pass = new PassFile(house.Data);
        pass.Set(Household.Phrase);
        var (phone, desk) = (house.Elsewhere(), house.Here());
        await Household.SendAsync(phone, "/SignIn", ("phrase", Household.Phrase));
        await Household.SendAsync(desk, "/SignIn", ("phrase", Household.Phrase));
        (await phone.GetStringAsync("/Bench")).ShouldNotContain("Come in");

        await Household.SendAsync(desk, "/SignIn?handler=OutEverywhere");
        (await phone.GetStringAsync("/Bench")).ShouldContain("Come in");

        await Household.SendAsync(phone, "/SignIn", ("phrase", Household.Phrase));
        // As «./yuntak pass» does it, from another process.
        new PassFile(house.Data).Set("another four clay pots");
        (await phone.GetStringAsync("/Bench")).ShouldContain("Come in");
        (await Household.SendAsync(phone, "/SignIn", ("phrase", Household.Phrase))).StatusCode.ShouldBe(HttpStatusCode.Forbidden);
    }

    [Fact]
    public async Task After_five_wrong_tries_one_waits_and_others_do_not()
    {
        await using var house = await Household.OpenAsync();
        new PassFile(house.Data).Set(Household.Phrase);
        var stranger = house.Elsewhere();
        for (var n = 0; n < Tries.Free; n++)
        {
            (await Household.SendAsync(stranger, "/SignIn", ("phrase", "guess number " + n))).StatusCode.ShouldBe(HttpStatusCode.Forbidden);
        }

        var sixth = await Household.SendAsync(stranger, "/SignIn", ("phrase", Household.Phrase));
        sixth.StatusCode.ShouldBe(HttpStatusCode.TooManyRequests);
        sixth.Headers.RetryAfter.ShouldNotBeNull();
        (await Household.SendAsync(house.Here(), "/SignIn", ("phrase", Household.Phrase))).StatusCode.ShouldBe(HttpStatusCode.OK);
    }

    [Fact]
    public void The_wait_grows_and_ends()
    {
        var clock = new SetClock();
        var tries = new Tries(clock);
        var from = IPAddress.Parse("192.0.2.7");
        for (var n = 0; n < Tries.Free; n++)
        {
            tries.Take(from).ShouldBeNull();
        }

        tries.Take(from).ShouldBe(TimeSpan.FromSeconds(30));
        clock.Now += TimeSpan.FromSeconds(30);
        tries.Take(from).ShouldBeNull();
        tries.Take(from).ShouldBe(TimeSpan.FromSeconds(60));
        tries.Take(IPAddress.Parse("192.0.2.8")).ShouldBeNull();
        clock.Now += TimeSpan.FromHours(2);
        tries.Take(from).ShouldBeNull();

        // A machine has as many addresses of version 6 as it likes in its network.
        for (var n = 0; n < Tries.Free; n++)
        {
            tries.Take(IPAddress.Parse($"2001:db8::{n + 1}")).ShouldBeNull();
        }

        tries.Take(IPAddress.Parse("2001:db8::99")).ShouldNotBeNull();
        tries.Right(IPAddress.Parse("2001:db8::1"));
        tries.Take(IPAddress.Parse("2001:db8::99")).ShouldBeNull();
    }

    [Fact]
    public async Task With_open_whoever_reaches_it_comes_in()
    {
        await using var house = await Household.OpenAsync("--open");
        (await house.Elsewhere().GetStringAsync("/Bench")).ShouldContain("No host yet");
        (await house.Elsewhere().GetStringAsync("/Lab")).ShouldContain("Whoever reaches this address comes in");
    }

    [Fact]
    public async Task On_this_machine_alone_a_phrase_is_asked_for_once_it_is_set()
    {
        await using var house = await Household.ListenAsync("http://127.0.0.1:0");
        (await house.Here().GetStringAsync("/Bench")).ShouldContain("No host yet");
        new PassFile(house.Data).Set(Household.Phrase);
        (await house.Here().GetStringAsync("/Bench")).ShouldContain("Come in");
    }

    [Theory]
    [InlineData("127.0.0.1", true)]
    [InlineData("192.168.1.20", true)]
    [InlineData("[fd00::5]", true)]
    [InlineData("localhost", true)]
    [InlineData("shelf", true)]
    [InlineData("shelf.local", true)]
    [InlineData("SHELF.LAN", true)]
    [InlineData("lab.home.example", true)]
    [InlineData("elsewhere.example", false)]
    [InlineData("shelf.elsewhere.example", false)]
    [InlineData("127.0.0.1.elsewhere.example", false)]
    [InlineData("", false)]
    [InlineData("dead:beef", false)]
    public void Only_its_own_names_are_answered(string host, bool allowed) =>
        new HostNames("shelf", ["lab.home.example"]).Allows(host).ShouldBe(allowed);

    [Fact]
    public async Task A_foreign_name_is_refused_also_when_listening_wide_and_open()
    {
        await using var house = await Household.OpenAsync("--open", "--hosts", "lab.home.example");
        var other = house.Elsewhere();
        foreach (var (host, status) in new[] { ("elsewhere.example", 421), ("lab.home.example", 200), (Environment.MachineName, 200) })
        {
            using var request = new HttpRequestMessage(HttpMethod.Get, "/Bench");
            request.Headers.Host = host;
            ((int)(await other.SendAsync(request)).StatusCode).ShouldBe(status, host);
        }
    }

    [Fact]
    public async Task With_tls_pages_come_secured_and_plain_ones_only_lead_there()
    {
        await using var house = await Household.OpenAsync("--tls");
        var secure = house.At("https");

        var led = await house.Elsewhere(follow: false).GetAsync("/History?draft=3");
        ((int)led.StatusCode).ShouldBe(308);
        led.Headers.Location.ShouldBe(new Uri($"https://127.0.0.1:{secure.Port}/History?draft=3"));
        (await house.Elsewhere(follow: false).PostAsync("/SignIn", new StringContent("phrase=x"))).StatusCode.ShouldBe(
            HttpStatusCode.PermanentRedirect
        );

        new PassFile(house.Data).Set(Household.Phrase);
        var phone = house.Elsewhere();
        phone.BaseAddress = secure;
        await Household.SendAsync(phone, "/SignIn", ("phrase", Household.Phrase));
        var lab = await phone.GetStringAsync("/Lab");
        lab.ShouldContain("Certificate");
        lab.ShouldContain("class=\"qr\"");
    }

    [Fact]
    public async Task Over_tls_the_cookie_travels_over_tls_only()
    {
        await using var house = await Household.OpenAsync("--tls");
        new PassFile(house.Data).Set(Household.Phrase);
        var phone = house.Elsewhere(follow: false);
        phone.BaseAddress = house.At("https");
        var answer = await Household.SendAsync(phone, "/SignIn", ("phrase", Household.Phrase));
        var cookie = answer.Headers.GetValues("Set-Cookie").Single(c => c.StartsWith("yuntak-in="));
        cookie.ShouldContain("secure", Case.Insensitive);
        cookie.ShouldContain("httponly", Case.Insensitive);
        cookie.ShouldContain("samesite=strict", Case.Insensitive);
    }

    [Theory]
    [InlineData("http://127.0.0.1:5480", false)]
    [InlineData("http://[::1]:5480", false)]
    [InlineData("http://localhost:5480", false)]
    [InlineData("http://127.0.0.1:5480;http://192.168.1.4:5480", true)]
    [InlineData("http://127.0.0.2:5480", true)]
    [InlineData("http://*:5480", true)]
    [InlineData("http://0.0.0.0:5480", true)]
    [InlineData("http://[::]:5480", true)]
    public void Listening_beyond_this_machine_is_known_as_that(string urls, bool wide) =>
        StartCommand.Read(["--urls", urls]).Wide.ShouldBe(wide);

    [Theory]
    [InlineData("foo")]
    [InlineData("http://")]
    [InlineData("http://example.com:80")]
    [InlineData("http://127.0.0.1:99999")]
    [InlineData("http://127.0.0.1:٥٤٨٠")]
    [InlineData("ftp://127.0.0.1:1")]
    [InlineData("http://127.0.0.1:1/path")]
    [InlineData(";")]
    [InlineData("https://127.0.0.1:1")]
    public void A_bad_address_is_said_in_words(string urls) =>
        Should.Throw<Refused>(() => StartCommand.Read(["--urls", urls])).Message.ShouldContain("http");

    [Fact]
    public void What_nobody_knows_is_refused_and_an_empty_folder_too()
    {
        Should.Throw<Refused>(() => StartCommand.Read(["--datta", "x"])).Message.ShouldContain("--datta");
        Should.Throw<Refused>(() => StartCommand.Read(["--data", ""])).Message.ShouldContain("nothing stands behind it");
        Should.Throw<Refused>(() => StartCommand.Read(["--hosts", "a b/c"])).Message.ShouldContain("--hosts");
    }

    [Fact]
    public void The_certificate_of_its_own_is_made_once_and_anew_when_it_has_run_out()
    {
        using var folder = new TempFolder();
        var now = DateTimeOffset.UtcNow;
        using var first = Certificates.Own(folder.Path, ["lab.home.example"], now);
        using var again = Certificates.Own(folder.Path, [], now.AddDays(800));
        using var later = Certificates.Own(folder.Path, [], now.AddDays(830));

        Certificates.Fingerprint(again).ShouldBe(Certificates.Fingerprint(first));
        Certificates.Fingerprint(later).ShouldNotBe(Certificates.Fingerprint(first));
        first.MatchesHostname("lab.home.example").ShouldBeTrue();
        first.MatchesHostname("127.0.0.1").ShouldBeTrue();
        // Phones refuse certificates that last longer than 825 days (common practice of browsers, from memory).
        (first.NotAfter - first.NotBefore).TotalDays.ShouldBeLessThanOrEqualTo(825);
        File.GetUnixFileMode(folder.File("tls.pem")).ShouldBe(UnixFileMode.UserRead | UnixFileMode.UserWrite);
    }

    [Fact]
    public void A_certificate_that_cannot_be_used_is_named()
    {
        using var folder = new TempFolder();
        File.WriteAllText(folder.File("x.pem"), "-----BEGIN CERTIFICATE-----\nnonsense\n-----END CERTIFICATE-----\n");
        Should.Throw<Refused>(() => Certificates.Load(folder.File("x.pem"))).Message.ShouldContain("x.pem");
        Should.Throw<Refused>(() => Certificates.Load(folder.File("none.pem"))).Message.ShouldContain("none.pem");
    }

    [Fact]
    public void A_damaged_pass_file_opens_for_nobody()
    {
        using var folder = new TempFolder();
        File.WriteAllText(folder.File("pass"), "{}");
        var pass = new PassFile(folder.Path);
        pass.IsSet.ShouldBeTrue();
        pass.IsDamaged.ShouldBeTrue();
        pass.Opens("").ShouldBeFalse();
        pass.Opens(Household.Phrase).ShouldBeFalse();
        pass.Set(Household.Phrase);
        new PassFile(folder.Path).Opens(Household.Phrase).ShouldBeTrue();
        File.ReadAllText(folder.File("pass")).ShouldNotContain(Household.Phrase);
        File.GetUnixFileMode(folder.File("pass")).ShouldBe(UnixFileMode.UserRead | UnixFileMode.UserWrite);
    }
}
