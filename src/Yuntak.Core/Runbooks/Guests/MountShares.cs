using System.Text.Json.Nodes;
using Yuntak.Core.Base;
using Yuntak.Core.Labs;
using Yuntak.Core.Simulation;
using Yuntak.Core.Units;
using Yuntak.Core.Wires;

namespace Yuntak.Core.Runbooks;

/// <summary>Brings shares of others into a guest: mounted by itself, or by its host and handed in.</summary>
/// <param name="Guest">The guest.</param>
/// <param name="Host">Its host.</param>
/// <param name="Shares">The shares it uses, with where and by whom.</param>
internal sealed record MountShares(GuestId Guest, HostId? Host, ValueList<ShareMount> Shares) : GuestAct(Guest, Host)
{
    /// <inheritdoc/>
    public override string Type => "mount-shares";

    /// <inheritdoc/>
    public override IEnumerable<KeyValuePair<string, JsonNode?>> Values =>
        [.. base.Values, Value("shares", Shares.Select(m => $"{m.Share} {m.At} {WireWords.Mounts.Word(m.By)}"))];

    internal override Duration Takes(Plan plan) => new(5 * Shares.Count);

    internal override ActText Text(Plan plan) =>
        new(
            $"Bring {string.Join(", ", Shares.Select(m => m.Share))} in",
            [.. Shares.SelectMany(m => Lines(plan, m))],
            "After a restart the folders are there at their first use, and «findmnt --verify» has nothing to say.",
            "Refused? Who mounts has to be among those who may, and asks from its own address. Other owners than expected? Both sides count users by number.",
            "Take the lines out and unmount; nothing in the share changes."
        );

    private IEnumerable<StepValue> Lines(Plan plan, ShareMount mount)
    {
        if (plan.Guest(Guest) is not { } guest || plan.Draft.Shares.FirstOrDefault(s => s.Name == mount.Share) is not { } share)
        {
            yield break;
        }

        var by = ShareSums.Mounter(plan.Draft, guest, mount);
        var there = by is not null && by == ShareSums.Exporter(plan.Draft, share);
        var place = there ? share.From.Path : MountLine.PlaceOf(mount);
        if (!there)
        {
            var here = mount.By == MountBy.Host;
            var line = MountLine.Of(plan.Sums.Wires, share).At(place);
            yield return new("make the folder", $"mkdir -p -- {ShellText.Quoted(place)}", Literal: true, Run: here);
            yield return new($"line in /etc/fstab of {by?.Name}", line, Literal: true);
            if (here)
            {
                yield return StepValue.Line("put it there once", ShellText.LineInto("/etc/fstab", line));
            }

            yield return new("try it", ShellText.TryMount(place), Literal: true, Run: here);
        }

        if (mount.By == MountBy.Host)
        {
            yield return new($"hand in from {by?.Name}", $"{ShellText.Quoted(place)} as {ShellText.Quoted(mount.At)}", Literal: true);
        }

        if (share.Protocol == ShareProtocol.Accounts)
        {
            yield return new(
                "its account",
                $"name and password in /etc/shares/{Names.Slug(share.Name)}, readable by root only",
                Literal: false
            );
        }

        yield return new(
            "while it is away",
            $"{guest.Name} finds the folder empty or waits: it starts after {ShareSums.ExporterName(plan.Draft, share)}"
        );
    }

    internal override void Affect(SimHouse house, Plan plan)
    {
        var guest = house.Guest(Guest);
        foreach (var share in Shares.Select(m => m.Share))
        {
            if (house.SharesAway.Contains(share) || !house.Shares.ContainsKey(share))
            {
                throw new HostRefuses($"mount: {share}: connection timed out.");
            }

            guest.Shares = guest.Shares.Add(share);
        }
    }
}
