using System.Diagnostics;
using System.Xml.Linq;
using CsCheck;
using Ical.Net;
using YamlDotNet.RepresentationModel;
using Yuntak.Core.Bench;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Rehearsals;
using Yuntak.Core.Runbooks;
using Yuntak.Formats.Definitions;
using Yuntak.Formats.Exports;
using Yuntak.Tests;

namespace Yuntak.Formats.Tests;

/// <summary>The files that go with a runbook, read by what they are for.</summary>
public class RunbookFileTests
{
    private static readonly XNamespace Ovf = "http://schemas.dmtf.org/ovf/envelope/1";
    private static readonly XNamespace Rasd = "http://schemas.dmtf.org/wbem/wscim/1/cim-schema/2/CIM_ResourceAllocationSettingData";

    /// <summary>The elements of an item in the order DSP8023 (through the CIM schema) has them: that of the alphabet.</summary>
    private static readonly string[] ItemElements =
    [
        "Address",
        "AddressOnParent",
        "AllocationUnits",
        "AutomaticAllocation",
        "AutomaticDeallocation",
        "Caption",
        "Connection",
        "ConsumerVisibility",
        "Description",
        "ElementName",
        "HostResource",
        "InstanceID",
        "Limit",
        "MappingBehavior",
        "OtherResourceType",
        "Parent",
        "PoolID",
        "Reservation",
        "ResourceSubType",
        "ResourceType",
        "VirtualQuantity",
        "Weight",
    ];

    [Fact]
    public void Scripts_are_clean_whatever_names_are_in_them()
    {
        Changes.AnyTwo.Holds(
            pair =>
            {
                var runbook = RunbookBuilder.Build(pair.Stands, pair.Draft);
                foreach (var host in pair.Draft.Hosts.Take(2))
                {
                    var script = EveningScript.Of(runbook, host);
                    Run("dash", "-n", script).ShouldBe((0, ""));
                    // 1003: a name that ends in a backslash looks like a quote gone wrong, and is none; 2016: single quotes hold
                    // names, and are meant to; 2034: an answer that is only waited for.
                    Run("shellcheck", "-s sh -e SC1003,SC2016,SC2034 -", script).ShouldBe((0, ""));
                }
            },
            iter: 25,
            threads: 2
        );
    }

    [Fact]
    public void A_script_asks_before_each_act_stops_at_a_check_that_does_not_hold_and_no_name_breaks_out()
    {
        var marker = $"/tmp/y{Guid.NewGuid():N}"[..11];
        var evil = $"x';touch {marker};$(touch {marker})`touch {marker}`";
        var host = Small.Host("kiln") with { Name = evil };
        var stands = Small.Lab(host);
        var guest = Small.Guest("notes", "file-cloud", GuestKind.AppStack) with
        {
            Name = evil,
            Folders = [new FolderMount("/dev/null/" + evil, "/data")],
        };
        var draft = stands.WithGuestOn(guest, stands.Hosts[0].Id.Value);
        var script = EveningScript.Of(RunbookBuilder.Build(stands, draft), stands.Hosts[0]);

        // Nothing is done to who only leaves out.
        var (code, said) = Run("dash", "-s", script, string.Concat(Enumerable.Repeat("s\n", 60)));
        code.ShouldBe(0);
        said.ShouldContain("All steps of this host are through");
        File.Exists(marker).ShouldBeFalse();

        // The first act makes a folder where none can be made: it fails, and what comes later is not asked for.
        (code, said) = Run("dash", "-s", script, string.Concat(Enumerable.Repeat("y\n", 60)));
        code.ShouldBe(1);
        said.ShouldContain("That failed.");
        said.ShouldNotContain("All steps of this host are through");
        File.Exists(marker).ShouldBeFalse();
    }

