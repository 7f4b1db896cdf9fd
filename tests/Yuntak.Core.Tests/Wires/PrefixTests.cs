using System.Diagnostics;
using System.Net;
using System.Text.Json;
using Yuntak.Core.Addresses;
using Yuntak.Core.Labs;
using Yuntak.Core.Wires;
using Yuntak.Tests;

namespace Yuntak.Core.Tests.Wires;

/// <summary>Arithmetic of addresses, held against the standard library of another language and the published ranges.</summary>
public class PrefixTests
{
    private const string Oracle = """
        import ipaddress, json, sys
        out = []
        for text in json.load(sys.stdin):
            n = ipaddress.ip_network(text, strict=False)
            out.append([str(n), str(n.network_address), str(n.broadcast_address), n.num_addresses,
                        str(next(iter(n.hosts()))) if n.version == 4 else "", n.is_private])
        json.dump(out, sys.stdout)
        """;

    [Fact]
    [Reference("ipaddress of Python's standard library")]
    public void Two_thousand_random_prefixes_are_what_another_library_says()
    {
        var random = new Random(7);
        var texts = Enumerable.Range(0, 2000).Select(n => n % 3 == 0 ? Any6(random) : Any4(random)).ToList();
        using var said = JsonDocument.Parse(Python(Oracle, JsonSerializer.Serialize(texts)));
        foreach (var (text, theirs) in texts.Zip(said.RootElement.EnumerateArray()))
        {
            var mine = Prefix.Around(text).ShouldNotBeNull(text);
            mine.ToString().ShouldBe(theirs[0].GetString(), text);
            mine.Network.ToString().ShouldBe(theirs[1].GetString());
            IpText.Of(mine.Last, mine.Family).ToString().ShouldBe(theirs[2].GetString());
            ((double)(mine.Last - mine.First) + 1).ShouldBe(theirs[3].GetDouble(), 1e-9 * theirs[3].GetDouble());
            if (mine.Family == System.Net.Sockets.AddressFamily.InterNetwork)
            {
                IpText.Of(mine.FirstHost, mine.Family).ToString().ShouldBe(theirs[4].GetString(), text);
            }

            // A prefix is its own only when no bit behind its length is set.
            Prefix.TryRead(text, out _).ShouldBe(text == mine.ToString());
        }
    }

    [Theory]
    [Reference("RFC 1918, 3; RFC 4193, 3.1; RFC 6598, 7")]
    [InlineData("10.40.7.0/24", true)]
    [InlineData("172.16.0.0/12", true)]
    [InlineData("172.32.0.0/12", false)]
    [InlineData("192.168.255.0/24", true)]
    [InlineData("192.169.0.0/16", false)]
    [InlineData("100.64.0.0/10", true)]
    [InlineData("fd00::/8", true)]
    [InlineData("2001:db8::/32", false)]
    [InlineData("8.0.0.0/8", false)]
    public void Private_ranges_are_the_published_ones(string prefix, bool isPrivate) => Prefix.Read(prefix)!.IsPrivate.ShouldBe(isPrivate);

    [Fact]
    [Reference("handbook, check values of chapter 5; RFC 1918")]
    public void The_check_values_of_the_chapter_hold()
    {
        var house = Prefix.Read("10.40.7.0/24")!;
        ((int)house.Hosts, house.Broadcast!.ToString()).ShouldBe((254, "10.40.7.255"));
        Prefix.Read("192.168.0.0/16")!.Overlaps(Prefix.Read("192.168.1.0/24")!).ShouldBeTrue();
        IpText.Of(Prefix.Read("172.16.0.0/12")!.Last, System.Net.Sockets.AddressFamily.InterNetwork).ToString().ShouldBe("172.31.255.255");
        // 12 TB over 1 Gbit/s.
        (12e12 * 8 / 1e9 / 3600).ShouldBe(26.67, 0.005);
        (12e12 * 8 / 1e9 / LinkUse.GoodputShare(1500) / 3600).ShouldBe(28.09, 0.005);
        LinkUse.GoodputShare(9000).ShouldBe(8960.0 / 9038, 1e-12);
    }

    [Theory]
    [Reference("RFC 3021, 2.1: both addresses of a prefix of 31 bits are hosts'")]
    [InlineData("10.0.0.0/31", 2)]
    [InlineData("10.0.0.4/30", 2)]
    [InlineData("10.0.0.1/32", 1)]
    public void Short_prefixes_have_the_hosts_they_have(string prefix, int hosts) => ((int)Prefix.Read(prefix)!.Hosts).ShouldBe(hosts);

