using CsCheck;
using NJsonSchema;
using Yuntak.Core.Base;
using Yuntak.Core.Edits;
using Yuntak.Core.Labs;
using Yuntak.Core.Shapes;
using Yuntak.Core.Units;
using Yuntak.Formats.Exports;
using Yuntak.Formats.LabFiles;
using Yuntak.Tests;

namespace Yuntak.Formats.Tests;

public class LabFileTests
{
    private const string Tiny = """
        yuntak: 1
        name: Tiny
        hosts:
          - name: kiln
            processor: { architecture: x86_64, cores: 4, threads: 8 }
            memory: 16 GiB
            disks:
              - { id: a, size: 1 TB, kind: nvme-flash }
            pools:
              - { name: ember, layout: single, disks: [a] }
        guests:
          - name: notes
            kind: machine
            wants: [{ profile: wiki }]
            on: { host: kiln, system-pool: ember }

        """;

    [Fact]
    public void Any_lab_is_written_as_YAML_and_read_back_the_same() =>
        Gens.AnyBuilt.Holds(lab => RoundTrip(lab, LabFile.ToYaml(lab)), iter: 300);

    [Fact]
    public void Any_lab_is_written_as_JSON_and_read_back_the_same() =>
        Gens.AnyBuilt.Holds(lab => RoundTrip(lab, LabFile.ToJson(lab)), iter: 300);

    [Theory]
    [InlineData("saltmarsh-draft.yaml")]
    [InlineData("saltmarsh-as-built.yaml")]
    public void The_demo_is_a_sound_lab_file(string file)
    {
        var text = Demo(file);
        var reading = LabFile.Read(text);
        reading.Problems.ShouldBeEmpty();
        LabFile.Read(LabFile.ToYaml(reading.Lab!)).Lab.ShouldBe(reading.Lab);
    }

    [Fact]
    public void A_small_file_typed_by_hand_is_enough()
    {
        var lab = LabFile.Read(Tiny).Lab!;
        lab.Hosts.Single().Memory.ShouldBe(ByteSize.FromGiB(16));
        lab.Hosts[0].Disks.Single().Size.ShouldBe(ByteSize.FromTB(1));
        lab.Guests.Single().Placement.ShouldBe(new Placement(new HostId("kiln"), "ember"));
    }

    [Theory]
    [InlineData("memory: 16 GiB", "memory: lots", 6, "hosts[0].memory", "a size such as «4 GiB»")]
    [InlineData("memory: 16 GiB", "memroy: 16 GiB", 6, "hosts[0].memroy", "«memroy» is not known here; known are")]
    [InlineData("cores: 4", "cores: four", 5, "hosts[0].processor.cores", "a whole number from 1 to 4,096")]
    [InlineData("cores: 4", "cores: 0", 5, "hosts[0].processor.cores", "a whole number from 1 to 4,096")]
    [InlineData("threads: 8", "threads: 2", 5, "hosts[0].processor.threads", "4 cores have 4 to 32 threads")]
    [InlineData("kind: nvme-flash", "kind: tape", 8, "hosts[0].disks[0].kind", "one of spinning, sata-flash")]
    [InlineData("layout: single", "layout: parity2", 10, "hosts[0].pools[0].disks", "needs at least 3 disks")]
    [InlineData("disks: [a]", "disks: [b]", 10, "hosts[0].pools[0].disks", "no disk «b»")]
    [InlineData("disks: [a]", "disks: a", 10, "hosts[0].pools[0].disks", "a list belongs here")]
    [InlineData("profile: wiki", "profile: weather", 14, "guests[0].wants[0].profile", "one of automation-hub")]
    [InlineData(
        "{ profile: wiki }",
        "{ profile: router, load: { line-rate: 900 } }",
        14,
        "guests[0].wants[0].load.line-rate",
        "0.01 to 25 Gbit/s"
    )]
    [InlineData("kind: machine", "kind: cloud", 13, "guests[0].kind", "one of machine, system-container, app-stack")]
    [InlineData("host: kiln, ", "host: oven, ", 15, "guests[0].on.host", "no host called «oven»; there are kiln")]
    [InlineData("system-pool: ember", "system-pool: clay", 15, "guests[0].on.system-pool", "no pool called «clay»")]
    [InlineData("yuntak: 1", "yuntak: 2", 1, "yuntak", "this Yuntak reads version 1")]
    [InlineData("name: Tiny", "colour: blue", 1, "", "«name» is missing")]
    public void A_wrong_value_is_named_with_line_and_path(string right, string wrong, int line, string path, string says)
    {
        Tiny.ShouldContain(right);
        var reading = LabFile.Read(Tiny.Replace(right, wrong));

        reading.Lab.ShouldBeNull();
        reading.Problems.ShouldContain(p => p.Line == line && p.Path == path && p.Text.Contains(says), string.Join("\n", reading.Problems));
    }

