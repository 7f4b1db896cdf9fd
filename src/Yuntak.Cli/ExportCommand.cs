using System.CommandLine;
using Yuntak.Core.Base;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Shapes;
using Yuntak.Formats.Answers;
using Yuntak.Formats.Exports;
using Yuntak.Formats.LabFiles;

namespace Yuntak.Cli;

/// <summary><c>export LAB.yaml --compose|--json</c>: files to use.</summary>
internal static class ExportCommand
{
    public static Command Make()
    {
        var lab = Shared.LabArgument();
        var compose = new Option<bool>("--compose")
        {
            Description = "A Compose file of the app stacks. With --json, one file for each, in JSON.",
        };
        var guest = new Option<string?>("--guest") { Description = "Only this app stack." };
        var host = new Option<string?>("--host") { Description = "Only the app stacks of this host, or inside this guest." };
        var wires = new WiresExport();
        var json = new Option<bool>("--json") { Description = "The lab as JSON." };
        var command = new Command(
            "export",
            "Write files to use: a Compose file, names, reservations, mounts and exports, or the lab as YAML or JSON."
        )
        {
            lab,
            compose,
            guest,
            host,
            json,
        };
        wires.AddTo(command);
        command.SetAction(parsed =>
            wires.IsAsked(parsed)
                ? wires.Run(parsed, parsed.GetValue(lab)!, parsed.GetValue(json))
                : Run(parsed.GetValue(lab)!, parsed.GetValue(compose), parsed.GetValue(guest), parsed.GetValue(host), parsed.GetValue(json))
        );
        return command;
    }

    private static int Run(string path, bool compose, string? only, string? host, bool json)
    {
        if (Shared.ReadLab(path, json) is not { } lab)
        {
            return Shared.CouldNotRead;
        }

        if (!compose)
        {
            Console.Write(json ? LabFile.ToJson(lab) : LabFile.ToYaml(lab));
            return 0;
        }

        var stacks = lab
            .Guests.Where(g => g.Kind == GuestKind.AppStack && (only is null || g.Name == only) && (host is null || Home(lab, g) == host))
            .ToList();
        var homes = stacks.Select(g => Home(lab, g)).Distinct(StringComparer.Ordinal).ToList();
        if (homes.Count > 1 && !json)
        {
            // One file is carried out by one engine.
            Shared.Refuse(
                [
                    $"The app stacks run in {homes.Count} places: {string.Join(", ", homes)}. One file is for one engine: name one with --host or --guest, or let --json write a file for each.",
                ],
                json
            );
            return Shared.CouldNotRead;
        }

        if (stacks.Count == 0)
        {
            Shared.Refuse(
                [
                    only is null && host is null
                        ? $"{path} has no app stack, so there is no Compose file to write."
                        : $"{path} has no app stack {(only is null ? "" : $"called «{only}»")}{(host is null ? "" : $" on «{host}»")}.",
                ],
                json
            );
            return Shared.CouldNotRead;
        }

        Console.Write(
            json
                ? JsonAnswers.Files(stacks.Select(g => (g.Name, $"{Names.Slug(g.Name)}/compose.yaml", ComposeFile.Of(g, lab.Book, lab))))
                    + "\n"
                : ComposeFile.Of(stacks.Count == 1 ? stacks[0].Name : lab.Name, stacks, lab.Book, lab)
        );
        return 0;
    }

    /// <summary>Where the engine is that runs a stack: a guest, or a host.</summary>
    private static string Home(Lab lab, Guest guest) => lab.Outer(guest)?.Name ?? lab.HostOf(guest)?.Name ?? "no host yet";
}
