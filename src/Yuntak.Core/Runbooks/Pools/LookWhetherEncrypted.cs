using System.Text.Json.Nodes;
using Yuntak.Core.Labs;
using Yuntak.Core.Simulation;
using Yuntak.Core.Units;

namespace Yuntak.Core.Runbooks;

/// <summary>Looks whether a pool of which nobody has said so is encrypted. Nothing in it is touched.</summary>
/// <param name="Host">The host.</param>
/// <param name="Pool">The pool.</param>
/// <param name="Encrypted">What is planned.</param>
internal sealed record LookWhetherEncrypted(HostId Host, string Pool, bool Encrypted) : PoolAct(Host, Pool)
{
    /// <inheritdoc/>
    public override string Type => "look-whether-encrypted";

    /// <inheritdoc/>
    public override IEnumerable<KeyValuePair<string, JsonNode?>> Values => [.. base.Values, Value("encrypted", Encrypted)];

    internal override Duration Takes(Plan plan) => new(5);

    internal override ActText Text(Plan plan) =>
        new(
            $"See that {Pool} is {(Encrypted ? "" : "not ")}encrypted",
            [new("look at", "lsblk -f shows what lies on its disks; or ask the pool itself", Literal: false)],
            Encrypted ? "It is, and its key opens it from two places." : "It is not.",
            $"It is {(Encrypted ? "not" : "encrypted")}? Say so at Disks first: what it takes to change that is then worked out, with the data kept.",
            "None needed: nothing was changed."
        );

    internal override void Affect(SimHouse house, Plan plan)
    {
        var pool = house.Pool(Host, Pool);
        pool.Made = pool.Made with { Encrypted = Encrypted };
    }
}