    [Theory]
    [InlineData("10.40.7.5/24")]
    [InlineData("10.40.7.0/33")]
    [InlineData("10.40.7/24")]
    [InlineData("010.40.7.0/24")]
    [InlineData("10.40.7.0/24 x")]
    [InlineData("10.40.7.0")]
    [InlineData("::/129")]
    [InlineData("1/8")]
    [InlineData("")]
    public void What_is_no_prefix_is_none(string text) => Prefix.TryRead(text, out _).ShouldBeFalse();

    [Fact]
    public void The_next_free_address_is_the_first_that_nobody_has_and_is_not_handed_out()
    {
        var random = new Random(5);
        for (var n = 0; n < 300; n++)
        {
            var network = new Network("n", "10.1.0.0/26", "10.1.0.1", n % 2 == 0 ? "10.1.0.4-10.1.0.9" : null);
            var taken = Enumerable.Range(0, random.Next(400)).Select(_ => random.Next(64)).ToHashSet();
            var who = new Holder(HolderKind.Box, "b", "b");
            var sums = new NetworkSums(
                network,
                [.. taken.Select(t => new HeldAddress(network, who, AddressHow.Fixed, IPAddress.Parse($"10.1.0.{t}"), null))]
            );
            // Done a second time, address by address.
            var expected = Enumerable
                .Range(1, 62)
                .Where(a => a != 1 && !taken.Contains(a) && (n % 2 == 1 || a is < 4 or > 9))
                // Where nothing else is left, the last of those handed out is reserved.
                .Concat(Enumerable.Range(4, 6).Reverse().Where(a => n % 2 == 0 && !taken.Contains(a)))
                .Select(a => $"10.1.0.{a}")
                .FirstOrDefault();
            sums.NextFree?.ToString().ShouldBe(expected);
        }
    }

    [Fact]
    [Reference("IEEE 802: of the first byte the lowest bit says group, the second lowest locally administered")]
    public void Hardware_addresses_are_local_ones_of_one_device_stay_and_differ_for_clones()
    {
        var seen = new HashSet<string>(StringComparer.Ordinal);
        for (var n = 0; n < 2000; n++)
        {
            var mac = MacText.For($"guest-{n}", "household");
            (mac[1] is '2' or '6' or 'a' or 'e').ShouldBeTrue();
            (MacText.IsLocal(mac), MacText.IsUnicast(mac)).ShouldBe((true, true));
            seen.Add(mac).ShouldBeTrue();
            MacText.For($"guest-{n}", "household").ShouldBe(mac);
        }

        MacText.TryRead("01:00:5e:00:00:01", out var group).ShouldBeTrue();
        MacText.IsUnicast(group).ShouldBeFalse();
        MacText.TryRead("02-59-4B-00-00-1E", out var hyphens).ShouldBeTrue();
        hyphens.ShouldBe("02:59:4b:00:00:1e");
    }

    [Fact]
    public void Numbers_that_work_lie_outside_what_is_handed_out()
    {
        var sums = new NetworkSums(new Network("n", "10.40.7.0/24", HandedOut: "10.40.7.100-10.40.7.199"), []);
        sums.Numbers.ShouldBe((1, 99));
        sums.ForNumber(30)!.ToString().ShouldBe("10.40.7.30");
        sums.ForNumber(255).ShouldBeNull();
        new NetworkSums(new Network("n", "10.40.7.0/24", HandedOut: "10.40.7.1-10.40.7.254"), []).Numbers.ShouldBeNull();
    }

    private static string Any4(Random random) =>
        $"{random.Next(1, 224)}.{random.Next(256)}.{random.Next(256)}.{random.Next(256)}/{random.Next(0, 33)}";

    private static string Any6(Random random) =>
        $"{random.Next(0x2000, 0x3fff):x}:{random.Next(0xffff):x}::{random.Next(0xffff):x}:{random.Next(1, 0xffff):x}/{random.Next(0, 129)}";

    private static string Python(string program, string input)
    {
        var start = new ProcessStartInfo("python3")
        {
            RedirectStandardInput = true,
            RedirectStandardOutput = true,
            UseShellExecute = false,
        };
        start.ArgumentList.Add("-c");
        start.ArgumentList.Add(program);
        using var process = Process.Start(start)!;
        process.StandardInput.Write(input);
        process.StandardInput.Close();
        var said = process.StandardOutput.ReadToEnd();
        process.WaitForExit();
        process.ExitCode.ShouldBe(0);
        return said;
    }
}
