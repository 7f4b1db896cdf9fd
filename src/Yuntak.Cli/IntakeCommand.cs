using System.CommandLine;
using Yuntak.Core.Base;
using Yuntak.Core.Disks;
using Yuntak.Core.Edits;
using Yuntak.Core.Kit;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Shapes;
using Yuntak.Core.Stations;
using Yuntak.Formats.Answers;
using Yuntak.Formats.Intake;

namespace Yuntak.Cli;

/// <summary><c>intake BUNDLE [--lab LAB.yaml --as NAME]</c>: reads a host from its own tools' output, says what was read, and takes it over into a lab file.</summary>
internal static class IntakeCommand
{
    public static Command Make()
    {
        var file = new Argument<string>("BUNDLE")
        {
            Description = "What collect.sh printed, or the output of any of the tools it runs; - for standard input.",
        };
        var lab = new Option<string?>("--lab")
        {
            Description =
                "A lab file that takes the host over. It is made when it is not there; the old one is kept with .before at its end.",
        };
        var name = new Option<string?>("--as") { Description = "The host's name in the lab; without it, the one it gives itself." };
        var toBuild = new Option<bool>("--to-build")
        {
            Description = "The host does not run yet in the way that is planned: leave out «stands: true».",
        };
        var on = new Option<string?>("--on")
        {
            Description = "The file defines guests that run on this host of the lab: a Compose file, an OVF envelope, or a list in CSV.",
        };
        var addresses = new Option<bool>("--addresses")
        {
            Description = "The file says who has which address: a hosts file, ethers lines, or a table of reservations in CSV.",
        };
        var json = Shared.Json();
        var command = new Command("intake", "Read a host from the output of its own tools, or guests from their definitions.")
        {
            file,
            lab,
            name,
            on,
            addresses,
            toBuild,
            json,
        };
        command.SetAction(parsed =>
            parsed.GetValue(addresses) ? AddressesIntake.Run(parsed.GetValue(file)!, parsed.GetValue(lab), parsed.GetValue(json))
            : parsed.GetValue(on) is { } host
                ? DefinitionIntake.Run(parsed.GetValue(file)!, parsed.GetValue(lab), host, !parsed.GetValue(toBuild), parsed.GetValue(json))
            : Run(parsed.GetValue(file)!, parsed.GetValue(lab), parsed.GetValue(name), !parsed.GetValue(toBuild), parsed.GetValue(json))
        );
        return command;
    }

    private static int Run(string path, string? labPath, string? name, bool stands, bool json)
    {
        if (name is not null && labPath is null)
        {
            Shared.Refuse(["--as names a host in a lab; say which with --lab LAB.yaml."], json);
            return Shared.CouldNotRead;
        }

        using var stream = Shared.Open(path, json);
        if (stream is null)
        {
            return Shared.CouldNotRead;
        }

        var reading = IntakeReader.Read(stream);
        IReadOnlyList<string>? changes = null;
        if (labPath is not null && reading.HasAnything && !TakeOver(reading, labPath, name, stands, json, out changes))
        {
            return Shared.CouldNotRead;
        }

        if (json)
        {
            Console.WriteLine(JsonAnswers.Intake(reading, changes));
        }
        else
        {
            Print(reading, changes);
        }

        return reading.HasAnything ? 0 : Shared.CouldNotRead;
    }

    private static bool TakeOver(HostReading reading, string path, string? name, bool stands, bool json, out IReadOnlyList<string>? changes)
    {
        changes = null;
        var before = File.Exists(path) ? Shared.ReadLab(path, json) : Lab.Empty("My lab");
        if (before is null)
        {
            return false;
        }

        try
        {
            var (after, said) = Taken(before, reading, name, stands);
            changes = said;
            return after == before || Shared.WriteLab(path, after, json);
        }
        catch (Refused refused)
        {
            Shared.Refuse([refused.Message + " The lab file was not changed."], json);
            return false;
        }
    }

