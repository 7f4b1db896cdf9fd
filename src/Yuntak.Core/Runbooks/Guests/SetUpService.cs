using System.Text.Json.Nodes;
using Yuntak.Core.Base;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Simulation;
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

    internal override Duration Takes(Plan plan) => new(20);

    internal override ActText Text(Plan plan)
    {
        var profiles = Services.Select(s => plan.Draft.Book.Find(s) ?? plan.AsBuilt.Book.Find(s)).OfType<Profile>().ToList();
        var services = string.Join(" and ", profiles.Select(p => p.Name));
        return new(
            $"Set the service up: {services}",
            [
                plan.Sums.Wires.AddressOf(plan.Guest(Guest)!) is { } at
                    ? new StepValue("address", at.ToString(), Literal: true)
                    : new StepValue("address", "a fixed one: reserve it by hardware address where addresses are handed out"),
                .. ServiceData.Of(plan, Guest).Select(d => d with { Label = $"by the path inside: {d.Label}" }),
                .. HandedDevice.Of(plan.Draft, plan.Guest(Guest)!).Any(d => d.Need == DeviceNeed.VideoEncoder)
                    ?
                    [
                        new StepValue(
                            "conversion by hardware",
                            "switch it on, then play a film that has to be converted: its page says «hardware», and the processor stays below one core"
                        ),
                    ]
                    : Array.Empty<StepValue>(),
                .. Services.Contains(NetworkBoot.ProfileId)
                    ? NetworkBoot
                        .Of(plan.Sums.Wires, [plan.Sums.Guest(Guest)])
                        .SelectMany(b => b.Lines)
                        .Select(l => new StepValue("for the router", l, Literal: true))
                    : [],
                .. Services.Contains(ProfileBook.Router) ? RouterSteps.Of(plan, plan.Guest(Guest)!) : [],
                new("accounts", "one for each person, and change every default password; guest and default accounts off"),
                new("notifications", "to a person who reads them, and a test of one"),
            ],
            $"The {services} answers at its address from another machine.",
            "Not reachable? Another guest may hold the same address and port.",
            "Shut the guest down; it serves nobody yet.",
            profiles.Select(p => p.Caution).FirstOrDefault(c => c is not null)
        );
    }

    internal override bool Starts => true;

    internal override void Affect(SimHouse house, Plan plan)
    {
        house.Start(Guest);
        var guest = house.Guest(Guest);
        guest.Settled = guest.Settled.Add("service");
    }

    internal override IEnumerable<Proof> Proofs(Plan plan) => [.. base.Proofs(plan), .. Running(plan)];
}
