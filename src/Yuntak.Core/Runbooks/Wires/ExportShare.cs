using System.Text.Json.Nodes;
using Yuntak.Core.Base;
using Yuntak.Core.Labs;
using Yuntak.Core.Simulation;
using Yuntak.Core.Units;
using Yuntak.Core.Wires;

namespace Yuntak.Core.Runbooks;

/// <summary>Exports a folder over the network, or lets others use it than before.</summary>
/// <param name="Share">The share as it is to be.</param>
/// <param name="Host">The host it lies on; null for a box.</param>
/// <param name="Changes">Whether it is shared already.</param>
internal sealed record ExportShare(NetworkShare Share, HostId? Host, bool Changes) : Act
{
    /// <inheritdoc/>
    public override string Type => "export-share";

    /// <inheritdoc/>
    public override IEnumerable<KeyValuePair<string, JsonNode?>> Values =>
        [
            Value("share", Share.Name),
            Value("from", Share.From.Guest?.Value ?? Share.From.Host?.Value ?? Share.From.Box),
            Value("path", Share.From.Path),
            Value("allow", Share.Allow),
            Value("readOnly", Share.ReadOnly),
            Value("protocol", WireWords.Shares.Word(Share.Protocol)),
        ];

    internal override HostId? On => Host;

    internal override string Where(Plan plan) => Host is null ? Share.From.Box ?? "" : plan.NameOf(Host);

    internal override Duration Takes(Plan plan) => new(10);

    internal override ActText Text(Plan plan)
    {
        var where = ShareSums.ExporterName(plan.Draft, Share);
        var byAddress = Share.Protocol == ShareProtocol.Addresses;
        var clients = ShareSums.Clients(plan.Sums.Wires, Share).ToList();
        return new(
            $"On {where}: {(Changes ? "change the share" : "share")} {Share.Name}",
            [
                new("folder", ShellText.Quoted(Share.From.Path), Literal: true),
                new(
                    byAddress ? "by address, for" : "by account, for",
                    clients.Count == 0 ? "nobody yet: say who may" : string.Join(", ", clients)
                ),
                new("may", Share.ReadOnly ? "read" : "read and write"),
                .. byAddress
                    ?
                    [
                        new StepValue("line of exports", ExportsLine.Of(plan.Sums.Wires, Share), Literal: true),
                        .. Host is not null && clients.Count > 0
                            ?
                            [
                                StepValue.Line(
                                    "put it there once",
                                    ShellText.LineInto("/etc/exports", ExportsLine.Of(plan.Sums.Wires, Share))
                                ),
                                StepValue.Line("take it over", "exportfs -ra"),
                            ]
                            : new[] { new StepValue("take it over", "exportfs -ra", Literal: true) },
                    ]
                    : new[]
                    {
                        new StepValue("name of the share", Share.Name),
                        new StepValue("accounts", "a password of its own for each; no guest account"),
                    },
                new(
                    "numbers of users",
                    byAddress
                        ? "the same on both sides, or map all to the one that owns the folder"
                        : "files belong to the account that is used"
                ),
            ],
            byAddress
                ? $"«showmount -e {ShareSums.Source(plan.Sums.Wires, Share)}» from another machine lists it."
                : "Another machine opens it with name and password.",
            "Refused from outside? See that who asks comes from the address that may, and that no firewall is between.",
            "Take the line out; the files stay where they are.",
            Share.Allow.Count == 0 && byAddress
                ? "A share for nobody in particular is one for everybody who is on the network: say who may first."
                : null
        );
    }

    internal override void Do(SimHouse house, Plan plan)
    {
        if (Host is { } host)
        {
            house.Host(host);
        }

        house.Shares = house.Shares.SetItem(Share.Name, Share);
    }

    internal override IEnumerable<Proof> Proofs(Plan plan) => [new Proof("", h => h.Shares.GetValueOrDefault(Share.Name) == Share)];
}