    [Theory]
    [InlineData("", "the file is empty")]
    [InlineData("just words", "a list of names and values belongs here")]
    [InlineData("a: [1, 2", "neither YAML nor JSON")]
    [InlineData("a: &x 1\nb: *x", "references (*name) are not used")]
    public void What_is_no_lab_file_is_refused_in_one_line(string text, string says) =>
        LabFile.Read(text).Problems.ShouldContain(p => p.ToString().Contains(says));

    [Fact]
    public void A_file_that_would_unfold_without_end_is_refused()
    {
        var bomb = "a: &a [x, x]\n" + string.Concat(Enumerable.Range(0, 40).Select(n => $"b{n}: &b{n} [*a, *a, *a]\n"));
        LabFile.Read(bomb).Problems.ShouldHaveSingleItem().Text.ShouldContain("references");
        LabFile.Read(new string('[', 50_000)).Problems.ShouldHaveSingleItem();
        LabFile.Read(new string('x', 5 << 20)).Problems.ShouldHaveSingleItem().Text.ShouldContain("longer than");
    }

    [Fact]
    public void Characters_that_no_page_can_show_are_left_out()
    {
        var lab = LabFile
            .Read(
                Tiny.Replace("{ id: a, size", "{ id: a, name: \"n\\u0001\\u202Evme\\uFFFE\", size")
                    .Replace("name: notes", "name: \"no\\u0007tes\"")
            )
            .Lab!;
        lab.Hosts[0].Disks[0].Name.ShouldBe("nvme");
        lab.Guests[0].Name.ShouldBe("notes");
    }

    [Fact]
    public void Several_faults_are_named_at_once()
    {
        var reading = LabFile.Read(Tiny.Replace("16 GiB", "lots").Replace("cores: 4", "cores: x").Replace("wiki", "weather"));
        reading.Problems.Count.ShouldBeGreaterThanOrEqualTo(3);
    }

    [Fact]
    public void Two_of_one_name_are_refused()
    {
        var twice = Tiny.Replace("guests:\n", "guests:\n  - { name: notes, kind: machine, wants: [{ profile: wiki }] }\n");
        LabFile.Read(twice).Problems.ShouldHaveSingleItem().Text.ShouldContain("already a guest called notes");
    }

    [Fact]
    public void Guests_name_each_other_by_name_and_a_stranger_is_refused()
    {
        const string Text = """
            yuntak: 1
            name: two
            hosts: []
            guests:
              - { name: First One, kind: machine, wants: [{ profile: wiki }] }
              - { name: other, kind: machine, wants: [{ profile: wiki }], apart: [First One], pinned: true, may-be: [system-container] }
            offers:
              - { name: shelf, price: 180, cores: 4, memory: 16 GiB, flash: 1 TB }
            """;
        var lab = LabFile.Read(Text).Lab.ShouldNotBeNull();
        lab.Guests[1].Apart.ShouldBe([lab.Guests[0].Id]);
        lab.Offers.ShouldHaveSingleItem().Memory.ShouldBe(ByteSize.FromGiB(16));
        LabFile.Read(LabFile.ToYaml(lab)).Lab.ShouldBe(lab);

        var wrong = LabFile.Read(Text.Replace("apart: [First One]", "together: [nobody]"));
        wrong.Lab.ShouldBeNull();
        wrong.Problems.ShouldHaveSingleItem().ToString().ShouldContain("There is no guest called «nobody».");
    }

    [Fact]
    public void Mutations_of_the_demo_never_throw()
    {
        var text = Demo("saltmarsh-draft.yaml");
        var mutation =
            from at in Gen.Int[0, text.Length - 1]
            from length in Gen.Int[0, 60]
            from insert in Gen.OneOf(
                Gen.String[0, 8],
                Pick.From("{", "}", "[", "]", ":", "- ", "\n", "\"", "'", "#", "&a", "*a", "!!x", "null", "\t")
            )
            select text.Remove(at, Math.Min(length, text.Length - at)).Insert(at, insert);
        mutation.Holds(
            t =>
            {
                var reading = LabFile.Read(t);
                return reading.Lab is null == reading.Problems.Count > 0;
            },
            iter: 1000
        );
    }

    [Fact]
    public async Task The_published_schema_accepts_what_is_written()
    {
        var schema = await SchemaAsync();
        schema.Validate(LabFile.ToJson(LabFile.Read(Demo("saltmarsh-draft.yaml")).Lab!)).ShouldBeEmpty();
        Gens.AnyBuilt.Holds(lab => schema.Validate(LabFile.ToJson(lab)).Count == 0, iter: 100);
    }

    [Theory]
    [InlineData("\"cores\": 8", "\"cores\": \"eight\"")]
    [InlineData("\"kind\": \"machine\"", "\"kind\": \"cloud\"")]
    [InlineData("\"memory\": \"64 GiB\"", "\"memroy\": \"64 GiB\"")]
    [InlineData("\"memory\": \"64 GiB\"", "\"memory\": \"lots\"")]
    public async Task The_published_schema_refuses_what_the_reader_refuses(string right, string wrong)
    {
        var json = LabFile.ToJson(LabFile.Read(Demo("saltmarsh-draft.yaml")).Lab!);
        json.ShouldContain(right);
        var broken = json.Replace(right, wrong);

        (await SchemaAsync()).Validate(broken).ShouldNotBeEmpty();
        LabFile.Read(broken).Lab.ShouldBeNull();
    }

