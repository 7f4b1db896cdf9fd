using System.Diagnostics;
using CsCheck;
using Yuntak.Core.Bench;
using Yuntak.Core.Edits;
using Yuntak.Core.Labs;
using Yuntak.Core.Units;
using Yuntak.Core.Wires;
using Yuntak.Formats.LabFiles;
using Yuntak.Formats.Wires;
using Yuntak.Tests;

namespace Yuntak.Formats.Tests;

/// <summary>Files of names, reservations, mounts and exports, read by the tools they are for.</summary>
public sealed class WireFileTests : IDisposable
{
    private static readonly string[] Evil =
    [
        "a b",
        "x;reboot",
        "$(id)",
        "two\nlines",
        "quo\"te's",
        "#hash",
        "back\\slash",
        "ümlaut",
        "%i",
        "-rf",
        "`id`",
        "tab\there",
    ];
    private readonly DirectoryInfo folder = Directory.CreateTempSubdirectory("yuntak-wires-");

    /// <summary>A home whose every name and path is one that people should not give.</summary>
    private static Lab Home(string evil)
    {
        var clean = Core.Base.Names.Clean(evil);
        return (
            Small.Lab(Small.Host("kiln", 64, 8, 16) with { Name = $"{clean} host" }) with
            {
                Networks = [new Network("household", "10.40.7.0/24"), new Network("six", "fd12:3456:789a::/64")],
                Boxes = [new Box($"{clean} box", clean, ["10.40.7.5", "fd12:3456:789a::5"], "02:00:00:00:00:05")],
            }
        )
            .WithGuestOn(
                Small.Guest("notes") with
                {
                    Name = $"{clean} one",
                    Interfaces = [new Leg("household", "10.40.7.20"), new Leg("six", "fd12:3456:789a::20")],
                },
                Core.Base.Names.Slug($"{clean} host")
            )
            .With(
                ReachEdits.Share(
                    new NetworkShare(
                        $"{clean} share",
                        new ShareEnd(Box: $"{clean} box", Path: $"/srv/{clean}"),
                        ["10.40.7.20"],
                        ReadOnly: true
                    )
                )
            )
            .With(
                ReachEdits.Share(
                    new NetworkShare(
                        "accounts",
                        new ShareEnd(Box: $"{clean} box", Path: $"/srv/{clean} too"),
                        Protocol: ShareProtocol.Accounts
                    )
                )
            );
    }

    [Fact]
    [Reference("getent(1) and hosts(5): an address, then names between blanks")]
    public void Every_line_of_the_hosts_file_is_an_address_and_host_names()
    {
        foreach (var evil in Evil)
        {
            foreach (var line in HostsFile.Of(Wires(Home(evil))).Split('\n', StringSplitOptions.RemoveEmptyEntries))
            {
                var words = line.Split(' ');
                System.Net.IPAddress.TryParse(words[0], out _).ShouldBeTrue(line);
                words.Length.ShouldBeGreaterThan(1);
                words.Skip(1).ShouldAllBe(w => w.All(c => char.IsAsciiLetterOrDigit(c) || c == '-' || c == '.'), line);
            }
        }
    }

    [Fact]
    [Reference("named-checkzone of bind9-utils; RFC 1035, 5; RFC 3596")]
    public void Zones_forward_and_reverse_are_what_a_name_server_takes()
    {
        foreach (var evil in Evil)
        {
            var wires = Wires(Home(evil));
            foreach (var zone in ZoneFile.Reverses(wires).Prepend(wires.Lab.Settings.Zone))
            {
                var file = Written("zone", ZoneFile.Of(wires, zone));
                var (ended, said) = Run("named-checkzone", zone, file);
                ended.ShouldBe(0, $"{evil}: {said}");
            }
        }

        Should.Throw<Core.Base.Refused>(() => ZoneFile.Of(Wires(Home("a")), "x; rm")).Message.ShouldContain("A zone such as");
    }