    [Fact]
    public void An_envelope_holds_to_the_schema_and_comes_back_as_the_same_machine()
    {
        Gens.AnyLab.Holds(
            lab =>
            {
                var sums = Sums.Of(lab);
                foreach (var guest in lab.Guests.Where(g => g.Kind == GuestKind.Machine))
                {
                    var text = OvfEnvelope.Of(sums, guest);
                    var root = XDocument.Parse(text).Root!;
                    root.Name.ShouldBe(Ovf + "Envelope");
                    root.Elements()
                        .Select(e => e.Name.LocalName)
                        .ShouldBe(
                            ["References", "DiskSection", "NetworkSection", "VirtualSystem"],
                            "DSP0243, 7.1: references, sections, content"
                        );
                    root.Descendants()
                        .Where(e => e.Name.LocalName.EndsWith("Section", StringComparison.Ordinal))
                        .ShouldAllBe(s => s.Elements().First().Name == Ovf + "Info");
                    var items = root.Descendants(Ovf + "Item").ToList();
                    items.Select(i => i.Element(Rasd + "InstanceID")!.Value).ShouldBeUnique();
                    foreach (var item in items)
                    {
                        var names = item.Elements().Select(e => e.Name.LocalName).ToList();
                        names.ShouldBeSubsetOf(ItemElements);
                        names.ShouldBe(names.OrderBy(n => Array.IndexOf(ItemElements, n)));
                        names.ShouldContain("ElementName");
                        names.ShouldContain("ResourceType");
                    }

                    var disks = root.Descendants(Ovf + "Disk").Select(d => "ovf:/disk/" + d.Attribute(Ovf + "diskId")!.Value).ToList();
                    items.Select(i => i.Element(Rasd + "HostResource")?.Value).OfType<string>().ShouldBe(disks);
                    var networks = root.Descendants(Ovf + "Network").Select(n => n.Attribute(Ovf + "name")!.Value).ToHashSet();
                    items.Select(i => i.Element(Rasd + "Connection")?.Value).OfType<string>().ShouldAllBe(c => networks.Contains(c));

                    var read = DefinitionReader.Read(text).Guests.Single();
                    var size = sums.Guest(guest.Id);
                    read.Overrides.Vcpu.ShouldBe(size.Vcpu);
                    Math.Abs(read.Overrides.Memory!.Value.MiB - Math.Ceiling(size.Memory.MiB)).ShouldBeLessThan(1);
                }
            },
            iter: 40
        );
    }

    [Fact]
    public void A_first_start_file_is_yaml_with_keys_that_are_known_and_says_no_password()
    {
        // The keys of the modules that are used, as the reference of cloud-config lists them; from memory.
        string[] known =
        [
            "hostname",
            "fqdn",
            "manage_etc_hosts",
            "users",
            "disable_root",
            "ssh_pwauth",
            "package_update",
            "package_upgrade",
            "package_reboot_if_required",
            "mounts",
            "write_files",
            "runcmd",
        ];
        Gens.AnyLab.Holds(
            lab =>
            {
                var sums = Sums.Of(lab);
                foreach (var guest in lab.Guests.Where(g => g.Kind != GuestKind.AppStack))
                {
                    var text = CloudConfig.Of(sums, guest);
                    text.ShouldStartWith("#cloud-config\n");
                    var yaml = new YamlStream();
                    yaml.Load(new StringReader(text));
                    var root = (YamlMappingNode)yaml.Documents[0].RootNode;
                    root.Children.Keys.Select(k => ((YamlScalarNode)k).Value!).ShouldBeSubsetOf(known);
                    ((YamlScalarNode)root["ssh_pwauth"]).Value.ShouldBe("false");
                    if (root.Children.TryGetValue("mounts", out var mounts))
                    {
                        ((YamlSequenceNode)mounts).ShouldAllBe(m => ((YamlSequenceNode)m).Children.Count == 6);
                    }
                }
            },
            iter: 60
        );
    }

    [Fact]
    public void The_calendar_is_read_by_a_library_and_holds_every_step_once()
    {
        Changes.AnyTwo.Holds(
            pair =>
            {
                var rehearsal = Rehearsal.Of(pair.Stands, pair.Draft);
                var sittings = Sitting.Of(rehearsal, 120);
                sittings.SelectMany(s => s.Steps).ShouldBe(rehearsal.Steps, "no step is left out or told twice");
                foreach (var sitting in sittings.SkipLast(1))
                {
                    sitting.Away.ShouldBeEmpty("no sitting ends with somebody away");
                }

                var text = SittingCalendar.Of(
                    rehearsal,
                    sittings,
                    new DateTime(2026, 11, 28, 19, 0, 0),
                    new DateTimeOffset(2026, 11, 27, 12, 0, 0, TimeSpan.Zero)
                );
                Calendar.Load(text)!.Events.Count.ShouldBeGreaterThanOrEqualTo(sittings.Count);
            },
            iter: 40
        );
    }

    private static (int Code, string Said) Run(string tool, string arguments, string script, string? input = null)
    {
        var file = Path.GetTempFileName();
        try
        {
            File.WriteAllText(file, script);
            using var process = Process.Start(
                new ProcessStartInfo(tool, arguments is "-s" ? [file] : [.. arguments.Split(' ').Where(a => a != "-"), file])
                {
                    UseShellExecute = false,
                    RedirectStandardInput = true,
                    RedirectStandardOutput = true,
                    RedirectStandardError = true,
                }
            )!;
            process.StandardInput.Write(input ?? "");
            process.StandardInput.Close();
            var said = process.StandardOutput.ReadToEndAsync();
            var errors = process.StandardError.ReadToEndAsync();
            process.WaitForExit();
            return (process.ExitCode, said.Result + errors.Result);
        }
        finally
        {
            File.Delete(file);
        }
    }
}
