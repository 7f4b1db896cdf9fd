using Yuntak.Core.Profiles;
using Yuntak.Core.Shapes;

namespace Yuntak.Core.Labs;

/// <summary>The fields of a guest that say where it may be put when guests are arranged. None of them is work.</summary>
internal static class GuestPlaceShapes
{
    private const int Most = 50;

    /// <summary>Whether it stays where it is.</summary>
    public static readonly Field<Guest> Pinned = Of<Guest>
        .Value(
            "pinned",
            nameof(Labs.Guest.Pinned),
            "stays where it is",
            Codecs.Flag(),
            false,
            g => g.Pinned,
            (g, v) => g with { Pinned = v }
        )
        .IsKnown()
        .Explained("stays on its host and in its pools when guests are arranged");

    /// <summary>Whether it keeps running with a host away.</summary>
    public static readonly Field<Guest> Survives = Of<Guest>
        .Value(
            "survives",
            nameof(Labs.Guest.Survives),
            "keeps running with any one host away",
            Codecs.Flag(),
            false,
            g => g.Survives,
            (g, v) => g with { Survives = v }
        )
        .IsKnown()
        .Explained("asked of guests that must run");

    /// <summary>What it keeps away from.</summary>
    public static readonly Field<Guest> Apart = Others(
        "apart",
        nameof(Labs.Guest.Apart),
        "kept apart from",
        g => g.Apart,
        (g, v) => g with { Apart = v }
    );

    /// <summary>What it keeps to.</summary>
    public static readonly Field<Guest> Together = Others(
        "together",
        nameof(Labs.Guest.Together),
        "kept together with",
        g => g.Together,
        (g, v) => g with { Together = v }
    );

    /// <summary>What else it may be.</summary>
    public static readonly Field<Guest> MayBe = new ListOf<Guest, GuestKind>(
        "may-be",
        nameof(Labs.Guest.MayBe),
        "may also be packaged as",
        Codecs.Word(ProfileWords.Kinds),
        g => g.MayBe,
        (g, v) => g with { MayBe = v }
    )
    {
        Most = 3,
        None = "nothing else",
    }
        .IsKnown()
        .Explained("when guests are arranged");

    private static Field<Guest> Others(
        string name,
        string member,
        string label,
        Func<Guest, Base.ValueList<GuestId>> get,
        Func<Guest, Base.ValueList<GuestId>, Guest> set
    ) =>
        new ListOf<Guest, string>(
            name,
            member,
            label,
            Codecs.Text(100),
            g => [.. get(g).Select(id => id.Value)],
            (g, v) => set(g, [.. v.Select(id => new GuestId(id))])
        )
        {
            Most = Most,
            None = "nobody",
        }
            .IsKnown()
            .Explained("names of guests; one of two says it, and it counts for both");
}
