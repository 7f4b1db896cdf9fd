using System.Text.Json.Nodes;
using Yuntak.Core.Base;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Units;

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

    internal override Duration Takes(Plan plan) => new(20);

    internal override ActText Text(Plan plan)
    {
        var profiles = Services.Select(s => plan.Draft.Book.Find(s) ?? plan.AsBuilt.Book.Find(s)).OfType<Profile>().ToList();
        var services = string.Join(" and ", profiles.Select(p => p.Name));
        return new(
            $"Set the service up: {services}",
            [
                new("address", "a fixed one: reserve it by hardware address where addresses are handed out"),
                new("accounts", "change every default password, switch guest accounts off"),
            ],
            $"The {services} answers at its address from another machine.",
            "Not reachable? Another guest may hold the same address and port.",
            "Shut the guest down; it serves nobody yet.",
            profiles.Select(p => p.Caution).FirstOrDefault(c => c is not null)
        );
    }
}
