using CsCheck;
using Yuntak.Core.Edits;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Stations;
using Yuntak.Core.Units;
using Yuntak.Formats.Definitions;
using Yuntak.Formats.Exports;
using Yuntak.Tests;

namespace Yuntak.Formats.Tests.Definitions;

/// <summary>Guests read from Compose files, OVF envelopes and lists.</summary>
public class DefinitionTests
{
    private const string Compose = """
        name: press
        x-base: &base
          restart: always
          environment:
            TZ: Somewhere
            SECRET: swordfish
        services:
          app:
            <<: *base
            image: registry.example/press:${TAG:-3.1}
            ports: ["8080:80", "127.0.0.1:8443:443/tcp", "9000-9005:9000"]
            volumes:
              - ./data:/data
              - db:/var/lib/x:ro
              - type: bind
                source: /srv/films
                target: /films
                read_only: true
            devices: ["/dev/dri/renderD128:/dev/dri/renderD128"]
            networks: [front]
            depends_on: [db]
            deploy: { resources: { limits: { cpus: "1.5", memory: 512M } } }
          db:
            image: registry.example/sql:16
            mem_limit: 1g
            platform: linux/arm64
        """;

    private const string Envelope = """
        <?xml version="1.0"?>
        <Envelope xmlns="http://schemas.dmtf.org/ovf/envelope/1" xmlns:ovf="http://schemas.dmtf.org/ovf/envelope/1" xmlns:rasd="http://schemas.dmtf.org/wbem/wscim/1/cim-schema/2/CIM_ResourceAllocationSettingData">
          <DiskSection><Info>disks</Info>
            <Disk ovf:diskId="d1" ovf:capacity="32" ovf:capacityAllocationUnits="byte * 2^30"/>
            <Disk ovf:diskId="d2" ovf:capacity="107374182400"/></DiskSection>
          <VirtualSystem ovf:id="hearth"><Name>hearth</Name><VirtualHardwareSection>
            <Item><rasd:ResourceType>3</rasd:ResourceType><rasd:VirtualQuantity>2</rasd:VirtualQuantity></Item>
            <Item><rasd:AllocationUnits>byte * 2^20</rasd:AllocationUnits><rasd:ResourceType>4</rasd:ResourceType><rasd:VirtualQuantity>4096</rasd:VirtualQuantity></Item>
            <Item><rasd:HostResource>ovf:/disk/d1</rasd:HostResource><rasd:ResourceType>17</rasd:ResourceType></Item>
            <Item><rasd:HostResource>ovf:/disk/d2</rasd:HostResource><rasd:ResourceType>17</rasd:ResourceType></Item>
            <Item><rasd:Connection>house</rasd:Connection><rasd:ResourceType>10</rasd:ResourceType></Item>
            <Item><rasd:ElementName>a floppy</rasd:ElementName><rasd:ResourceType>14</rasd:ResourceType></Item>
          </VirtualHardwareSection></VirtualSystem>
        </Envelope>
        """;

    private const string List =
        "name;kind;memory;cpus;disk;colour\nnotes;container;512 MiB;1;8 GiB;red\nweb;vm;4;2;40\n;vm;1;1;1\nodd;machine;lots;x;\n";

    [Fact]
    [Reference(
        "Compose specification: services, interpolation with defaults, merge keys of YAML 1.1, ports and volumes in both forms, byte values"
    )]
    public void A_Compose_file_becomes_an_app_stack_for_each_service()
    {
        var reading = DefinitionReader.Read(Compose);
        reading.Guests.Select(g => g.Name).ShouldBe(["app", "db"]);
        var app = reading.Guests[0];
        app.Kind.ShouldBe(GuestKind.AppStack);
        app.Image.ShouldBe("registry.example/press:3.1");
        app.Ports.ShouldBe([8080, 8443]);
        app.Folders.ShouldBe([
            new FolderMount("/srv/press/data", "/data"),
            new FolderMount("/srv/press/db", "/var/lib/x", true),
            new FolderMount("/srv/films", "/films", true),
        ]);
        app.Networks.ShouldBe(["front"]);
        app.Nodes.ShouldBe(["/dev/dri/renderD128"]);
        app.Restart.ShouldBe("always");
        (app.Overrides.Vcpu, app.Overrides.Memory).ShouldBe((2, ByteSize.FromMiB(512)));
        (reading.Guests[1].Overrides.Memory, reading.Guests[1].MadeFor).ShouldBe((ByteSize.FromGiB(1), "aarch64"));
    }

    [Fact]
    public void Values_of_variables_are_never_kept_and_what_was_not_read_is_said()
    {
        var reading = DefinitionReader.Read(Compose);
        reading.Guests[0].Variables.ShouldBe(["TZ", "SECRET"]);
        (string.Join('\n', reading.Lines.Select(l => l.Text)) + string.Join('\n', reading.Guests)).ShouldNotContain("swordfish");
        reading.Lines.Where(l => !l.Read).Select(l => l.Line).ShouldBe([11, 21]);
    }

    [Fact]
    [Reference("DMTF DSP0243 (OVF) with the resource types of the CIM allocation classes: 3 processor, 4 memory, 10 Ethernet, 17 disk")]
    public void An_envelope_becomes_a_machine()
    {
        var reading = DefinitionReader.Read(Envelope);
        var guest = reading.Guests.ShouldHaveSingleItem();
        (guest.Name, guest.Kind).ShouldBe(("hearth", GuestKind.Machine));
        guest.Overrides.ShouldBe(new SizeOverrides(2, ByteSize.FromGiB(4), ByteSize.FromGiB(32), ByteSize.FromGiB(100)));
        reading.Lines.ShouldContain(l => !l.Read && l.Text.Contains("floppy"));
    }

