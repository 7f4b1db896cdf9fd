using Yuntak.Core.Base;
using Yuntak.Core.Bench;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Shapes;
using Yuntak.Core.Simulation;
using Yuntak.Core.Units;
using Yuntak.Core.Wants;

namespace Yuntak.Core.Runbooks;

/// <summary>Work on a guest.</summary>
/// <param name="Of">The guest's id.</param>
internal abstract record GuestWork(GuestId Of) : Work
{
    /// <inheritdoc/>
    public override GuestId? Guest => Of;

    /// <summary>The guest as it stands on a host; null when it does not.</summary>
    protected Guest? Before(Plan plan) => plan.Stands(Of);

    /// <summary>The guest as it is planned on a host; null when it is not.</summary>
    protected Guest? After(Plan plan) => plan.Planned(Of);

    /// <summary>Whether a guest that stands is to be on the same host, or goes along with the guest it runs in.</summary>
    public static bool StaysPut(Plan plan, Guest before, Guest after) =>
        plan.AsBuilt.HostOf(before)!.Id == plan.Draft.HostOf(after)!.Id || (after.RunsIn is not null && after.RunsIn == before.RunsIn);

    /// <summary>Where the volumes of a guest that stands lie once the pools they are in have become what is planned.</summary>
    public static Placement? PlaceNow(Plan plan, Guest before) =>
        before.Placement is { } place
            ? new Placement(
                place.Host,
                PoolPairs.NameAfter(plan, place.Host, place.SystemPool),
                PoolPairs.NameAfter(plan, place.Host, place.BulkPool)
            )
            : null;

    /// <summary>A stop where a device is to be handed over that cannot be: the host needs it, or another guest has it.</summary>
    /// <param name="plan">The plan.</param>
    /// <param name="comes">The devices that are to come.</param>
    protected Halt? Bars(Plan plan, IEnumerable<HandedDevice> comes)
    {
        if (After(plan) is not { } after || plan.Draft.HostOf(after) is not { } host)
        {
            return null;
        }

        if (plan.Draft.Shares.FirstOrDefault(s => after.Mounts.Any(m => m.Share == s.Name) && !ShareWork.IsPlanned(plan, s)) is { } nowhere)
        {
            return new Halt(
                host.Id,
                $"{after.Name} uses the share {nowhere.Name}, and nothing exports it",
                $"{Wires.ShareSums.ExporterName(plan.Draft, nowhere)}, where it lies, is on no host.",
                $"Put {Wires.ShareSums.ExporterName(plan.Draft, nowhere)} on a host, or let {after.Name} do without the share.",
                Guest: Of
            );
        }

        var wanted = comes.Select(c => c.Key).ToHashSet(StringComparer.Ordinal);
        var bar = plan
            .Sums.DevicesOf(host.Id)!
            .Verdicts.FirstOrDefault(v =>
                v.Guest.Id == Of
                && !v.CanBe
                && v.Asked!.Claim.Chosen
                && wanted.Contains(new HandedDevice(v.Need, v.Way!.Value, v.Device!).Key)
            );
        return bar is null
            ? null
            : new Halt(
                host.Id,
                $"{after.Name} cannot be handed {bar.Device} {bar.Way!.Value.Words()}",
                $"{string.Join("; ", bar.Reasons)}.",
                "Choose another device or way for it at Devices, or let it go without.",
                Guest: Of
            );
    }

    /// <summary>The pools a planned guest needs to be there.</summary>
    protected static IEnumerable<Condition> PoolsOf(Guest guest) =>
        guest.Placement is { } place
            ? new[] { place.SystemPool, place.BulkPool }.OfType<string>().Distinct().Select(p => Condition.PoolThere(place.Host, p))
            : [];

    /// <summary>The bridges and shares a planned guest needs to be there.</summary>
    protected static IEnumerable<Condition> WiresOf(Plan plan, Guest guest) =>
        [
            .. guest.Interfaces.Count > 0 && plan.Draft.HostOf(guest) is { } host ? [Condition.Wired(host.Id)] : Array.Empty<Condition>(),
            .. guest.Mounts.Select(m => Condition.Shared(m.Share)),
        ];

    /// <summary>
    /// A guest that is left with less room waits for those that run inside it and leave: their data is in its disks, and does not come back from a backup that is to fill
    /// smaller ones.
    /// </summary>
    protected IEnumerable<Condition> Deserted(Plan plan)
    {
        var (was, becomes) = (plan.Standing.Guest(Of), plan.Sums.Guest(Of));
        return becomes.SystemDisk < was.SystemDisk || becomes.Bulk < was.Bulk ? [Condition.Deserted(Of)] : [];
    }

    /// <summary>The pools a guest no longer keeps anything in.</summary>
    protected static IEnumerable<Condition> Emptied(Guest before) =>
        before.Placement is { } place
            ? new[] { place.SystemPool, place.BulkPool }.OfType<string>().Distinct().Select(p => Condition.PoolEmpty(place.Host, p))
            : [];

    /// <summary>What a guest takes of its host's memory; one inside another takes it of that one.</summary>
    public static ByteSize Memory(Sums sums, Guest guest) => GuestRoom.MemoryOf(sums, guest);

    /// <summary>A guest takes over the planned figures, and stays as far in its life as it is.</summary>
    protected static Lab Settle(Lab stands, Plan plan, Guest planned)
    {
        var facts = Known.AsFacts(plan.Draft, planned);
        return Stand(stands, stands.Guest(planned.Id) is { } before ? facts with { Life = before.Life } : facts);
    }

    /// <summary>A guest stands as it is given.</summary>
    protected static Lab Stand(Lab stands, Guest guest)
    {
        if (guest.RunsIn is { } outer && (stands.Guest(outer) is not { } there || stands.HostOf(there) is null))
        {
            throw new Refused($"{guest.Name} runs inside another guest that does not stand yet. Build that one first.");
        }

        return stands.Guest(guest.Id) is null ? stands with { Guests = stands.Guests.With(guest) } : stands.WithGuest(guest.Id, _ => guest);
    }

    /// <summary>Who loses service and for how long: from shutting down to having tried it, the backup before apart.</summary>
    protected static IEnumerable<string> Outage(Plan plan, Guest? guest, IReadOnlyList<Act> acts, bool forGood = false)
    {
        if (guest is null || guest.Life < LifeStage.ServiceIn)
        {
            yield break;
        }

        var away = new Duration(acts.Where(a => !a.Serves).Sum(a => a.Takes(plan).Minutes));
        yield return guest.Wants.Any(w => w.ProfileId == ProfileBook.Router)
            ? $"While {guest.Name} is off the whole household is offline, and so are you. Have this page printed or on a phone with its own line."
        : forGood ? $"{guest.Name} goes away for good. Tell the people who use it."
        : $"{guest.Name} is away for {(away.Minutes < 120 ? Numbers.Count(away.WholeMinutes, "minute") + " or so" : away.ToString())}. Tell the people who use it.";
    }

    /// <summary>Starting again after a change takes a quarter of a first start.</summary>
    protected static int StartMinutes(Sizing sizing) => Math.Max(3, sizing.FirstStartMinutes / 4);
}
