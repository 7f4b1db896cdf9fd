using System.Text.Json.Nodes;
using Yuntak.Core.Base;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Simulation;
using Yuntak.Core.Units;
using Yuntak.Core.Wants;

namespace Yuntak.Core.Runbooks;

/// <summary>Brings a guest's bulk data in: a volume with a file system of its own, a folder of the host, or a folder in the guest that runs it.</summary>
/// <param name="Guest">The guest.</param>
/// <param name="Host">Its host.</param>
/// <param name="Kind">How it is packaged.</param>
/// <param name="Name">What it is called.</param>
/// <param name="Size">The size of its bulk data.</param>
/// <param name="Pool">The pool it lies in.</param>
/// <param name="RunsIn">The guest whose engine runs it.</param>
/// <param name="Folders">Folders it shares with others, which lie in a pool already.</param>
internal sealed record MountBulk(
    GuestId Guest,
    HostId? Host,
    GuestKind Kind,
    string Name,
    ByteSize Size,
    string? Pool,
    GuestId? RunsIn,
    ValueList<UsedFolder> Folders = default
) : GuestAct(Guest, Host)
{
    /// <inheritdoc/>
    public override string Type => "mount-bulk";

    /// <inheritdoc/>
    public override IEnumerable<KeyValuePair<string, JsonNode?>> Values =>
        [
            .. base.Values,
            Value("bytes", Size.Bytes),
            Value("pool", Pool),
            Value("runsIn", RunsIn?.Value),
            // A step of a guest that shares no folder is known by what it always was.
            .. Folders.Count > 0 ? [Value("folders", Folders.Select(f => f.Words))] : Array.Empty<KeyValuePair<string, JsonNode?>>(),
        ];

    internal override Duration Takes(Plan plan) => new(5);

    internal override ActText Text(Plan plan)
    {
        if (Size == ByteSize.Zero)
        {
            return new(
                $"Bring {string.Join(", ", Folders.Select(f => f.Name))} in",
                [.. FolderLines(plan)],
                "A file laid there on the host is seen in the guest, and where it may write the other way round.",
                "Permission refused? Give the folder to the user number the guest's user has on the host.",
                "Take the folder out of the guest again; nothing in it changes."
            );
        }

        var own = OwnText(plan);
        return own with { Values = [.. own.Values, .. FolderLines(plan)] };
    }

    /// <summary>The folders it shares with others: each lies in its pool once, and is never made a second time beside it.</summary>
    private IEnumerable<StepValue> FolderLines(Plan plan)
    {
        foreach (var folder in Folders)
        {
            // A folder that stands holds data: it is looked at, and never made.
            yield return plan.AsBuilt.AllFolders.Any(f => f.Name == folder.Name && f.Host == Host)
                ? new($"{folder.Name}, on {plan.NameOf(Host)}", $"ls -ld -- {ShellText.Quoted(folder.Place)}", Literal: true)
                : new($"{folder.Name}, on {plan.NameOf(Host)}", $"mkdir -p -- {ShellText.Quoted(folder.Place)}", Literal: true);
            yield return new(
                RunsIn is { } outer ? $"through {plan.NameOf(outer)} into it" : "into the guest",
                $"{ShellText.Quoted(folder.Place)} as {ShellText.Quoted(folder.At)}{(folder.Writes ? "" : ", read-only")}",
                Literal: true
            );
        }
    }

    private ActText OwnText(Plan plan)
    {
        var slug = Names.Slug(Name);
        if (RunsIn is { } outer)
        {
            var name = plan.NameOf(outer);
            return new(
                $"Give it its folder in the bulk data of {name}",
                [new($"in {name}", $"{GuestVolumes.BulkInside}/{slug}", Literal: true), new("room set aside", Size.ToString())],
                "The stack can read and write there as the user its image runs as.",
                $"Not there? See that the bulk data of {name} is mounted first.",
                "Take the folder away again."
            );
        }

        return Kind == GuestKind.Machine
            ? new(
                "Make a file system on the bulk volume and mount it by its id",
                [
                    new("find it", "lsblk -o NAME,SIZE,UUID,MOUNTPOINTS", Literal: true),
                    new("line in /etc/fstab", $"UUID=<what lsblk shows> {GuestVolumes.BulkInside} ext4 defaults,nofail 0 2", Literal: true),
                    new("size", Size.ToString()),
                ],
                "After a restart the volume is mounted again, by UUID and never by kernel name.",
                "Starts without it? Read the line once more; nofail keeps the machine usable meanwhile.",
                "Take the line out and unmount.",
                $"Making a file system wipes the volume. It is the empty one of {Size}; check the size before you press Enter."
            )
            : new(
                "Hand the bulk folder in from the host",
                [
                    new("on the host", ShellText.Quoted(Folder(plan)), Literal: true),
                    new("room set aside", Size.ToString()),
                    new("network shares", "mount them on the host; an unprivileged container may not"),
                ],
                "The guest can read and write there as its own user.",
                "Permission refused? Give the folder to the user number the guest's user has on the host.",
                "Take the folder away again."
            );
    }

    /// <summary>Its folder on the host.</summary>
    private string Folder(Plan plan) =>
        GuestVolumes.Bulk(plan.Draft, plan.Sums.Guest(Guest))?.Outside ?? $"/{Names.Slug(Pool ?? "pool")}/{Names.Slug(Name)}";

    internal override void Affect(SimHouse house, Plan plan) => house.Guest(Guest);
}