    [Fact]
    [Reference("findmnt(8) --verify; fstab(5)")]
    public void Mount_lines_are_verified_and_name_the_folder_that_was_meant()
    {
        foreach (var evil in Evil.Where(e => !e.Contains('\n') && !e.Contains('\t')))
        {
            var lab = Home(evil);
            var target = folder.CreateSubdirectory("in " + evil.Replace('/', '-')).FullName;
            var guest = lab.Guests[0].Id;
            var mounted = lab.With(ReachEdits.Mount(guest, new ShareMount(lab.Shares[0].Name, target, MountBy.Guest)))
                .With(ReachEdits.Mount(guest, new ShareMount("accounts", target + "2", MountBy.Guest)));
            folder.CreateSubdirectory("in " + evil.Replace('/', '-') + "2");
            var file = Written("fstab", MountLines.Fstab(Wires(mounted), mounted.Guests[0]));
            var (ended, said) = Run("findmnt", "--verify", "--tab-file", file);
            ended.ShouldBe(0, $"{evil}: {said}\n{File.ReadAllText(file)}");
            var (_, targets) = Run("findmnt", "--tab-file", file, "--noheadings", "--raw", "--output", "TARGET");
            targets.Split('\n', StringSplitOptions.RemoveEmptyEntries).Length.ShouldBe(2, evil);
            var (_, source) = Run("findmnt", "--tab-file", file, "--json", "--output", "SOURCE");
            System
                .Text.Json.JsonDocument.Parse(source)
                .RootElement.GetProperty("filesystems")[0]
                .GetProperty("source")
                .GetString()
                .ShouldBe($"10.40.7.5:/srv/{evil}");
        }
    }

    [Fact]
    [Reference("exports(5): a folder, then who may with options, between blanks; POSIX shell for the quoting of values in steps")]
    public void A_line_of_exports_has_one_folder_whatever_is_in_its_name()
    {
        foreach (var evil in Evil.Where(e => !e.Contains('\n') && !e.Contains('\t')))
        {
            var lab = Home(evil);
            var lines = ExportsFile.Of(Wires(lab), lab.Boxes[0].Name).Split('\n', StringSplitOptions.RemoveEmptyEntries);
            lines.Length.ShouldBe(2);
            var words = lines[0].Split(' ');
            words.Length.ShouldBe(2, lines[0]);
            words[1].ShouldBe("10.40.7.20(ro,sync,no_subtree_check,root_squash)");
            // printf of the shell undoes octal codes, and nothing else happens on the way.
            var (_, folderName) = Run("dash", "-c", "printf '%b' \"$1\"", "x", words[0].Replace("\\", "\\0", StringComparison.Ordinal));
            folderName.ShouldBe($"/srv/{evil}");
        }
    }

    [Fact]
    [Reference("systemd.unit(5); systemd-escape")]
    public void A_mount_unit_is_called_as_its_folder_escaped()
    {
        foreach (var path in new[] { "/srv/a b", "/srv/films-2", "/srv/x;reboot", "/srv/ümlaut", "/srv/.hidden" })
        {
            var lab = Home("a");
            var mounted = lab.With(ReachEdits.Mount(lab.Guests[0].Id, new ShareMount(lab.Shares[0].Name, path, MountBy.Guest)));
            var units = MountLines.Units(Wires(mounted), mounted.Guests[0]);
            units
                .Select(u => u.Name)
                .ShouldBe(new[] { "mount", "automount" }.Select(s => Run("systemd-escape", "--path", $"--suffix={s}", path).Said.Trim()));
            units.ShouldAllBe(u => u.Text.Split('\n').Contains($"Where={path}"));
            // As the lines of fstab do, it waits for its first use: only the automount is started with the machine.
            units.Single(u => u.Text.Contains("[Install]", StringComparison.Ordinal)).Name.ShouldEndWith(".automount");
        }
    }

