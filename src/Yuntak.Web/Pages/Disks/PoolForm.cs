using System.Globalization;
using Yuntak.Core.Edits;
using Yuntak.Core.Labs;
using Yuntak.Core.Units;
using Yuntak.Web.Shared;

namespace Yuntak.Web.Pages.Disks;

/// <summary>What was typed about a pool, kept as typed so that nothing is lost when something in it is wrong.</summary>
public sealed record PoolForm(
    string Name,
    PoolLayout Layout,
    string Groups,
    PoolFamily Family,
    string Used,
    IReadOnlyList<ContentKind> Takes,
    string Encrypted,
    string KeyPlaces,
    string ScrubDays,
    bool Thin,
    string Compression
)
{
    /// <summary>The form of a pool that is there.</summary>
    public static PoolForm Of(Pool pool) =>
        new(
            pool.Name,
            pool.Layout,
            pool.Groups.ToString(CultureInfo.InvariantCulture),
            pool.Family,
            pool.AlreadyUsed == ByteSize.Zero ? "" : pool.AlreadyUsed.ToExactString(),
            [.. pool.Takes],
            pool.Encrypted.YesNo() ?? "",
            string.Join('\n', pool.KeyPlaces),
            pool.ScrubDays?.ToString(CultureInfo.InvariantCulture) ?? "",
            pool.Thin,
            pool.Compression is 1 ? "" : Numbers.Short(pool.Compression)
        );

    /// <summary>The form as posted.</summary>
    public static PoolForm Read(IFormCollection form) =>
        new(
            form["name"].ToString(),
            Enum.TryParse<PoolLayout>(form["layout"], out var layout) ? layout : PoolLayout.Single,
            form["groups"].ToString(),
            Enum.TryParse<PoolFamily>(form["family"], out var family) ? family : PoolFamily.BlockArray,
            form["used"].ToString(),
            [.. form["takes"].Select(t => Enum.TryParse<ContentKind>(t, out var kind) ? kind : (ContentKind?)null).OfType<ContentKind>()],
            form["encrypted"].ToString(),
            form["key-places"].ToString(),
            form["scrub-days"].ToString(),
            form["thin"].ToString() == "1",
            form["compression"].ToString()
        );

    /// <summary>The pool with what was typed.</summary>
    /// <exception cref="EditRefused">Something typed does not make sense.</exception>
    public Pool ToPool(Pool before) =>
        before with
        {
            Name = Name,
            Layout = Layout,
            Groups = Typed.OptionalWhole(Groups, "Groups", 1, 60) ?? 1,
            Family = Family,
            AlreadyUsed = Typed.OptionalSize(Used, "Already used") ?? ByteSize.Zero,
            Takes = [.. Takes.Distinct()],
            Encrypted = Encrypted switch
            {
                "yes" => true,
                "no" => false,
                _ => null,
            },
            KeyPlaces = [.. KeyPlaces.Split('\n').Select(Names.Clean).Where(p => p.Length > 0)],
            ScrubDays = Typed.OptionalWhole(ScrubDays, "Days between scrubs", 0, 3660),
            Thin = Thin,
            Compression = Typed.OptionalNumber(Compression, "Compression") ?? 1,
        };
}
