using System.Text.Json.Nodes;
using Yuntak.Core.Base;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Simulation;
using Yuntak.Core.Units;
using Yuntak.Core.Wires;

namespace Yuntak.Core.Runbooks;

/// <summary>Fetches what a new guest is made from onto its host: an install medium, a ready-made disk, or a template.</summary>
/// <param name="Guest">The guest.</param>
/// <param name="Host">Its host.</param>
/// <param name="Kind">How it is packaged.</param>
/// <param name="ReadyMade">Whether it comes as a disk that is imported and not installed.</param>
/// <param name="Pool">The pool images lie in; null for the host's own disk.</param>
internal sealed record FetchImage(GuestId Guest, HostId? Host, GuestKind Kind, bool ReadyMade, string? Pool) : GuestAct(Guest, Host)
{
    /// <inheritdoc/>
    public override string Type => "fetch-image";

    /// <inheritdoc/>
    public override IEnumerable<KeyValuePair<string, JsonNode?>> Values =>
        [.. base.Values, Value("kind", ProfileWords.Kinds.Word(Kind)), Value("readyMade", ReadyMade), Value("pool", Pool)];

    internal override bool FromMirror => true;

    internal override (double Least, double Most) Spread => OfInstalling;

    /// <summary>An image of 3 GB over the line of the house; common practice.</summary>
    internal override Duration Takes(Plan plan) => new(8);

    private string What =>
        ReadyMade ? "ready-made disk"
        : Kind == GuestKind.Machine ? "install medium"
        : "template";

    internal override ActText Text(Plan plan)
    {
        var host = plan.Host(Host);
        var place = $"{(Pool is null || host?.PoolNamed(Pool) is not { } pool ? "/var/lib" : Labs.Host.PlaceOf(pool))}/images";
        var file = $"{place}/{Names.Slug(plan.NameOf(Guest))}.{(Kind == GuestKind.SystemContainer ? "tar" : ReadyMade ? "disk" : "iso")}";
        return new(
            $"Fetch its {What} onto {plan.NameOf(Host)}",
            [
                StepValue.Ask("address of the file", "from its maker's own page, over https"),
                StepValue.Ask("sum its maker publishes", "64 signs, from the same page"),
                new("for the processor family", host?.Processor.Architecture ?? "of the host", Literal: true),
                StepValue.Line("make the folder", $"mkdir -p -- {ShellText.Quoted(place)}"),
                new("fetch it straight from the host", $"wget -O {ShellText.Quoted(file)} ADDRESS", Literal: true),
                new("or", "fetch it on another computer and upload it on the host's own page"),
                StepValue.Line("its sum", $"sha256sum {ShellText.Quoted(file)}"),
                new("room", $"{(Kind == GuestKind.SystemContainer ? "under 1 GB" : "2 to 6 GB")} in {Pool ?? "the host's own disk"}"),
            ],
            "The sum is the same as the one its maker publishes.",
            "It differs? Fetch it again; twice wrong, take it from another mirror. Never install from it.",
            "Delete the file.",
            Proves: [$"test -s {ShellText.Quoted(file)}"]
        );
    }

    internal override void Do(SimHouse house, Plan plan)
    {
        var host = house.Host(Host);
        host.Images = host.Images.Add(Guest);
        host.Settled = host.Settled.Add(Mark);
    }

    internal override void Affect(SimHouse house, Plan plan) => Do(house, plan);

    internal override IEnumerable<Proof> Proofs(Plan plan) => [new Proof("", h => h.Host(Host).Settled.Contains(Mark))];
}
