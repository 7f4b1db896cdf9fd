using System.CommandLine;
using Yuntak.Core.Base;
using Yuntak.Core.Bench;
using Yuntak.Core.Devices;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Formats.Answers;
using Yuntak.Formats.Intake;

namespace Yuntak.Cli;

/// <summary><c>devices LAB.yaml [--host NAME] [--assign]</c>: how the hardware hangs together, what becomes of each claim, and the best for all at once; <c>--before A --after B</c> names the port that came.</summary>
internal static class DevicesCommand
{
    public static Command Make()
    {
        var lab = new Argument<string?>("LAB.yaml") { Description = "A lab file.", Arity = ArgumentArity.ZeroOrOne };
        var host = new Option<string?>("--host") { Description = "Only this host." };
        var before = new Option<string?>("--before") { Description = "What a host printed before the device was plugged in." };
        var after = new Option<string?>("--after") { Description = "What it printed afterwards." };
        var assign = new Option<bool>("--assign") { Description = "Choose ways and devices for all claims at once." };
        var json = Shared.Json();
        var command = new Command("devices", "Say who has which hardware, and what goes along with it.")
        {
            lab,
            host,
            assign,
            before,
            after,
            json,
        };
        command.SetAction(parsed =>
            (parsed.GetValue(before), parsed.GetValue(after), parsed.GetValue(lab)) switch
            {
                ({ } was, { } now, _) => Came(was, now, parsed.GetValue(json)),
                (null, null, { } path) => Run(path, parsed.GetValue(host), parsed.GetValue(assign), parsed.GetValue(json)),
                _ => Unclear(parsed.GetValue(json)),
            }
        );
        return command;
    }

    private static int Unclear(bool json)
    {
        Shared.Refuse(["Name a lab file, or give both --before and --after."], json);
        return Shared.CouldNotRead;
    }

    private static int Run(string path, string? only, bool assign, bool json)
    {
        if (Shared.ReadLab(path, json) is not { } lab)
        {
            return Shared.CouldNotRead;
        }

        var hosts = lab.Hosts.Where(h => only is null || string.Equals(h.Name, only, StringComparison.OrdinalIgnoreCase)).ToList();
        if (only is not null && hosts.Count == 0)
        {
            Shared.Refuse([$"{path} has no host called «{Names.Short(only)}»."], json);
            return Shared.CouldNotRead;
        }

        var all = Sums.Of(lab).Devices;
        var looked = all.Where(d => hosts.Contains(d.Host)).ToList();
        var assigned = assign ? DeviceAssignment.Of(lab, all).On(hosts.Select(h => h.Id)) : null;
        if (json)
        {
            // Claims of guests on no host are nobody's where one host is asked for.
            var homeless = only is null
                ? lab.Guests.Where(g => lab.HostOf(g) is null).SelectMany(g => GuestClaims.Of(lab, g)).ToList()
                : [];
            Console.WriteLine(DevicesAnswer.Of(looked, homeless, assigned));
            return 0;
        }

        foreach (var host in looked)
        {
            Print(host);
        }

        if (assigned is not null)
        {
            Print(assigned);
        }

        return 0;
    }

    private static void Print(HostDevices host)
    {
        var map = host.Map;
        Console.WriteLine(map.Host.Name);
        foreach (var tray in map.Trays)
        {
            var needs = tray.NeededByHost.Select(n => $"; stays: {n.Why}");
            Console.WriteLine(
                $"  group {tray.Group?.ToString() ?? "?"}: {string.Join(", ", tray.Functions.Select(f => $"{f.Address} {f.Name}".TrimEnd()))}{string.Concat(needs)}"
            );
        }

        foreach (var usb in map.Usb.Where(u => !u.Device.Hub))
        {
            Console.WriteLine(
                $"  USB {usb.Device.Port}: {usb.Device.Name ?? usb.Device.Id ?? "device"}, controller {usb.Controller ?? "not read"}"
            );
        }

        foreach (var gap in map.Gaps)
        {
            Console.WriteLine($"  {gap}");
        }

        foreach (var claim in host.Verdicts)
        {
            var what = claim.Device is null
                ? claim.Need.Words()
                : $"{claim.Need.Words()} {claim.Device}{(claim.Way is { } way ? $", {way.Words()}" : "")}";
            Console.WriteLine($"  {claim.Guest.Name}: {what}: {claim.Answer.ToString().ToLowerInvariant()}");
            foreach (var reason in claim.Reasons)
            {
                Console.WriteLine($"    {reason}");
            }
        }
    }

    private static void Print(DeviceAssignment assigned)
    {
        Console.WriteLine(assigned.Optimal ? "assignment, nothing better is to be had" : "assignment, the best that was found in the time");
        foreach (var met in assigned.Met)
        {
            Console.WriteLine($"  {met.Guest.Name}: {met.Need.Words()} {met.Device}, {met.Way!.Value.Words()}");
        }

        foreach (var unmet in assigned.Unmet)
        {
            Console.WriteLine($"  {unmet.Guest.Name}: no {unmet.Need.Words()} on {unmet.Host.Name}: {unmet.Reason}");
            Console.WriteLine($"    smallest change: {unmet.SmallestChange}");
        }
    }

    /// <summary>One listing before and one after tell at once where a stick is.</summary>
    private static int Came(string before, string after, bool json)
    {
        if (Read(before, json) is not { } was || Read(after, json) is not { } now)
        {
            return Shared.CouldNotRead;
        }

        var came = UsbArrivals.Between(was, now);
        if (json)
        {
            Console.WriteLine(DevicesAnswer.Came(came));
        }
        else if (came.Count == 0)
        {
            Console.WriteLine("Nothing came: no USB device is there now that was not there before.");
        }
        else
        {
            foreach (var usb in came)
            {
                Console.WriteLine(
                    $"{usb.Device.Name ?? usb.Device.Id ?? "a device"} came at port {usb.Device.Port}, controller {usb.Controller ?? "not read"}"
                );
            }
        }

        return 0;
    }

    private static Hardware? Read(string path, bool json)
    {
        using var stream = Shared.Open(path, json);
        return stream is null ? null : IntakeReader.Read(stream).Hardware;
    }
}
