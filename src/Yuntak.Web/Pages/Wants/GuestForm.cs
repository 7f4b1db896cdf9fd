using System.Globalization;
using Yuntak.Core.Edits;
using Yuntak.Core.Labs;
using Yuntak.Core.Units;
using Yuntak.Core.Wants;
using Yuntak.Web.Shared;

namespace Yuntak.Web.Pages.Wants;

/// <summary>What was typed about a guest, kept as typed so that nothing is lost when something in it is wrong.</summary>
public sealed record GuestForm(
    string Name,
    GuestKind Kind,
    Importance Importance,
    string Vcpu,
    string Memory,
    string SystemDisk,
    string Bulk,
    string ShrinkTo,
    string Image,
    string Folders,
    string Engine,
    bool Privileged,
    string MadeFor,
    string HealthCheck,
    string GrowsMonthly,
    string GrowsYearly,
    string GiveOrTake,
    IReadOnlyDictionary<string, string> Loads
)
{
    /// <summary>The answer that an app stack's engine gets a system container of its own.</summary>
    public const string OwnContainer = "+system-container";

    /// <summary>The answer that an app stack's engine gets a machine of its own.</summary>
    public const string OwnMachine = "+machine";

    /// <summary>The form of a guest that is there.</summary>
    public static GuestForm Of(Guest guest)
    {
        Dictionary<string, string> loads = new(StringComparer.Ordinal);
        for (var n = 0; n < guest.Wants.Count; n++)
        {
            foreach (var load in guest.Wants[n].Load)
            {
                loads[$"load-{n}-{load.Id}"] = load.Value.ToString(CultureInfo.InvariantCulture);
            }
        }

        return new GuestForm(
            guest.Name,
            guest.Kind,
            guest.Importance,
            guest.Overrides.Vcpu?.ToString(CultureInfo.InvariantCulture) ?? "",
            guest.Overrides.Memory?.ToExactString() ?? "",
            guest.Overrides.SystemDisk?.ToExactString() ?? "",
            guest.Overrides.Bulk?.ToExactString() ?? "",
            guest.MayShrinkTo?.ToExactString() ?? "",
            guest.Image ?? "",
            string.Join('\n', guest.Folders.Select(f => $"{f.HostPath} {f.ContainerPath}{(f.ReadOnly ? " ro" : "")}")),
            guest.RunsIn?.Value ?? "",
            guest.Privileged,
            guest.MadeFor ?? "",
            guest.HealthCheckMinutes?.ToString(CultureInfo.InvariantCulture) ?? "",
            guest.Growth is { } growth && growth.PerMonth > ByteSize.Zero ? growth.PerMonth.ToExactString() : "",
            Percent(guest.Growth?.ShareAYear),
            Percent(guest.Growth?.GiveOrTake),
            loads
        );
    }

    /// <summary>The form for a new guest of a profile.</summary>
    public static GuestForm New(Profile profile) =>
        new(
            "",
            profile.Advised[0],
            Importance.Should,
            "",
            "",
            "",
            "",
            "",
            "",
            "",
            "",
            false,
            "",
            "",
            "",
            "",
            "",
            new Dictionary<string, string>(StringComparer.Ordinal)
        );

    /// <summary>The form as posted.</summary>
    public static GuestForm Read(IFormCollection form) =>
        new(
            form["name"].ToString(),
            Enum.TryParse<GuestKind>(form["kind"], out var kind) ? kind : GuestKind.Machine,
            Enum.TryParse<Importance>(form["importance"], out var importance) ? importance : Importance.Should,
            form["vcpu"].ToString(),
            form["memory"].ToString(),
            form["system-disk"].ToString(),
            form["bulk"].ToString(),
            form["shrink"].ToString(),
            form["image"].ToString(),
            form["folders"].ToString(),
            form["engine"].ToString(),
            form["privileged"].ToString() == "1",
            form["made-for"].ToString(),
            form["health-check"].ToString(),
            form["grows-monthly"].ToString(),
            form["grows-yearly"].ToString(),
            form["give-or-take"].ToString(),
            form.Where(f => f.Key.StartsWith("load-", StringComparison.Ordinal))
                .ToDictionary(f => f.Key, f => f.Value.ToString(), StringComparer.Ordinal)
        );

    /// <summary>What stands in a load's field.</summary>
    public string Load(int want, LoadSpec load) =>
        Loads.GetValueOrDefault($"load-{want}-{load.Id}", load.Default.ToString(CultureInfo.InvariantCulture));

    /// <summary>The guest that was described.</summary>
    /// <param name="profiles">The profiles of its wants, in order.</param>
    /// <param name="before">The guest as it was; null for a new one.</param>
    /// <param name="posted">Whether the form came back from the browser, where an empty box means no.</param>
    /// <exception cref="EditRefused">Something typed does not make sense.</exception>
    public Guest ToGuest(IReadOnlyList<Profile> profiles, Guest? before, bool posted)
    {
        var overrides = new SizeOverrides(
            Typed.OptionalWhole(Vcpu, "Processors", 1, 4096),
            Typed.OptionalSize(Memory, "Memory"),
            Typed.OptionalSize(SystemDisk, "System disk"),
            Typed.OptionalSize(Bulk, "Bulk data")
        );
        var folders = FoldersTyped();
        if (before is null && Kind == GuestKind.AppStack && folders.Count == 0)
        {
            folders = [AppStacks.DefaultFolder(Name)];
        }

        return (before ?? new Guest(new GuestId("new"), Name, Kind, [], overrides)) with
        {
            Name = Name,
            Kind = Kind,
            Importance = Importance,
            Overrides = overrides,
            MayShrinkTo = Typed.OptionalSize(ShrinkTo, "May shrink to"),
            Image = Names.Clean(Image) is { Length: > 0 } image ? ImageChecked(image) : null,
            Folders = folders,
            RunsIn = Kind == GuestKind.AppStack && Engine.Length > 0 && OwnEngine is null ? new GuestId(Engine) : null,
            Privileged = Privileged && Kind == GuestKind.SystemContainer,
            MadeFor = Names.Clean(MadeFor) is { Length: > 0 } family ? FamilyChecked(family) : null,
            Growth = GrowthTyped(),
            HealthCheckMinutes = Typed.OptionalWhole(HealthCheck, "Its health check waits", 0, 1440),
            Wants = [.. profiles.Select((p, n) => new Want(p.Id, LoadTyped(p, n, posted)))],
        };
    }

    /// <summary>The kind of guest that is to be made for an app stack's engine; null when none is.</summary>
    public GuestKind? OwnEngine =>
        Kind != GuestKind.AppStack ? null
        : Engine == OwnContainer ? GuestKind.SystemContainer
        : Engine == OwnMachine ? GuestKind.Machine
        : null;

    private static string Percent(double? share) => share is > 0 ? Numbers.Short(share.Value * 100) : "";

    private Growth? GrowthTyped()
    {
        if (string.IsNullOrWhiteSpace(GrowsMonthly + GrowsYearly))
        {
            return null;
        }

        var yearly = Typed.OptionalNumber(GrowsYearly, "Grows a year, in %") ?? 0;
        var give = Typed.OptionalNumber(GiveOrTake, "Give or take, in %") ?? 0;
        return yearly > 1000 || give > 100
            ? throw new EditRefused("Growth is at most 1,000 % a year, give or take at most 100 %.")
            : new Growth(Typed.OptionalSize(GrowsMonthly, "Grows a month") ?? ByteSize.Zero, yearly / 100, give / 100);
    }

    private static string FamilyChecked(string family) =>
        family.Length > 40 || family.Any(char.IsWhiteSpace)
            ? throw new EditRefused("A processor family is one word, such as x86_64 or aarch64.")
            : family;

    private static string ImageChecked(string image) =>
        image.Any(char.IsWhiteSpace) ? throw new EditRefused("An image's name has no spaces in it.") : image;

    private ValueList<LoadValue> LoadTyped(Profile profile, int want, bool posted)
    {
        List<LoadValue> values = [];
        foreach (var load in profile.Loads)
        {
            var typed = Loads.GetValueOrDefault($"load-{want}-{load.Id}");
            if (typed is null && !(posted && load.YesNo))
            {
                continue;
            }

            var value = 0.0;
            if (typed is not null && !Numbers.TryParse(typed, out value))
            {
                throw new EditRefused(
                    $"{load.Label}: a number from {Numbers.Short(load.Min)} to {Numbers.Short(load.Max)} belongs here, not «{Names.Clean(typed)}»."
                );
            }

            Core.Wants.Loads.Check(profile, load.Id, value);
            values.Add(new LoadValue(load.Id, value));
        }

        return [.. values];
    }

    private ValueList<FolderMount> FoldersTyped()
    {
        List<FolderMount> folders = [];
        foreach (var line in Folders.Split('\n', StringSplitOptions.RemoveEmptyEntries | StringSplitOptions.TrimEntries))
        {
            var words = line.Split(' ', StringSplitOptions.RemoveEmptyEntries);
            if (
                words.Length is < 2 or > 3
                || !words[0].StartsWith('/')
                || !words[1].StartsWith('/')
                || (words.Length == 3 && words[2] != "ro")
            )
            {
                throw new EditRefused(
                    $"Data folders: a line is «/folder/on/host /folder/in/container», perhaps with «ro» behind it, not «{Names.Clean(line)}»."
                );
            }

            folders.Add(new FolderMount(Names.Clean(words[0]), Names.Clean(words[1]), words.Length == 3));
        }

        return [.. folders];
    }
}
