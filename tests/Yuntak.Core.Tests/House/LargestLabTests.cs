using System.Globalization;
using Yuntak.Bench;
using Yuntak.Core.Edits;
using Yuntak.Core.Labs;
using Yuntak.Core.Rehearsals;
using Yuntak.Core.Shapes;
using Yuntak.Core.Stations;
using Yuntak.Core.Units;
using Yuntak.Tests;

namespace Yuntak.Core.Tests.House;

/// <summary>The largest labs that a file may hold are worked out in two seconds of processor time: nobody keeps the others waiting by what they send.</summary>
public class LargestLabTests
{
    private const double Most = 2;

    private static readonly Dictionary<string, Func<Lab>> Labs = new()
    {
        ["guests"] = () => LargeLabs.Of(LabShapes.MostHosts, LabShapes.MostGuests, 0),
        ["guests on one host"] = () => LargeLabs.Of(1, LabShapes.MostGuests, 0),
        ["claims"] = () => LargeLabs.Of(LabShapes.MostHosts, LabShapes.MostGuests, LabShapes.MostGuests),
        ["claims on one host"] = () => LargeLabs.Of(1, 400, 400),
        ["jobs"] = () => LargeLabs.Of(LabShapes.MostHosts, LabShapes.MostGuests, 0).WithCopies(KeepingShapes.MostJobs),
        ["copies and drills"] = Remembered,
        ["networks, boxes and forwards"] = Wired,
    };

    public static TheoryData<string> Names() => [.. Labs.Keys];

    [Theory]
    [MemberData(nameof(Names))]
    public void As_many_as_a_file_may_hold_are_worked_out_in_two_seconds(string of)
    {
        var lab = Labs[of]();
        LabChecks.Problems(lab, (_, _) => []).Select(p => p.Text).Take(3).ShouldBeEmpty("or it is no lab that is taken in");
        // Warmed up: the first use of anything is compiled, which is no matter of how much there is.
        _ = Assessment.Of(LargeLabs.Of(2, 10).WithCopies(2), Copied.Today).From(Lab.Empty("x")).Findings.Count;
        ProcessorTime.Of(() => _ = Assessment.Of(lab, Copied.Today).Findings.Count, 30).ShouldBeLessThan(Most, "the plan");
        ProcessorTime
            .Of(() => _ = Assessment.Of(lab, Copied.Today).From(Lab.Empty("x")).Runbook!.Steps.Count(), 30)
            .ShouldBeLessThan(Most, "the runbook");
    }

    private static Lab Remembered()
    {
        var lab = LargeLabs.Of(20, 500).WithCopies(40);
        return lab with
        {
            Copies =
            [
                .. Enumerable
                    .Range(0, KeepingShapes.MostCopies)
                    .Select(n => new KnownCopy(
                        lab.Guests[n % 500].Id,
                        "vault0",
                        Copied.Today.AddDays(-(n / 500)).ToString("yyyy-MM-dd", CultureInfo.InvariantCulture) + "T03:00",
                        ByteSize.FromGB(4)
                    )),
            ],
            Drills =
            [
                .. Enumerable
                    .Range(0, KeepingShapes.MostDrills)
                    .Select(n => new Drill(
                        DrillKind.Guest,
                        Copied.Today.AddDays(-(n / 500)),
                        lab.Guests[n % 500].Id,
                        Worked: true,
                        Minutes: 10
                    )),
            ],
        };
    }

    private static Lab Wired()
    {
        var lab = LargeLabs.Of(20, 500);
        return lab with
        {
            Networks =
            [
                .. Enumerable
                    .Range(0, LabShapes.MostNetworks)
                    .Select(n => new Network($"net {n}", $"10.{n}.0.0/16", $"10.{n}.0.1", $"10.{n}.200.0-10.{n}.255.200", Tag: n + 2)),
            ],
            Boxes =
            [
                .. Enumerable.Range(0, LabShapes.MostBoxes).Select(n => new Box($"box {n}", Addresses: [$"10.{n % 200}.{n / 200}.9"])),
            ],
            Forwards = [.. Enumerable.Range(0, LabShapes.MostForwards).Select(n => new Forward(n + 1, lab.Guests[n].Id, 443))],
        };
    }
}
