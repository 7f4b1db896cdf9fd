using Yuntak.Core.Bench;
using Yuntak.Core.Labs;
using Yuntak.Core.Units;
using Yuntak.Core.Wants;

namespace Yuntak.Core.Runbooks;

/// <summary>How a guest is built, for each way of packaging it. Durations are common practice.</summary>
internal static class GuestRecipes
{
    /// <summary>The steps from paper to service.</summary>
    public static IEnumerable<StepDraft> For(Guest guest, Assessment draft)
    {
        var sizing = draft.Guest(guest.Id);
        var start = guest.Kind switch
        {
            GuestKind.Machine => Machine(guest, sizing),
            GuestKind.SystemContainer => SystemContainer(guest, sizing),
            _ => AppStack(guest, sizing, draft.Lab.Outer(guest)),
        };
        return start.Concat(CommonEnd(guest, sizing, draft));
    }

    /// <summary>«2.5 GiB (2,560 MiB)»: memory as people say it and as forms want it.</summary>
    public static string MemoryText(ByteSize memory) =>
        memory.GiB < 1 ? memory.ToString() : $"{memory} ({memory.MiB:#,##0}{Numbers.ThinSpace}MiB)";

    private static IEnumerable<StepDraft> Machine(Guest guest, Sizing sizing)
    {
        List<StepValue> values =
        [
            new("name", guest.Name),
            new("virtual processors", sizing.Vcpu.ToString()),
            new("memory", MemoryText(sizing.Memory)),
            new("system disk", $"{sizing.SystemDisk} in {Pool(guest.Placement?.SystemPool)}"),
        ];
        if (sizing.Bulk > ByteSize.Zero)
        {
            values.Add(new("bulk data", $"{sizing.Bulk} in {Pool(guest.Placement?.BulkPool)}, ticked for backup"));
        }

        if (guest.MayShrinkTo is { } floor)
        {
            values.Add(new("may shrink to", MemoryText(floor)));
        }

        yield return new(
            LifeStage.Defined,
            "Create the machine, switched off",
            [.. values, new("start with the host", "not yet")],
            3,
            "It is on the host's list, off, with these figures.",
            "If the host says there is no virtualisation, switch it on in the firmware first.",
            "Delete the machine; nothing is on it yet."
        );
        yield return new(
            LifeStage.MediumAttached,
            "Attach the install medium and put it first in the boot order",
            [new("boot order", "1. install medium, 2. system disk")],
            2,
            "The medium shows in the machine's drive.",
            "Compare the medium's checksum with the publisher's; fetch it again if it differs.",
            "Take the medium out."
        );
        yield return new(
            LifeStage.Installed,
            "Start it and install onto the system disk",
            [
                new("computer name", Names.Slug(guest.Name), Literal: true),
                new("install onto", $"the {sizing.SystemDisk} disk"),
                new("administrator", "a password of your own, 12 characters or more, kept in your password store"),
            ],
            sizing.Leading.FirstStartMinutes > 5 ? 10 : 4,
            "The installer says that it has finished.",
            "Changes gone after a restart? You worked in the live session: run the installer itself.",
            "Install again; nothing else depends on it yet."
        );
        yield return new(
            LifeStage.MediumOut,
            "Shut it down, take the medium out and put the disk first",
            [new("boot order", "1. system disk"), new("state", "off; suspended is not off")],
            2,
            "The drive is empty and the disk is first.",
            "If it will not shut down, use its own shut-down command at the console.",
            "Attach the medium again."
        );
        yield return new(
            LifeStage.StartsUnattended,
            "Start it and touch nothing",
            [new("first start may take", $"{sizing.Leading.FirstStartMinutes} min")],
            sizing.Leading.FirstStartMinutes,
            "It comes up by itself and answers over the network.",
            "Installer again? The medium is still in or first: go one step back.",
            "Shut it down."
        );
    }

