using Yuntak.Core.Findings;
using Yuntak.Core.Runbooks;
using Yuntak.Web.Shared;

namespace Yuntak.Web.Rooms;

/// <summary>The ordered steps.</summary>
public sealed class RunbookRoom : Room
{
    public override Station? Station => Core.Findings.Station.Runbook;

    public override IReadOnlyList<RoomPage> Pages =>
        [new("/Runbook", new Picture("runbook", Height: 900), new Picture("runbook-phone", 390, 844, Dark: true))];

    public override int Waiting(Desk desk) => desk.Runbook.Open;
}
