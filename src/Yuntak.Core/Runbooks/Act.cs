using System.Text.Json.Nodes;
using Yuntak.Core.Labs;
using Yuntak.Core.Shapes;
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

    /// <summary>What it does to what lies on disks.</summary>
    internal virtual void Apply(DiskState disks) { }

    /// <summary>A value by its name.</summary>
    private protected static KeyValuePair<string, JsonNode?> Value(string name, JsonNode? value) => KeyValuePair.Create(name, value);

    /// <summary>A list of texts by its name.</summary>
    private protected static KeyValuePair<string, JsonNode?> Value(string name, IEnumerable<string> values) =>
        KeyValuePair.Create(name, (JsonNode?)new JsonArray([.. values.Select(v => (JsonNode?)v)]));
}
