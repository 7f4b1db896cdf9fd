using System.Text.Json.Nodes;
using Yuntak.Core.Devices;
using Yuntak.Core.Labs;

namespace Yuntak.Formats.Answers;

/// <summary>What <c>devices --json</c> answers; sizes in bytes.</summary>
public static class DevicesAnswer
{
    /// <summary>The answer for some hosts of a lab.</summary>
    public static string Of(Lab lab, IReadOnlyList<Host> hosts)
    {
        var maps = hosts.Select(DeviceMap.Of).ToList();
        return JsonAnswers.Text(
            new JsonObject
            {
                ["hosts"] = new JsonArray([.. maps.Select(Map)]),
                ["claims"] = new JsonArray([.. maps.SelectMany(m => ClaimCheck.On(lab, m).Claims()).Select(Claim)]),
            }
        );
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

    private static JsonObject Claim(ClaimVerdict claim) =>
        new()
        {
            ["guest"] = claim.Guest.Name,
            ["need"] = LabWords.Needs.Word(claim.Need),
            ["device"] = claim.Device,
            ["way"] = claim.Way is { } way ? LabWords.Ways.Word(way) : null,
            ["verdict"] = claim.Answer.ToString().ToLowerInvariant(),
            ["alsoMoves"] = new JsonArray([.. claim.AlsoMoves.Select(m => JsonValue.Create(m))]),
            ["pinsMemoryBytes"] = claim.Pins.Bytes,
            ["reasons"] = new JsonArray([.. claim.Reasons.Select(r => JsonValue.Create(r))]),
        };
}
