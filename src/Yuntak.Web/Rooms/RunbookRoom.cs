using Yuntak.Core.Findings;
using Yuntak.Core.Runbooks;
using Yuntak.Core.Units;
using Yuntak.Web.Shared;

namespace Yuntak.Web.Rooms;

/// <summary>The ordered steps.</summary>
public sealed class RunbookRoom : Room
{
    public override Station? Station => Core.Findings.Station.Runbook;

    public override IReadOnlyList<RoomPage> Pages =>
        [
            new("/Runbook", new Picture("runbook", Height: 900), new Picture("runbook-phone", 390, 844, Dark: true)),
            new("/Runbook/Rehearsal?fault=disk-full&step=6.2&at=6.3", new Picture("rehearsal", Height: 900)),
            new("/Runbook/Practice?work=build-guest/tinker"),
        ];

    /// <summary>Up to so many guests the steps are counted for every page; beyond, the changes are, which takes a hundredth of the time.</summary>
    private const int Counted = 150;

    public override int Waiting(Desk desk) => desk.Lab.Guests.Count <= Counted ? desk.Runbook.Open : desk.Changes;

    public override string WaitingWords(Desk desk, int waiting) =>
        Numbers.Count(
            waiting,
            desk.Lab.Guests.Count <= Counted ? "open step" : "change to work off",
            desk.Lab.Guests.Count <= Counted ? null : "changes to work off"
        );

    /// <summary>The steps that are to be done; of a large lab none, since working them out takes longer than a search may.</summary>
    public override IEnumerable<Hit> Answers(Desk desk) =>
        desk.Lab.Guests.Count > Counted
            ? []
            : desk.Runbook.Sections.SelectMany(
                (section, n) =>
                    section
                        .Steps.Select((step, m) => (step, m))
                        .Where(s => !s.step.Done)
                        .Select(s => new Hit(
                            HitKind.Step,
                            s.step.What,
                            $"step {n + 1}.{s.m + 1} on {s.step.Where}: {section.Title}",
                            $"/Runbook#step-{n + 1}-{s.m + 1}"
                        ))
            );
}
