using System.CommandLine;
using Yuntak.Core.Bench;
using Yuntak.Core.Labs;
using Yuntak.Core.Wires;
using Yuntak.Formats.Answers;

namespace Yuntak.Cli;

/// <summary><c>wires LAB.yaml</c>: who has which address, who answers where, what clashes, what the outside reaches, what links carry.</summary>
internal static class WiresCommand
{
    public static Command Make()
    {
        var lab = Shared.LabArgument();
        var json = Shared.Json();
        var command = new Command("wires", "Say who has which address and port, and what the outside reaches.") { lab, json };
        command.SetAction(parsed => Run(parsed.GetValue(lab)!, parsed.GetValue(json)));
        return command;
    }

    private static int Run(string path, bool json)
    {
        if (Shared.ReadLab(path, json) is not { } lab)
        {
            return Shared.CouldNotRead;
        }

        var wires = Sums.Of(lab).Wires;
        if (json)
        {
            Console.WriteLine(WiresAnswer.Of(wires));
            return 0;
        }

        foreach (var network in wires.Networks)
        {
            Console.WriteLine(
                $"{network.Network.Name} {network.Network.Prefix ?? "prefix not known"}, next free {network.NextFree?.ToString() ?? "none"}"
            );
            foreach (var held in network.Held)
            {
                Console.WriteLine($"  {held.Address?.ToString() ?? "any"} {held.Who.Name}, {WiresAnswer.Word(held.How)}");
            }
        }

        foreach (var clash in wires.Clashes)
        {
            Console.WriteLine(
                $"clash: {clash.Port}/{clash.Protocol.Word()} on {clash.Stack.Name}: {string.Join(", ", clash.Who.Select(w => w.Who.Name))}"
            );
        }

        foreach (var way in wires.WaysIn)
        {
            Console.WriteLine(
                $"from outside: {string.Join(" > ", way.Path)}{(way.Clear ? ", in the clear" : ", encrypted")}{(way.Login == false ? ", no log-in" : "")}"
            );
        }

        foreach (var link in wires.Links)
        {
            Console.WriteLine(
                $"link {link.From.Name} to {link.To}: {link.Peak} at {link.Hour}:00, of {link.Goodput?.ToString() ?? "what nobody knows"}"
            );
        }

        return 0;
    }
}