    private static IEnumerable<StepDraft> SystemContainer(Guest guest, Sizing sizing)
    {
        yield return new(
            LifeStage.Defined,
            $"Create the system container from a template, {(guest.Privileged ? "privileged" : "unprivileged")}",
            [
                new("name", Names.Slug(guest.Name), Literal: true),
                new("virtual processors", sizing.Vcpu.ToString()),
                new("memory, at most", MemoryText(sizing.Memory)),
                new("system disk", $"{sizing.SystemDisk} in {Pool(guest.Placement?.SystemPool)}"),
                new("privileged", guest.Privileged ? "yes: root inside it is root on the host" : "no"),
                .. sizing.Inner.Count > 0 ? new StepValue[] { new("nesting", "on, for the app engine in it") } : [],
                new("start with the host", "not yet"),
            ],
            3,
            "It is on the host's list, off, with these figures.",
            "No template? Fetch one for the host's processor family first.",
            "Delete the container; nothing is in it yet."
        );
        yield return new(
            LifeStage.StartsUnattended,
            "Start it",
            [new("administrator", "a password of your own, or keys only")],
            2,
            "It answers over the network. Inside it, do not trust tools that show memory: they may show the host's.",
            "Read the host's journal for the container's name.",
            "Shut it down."
        );
    }

    private static IEnumerable<StepDraft> AppStack(Guest guest, Sizing sizing, Guest? outer)
    {
        var inside = outer is null ? "" : $"Inside {outer.Name}: ";
        var folders = guest.Folders.Select(f => new StepValue("folder", $"mkdir -p {Quoted(f.HostPath)}", Literal: true));
        yield return new(
            LifeStage.Defined,
            Sentence(inside, "Make the folders and lay the Compose file in place"),
            [
                .. folders,
                new("Compose file", $"/srv/{Names.Slug(guest.Name)}/compose.yaml", Literal: true),
                new("image", guest.Image ?? "write the image and its tag into the .env file beside it", Literal: guest.Image is not null),
                new("memory, at most", MemoryText(sizing.Memory)),
            ],
            5,
            "The folders exist, belong to the user the image runs as, and allow execution where the image needs it.",
            "Permission refused? Look up the user number the image runs as and chown the folders to it.",
            "Remove the folders; nothing is in them yet."
        );
        yield return new(
            LifeStage.StartsUnattended,
            Sentence(inside, "Start the stack with your container engine's Compose command"),
            [new("in", $"/srv/{Names.Slug(guest.Name)}", Literal: true)],
            Math.Max(3, sizing.Leading.FirstStartMinutes),
            "Every container stays up for a minute.",
            "Does not start at all? The image may be for another processor family.",
            "Stop the stack; the folders keep its data."
        );
    }

    private static string Sentence(string inside, string what) =>
        inside.Length == 0 ? what : inside + char.ToLowerInvariant(what[0]) + what[1..];

