using System.Globalization;
using Yuntak.Core.Base;
using Yuntak.Core.Labs;
using Yuntak.Core.Runbooks;
using Yuntak.Core.Simulation;
using Yuntak.Core.Units;

namespace Yuntak.Core.Rehearsals;

/// <summary>What can be done in practice, in one explicit list: what the steps ask for, and what people do in their place.</summary>
public static class PracticeVerbs
{
    /// <summary>All of them.</summary>
    public static readonly IReadOnlyList<PracticeVerb> All =
    [
        Verb(
            "back-up",
            "Take a backup of it",
            "",
            ["backup-guest", "archive-service"],
            (h, t, _) =>
            {
                h.Guest(t.Guest).Backup = h.Guest(t.Guest).Size;
                return $"Backup of {h.Guest(t.Guest).Size} written to another host.";
            }
        ),
        Verb(
            "fetch",
            "Fetch what it is made from, and compare its sum",
            "",
            ["fetch-image"],
            (h, t, _) =>
            {
                var host = h.Host(HostOf(t));
                host.Images = host.Images.Add(t.Guest);
                return $"Saved on {host.Name}; the sum is the one published.";
            }
        ),
        Verb(
            "create",
            "Create it, switched off",
            "memory, such as 4 GiB",
            ["create-machine", "create-system-container", "lay-app-stack"],
            (h, t, typed) =>
            {
                var needs = GuestNeeds.Of(t.Plan.Sums, t.Guest);
                var memory = Size(typed);
                h.Create(needs.With(memory));
                return $"Created: {needs.Figures.Vcpu} virtual processors, {memory}.";
            }
        ),
        Verb(
            "attach-medium",
            "Put the install medium in, first in the boot order",
            "",
            ["attach-medium"],
            Act<AttachMedium>("The medium is in the drive.")
        ),
        Verb("import", "Import the ready-made disk", "", ["import-image"], Act<ImportImage>("The disk is its system disk.")),
        Verb(
            "start",
            "Start it",
            "",
            ["first-start", "start-guest"],
            (h, t, _) =>
            {
                h.Start(t.Guest);
                return h.Guest(t.Guest).State == GuestState.Installing
                    ? "It starts from the medium: the installer greets you."
                    : "It runs.";
            }
        ),
        Verb(
            "install",
            "Install onto its system disk",
            "",
            ["install-guest"],
            (h, t, _) =>
            {
                var guest = h.Guest(t.Guest);
                if (guest.State != GuestState.Installing)
                {
                    throw new HostRefuses("No installer runs: it has to be started from its medium first.");
                }

                guest.Installed = true;
                return "The installer says that it has finished.";
            }
        ),
        Verb(
            "shut-down",
            "Shut it down",
            "",
            ["shut-down-meanwhile"],
            (h, t, _) =>
            {
                h.ShutDown(t.Guest);
                return "It is off.";
            }
        ),
        Verb(
            "suspend",
            "Suspend it",
            "",
            [],
            (h, t, _) =>
            {
                h.RunningGuest(t.Guest).OnlySleeps = true;
                try
                {
                    h.ShutDown(t.Guest);
                }
                catch (HostRefuses)
                {
                    // That it sleeps now is what was asked for.
                }

                return "It sleeps.";
            }
        ),
        Verb(
            "resume",
            "Resume it",
            "",
            [],
            (h, t, _) =>
            {
                h.Start(t.Guest);
                return "It runs.";
            }
        ),
        Verb(
            "take-out",
            "Take the medium out and put the disk first",
            "",
            ["detach-medium"],
            (h, t, _) =>
            {
                var guest = h.OffGuest(t.Guest);
                (guest.MediumIn, guest.MediumFirst) = (false, false);
                return "The drive is empty.";
            }
        ),
        Verb("update", "Install today's updates inside", "", ["update-guest"], Inside("Nothing more to update.")),
        Verb(
            "template",
            "Take a template of it",
            "",
            ["take-template"],
            (h, t, _) =>
            {
                h.OffGuest(t.Guest);
                return "The template is on the list.";
            }
        ),
        Verb(
            "figures",
            "Change its figures",
            "memory, such as 4 GiB",
            ["set-figures"],
            (h, t, typed) =>
            {
                var needs = GuestNeeds.Of(t.Plan.Sums, t.Guest);
                var memory = Size(typed);
                h.Change(needs.With(memory));
                return $"Figures changed: {memory} of memory.";
            }
        ),
        Verb(
            "move",
            "Move it",
            "the host it goes to",
            ["move-guest"],
            (h, t, typed) =>
            {
                var host =
                    t.Plan.Draft.Hosts.FirstOrDefault(x => string.Equals(x.Name, typed, StringComparison.OrdinalIgnoreCase))
                    ?? throw new HostRefuses($"No host answers under the name {typed}.");
                if (host.Id != HostOf(t))
                {
                    throw new HostRefuses($"{host.Name} is not where it is planned.");
                }

                h.Move(t.Guest, h.Guest(t.Guest).Host, host.Id, GuestNeeds.Of(t.Plan.Sums, t.Guest));
                return $"{host.Name} lists it, off, with all its disks.";
            }
        ),
        Verb(
            "devices",
            "Hand its devices over",
            "",
            ["attach-devices"],
            (h, t, _) =>
            {
                var devices = t.Act<AttachDevices>()?.Devices ?? [];
                var guest = h.OffGuest(t.Guest);
                guest.Devices = guest.Devices.Union(devices.Select(d => d.Key));
                return devices.Count == 0 ? "It is to have none." : $"Handed over: {string.Join(", ", devices.Select(d => d.Device))}.";
            }
        ),
        Verb(
            "detach-devices",
            "Take its devices away",
            "",
            ["detach-devices"],
            (h, t, _) =>
            {
                var guest = h.OffGuest(t.Guest);
                guest.Devices = guest.Devices.Except((t.Act<DetachDevices>()?.Devices ?? []).Select(d => d.Key));
                return "The host has them again.";
            }
        ),
        Verb(
            "prepare",
            "Look at its devices on the host",
            "",
            ["prepare-devices", "map-groups"],
            (_, _, _) => "There, with the driver of the host."
        ),
        Verb("prove", "See that its devices are used", "", ["prove-devices"], Inside("Each is listed, and used.")),
        Verb(
            "mount",
            "Mount its bulk data and shares",
            "",
            ["mount-bulk", "mount-shares"],
            (h, t, _) =>
            {
                t.Act<MountShares>()?.Do(h, t.Plan);
                return h.GuestIf(t.Guest) is null
                    ? throw new HostRefuses("There is nothing to mount it in.")
                    : "Mounted, by UUID and by name of the share.";
            }
        ),
        Verb("engine", "Install the container engine inside", "", ["install-engine-inside"], Inside("The test image says hello.")),
        Verb("visit", "Visit its page and become administrator", "", ["first-visit"], Inside("Welcome. You are the administrator.")),
        Verb(
            "set-up",
            "Set the service up",
            "",
            ["set-up-service", "lay-archive-in", "check-items"],
            (h, t, _) =>
            {
                var guest = h.RunningGuest(t.Guest);
                guest.Settled = guest.Settled.Add("service");
                return "It answers from another machine.";
            }
        ),
        Verb(
            "autostart",
            "Let it start with its host",
            "",
            ["set-autostart"],
            (h, t, _) =>
            {
                h.Guest(t.Guest).Starts = true;
                return "It starts with its host.";
            }
        ),
        Verb("in-service", "Tell the people it is for", "", ["put-in-service"], Inside("Somebody else used it.")),
        Verb(
            "delete",
            "Delete it",
            "",
            ["retire-guest"],
            (h, t, _) =>
            {
                h.Delete(t.Guest);
                return "It is off the list, and its disks with it.";
            }
        ),
    ];