    private static (Lab After, IReadOnlyList<string> Said) Taken(Lab lab, HostReading reading, string? name, bool stands)
    {
        name ??= reading.HostName ?? throw new Refused("The text does not say which host it is of; name it with --as NAME.");
        var known = lab.Hosts.FirstOrDefault(h => string.Equals(h.Name, name, StringComparison.OrdinalIgnoreCase));
        if (known is null)
        {
            var host = NewHost.From(reading, name);
            ValueList<Pool> found = stands ? [.. PoolProposal.Found(host).Select(p => p with { Stands = true })] : [];
            var added = HostEdits.Add(host with { Stands = stands, Pools = found })(lab);
            return (added.Lab, [added.Sentence, .. found.Select(p => $"{p.Name} stands: {p.Layout.Words(p.DiskIds.Count)}")]);
        }

        var update = HostUpdate.Of(Assessment.Of(lab), known, reading);
        var read = KitEdits.Accept(known.Id, reading)(lab).Lab;
        // What its own tools found on it is there, whatever was planned for it.
        var more = stands ? TakeOverEdits.NewPools(read.Host(known.Id)!) : [];
        return (
            read.WithHost(
                known.Id,
                h => h with { Stands = h.Stands || more.Count > 0, Pools = [.. h.Pools, .. more.Select(p => p with { Stands = true })] }
            ),
            [
                .. update.Changes.Select(c => c.Text),
                .. update.Effects,
                .. more.Select(p => $"{p.Name} stands: {p.Layout.Words(p.DiskIds.Count)}"),
            ]
        );
    }

    private static void Print(HostReading reading, IReadOnlyList<string>? changes)
    {
        Console.WriteLine($"Read: {reading.Words()}.");
        foreach (var part in reading.Parts)
        {
            Console.WriteLine($"  {part.Part}: {part.Words}");
        }

        foreach (var disk in reading.Disks)
        {
            var hours = disk.HoursRun is { } h ? $", {h:#,##0} hours" : "";
            var health = disk.Health is { } known ? $", {known.Word}" : "";
            Console.WriteLine(
                $"  {disk.Name}: {disk.Size.ToDecimalString()} {disk.Kind.Words()}, {disk.Id}, {disk.Contents}{hours}{health}"
            );
        }

        foreach (var found in reading.Hardware.Found)
        {
            var at = found.MountedAt is null ? "" : $", mounted at {found.MountedAt}";
            var used = found.Used is { } size ? $", {size.ToDecimalString()} in it" : "";
            Console.WriteLine(
                $"  pool {found.Name}: {found.Layout.Words(found.DiskIds.Count)}, {found.Family.Words()}{at}{used}{(found.Unsure is null ? "" : $"; {found.Unsure}")}"
            );
        }

        foreach (var runs in reading.Hardware.Runs.Where(r => r.Kind is not null))
        {
            Console.WriteLine(
                $"  runs: {runs.Name}, looks like {runs.Kind!.Value.Words()}, {runs.Memory}{(runs.Peak is { } peak ? $", at most {peak}" : "")}"
            );
        }

        foreach (var device in reading.Hardware.UsbDevices.Where(d => !d.Hub))
        {
            var controller = reading.Hardware.ControllerOf(device.Port) is { } address
                ? $"controller {address}"
                : "a controller that was not read";
            Console.WriteLine($"  USB {device.Name ?? device.Id ?? "device"}: port {device.Port}, {controller}");
        }

        foreach (var change in changes ?? [])
        {
            Console.WriteLine(change);
        }

        if (changes is { Count: 0 })
        {
            Console.WriteLine("Nothing changed.");
        }

        foreach (var hint in reading.Parts.SelectMany(p => p.Hints))
        {
            Console.WriteLine(hint);
        }

        foreach (var problem in reading.Problems)
        {
            Console.Error.WriteLine(problem);
        }
    }
}
