using System.Text.Json.Nodes;
using Yuntak.Core.Edits;
using Yuntak.Core.Labs;
using Yuntak.Core.Shapes;
using Yuntak.Core.Simulation;
using Yuntak.Core.Units;

namespace Yuntak.Core.Runbooks;

/// <summary>
/// One thing somebody does, with the values that matter to it. Text, JSON, Markdown and a rehearsal are readings of it. What it is known by follows from those
/// values, so that a tick belongs to what was done and not to how it was said.
/// </summary>
public abstract record Act
{
    /// <summary>What sort of act it is, in a word or a few with hyphens; a promise to people's scripts.</summary>
    public abstract string Type { get; }

    /// <summary>The values that matter, by name: text, numbers (sizes in bytes), yes and no, lists of texts.</summary>
    public abstract IEnumerable<KeyValuePair<string, JsonNode?>> Values { get; }

    /// <summary>The stable ids of the disks whose content is gone afterwards.</summary>
    public virtual IReadOnlyList<string> Wipes => [];

    /// <summary>The guests that do not serve meanwhile.</summary>
    public virtual IReadOnlyList<GuestId> Stops => [];

    /// <summary>Whether it can be done at all; a halt only says why not.</summary>
    public virtual bool CanBeDone => true;

    /// <summary>The act and its values in sixteen hexadecimal digits, the same in every process.</summary>
    internal string Mark => StableHash.Of(Type, Values);

    /// <summary>The host it is done on.</summary>
    internal abstract HostId? On { get; }

    /// <summary>Where it is done, in a word: its host.</summary>
    internal virtual string Where(Plan plan) => plan.NameOf(On);

    /// <summary>Whether the guest it is about goes on serving meanwhile.</summary>
    internal virtual bool Serves => false;

    /// <summary>What it says to the person who does it.</summary>
    internal abstract ActText Text(Plan plan);

    /// <summary>How long it takes; common practice where it does not follow from amounts and rates.</summary>
    internal abstract Duration Takes(Plan plan);

    /// <summary>What the draft learns from its being done, beside what further acts of its kind take; null for nothing.</summary>
    /// <param name="plan">What it belongs to.</param>
    /// <param name="took">How long it took; null when nobody measured.</param>
    /// <param name="today">The day; null for who has no clock.</param>
    internal virtual Edit? Learns(Plan plan, Duration? took, DateOnly? today) => null;

    /// <summary>How much shorter and longer than that it may well take: hand work, unless it says otherwise.</summary>
    internal virtual (double Least, double Most) Spread => (0.7, 1.5);

    /// <summary>How far off a time is that follows from an amount and rates.</summary>
    private protected static readonly (double Least, double Most) OfAmounts = (0.9, 1.4);

    /// <summary>How far off a time is that lies with a mirror and an installer.</summary>
    private protected static readonly (double Least, double Most) OfInstalling = (0.5, 3);

    /// <summary>What it does to what lies on disks.</summary>
    internal virtual void Apply(DiskState disks) { }

    /// <summary>What it does to simulated hosts, which refuse as real ones would.</summary>
    /// <exception cref="HostRefuses">A host refuses.</exception>
    internal abstract void Do(SimHouse house, Plan plan);

    /// <summary>What its check looks at. The step is not through before all of it holds; one that was not done, or only half, shows.</summary>
    internal abstract IEnumerable<Proof> Proofs(Plan plan);

    /// <summary>What has to be so before it is begun: where it wipes, that the disk at hand is the one named.</summary>
    internal IEnumerable<Proof> Guards =>
        Wipes.Count == 0
            ? []
            :
            [
                new Proof(
                    $"Before you press Enter: lsblk -o NAME,SIZE,MODEL,SERIAL,WWN,MOUNTPOINTS shows the disk at hand as {string.Join(" or ", Wipes)}, and nothing mounted from it.",
                    h => h.WrongDisk is null
                ),
            ];

    /// <summary>Whether it can be taken back with nothing lost.</summary>
    internal virtual bool GoesBack => true;

    /// <summary>Whether it changes what a host only changes on a guest that is off.</summary>
    internal virtual bool NeedsOff => false;

    /// <summary>Whether it writes into a pool of its host.</summary>
    internal virtual bool Writes => false;

    /// <summary>Whether it fetches packages.</summary>
    internal virtual bool FromMirror => false;

    /// <summary>Whether it starts its guest.</summary>
    internal virtual bool Starts => false;

    /// <summary>Whether it opens a page on which whoever comes first becomes administrator.</summary>
    internal virtual bool OpensPage => false;

    /// <summary>Whether it is a copy that a later step relies on.</summary>
    internal virtual bool Copies => false;

    /// <summary>The address it gives out; null for none.</summary>
    internal virtual string? AtAddress => null;

    /// <summary>A value by its name.</summary>
    private protected static KeyValuePair<string, JsonNode?> Value(string name, JsonNode? value) => KeyValuePair.Create(name, value);

    /// <summary>A list of texts by its name.</summary>
    private protected static KeyValuePair<string, JsonNode?> Value(string name, IEnumerable<string> values) =>
        KeyValuePair.Create(name, (JsonNode?)new JsonArray([.. values.Select(v => (JsonNode?)v)]));
}