    private static IEnumerable<StepDraft> CommonEnd(Guest guest, Sizing sizing, Assessment draft)
    {
        var hardware = draft.HostOf(guest)?.Host.Hardware ?? Hardware.None;
        if (guest.Kind != GuestKind.AppStack)
        {
            yield return new(
                LifeStage.Updated,
                "Install today's updates",
                [],
                5,
                "It says there is nothing more to update, and starts again cleanly.",
                "Try another source of updates, or wait an hour.",
                "Not needed: nothing depends on it yet."
            );
        }

        var needs = sizing.Profiles.SelectMany(p => p.Needs).Distinct(StringComparer.Ordinal).ToList();
        if (needs.Count > 0 || guest.Devices.Count > 0)
        {
            yield return new(
                LifeStage.DevicesAttached,
                "Attach its devices",
                [
                    .. needs.Select(n => new StepValue("device", n)),
                    .. guest.Devices.Select(d => new StepValue(
                        "handed over whole",
                        $"{d} {hardware.Function(d)?.Name}".TrimEnd(),
                        Literal: true
                    )),
                    new("state while doing so", guest.Kind == GuestKind.Machine ? "off" : "stopped"),
                ],
                10,
                "The guest lists the device, and the host still has its own console, boot disk and network.",
                "Device busy? Another guest or the host itself holds it.",
                "Take the device away again while the guest is off."
            );
        }

        if (sizing.Bulk > ByteSize.Zero)
        {
            yield return Mounts(guest, sizing, draft.Lab.Outer(guest));
        }

        var services = string.Join(" and ", sizing.Profiles.Select(p => p.Name));
        yield return new(
            LifeStage.ServiceIn,
            $"Set the service up: {services}",
            [
                new("address", "a fixed one: reserve it by hardware address where addresses are handed out"),
                new("accounts", "change every default password, switch guest accounts off"),
            ],
            20,
            $"The {services} answers at its address from another machine.",
            "Not reachable? Another guest may hold the same address and port.",
            "Shut the guest down; it serves nobody yet.",
            sizing.Profiles.Select(p => p.Caution).FirstOrDefault(c => c is not null)
        );
        yield return new(
            LifeStage.AutostartSet,
            "Let it start with its host",
            [
                new("start order", sizing.Profiles.Min(p => p.StartOrder).ToString()),
                new("restart", guest.Kind == GuestKind.AppStack ? "unless stopped" : "on"),
            ],
            2,
            $"Restart {guest.Name}'s host when nobody minds, and see it come up.",
            "Check that what it depends on has a smaller start order.",
            "Switch it off again."
        );
        yield return new(
            LifeStage.FirstBackup,
            "Take its first backup",
            [
                new(
                    "of",
                    sizing.Bulk > ByteSize.Zero
                        ? $"system disk {sizing.SystemDisk} and bulk data {sizing.Bulk}"
                        : $"system disk {sizing.SystemDisk}"
                ),
            ],
            15,
            "The backup's size is about what is in use, not a fraction of it: every volume is in.",
            "A volume missing? It is not ticked for backup.",
            "Delete the backup."
        );
        yield return new(
            LifeStage.RestoreTried,
            "Bring the backup back under another name",
            [new("name", Names.Slug(guest.Name) + "-try", Literal: true), new("network", "disconnected, so that two of it never meet")],
            10,
            "It starts, and what you put in is there.",
            "Does not start? Then there is no backup yet: mend that first.",
            "Delete the copy."
        );
        yield return new(
            LifeStage.InService,
            "Put it in service",
            [new("tell", "the people it is for, with its address")],
            5,
            "Somebody else used it.",
            "Ask what they saw.",
            "Tell them it is away."
        );
    }

    private static StepDraft Mounts(Guest guest, Sizing sizing, Guest? outer)
    {
        var slug = Names.Slug(guest.Name);
        if (outer is not null)
        {
            return new(
                LifeStage.MountsIn,
                $"Give it its folder in the bulk data of {outer.Name}",
                [new($"in {outer.Name}", $"/srv/data/{slug}", Literal: true), new("room set aside", sizing.Bulk.ToString())],
                5,
                "The stack can read and write there as the user its image runs as.",
                $"Not there? See that the bulk data of {outer.Name} is mounted first.",
                "Take the folder away again."
            );
        }

        return guest.Kind == GuestKind.Machine
            ? new(
                LifeStage.MountsIn,
                "Make a file system on the bulk volume and mount it by its id",
                [
                    new("find it", "lsblk -o NAME,SIZE,UUID,MOUNTPOINTS", Literal: true),
                    new("line in /etc/fstab", "UUID=<what lsblk shows> /srv/data ext4 defaults,nofail 0 2", Literal: true),
                    new("size", sizing.Bulk.ToString()),
                ],
                5,
                "After a restart the volume is mounted again, by UUID and never by kernel name.",
                "Starts without it? Read the line once more; nofail keeps the machine usable meanwhile.",
                "Take the line out and unmount.",
                $"Making a file system wipes the volume. It is the empty one of {sizing.Bulk}; check the size before you press Enter."
            )
            : new(
                LifeStage.MountsIn,
                "Hand the bulk folder in from the host",
                [
                    new("on the host", $"/{guest.Placement?.BulkPool ?? "pool"}/{slug}", Literal: true),
                    new("room set aside", sizing.Bulk.ToString()),
                    new("network shares", "mount them on the host; an unprivileged container may not"),
                ],
                5,
                "The guest can read and write there as its own user.",
                "Permission refused? Give the folder to the user number the guest's user has on the host.",
                "Take the folder away again."
            );
    }

    private static string Pool(string? name) => name ?? "a pool you choose";

    /// <summary>A path as a POSIX shell takes it: plain when it is harmless, else in single quotes.</summary>
    private static string Quoted(string path) =>
        path.All(c => char.IsAsciiLetterOrDigit(c) || c is '/' or '-' or '_' or '.')
            ? path
            : $"'{path.Replace("'", "'\\''", StringComparison.Ordinal)}'";
}
