using System.Text.Json;
using System.Text.Json.Nodes;
using Microsoft.EntityFrameworkCore;
using Microsoft.Extensions.DependencyInjection;
using Yuntak.Core.Labs;
using Yuntak.Core.Runbooks;
using Yuntak.Data;
using Yuntak.Data.Opening;
using Yuntak.Formats.LabFiles;
using Yuntak.Tests;

namespace Yuntak.Web.Tests.Data;

/// <summary>
/// Databases written by Yuntak as it was, each beside the lab files the same build gave out. Golden 1-first, 1-kit and 1-wants come from the builds that had these
/// stations; 2-acts from the first build with form 2, 3-sums from the first with form 3, 4-standing from the first with form 4, 5-devices from the first with form 5, 6-wires from the first with form 6, 7-arrange from the first with form 7, 8-rehearsal from the first with form 8, 9-keeping from the first with form 9. They are never written anew.
/// </summary>
public sealed class GoldenTests : IDisposable
{
    private static readonly string Golden = Path.Combine(Repository.Root, "tests", "Yuntak.Web.Tests", "golden");
    private readonly TempFolder folder = new();

    public static TheoryData<string> Databases() =>
        [.. Directory.EnumerateFiles(Golden, "*.db").Select(f => Path.GetFileNameWithoutExtension(f)).Order(StringComparer.Ordinal)];

    [Theory]
    [MemberData(nameof(Databases))]
    public async Task A_database_of_an_earlier_build_opens_to_the_lab_it_gave_out_then(string name)
    {
        File.Copy(Path.Combine(Golden, name + ".db"), folder.File(DataFolder.FileName));
        await using var services = new ServiceCollection()
            .AddSingleton(TimeProvider.System)
            .AddYuntakData(folder.Path)
            .BuildServiceProvider();
        (
            await new DataOpening(folder.Path, TimeProvider.System, "test").OpenAsync(() =>
                throw new InvalidOperationException("it has a lab")
            )
        ).Count.ShouldBe(1, "a copy is kept before the tables change, and said");
        var store = services.GetRequiredService<LabStore>();

        foreach (var (pointer, file) in new[] { (Pointer.Draft, "draft"), (Pointer.AsBuilt, "as-built") })
        {
            var then = LabFile.Read(await File.ReadAllTextAsync(Path.Combine(Golden, $"{name}-{file}.yaml")));
            then.Problems.ShouldBeEmpty();
            (await store.HeadAsync(pointer)).Lab.ShouldBe(Standing.Unmarked(then.Lab!), $"{name} {file}");
        }

        await using var db = await services.GetRequiredService<IDbContextFactory<YuntakDb>>().CreateDbContextAsync();
        var revisions = await db.Revisions.AsNoTracking().ToListAsync();
        revisions.Count.ShouldBeGreaterThanOrEqualTo(4, "the history is there too");
        foreach (var revision in revisions)
        {
            LabJson.Read(revision.Content, revision.SchemaVersion).ShouldNotBeNull();
        }
    }

    [Fact]
    public void There_is_a_golden_database_of_every_version() =>
        Databases()
            .Select(row => int.Parse((row.Data).Split('-')[0], System.Globalization.CultureInfo.InvariantCulture))
            .Distinct()
            .ShouldBe(Enumerable.Range(1, LabJson.Version), ignoreOrder: true);

    [Fact]
    public void A_member_that_is_missing_unknown_or_no_such_value_is_an_error_with_its_name()
    {
        Wrong(lab => lab["Guests"]![0]!.AsObject().Remove("Importance")).ShouldContain("Importance");
        Wrong(lab => lab["Hosts"]![0]!["Plan"]!.AsObject().Remove("Pools")).ShouldContain("Pools");
        Wrong(lab => lab["Settings"]!["Colour"] = "grey").ShouldContain("Colour");
        Wrong(lab => lab["Guests"]![0]!["Kind"] = 99).ShouldContain("Kind");
        Wrong(lab => lab["Guests"]![0]!["Kind"] = "Cloud").ShouldContain("Kind");
    }

    public void Dispose() => folder.Dispose();

    private static string Wrong(Action<JsonObject> how)
    {
        var lab = Small.Lab(Small.Host("kiln")).WithGuestOn(Small.Guest("notes"), "kiln");
        var tree = JsonNode.Parse(Compression.Unpack(LabJson.Write(lab)))!.AsObject();
        how(tree);
        return Should
            .Throw<JsonException>(() => LabJson.Read(Compression.Pack(JsonSerializer.SerializeToUtf8Bytes(tree)), LabJson.Version))
            .Message;
    }
}