    /// <summary>The verb of a name, if there is one.</summary>
    public static PracticeVerb? Find(string name) => All.FirstOrDefault(v => v.Name == name);

    private static PracticeVerb Verb(
        string name,
        string words,
        string asks,
        string[] steps,
        Func<SimHouse, PracticeTask, string, string> what
    ) => new(name, words, asks, steps, what);

    private static Func<SimHouse, PracticeTask, string, string> Inside(string says) =>
        (h, t, _) =>
        {
            h.RunningGuest(t.Guest);
            return says;
        };

    private static Func<SimHouse, PracticeTask, string, string> Act<T>(string says)
        where T : Act =>
        (h, t, _) =>
        {
            (t.Act<T>() ?? throw new HostRefuses("There is none for it.")).Do(h, t.Plan);
            return says;
        };

    private static HostId HostOf(PracticeTask task) =>
        task.Plan.Planned(task.Guest) is { } guest
            ? task.Plan.Draft.HostOf(guest)!.Id
            : task.Plan.AsBuilt.HostOf(task.Plan.Stands(task.Guest)!)!.Id;

    private static ByteSize Size(string typed) =>
        ByteSize.TryParse(typed, Prefixes.Binary, out var size) && size >= ByteSize.FromMiB(16)
            ? size
            : throw new HostRefuses(
                string.Create(CultureInfo.InvariantCulture, $"Not a size: «{Names.Short(typed)}». Type it like 4 GiB.")
            );
}
