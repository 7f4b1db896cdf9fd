using System.Text.Json.Nodes;
using Yuntak.Core.Base;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Units;
using Yuntak.Core.Wires;

namespace Yuntak.Core.Runbooks;

/// <summary>Sets the services of a guest up.</summary>
/// <param name="Guest">The guest.</param>
/// <param name="Host">Its host.</param>
/// <param name="Services">The ids of the profiles it follows.</param>
internal sealed record SetUpService(GuestId Guest, HostId? Host, ValueList<string> Services) : GuestAct(Guest, Host)
{
    /// <inheritdoc/>
    public override string Type => "set-up-service";

    /// <inheritdoc/>
    public override IEnumerable<KeyValuePair<string, JsonNode?>> Values => [.. base.Values, Value("services", Services)];

    /// <summary>Where its page is opened first: the port that is no page for looking after the thing, else the first; encrypted or not as its port is.</summary>
    private IEnumerable<StepValue> FirstVisit(Plan plan, System.Net.IPAddress at)
    {
        var web = PortsOf
            .Said(plan.Sums.Guest(Guest))
            .Where(l => l.Protocol == WireProtocol.Tcp && (l.Page || l.Port is 80 or 443 or > 1023))
            .OrderByDescending(l => l.Page)
            .FirstOrDefault();
        if (web is null)
        {
            yield break;
        }

        var safe = web.Encrypted ?? WellKnown.IsEncrypted(web.Port, web.Protocol);
        var name = at.AddressFamily == System.Net.Sockets.AddressFamily.InterNetworkV6 ? $"[{at}]" : at.ToString();
        var port = web.Port == (safe ? 443 : 80) ? "" : $":{web.Port}";
        yield return new("first visit", $"{(safe ? "https" : "http")}://{name}{port}", Literal: true);
        yield return new(
            "at the first visit",
            safe
                ? "compare the fingerprint the browser shows with the one at the console; make your own account at once"
                : "make your own account at once: until then whoever comes first owns it"
        );
    }

    internal override Duration Takes(Plan plan) => new(20);

    internal override ActText Text(Plan plan)
    {
        var profiles = Services.Select(s => plan.Draft.Book.Find(s) ?? plan.AsBuilt.Book.Find(s)).OfType<Profile>().ToList();
        var services = string.Join(" and ", profiles.Select(p => p.Name));
        return new(
            $"Set the service up: {services}",
            [
                .. plan.Sums.Wires.AddressOf(plan.Guest(Guest)!) is { } at
                    ? [new StepValue("address", at.ToString(), Literal: true), .. FirstVisit(plan, at)]
                    : new[] { new StepValue("address", "a fixed one: reserve it by hardware address where addresses are handed out") },
                .. Services.Contains(NetworkBoot.ProfileId)
                    ? NetworkBoot
                        .Of(plan.Sums.Wires, [plan.Sums.Guest(Guest)])
                        .SelectMany(b => b.Lines)
                        .Select(l => new StepValue("for the router", l, Literal: true))
                    : [],
                .. Services.Contains(ProfileBook.Router) ? RouterSteps.Of(plan, plan.Guest(Guest)!) : [],
                new("accounts", "change every default password, switch guest accounts off"),
            ],
            $"The {services} answers at its address from another machine.",
            "Not reachable? Another guest may hold the same address and port.",
            "Shut the guest down; it serves nobody yet.",
            profiles.Select(p => p.Caution).FirstOrDefault(c => c is not null)
        );
    }
}