    [Fact]
    [Reference("RFC 4180; ethers(5)")]
    public void Reservations_come_back_as_they_were_written()
    {
        var lab = Home("a b");
        var wires = Wires(lab);
        foreach (var text in new[] { ReservationFiles.Csv(wires), ReservationFiles.Ethers(wires) })
        {
            var reading = AddressIntake.Read(text);
            reading.Problems.ShouldBeEmpty();
            reading.Found.Select(f => (f.Mac, f.Address)).ShouldBe(wires.Reservations.Select(r => ((string?)r.Mac, (string?)r.Address)));
        }

        var names = AddressIntake.Read(HostsFile.Of(wires));
        names.Problems.ShouldBeEmpty();
        names.Found.ShouldContain(f => f.Name == "a-b-one" && f.Address == "10.40.7.20");
    }

    [Theory]
    [InlineData("10.40.7.20 notes notes.home\n# a remark\n127.0.0.1 localhost", 1, 0)]
    [InlineData("02:59:4b:00:00:1e 10.40.7.30\n02-59-4B-00-00-1F notes", 2, 0)]
    [InlineData("name;mac;address\nnotes;02:59:4b:00:00:1e;10.40.7.30\nbad;zz;10.40.7.31", 1, 1)]
    [InlineData("hello world\n10.40.7.300 x", 0, 2)]
    [InlineData("", 0, 0)]
    [InlineData("name,mac,address", 0, 0)]
    public void Lists_of_every_sort_are_told_apart_and_what_is_wrong_is_said_line_by_line(string text, int found, int problems)
    {
        var reading = AddressIntake.Read(text);
        (reading.Found.Count, reading.Problems.Count).ShouldBe((found, problems));
        reading.Problems.ShouldAllBe(p => p.StartsWith("Line ", StringComparison.Ordinal));
    }

    [Fact]
    public void No_text_makes_the_reader_of_lists_fail() =>
        Gen.String[Gen.OneOf(Gen.Char[' ', '~'], Gen.Const('\n'), Gen.Const('\t'), Gen.Const('\0')), 0, 300]
            .Holds(text => AddressIntake.Read(text) is not null && AddressIntake.Read("name,mac,address\n" + text) is not null, iter: 2000);

    [Fact]
    public void A_lab_file_says_wires_with_the_names_that_were_promised()
    {
        const string Text = """
            yuntak: 1
            name: t
            networks: [{ name: household, prefix: 10.40.7.0/24, gateway: 10.40.7.1, handed-out: 10.40.7.100-10.40.7.199, purpose: household, tag: 7 }]
            hosts:
              - { name: kiln, processor: { cores: 4 }, memory: 8 GiB, plan: { bridges: [{ name: br0, port: eno1, aware: true, networks: [household] }] } }
            guests:
              - name: notes
                kind: machine
                wants: [{ profile: wiki }]
                interfaces: [{ network: household, address: 10.40.7.20, mac: "02:59:4b:00:00:1e", bridge: br0 }]
                listens: [{ port: 443, protocol: tcp, address: 10.40.7.20, page: true, encrypted: false, login: true }]
                mounts: [{ share: films, at: /srv/films, by: guest }]
            forwards: [{ from-port: 80, to: notes, port: 8080, protocol: tcp }]
            boxes: [{ name: oldstore, addresses: [10.40.7.5] }]
            shares: [{ name: films, from: { box: oldstore, path: /films }, allow: [10.40.7.20], read-only: true }]
            """;
        var lab = LabFile.Read(Text).Lab.ShouldNotBeNull();
        lab.Guests[0].Interfaces.Single().ShouldBe(new Leg("household", "10.40.7.20", "02:59:4b:00:00:1e", "br0"));
        lab.Guests[0].Listens.Single().ShouldBe(new Listen(443, WireProtocol.Tcp, "10.40.7.20", Page: true, Encrypted: false, Login: true));
        LabFile.Read(LabFile.ToYaml(lab)).Lab.ShouldBe(lab);

        LabFile
            .Read(Text.Replace("10.40.7.0/24", "10.40.7.9/24"))
            .Problems.Single()
            .ToString()
            .ShouldContain("«10.40.7.0/24» is the prefix it lies in");
        LabFile
            .Read(Text.Replace("to: notes", "to: nobody"))
            .Problems.Single()
            .ToString()
            .ShouldContain("There is no guest called «nobody»");
        LabFile
            .Read(Text.Replace("share: films", "share: music"))
            .Problems.Single()
            .ToString()
            .ShouldContain("There is no share called «music»");
    }

