using System.Text.Json.Nodes;
using Yuntak.Core.Base;
using Yuntak.Core.Labs;
using Yuntak.Core.Simulation;
using Yuntak.Core.Units;

namespace Yuntak.Core.Runbooks;

/// <summary>Encrypts a pool that was just made, before any data goes in, and tries its key from where it is kept.</summary>
/// <param name="Host">The host.</param>
/// <param name="Pool">The pool.</param>
/// <param name="Family">Its family: a block array is encrypted below its file system, a copy-on-write pool by a property of what is made in it.</param>
/// <param name="KeyPlaces">Where its key is kept besides the host.</param>
internal sealed record EncryptPool(HostId Host, string Pool, PoolFamily Family, ValueList<string> KeyPlaces) : PoolAct(Host, Pool)
{
    /// <inheritdoc/>
    public override string Type => "encrypt-pool";

    /// <inheritdoc/>
    public override IEnumerable<KeyValuePair<string, JsonNode?>> Values =>
        [.. base.Values, Value("family", LabWords.Families.Word(Family)), Value("keyIn", KeyPlaces)];

    internal override Duration Takes(Plan plan) => new(20);

    internal override ActText Text(Plan plan) =>
        new(
            $"Encrypt {Pool} before anything goes in",
            [
                Family == PoolFamily.BlockArray
                    ? new(
                        "format",
                        $"cryptsetup luksFormat {ShellText.Quoted($"/dev/md/{Names.Slug(Pool)}")}, then a file system inside",
                        Literal: true
                    )
                    : new("format", "encryption on at the pool's topmost folder, when it is made: what lies in it takes it over"),
                new(
                    "key in",
                    KeyPlaces.Count > 0 ? string.Join(", ", KeyPlaces) : "two places other than this host: write them down at Disks"
                ),
                new("try the key", "fetch it from each of those places, close the pool, and open it with that key"),
                new("at start-up", "it stays closed until somebody gives the key, or the host fetches it; say which, and who can"),
            ],
            $"{Pool} opens with the key from each place, and lsblk -f shows that it is encrypted.",
            "The key does not open it? Nothing is in it yet: format again.",
            "Make the pool anew without encryption; nothing is in it yet.",
            "Who loses the key loses everything in it. It must never be only on what it unlocks."
        );

    internal override void Affect(SimHouse house, Plan plan) => house.Pool(Host, Pool);
}
