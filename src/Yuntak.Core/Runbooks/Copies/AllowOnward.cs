using System.Text.Json.Nodes;
using Yuntak.Core.Labs;
using Yuntak.Core.Simulation;
using Yuntak.Core.Units;

namespace Yuntak.Core.Runbooks;

/// <summary>Makes the account of an onward copy, with the least rights, and compares the fingerprint of the other side.</summary>
/// <param name="Onward">The onward copy.</param>
/// <param name="Place">The host it is done at; null for none of the lab.</param>
internal sealed record AllowOnward(OnwardCopy Onward, HostId? Place) : KeepingAct(Place)
{
    /// <inheritdoc/>
    public override string Type => "allow-onward";

    /// <inheritdoc/>
    public override IEnumerable<KeyValuePair<string, JsonNode?>> Values =>
        [Value("onward", Onward.Key), Value("way", CopyWords.Ways.Word(Onward.Way)), Value("rights", CopyWords.Rights.Word(Onward.Rights))];

    internal override Duration Takes(Plan plan) => new(20);

    internal override ActText Text(Plan plan) =>
        new(
            $"Make the account for copies from {Onward.From} to {Onward.To}",
            [
                new(
                    Onward.Way == OnwardWay.Pull ? $"at {Onward.From}" : $"at {Onward.To}",
                    Onward.Way == OnwardWay.Pull
                        ? "an account that may read, and nothing else"
                        : "an account that may add, and neither delete nor thin"
                ),
                StepValue.Ask("fingerprint as the far side shows it", "read out over another way: at its own screen, or by telephone"),
            ],
            "The fingerprint this side is shown at the first connection is the one that was read out, sign for sign.",
            "It is another? Do not connect: somebody may stand in between.",
            "Delete the account.",
            Onward.Rights == OnwardRights.Add
                ? null
                : "As planned the account may do more than add: whoever takes the near store over could delete the far copies. See the finding at Keeping."
        );

    internal override void Do(SimHouse house, Plan plan) => house.Tried = house.Tried.Add($"account {Onward.Key}");

    internal override IEnumerable<Proof> Proofs(Plan plan) => [new Proof("", h => h.Tried.Contains($"account {Onward.Key}"))];
}