    [Fact]
    public void What_is_published_is_what_the_shapes_say()
    {
        var docs = Path.Combine(AppContext.BaseDirectory, "docs");
        File.ReadAllText(Path.Combine(docs, "lab-file.schema.json")).ShouldBe(LabFileDocs.Schema(), "run ./yuntak docs");
        var page = File.ReadAllText(Path.Combine(docs, "lab-file.md"));
        page.ShouldContain(LabFileDocs.TableBegins);
        page.ShouldBe(LabFileDocs.Page(page), "run ./yuntak docs");
        File.ReadAllText(Path.Combine(docs, "rule-book.md")).ShouldBe(RuleBookMarkdown.Page(), "run ./yuntak docs");
    }

    [Fact]
    public async Task File_schema_and_edit_refuse_the_same_with_the_same_words()
    {
        var lab = Small.Lab(Small.Host("kiln")).With(GuestEdits.Add(Small.Guest("notes") with { HealthCheckMinutes = 5 }));
        var wrong = LabFile.ToJson(lab).Replace("\"health-check-minutes\": 5", "\"health-check-minutes\": 0");
        var problem = LabFile.Read(wrong).Problems.ShouldHaveSingleItem();
        problem.Path.ShouldBe("guests[0].health-check-minutes");
        (await SchemaAsync()).Validate(wrong).ShouldNotBeEmpty();
        var refused = Should.Throw<Refused>(() => GuestEdits.Change(lab.Guests[0].Id, g => g with { HealthCheckMinutes = 0 })(lab));
        refused.Message.ShouldContain(problem.Text, customMessage: "one place names the limit");
    }

    [Fact]
    public void Every_problem_is_named_at_once_with_its_own_path()
    {
        var reading = LabFile.Read(
            """
            yuntak: 1
            name: Home
            hosts:
            - name: kiln
              processor: { cores: 0, threads: 8 }
              memory: lots
            guests:
            - name: notes
              kind: cloud
              wants: [{ profile: wiki }]
              health-check-minutes: 0
              vcpu: -1
            """
        );
        reading
            .Problems.Select(p => p.Path)
            .ShouldBe(
                ["hosts[0].processor.cores", "hosts[0].memory", "guests[0].kind", "guests[0].health-check-minutes", "guests[0].vcpu"],
                ignoreOrder: true
            );
    }

    private static Task<JsonSchema> SchemaAsync() =>
        JsonSchema.FromFileAsync(Path.Combine(AppContext.BaseDirectory, "docs", "lab-file.schema.json"));

    private static bool RoundTrip(Lab lab, string text)
    {
        var reading = LabFile.Read(text);
        reading.Problems.Select(p => p.ToString()).ShouldBeEmpty(text);
        reading.Lab.ShouldBe(lab, Differs(reading.Lab!, lab) + "\n" + text);
        return true;
    }

    /// <summary>The members that differ, so that a lab that does not come back says where.</summary>
    private static string Differs(Lab read, Lab lab) =>
        string.Join(
            ", ",
            LabShapes
                .Lab.Fields.Where(f => !f.Same(read, lab))
                .Select(f => f.Name)
                .Concat(
                    read.Guests.Zip(lab.Guests)
                        .SelectMany(g =>
                            GuestShapes
                                .Guest.Fields.Where(f => !f.Same(g.First, g.Second))
                                .Select(f =>
                                    $"{g.Second.Id}.{f.Name}: {(f as Scalar<Guest>)?.Typed(g.First)} / {(f as Scalar<Guest>)?.Typed(g.Second)}"
                                )
                        )
                )
                .Concat(
                    read.Hosts.Zip(lab.Hosts)
                        .SelectMany(h =>
                            HostShapes
                                .Host.Fields.Where(f => !f.Same(h.First, h.Second))
                                .Select(f =>
                                    $"{h.Second.Id}.{f.Name}: {(f as Scalar<Host>)?.Typed(h.First)} / {(f as Scalar<Host>)?.Typed(h.Second)}"
                                )
                        )
                )
                .Concat(
                    read.Hosts.Zip(lab.Hosts)
                        .SelectMany(h => h.First.Pools.Zip(h.Second.Pools))
                        .SelectMany(p =>
                            PoolShapes
                                .Pool.Fields.Where(f => !f.Same(p.First, p.Second))
                                .Select(f =>
                                    $"{p.Second.Name}.{f.Name}: {(f as Scalar<Pool>)?.Typed(p.First)} / {(f as Scalar<Pool>)?.Typed(p.Second)}"
                                )
                        )
                )
        );

    private static string Demo(string file) => File.ReadAllText(Path.Combine(AppContext.BaseDirectory, "demo", file));
}
