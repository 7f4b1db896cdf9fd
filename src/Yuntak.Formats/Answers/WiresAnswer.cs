using System.Text.Json.Nodes;
using Yuntak.Core.Labs;
using Yuntak.Core.Wires;

namespace Yuntak.Formats.Answers;

/// <summary>What <c>wires --json</c> answers; rates in bits a second.</summary>
public static class WiresAnswer
{
    /// <summary>The answer for a lab.</summary>
    public static string Of(HouseWires wires) =>
        JsonAnswers.Text(
            new JsonObject
            {
                ["networks"] = new JsonArray([.. wires.Networks.Select(Network)]),
                ["listeners"] = new JsonArray([
                    .. wires.Ports.Select(p => new JsonObject
                    {
                        ["address"] = At(wires, p),
                        ["protocol"] = p.Protocol.Word(),
                        ["port"] = p.Port,
                        ["who"] = p.Who.Name,
                    }),
                ]),
                ["clashes"] = new JsonArray([
                    .. wires.Clashes.Select(c => new JsonObject
                    {
                        ["address"] = c.Address == "*" ? wires.AddressOf(c.Stack)?.ToString() ?? "*" : c.Address,
                        ["protocol"] = c.Protocol.Word(),
                        ["port"] = c.Port,
                        ["who"] = new JsonArray([.. c.Who.Select(w => JsonValue.Create(w.Who.Name))]),
                    }),
                ]),
                ["exposed"] = new JsonArray([
                    .. wires.WaysIn.Select(w => new JsonObject
                    {
                        ["who"] = w.Who.Name,
                        ["port"] = w.Port,
                        ["path"] = new JsonArray([.. w.Path.Select(p => JsonValue.Create(p))]),
                        ["clear"] = w.Clear,
                        ["login"] = w.Login,
                    }),
                ]),
                ["links"] = new JsonArray([
                    .. wires.Links.Select(l => new JsonObject
                    {
                        ["from"] = l.From.Name,
                        ["to"] = l.To,
                        ["share"] = l.Share?.Name,
                        ["peakBitsPerSecond"] = l.Peak.BitsPerSecond,
                        ["goodputBitsPerSecond"] = l.Goodput?.BitsPerSecond,
                        ["hour"] = l.Hour,
                    }),
                ]),
            }
        );

    private static JsonObject Network(NetworkSums network) =>
        new()
        {
            ["name"] = network.Network.Name,
            ["prefix"] = network.Network.Prefix,
            ["addresses"] = new JsonArray([
                .. network.Held.Select(h => new JsonObject
                {
                    ["address"] = h.Address?.ToString(),
                    ["who"] = h.Who.Name,
                    ["how"] = Word(h.How),
                }),
            ]),
            ["nextFree"] = network.NextFree?.ToString(),
        };

    /// <summary>How something comes by its address, in a word.</summary>
    public static string Word(AddressHow how) =>
        how switch
        {
            AddressHow.Fixed => "fixed",
            AddressHow.Reserved => "reserved",
            AddressHow.HandedOut => "handed-out",
        };

    /// <summary>The one address, or the first of whose addresses they are all meant.</summary>
    private static string At(HouseWires wires, HeardPort port) =>
        port.Address == "*" ? wires.AddressOf(port.Stack)?.ToString() ?? "*" : port.Address;
}
