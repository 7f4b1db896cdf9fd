using System.Text.Json.Nodes;
using Yuntak.Core.Base;
using Yuntak.Core.Bench;
using Yuntak.Core.Labs;
using Yuntak.Core.Simulation;
using Yuntak.Core.Units;
using Yuntak.Core.Wires;

namespace Yuntak.Core.Runbooks;

/// <summary>Opens the page of a service for the first time, and makes its administrator.</summary>
/// <param name="Guest">The guest.</param>
/// <param name="Host">Its host.</param>
/// <param name="Services">The ids of the profiles it follows.</param>
/// <param name="At">Where the page is; null while no address is known.</param>
internal sealed record FirstVisit(GuestId Guest, HostId? Host, ValueList<string> Services, string? At) : GuestAct(Guest, Host)
{
    /// <inheritdoc/>
    public override string Type => "first-visit";

    /// <inheritdoc/>
    public override IEnumerable<KeyValuePair<string, JsonNode?>> Values => [.. base.Values, Value("services", Services), Value("at", At)];

    internal override bool Starts => true;

    internal override bool OpensPage => true;

    internal override Duration Takes(Plan plan) => new(8);

    internal override ActText Text(Plan plan)
    {
        var safe = At?.StartsWith("https", StringComparison.Ordinal) == true;
        var data = ServiceData.Of(plan, Guest).ToList();
        return new(
            $"Visit {plan.NameOf(Guest)} for the first time, at once",
            [
                .. data.Count > 0
                    ? [new StepValue("before you log in", "set what is kept where, or it lies in the wrong place and you begin again:")]
                    : Array.Empty<StepValue>(),
                .. data,
                At is null
                    ? StepValue.Ask("address", "with its port: the address reserved for it")
                    : new StepValue("address", At, Literal: true),
                new(
                    "warning of the browser",
                    safe ? "expected: the certificate is its own. Compare the fingerprint the browser shows with the one at the console"
                        : At is null ? "expected where it answers over https with a certificate of its own"
                        : "none: it answers in the clear. Visit it from the house only"
                ),
                StepValue.Ask("administrator", "a name of your own; its pass phrase goes into your password store, 12 characters or more"),
                new("who becomes administrator", "whoever comes first: do it now, and do not leave the page open"),
                new("time", "some pages close themselves after minutes: then restart the service and begin again"),
                new("code or key it asks for", "it stands in the service's own journal, or on the console"),
                new("default password", "where it comes with one: change it before anything else"),
                new("pages that remind you", "of a subscription, an account elsewhere or a tour: close them"),
            ],
            "You are its administrator: sign out and in again. In a window without your log-in nobody can sign up any more.",
            "Somebody else was first, or the page has closed? Nothing is in it yet: take it down, lay it anew, and be quick.",
            "Take the service down and lay it anew; nothing is in it yet.",
            safe ? null : "Until you have been there whoever comes first owns it."
        );
    }

    internal override void Affect(SimHouse house, Plan plan) => house.Start(Guest);

    internal override IEnumerable<Proof> Proofs(Plan plan) =>
        [.. base.Proofs(plan), new Proof("", h => !h.Guest(Guest).SetUpClosed), .. Running(plan)];

    /// <summary>Where the page of a guest is opened first: the port that is its page, else the first; encrypted or not as its port is.</summary>
    public static string? PageOf(Sums sums, Guest guest)
    {
        var web = PortsOf
            .Said(sums.Guest(guest.Id))
            .Where(l => l.Protocol == WireProtocol.Tcp && (l.Page || l.Port is 80 or 443 or > 1023))
            .OrderByDescending(l => l.Page)
            .FirstOrDefault();
        if (web is null || sums.Wires.AddressOf(guest) is not { } at)
        {
            return null;
        }

        var safe = web.Encrypted ?? WellKnown.IsEncrypted(web.Port, web.Protocol);
        var name = at.AddressFamily == System.Net.Sockets.AddressFamily.InterNetworkV6 ? $"[{at}]" : at.ToString();
        return $"{(safe ? "https" : "http")}://{name}{(web.Port == (safe ? 443 : 80) ? "" : $":{web.Port}")}";
    }
}