    [Theory]
    [InlineData("byte * 2^20", 4096, 4.0)]
    [InlineData("MegaBytes", 4096, 4.0)]
    [InlineData("byte * 2^30", 4, 4.0)]
    [InlineData("GB", 4, 4.0)]
    [InlineData("byte", 4294967296, 4.0)]
    public void Units_of_an_envelope_are_those_of_the_standard_and_of_earlier_versions(string units, long quantity, double gib)
    {
        var text = Envelope.Replace("byte * 2^20", units).Replace(">4096<", $">{quantity}<");
        DefinitionReader.Read(text).Guests[0].Overrides.Memory.ShouldBe(ByteSize.FromGiB(gib));
    }

    [Fact]
    public void A_list_has_a_guest_a_line_and_says_which_words_it_did_not_know()
    {
        var reading = DefinitionReader.Read(List);
        reading
            .Guests.Select(g => (g.Name, g.Kind))
            .ShouldBe([("notes", GuestKind.SystemContainer), ("web", GuestKind.Machine), ("odd", GuestKind.Machine)]);
        reading.Guests[1].Overrides.ShouldBe(new SizeOverrides(2, ByteSize.FromGiB(4), ByteSize.FromGiB(40), ByteSize.Zero));
        reading.Lines.Where(l => !l.Read).Select(l => l.Line).ShouldBe([1, 4, 5]);
        DefinitionReader.Read("notes, app stack, 512 MiB, 1, 8 GiB\n").Guests.Single().Kind.ShouldBe(GuestKind.AppStack);
    }

    [Fact]
    public void A_Compose_file_that_Yuntak_wrote_comes_back_as_the_same_stack() =>
        Gens
            .AnyLab.Where(l => l.Guests.Any(g => g.Kind == GuestKind.AppStack))
            .Holds(
                lab =>
                {
                    foreach (var guest in lab.Guests.Where(g => g.Kind == GuestKind.AppStack && lab.Profiles.Count == 0))
                    {
                        var text = ComposeFile.Of(guest, lab.Book, lab);
                        var back = DefinitionReader.Read(text).Guests.ShouldHaveSingleItem(text);
                        (back.Name, back.Image, back.Restart).ShouldBe((guest.Name, guest.Image, guest.Restart), text);
                        back.Wants.ShouldBe(guest.Wants, text);
                        back.Overrides.ShouldBe(guest.Overrides, text);
                        back.Folders.ShouldBe(guest.Folders, text);
                        back.Ports.ShouldBe(guest.Ports, text);
                        back.Listens.ShouldBe(guest.Listens, text);
                        back.Interfaces.ShouldBe(guest.Interfaces, text);
                        back.Variables.ShouldBe(guest.Variables, text);
                        back.Networks.ShouldBe(guest.Networks, text);
                        back.Nodes.ShouldBe(guest.Nodes, text);
                        // Whether a group is mapped is said of the host, not of the file.
                        back.Claims.ShouldBe(guest.Claims.Change(_ => true, c => c with { Mapped = null }), text);
                    }
                },
                iter: 100
            );

    [Fact]
    public void What_is_taken_over_stands_on_its_host_and_asks_for_no_step()
    {
        var host = Small.Host("kiln", 64) with
        {
            Stands = true,
            Pools = [.. Small.Host("kiln").Pools.Select(p => p with { Stands = true })],
        };
        var guests = DefinitionReader
            .Read(Compose)
            .Guests.Concat(DefinitionReader.Read(Envelope).Guests)
            .Select(g => g with { Stands = true });
        var lab = TakeOverEdits.Take(new HostId("kiln"), [.. guests], stand: true)(Small.Lab(host)).Lab;
        var stands = Core.Runbooks.Standing.Of(lab);
        stands.Guests.Count.ShouldBe(3);
        Core.Runbooks.RunbookBuilder.Build(stands, Core.Runbooks.Standing.Unmarked(lab)).Steps.ShouldBeEmpty();
        Assessment.Of(lab).Hosts[0].Guests.Count.ShouldBe(3);
    }

    [Fact]
    public void A_thousand_mutations_of_each_sort_never_throw()
    {
        foreach (var text in new[] { Compose, Envelope, List })
        {
            var mutation = Mutations.Of(text, "- ", "*a", "&a ", "<<: ", "<", ">", "</", "${", "\u0000", ";", "\t");
            mutation.Holds(
                t =>
                {
                    var reading = DefinitionReader.Read(t);
                    foreach (var guest in reading.Guests)
                    {
                        GuestShapes.Guest.Problems(guest).ShouldBeEmpty();
                    }
                },
                iter: 1000
            );
        }
    }

    [Theory]
    [InlineData("")]
    [InlineData("<html></html>")]
    [InlineData("<!DOCTYPE x [<!ENTITY a 'aaaa'>]><Envelope>&a;</Envelope>")]
    [InlineData("services: [1, 2")]
    [InlineData("services:\n  a: &a\n    <<: *a\n")]
    [InlineData("hello there")]
    public void What_is_none_says_so_and_gives_nothing(string text)
    {
        var reading = DefinitionReader.Read(text);
        reading.Lines.ShouldContain(l => !l.Read || reading.Guests.Count > 0);
    }
}