    public void Dispose() => folder.Delete(recursive: true);

    private static HouseWires Wires(Lab lab) => Sums.Of(lab).Wires;

    private string Written(string name, string text)
    {
        var file = Path.Combine(folder.FullName, name);
        File.WriteAllText(file, text);
        return file;
    }

    private static (int Ended, string Said) Run(string program, params IEnumerable<string> arguments)
    {
        var start = new ProcessStartInfo(program)
        {
            RedirectStandardOutput = true,
            RedirectStandardError = true,
            UseShellExecute = false,
        };
        foreach (var argument in arguments)
        {
            start.ArgumentList.Add(argument);
        }

        using var process = Process.Start(start)!;
        var said = process.StandardOutput.ReadToEnd() + process.StandardError.ReadToEnd();
        process.WaitForExit();
        return (process.ExitCode, said);
    }

    [Fact]
    [Reference("RFC 1035; RFC 3596")]
    public void A_name_leads_to_the_side_its_readers_reach_and_further_names_in_both_families()
    {
        var host = Small.Host("kiln");
        var lab = (
            Small.Lab(host) with
            {
                Networks =
                [
                    new Network("cameras", "10.40.9.0/24", Purpose: NetworkPurpose.Cameras),
                    new Network("house", "10.40.7.0/24", "10.40.7.1", Addresses: AddressSchool.Fixed),
                    new Network("house6", "fd00:40:7::/64"),
                ],
            }
        ).WithGuestOn(
            Small.Guest("owl", "camera-recorder") with
            {
                Aliases = ["yard"],
                Interfaces =
                [
                    new Leg("cameras", Address: "10.40.9.20"),
                    new Leg("house", Address: "10.40.7.20"),
                    new Leg("house6", Address: "fd00:40:7::20"),
                ],
            },
            "kiln"
        );
        var zone = ZoneFile.Of(Wires(lab), lab.Settings.Zone);
        zone.ShouldNotContain("10.40.9.20");
        foreach (var name in new[] { "owl", "yard" })
        {
            zone.ShouldContain($"{name} IN A 10.40.7.20\n");
            zone.ShouldContain($"{name} IN AAAA fd00:40:7::20\n");
        }

        // The same guest, set up by itself: a fixed address comes with who names are asked of, a share with what mounts it.
        lab = lab with
        {
            Shares = [new NetworkShare("reels", new ShareEnd(Host: host.Id, Path: "/srv/reels"), ["owl"])],
        };
        lab = lab.WithGuest(new GuestId("owl"), g => g with { Mounts = [new ShareMount("reels", "/reels", MountBy.Guest)] });
        var first = Yuntak.Formats.Exports.CloudConfig.Of(Core.Bench.Sums.Of(lab), lab.Guests[0]);
        first.ShouldContain("Address=10.40.7.20/24\n      Gateway=10.40.7.1\n      DNS=10.40.7.1\n");
        first.ShouldContain("packages:  # what mounts them\n  - nfs-common\n");
    }

    [Fact]
    [Reference("RFC 4180; OWASP, CSV injection")]
    public void A_cell_that_a_spreadsheet_would_take_for_a_formula_is_text()
    {
        foreach (var name in new[] { "=HYPERLINK(1)", "+1", "-1", "@sum" })
        {
            var table = Yuntak.Formats.Exports.SafeTable.Of(
                ["name"],
                [
                    [name],
                    ["plain"],
                ]
            );
            table.Replace("\"", "").ShouldBe($"name\n'{name}\nplain\n");
        }
    }
}
