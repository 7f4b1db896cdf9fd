using Yuntak.Core.Labs;
using Yuntak.Core.Runbooks;
using Yuntak.Core.Simulation;
using Yuntak.Core.Units;

namespace Yuntak.Core.Rehearsals;

/// <summary>A volume was not ticked for backup: the copy holds a tenth of what is in use.</summary>
internal sealed class SmallBackup : Fault
{
    /// <inheritdoc/>
    public override FaultInfo Info => new("small-backup", "the backup is smaller than expected");

    public override bool Strikes(Act act, SimHouse house, Plan plan) => act.Copies;

    public override void After(SimHouse house, Act act, Plan plan)
    {
        if (GuestOf(act, house) is { } guest)
        {
            guest.Backup = new ByteSize(guest.Size.Bytes / 10);
        }
        else if (act is CopyPoolAway away)
        {
            house.Pool(away.Host, away.Pool).CopiedAway = false;
        }
        else if (act is RunFirstCopy run)
        {
            foreach (var copied in run.WholeGuests(plan).Select(house.GuestIf).OfType<SimGuest>())
            {
                copied.Backup = new ByteSize(copied.Size.Bytes / 10);
            }
        }
    }

    public override (string Words, double Weight) Cost(SimHouse house, Act act, Plan plan)
    {
        var bytes = act is CopyPoolAway away ? away.Known : GuestOf(act, house)?.Size ?? ByteSize.Zero;
        return (
            $"{new ByteSize(bytes.Bytes / 10 * 9).ToDecimalString()} of {(act is PoolAct pool ? pool.Pool : Name(act, plan))} are in no copy, and nobody knows until the day it counts.",
            100 + (bytes.Bytes / 1e9)
        );
    }
}
