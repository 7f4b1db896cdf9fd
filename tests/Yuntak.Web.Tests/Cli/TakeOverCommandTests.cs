using System.Text.Json;

namespace Yuntak.Web.Tests.Cli;

/// <summary>What runs already is taken over into a lab file on the command line: guests, and addresses.</summary>
public sealed class TakeOverCommandTests : IDisposable
{
    private const string Lab = """
        yuntak: 1
        name: test
        networks:
          - { name: household, prefix: 10.40.7.0/24 }
        hosts:
          - name: kiln
            processor: { architecture: x86_64, cores: 8, threads: 16, virtualisation: true }
            memory: 64 GiB
            disks: [{ id: flash, name: nvme0n1, size: 2 TB, kind: nvme-flash }]
            pools: [{ name: ember, layout: single, family: array, disks: [flash] }]
        guests:
          - { name: glazelog, kind: machine, wants: [{ profile: wiki }], on: { host: kiln, system-pool: ember }, interfaces: [{ network: household }] }
        """;

    /// <summary>By the Compose specification (compose-spec, «services»), with images nobody publishes.</summary>
    private const string Stack = """
        services:
          notes:
            image: registry.example/notes:1.2
            ports: ["8080:80"]
            volumes: ["/ember/notes:/data"]
          sorter:
            image: registry.example/sorter:4
        """;

    private readonly TempFolder folder = new();

    [Fact]
    public void A_stack_that_runs_on_a_host_is_taken_over_and_the_file_can_be_read_again()
    {
        var (lab, file) = (Written("lab.yaml", Lab), Written("compose.yaml", Stack));
        var (ended, said, _) = CommandLine.Run(null, "intake", file, "--lab", lab, "--on", "KILN");
        ended.ShouldBe(0);
        said.ShouldContain("on kiln.");
        said.ShouldContain("app stack");
        var text = File.ReadAllText(lab);
        text.ShouldContain("registry.example/notes:1.2");
        text.ShouldContain("glazelog", Case.Sensitive, "what was in it stays");
        CommandLine.Run(null, "check", lab).Ended.ShouldBeOneOf(0, 1);
        var asked = CommandLine.Run(null, "intake", file, "--lab", Written("again.yaml", Lab), "--on", "kiln", "--json");
        JsonDocument.Parse(asked.Said).RootElement.GetProperty("guests").GetArrayLength().ShouldBeGreaterThan(0);
    }

    [Theory]
    [InlineData("attic", Stack, "has no host called «attic»; it has kiln")]
    [InlineData("kiln", "\u0000\u0001", "")]
    [InlineData("kiln", "services: [", "")]
    [InlineData("kiln", "", "")]
    public void What_cannot_be_taken_over_is_said_and_the_lab_stays_as_it_was(string host, string text, string why)
    {
        var lab = Written("lab.yaml", Lab);
        var (ended, said, problem) = CommandLine.Run(null, "intake", Written("what.yaml", text), "--lab", lab, "--on", host);
        ended.ShouldBe(2);
        (said + problem).ShouldNotBeNullOrWhiteSpace();
        (said + problem).ShouldContain(why);
        (said + problem).ShouldNotContain("   at ", Case.Sensitive, "no trace of where in the program");
        File.ReadAllText(lab).ShouldBe(Lab);
    }

    [Fact]
    public void Addresses_are_laid_into_a_lab_and_what_is_no_address_is_said()
    {
        var lab = Written("lab.yaml", Lab);
        var list = Written("hosts", "10.40.7.24 glazelog\nnonsense here\n");
        var (ended, said, _) = CommandLine.Run(null, "intake", list, "--addresses", "--lab", lab);
        ended.ShouldBe(0);
        said.ShouldContain("Line 2");
        File.ReadAllText(lab).ShouldContain("10.40.7.24");
        var (nothing, _, problem) = CommandLine.Run(null, "intake", Written("far", "8.8.8.8 far\n"), "--addresses", "--lab", lab);
        nothing.ShouldBe(2);
        problem.ShouldContain("The lab file was not changed.");
    }

    [Theory]
    [InlineData("--on", "kiln")]
    [InlineData("--addresses")]
    public void Without_a_lab_to_lay_it_into_it_says_which_is_missing(params string[] how)
    {
        var (ended, _, problem) = CommandLine.Run(null, ["intake", Written("what", Stack), .. how]);
        ended.ShouldBe(2);
        problem.ShouldContain("--lab LAB.yaml");
    }

    public void Dispose() => folder.Dispose();

    private string Written(string name, string text)
    {
        var file = folder.File(name);
        File.WriteAllText(file, text);
        return file;
    }
}
