namespace Yuntak.Web.Tests.Http;

/// <summary>A store box that runs and whose pool is planned anew with nowhere for its data to go: the page says so, and offers nothing to tick.</summary>
public sealed class StopTests : IAsyncLifetime
{
    private const string Store = """
        yuntak: 1
        name: Store
        hosts:
        - name: box
          processor: { architecture: x86_64, cores: 4, threads: 4, virtualisation: true }
          memory: 16 GiB
          disks:
          - { id: boot, name: sda, size: 240 GB, kind: sata-flash, mounted-at: [/] }
          - { id: a, name: sdb, size: 4 TB, kind: spinning }
          - { id: b, name: sdc, size: 4 TB, kind: spinning }
          - { id: c, name: sdd, size: 4 TB, kind: spinning }
          - { id: d, name: sde, size: 4 TB, kind: spinning }
          pools:
          - { name: data, layout: parity1, family: cow, disks: [a, b, c], already-used: 5 TB }
        guests:
        - { name: keeper, kind: system-container, wants: [{ profile: wiki }], on: { host: box, system-pool: data, bulk-pool: data } }
        """;

    private readonly Site site = new() { Demo = false };

    public ValueTask InitializeAsync() => site.InitializeAsync();

    public ValueTask DisposeAsync() => site.DisposeAsync();

    [Fact]
    public async Task A_pool_that_would_lose_its_data_is_a_stop_and_the_same_pool_renamed_is_one_step()
    {
        await Read(Store);
        var runbook = await site.Get("/Runbook");
        runbook.Body!.TextContent.ShouldContain("5\u202FTB are said to be in data already: if it stands, make and wipe nothing");
        for (var most = 60; most > 0 && runbook.QuerySelector(".tick-box:not([disabled])") is not null; most--)
        {
            runbook = await site.Send(runbook, ".tick-box:not([disabled])");
        }

        runbook.QuerySelector("#open-steps")!.TextContent.ShouldBe("nothing to do");

        await Read(
            Store.Replace(
                "name: data, layout: parity1, family: cow, disks: [a, b, c]",
                "name: data, layout: parity2, family: cow, disks: [a, b, c, d]"
            )
        );
        var stopped = await site.Get("/Runbook");
        stopped.QuerySelector("#open-steps")!.TextContent.ShouldBe("1 stop");
        stopped.QuerySelectorAll(".tick-box").ShouldBeEmpty("nobody can tick a stop away");
        stopped.QuerySelector(".step")!.TextContent.ShouldContain("nowhere to go");
        var said = await site.Client.GetStringAsync("/files/runbook.md");
        said.ShouldContain("- **1.1 Stop: data on box cannot come apart** (on box)");
        said.ShouldNotContain("- [ ]");

        await Read(
            Store.Replace("name: data,", "name: tank,").Replace("system-pool: data, bulk-pool: data", "system-pool: tank, bulk-pool: tank")
        );
        var renamed = await site.Get("/Runbook");
        renamed.QuerySelectorAll(".step").Length.ShouldBe(1);
        renamed.QuerySelector(".step")!.TextContent.ShouldContain("Call the pool data tank");
    }

    private async Task Read(string text)
    {
        var read = await site.Send(await site.Get("/Lab"), "textarea[name=text]", ("text", text));
        read.QuerySelector(".problems")?.TextContent.ShouldBeNull();
    }
}
