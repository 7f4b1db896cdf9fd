using System.Text.Json.Nodes;
using Microsoft.EntityFrameworkCore;
using Yuntak.Core.Edits;
using Yuntak.Core.Labs;
using Yuntak.Core.Units;
using Yuntak.Data;
using Yuntak.Data.Opening;
using Yuntak.Tests;

namespace Yuntak.Web.Tests.Http;

/// <summary>Values nobody thought of shut no one out: what an older Yuntak let in is shown, and from what cannot be worked out there is a way back.</summary>
public sealed class StuckTests : IAsyncDisposable
{
    private readonly TempFolder folder = new();

    [Fact]
    public async Task What_cannot_be_worked_out_is_said_and_history_undo_and_the_lab_file_open()
    {
        // Two guests with one id: no door lets that in.
        var twice = Small.Lab(Small.Host("kiln")) with
        {
            Guests = [Small.Guest("notes"), Small.Guest("notes")],
        };
        await using var site = await SiteWithAsync(twice);

        foreach (var path in new[] { "/", "/Bench", "/Kit", "/Wants", "/Disks", "/Runbook", "/History" })
        {
            var answer = await site.Client.GetAsync(path);
            answer.IsSuccessStatusCode.ShouldBeTrue(path);
            answer.RequestMessage!.RequestUri!.AbsolutePath.ShouldBe("/History");
        }

        (await site.Client.GetStringAsync("/files/lab.yaml")).ShouldContain("name: notes");
        (await site.Client.GetAsync("/Lab")).IsSuccessStatusCode.ShouldBeTrue();
        var history = await site.Get("/History");
        history.QuerySelector("#status")!.TextContent.ShouldContain("cannot work this lab out");
        await site.Send(history, "#undo");
        (await site.Get("/Bench")).QuerySelector("h1")!.TextContent.ShouldBe("Bench");
    }

    public static TheoryData<string> Extremes => ["dates", "sizes", "address", "disks", "growth", "watts"];

    [Theory]
    [MemberData(nameof(Extremes))]
    public async Task Values_an_older_version_let_in_are_shown_on_every_page(string which)
    {
        await using var site = await SiteWithAsync(Extreme(which));
        foreach (
            var path in new[]
            {
                "/Bench",
                "/Bench?guest=g1",
                "/Kit",
                "/Kit?host=kiln&look=firmware",
                "/Kit/Ready/kiln",
                "/Kit/Host/kiln",
                "/Wants",
                "/Wants/Guest/g1",
                "/Disks",
                "/Disks?host=kiln&pool=clay",
                "/Runbook",
                "/History",
                "/Lab",
                "/files/lab.yaml",
                "/files/runbook.md",
                "/bench/preview/g1",
            }
        )
        {
            ((int)(await site.Client.GetAsync(path)).StatusCode).ShouldBe(200, path);
        }
    }

    public async ValueTask DisposeAsync()
    {
        folder.Dispose();
        await ValueTask.CompletedTask;
    }

    private static Lab Extreme(string which)
    {
        var most = ByteSize.LargestEntered;
        var host = Small.Host("kiln");
        var guest = Small.Guest("g1");
        var lab = Small.Lab(host).WithGuestOn(guest, "kiln");
        host = lab.Hosts[0];
        return which switch
        {
            "dates" => lab.WithHost(
                host.Id,
                h => h with { ReadOn = DateOnly.MaxValue, Inside = h.Hardware with { Firmware = new Firmware(DateOnly.MaxValue) } }
            ),
            "sizes" => lab with
            {
                Guests =
                [
                    .. Enumerable
                        .Range(1, 1_100)
                        .Select(n =>
                            guest with
                            {
                                Id = new GuestId($"g{n}"),
                                Name = $"g{n}",
                                Overrides = new SizeOverrides(64, most, most, most),
                                Placement = lab.Guests[0].Placement,
                            }
                        ),
                ],
            },
            "address" => lab.WithHost(
                host.Id,
                h => h with { Inside = h.Hardware with { Functions = [new PciFunction("x", "y"), new PciFunction("", "03")] } }
            ),
            "disks" => lab.WithHost(
                host.Id,
                h =>
                    h with
                    {
                        Disks = [.. h.Disks, .. Enumerable.Range(0, 600).Select(n => new Disk($"x{n}", $"x{n}", most, DiskKind.Spinning))],
                    }
            ),
            "growth" => lab.WithGuest(guest.Id, g => g with { Growth = new Growth(most, 1e300, 1e300) }),
            _ => lab.WithHost(host.Id, h => h with { IdleWatts = 1e308, FullWatts = 1e308, NetworkPorts = int.MaxValue }),
        };
    }

    /// <summary>A site on data with that lab as its newest draft, put there as an older version may have: past every check.</summary>
    private async Task<Site> SiteWithAsync(Lab lab)
    {
        await new DataOpening(folder.Path, TimeProvider.System, "older").OpenAsync(() =>
            (Small.Lab(Small.Host("kiln")), Lab.Empty("stands"))
        );
        var store = new LabStore(new DatabaseFile(DataFolder.Database(folder.Path)), TimeProvider.System);
        await store.CommitAsync(Pointer.Draft, (await store.HeadAsync(Pointer.Draft)).Revision, _ => new Changed(lab, "put there"));
        var site = new Site { Demo = false, Data = folder.Path };
        await site.InitializeAsync();
        return site;
    }
}
