using System.Text.Json.Nodes;
using Yuntak.Core.Devices;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;

namespace Yuntak.Formats.Answers;

/// <summary>What <c>devices --json</c> answers; sizes in bytes.</summary>
public static class DevicesAnswer
{
    /// <summary>The answer for some hosts of a lab.</summary>
    /// <param name="hosts">The hosts.</param>
    /// <param name="homeless">Claims of guests that are on no host.</param>
    /// <param name="assigned">The assignment, where it was asked for.</param>
    public static string Of(IReadOnlyList<HostDevices> hosts, IReadOnlyList<AskedClaim> homeless, DeviceAssignment? assigned)
    {
        var answer = new JsonObject
        {
            ["hosts"] = new JsonArray([.. hosts.Select(h => Map(h.Map))]),
            ["claims"] = new JsonArray([.. hosts.SelectMany(h => h.Verdicts).Select(Claim), .. homeless.Select(Homeless)]),
        };
        if (assigned is not null)
        {
            answer["assignment"] = new JsonArray([.. assigned.Met.Select(Met)]);
            answer["unmet"] = new JsonArray([
                .. assigned.Unmet.Select(u => Unmet(u.Guest, u.Need, u.Host.Name, u.Reason, u.SmallestChange)),
                .. homeless.Select(h => Unmet(h.Guest, h.Claim.Need, null, NoHost(h), $"put {h.Guest.Name} on a host")),
            ]);
            answer["optimal"] = assigned.Optimal;
        }

        return JsonAnswers.Text(answer);
    }

    /// <summary>What <c>devices --before A --after B --json</c> answers.</summary>
    public static string Came(IEnumerable<UsbPlace> came) =>
        JsonAnswers.Text(new JsonObject { ["came"] = new JsonArray([.. came.Select(Usb)]) });

    private static JsonObject Map(DeviceMap map) =>
        new()
        {
            ["name"] = map.Host.Name,
            ["groups"] = new JsonArray([
                .. map.Trays.Select(t => new JsonObject
                {
                    ["group"] = t.Group,
                    ["functions"] = new JsonArray([.. t.Functions.Select(f => JsonValue.Create(f.Address))]),
                    ["neededByHost"] = new JsonArray([
                        .. t.NeededByHost.Select(n => new JsonObject { ["what"] = n.What, ["why"] = n.Why }),
                    ]),
                }),
            ]),
            ["usb"] = new JsonArray([.. map.Usb.Select(Usb)]),
            ["gaps"] = new JsonArray([.. map.Gaps.Select(g => JsonValue.Create(g))]),
        };

    private static JsonObject Usb(UsbPlace usb) =>
        new()
        {
            ["port"] = usb.Device.Port,
            ["id"] = usb.Device.Id,
            ["name"] = usb.Device.Name,
            ["controller"] = usb.Controller,
            ["group"] = usb.Group,
        };

    private static JsonObject Met(ClaimVerdict met) =>
        new()
        {
            ["guest"] = met.Guest.Name,
            ["need"] = ProfileWords.Needs.Word(met.Need),
            ["device"] = met.Device,
            ["way"] = LabWords.Ways.Word(met.Way!.Value),
        };

    private static JsonObject Unmet(Guest guest, DeviceNeed need, string? host, string reason, string change) =>
        new()
        {
            ["guest"] = guest.Name,
            ["need"] = ProfileWords.Needs.Word(need),
            ["host"] = host,
            ["reason"] = reason,
            ["smallestChange"] = change,
        };

    private static string NoHost(AskedClaim asked) => $"{asked.Guest.Name} is on no host";

    private static JsonObject Homeless(AskedClaim asked) =>
        new()
        {
            ["guest"] = asked.Guest.Name,
            ["need"] = ProfileWords.Needs.Word(asked.Claim.Need),
            ["device"] = asked.Claim.Device,
            ["way"] = asked.Claim.Way is { } way ? LabWords.Ways.Word(way) : null,
            ["verdict"] = ClaimAnswer.Impossible.ToString().ToLowerInvariant(),
            ["alsoMoves"] = new JsonArray(),
            ["pinsMemoryBytes"] = 0,
            ["reasons"] = new JsonArray(JsonValue.Create(NoHost(asked))),
        };

    private static JsonObject Claim(ClaimVerdict claim) =>
        new()
        {
            ["guest"] = claim.Guest.Name,
            ["need"] = ProfileWords.Needs.Word(claim.Need),
            ["device"] = claim.Device,
            ["way"] = claim.Way is { } way ? LabWords.Ways.Word(way) : null,
            ["verdict"] = claim.Answer.ToString().ToLowerInvariant(),
            ["alsoMoves"] = new JsonArray([.. claim.AlsoMoves.Select(m => JsonValue.Create(m))]),
            ["pinsMemoryBytes"] = claim.Pins.Bytes,
            ["reasons"] = new JsonArray([.. claim.Reasons.Select(r => JsonValue.Create(r))]),
        };
}
