using System.Globalization;
using Yuntak.Core.Base;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Shapes;
using Yuntak.Core.Units;
using Yuntak.Core.Wants;
using Yuntak.Web.Shared;

namespace Yuntak.Web.Pages.Wants;

/// <summary>What was typed about a guest, kept as typed so that nothing is lost when something in it is wrong.</summary>
public sealed class GuestForm
{
    /// <summary>The answer that an app stack's engine gets a system container of its own.</summary>
    public const string OwnContainer = "+system-container";

    /// <summary>The answer that an app stack's engine gets a machine of its own.</summary>
    public const string OwnMachine = "+machine";

    /// <summary>What some members are called in the form.</summary>
    private static readonly Dictionary<string, string> Called = new(StringComparer.Ordinal)
    {
        ["may-shrink-to"] = "shrink",
        ["health-check-minutes"] = "health-check",
    };

    /// <summary>Members that a form does not set: who it is, how far it has come, and where it runs, which is asked otherwise.</summary>
    private static readonly string[] NotAsked = ["id", "life", "runs-in", "ports", "networks", "variables", "nodes", "restart"];

    private static readonly string[] Folded = ["shrink", "made-for", "health-check", "grows-monthly", "grows-yearly"];

    private readonly FormFields fields;

    private GuestForm(FormFields fields) => this.fields = fields;

    /// <summary>What was typed into a field; nothing when it was left empty.</summary>
    public string this[string field] => fields[field];

    /// <summary>The packaging that was chosen; a machine while it is no such word.</summary>
    public GuestKind Kind => ProfileWords.Kinds.TryRead(fields["kind"], out var kind) ? kind : GuestKind.Machine;

    /// <summary>Where an app stack's engine runs.</summary>
    public string Engine => fields["engine"];

    /// <summary>Whether anything was typed that is folded away at first.</summary>
    public bool HasMore => Folded.Any(f => fields[f].Length > 0);

    /// <summary>The form of a guest that is there.</summary>
    public static GuestForm Of(Guest guest)
    {
        var values = FormFields.From(GuestShapes.Guest, guest, Called);
        values["folders"] = string.Join('\n', guest.Folders.Select(f => AppStacks.Line(f)));
        values["ports"] = string.Join(' ', guest.Ports);
        values["engine"] = guest.RunsIn?.Value ?? "";
        values["grows-monthly"] = guest.Growth is { } growth && growth.PerMonth > ByteSize.Zero ? growth.PerMonth.ToExactString() : "";
        values["grows-yearly"] = Percent(guest.Growth?.ShareAYear);
        values["give-or-take"] = Percent(guest.Growth?.GiveOrTake);
        foreach (var (want, n) in guest.Wants.Select((w, n) => (w, n)))
        {
            foreach (var load in want.Load)
            {
                values[$"load-{n}-{load.Id}"] = load.Value.ToString(CultureInfo.InvariantCulture);
            }
        }

        return new GuestForm(new FormFields(values));
    }

    /// <summary>The form for a new guest of a profile.</summary>
    /// <param name="profile">The profile.</param>
    /// <param name="loads">Loads that were asked for already, by the names of their fields.</param>
    public static GuestForm New(Profile profile, IEnumerable<KeyValuePair<string, string>> loads) =>
        new(
            new FormFields(
                new Dictionary<string, string>(loads, StringComparer.Ordinal)
                {
                    ["kind"] = ProfileWords.Kinds.Word(profile.Advised[0]),
                    ["importance"] = LabWords.Importances.Word(Importance.Should),
                }
            )
        );

    /// <summary>The form as posted. A box that was not ticked does not come.</summary>
    public static GuestForm Read(IFormCollection form)
    {
        var posted = FormFields.Of(form);
        return new GuestForm(posted.With("privileged", posted["privileged"].Length > 0 ? "true" : "false"));
    }

    /// <summary>What stands in a load's field.</summary>
    public string Load(int want, LoadSpec load) =>
        fields.Has($"load-{want}-{load.Id}") ? fields[$"load-{want}-{load.Id}"] : load.Default.ToString(CultureInfo.InvariantCulture);

    /// <summary>The guest that was described.</summary>
    /// <param name="profiles">The profiles of its wants, in order.</param>
    /// <param name="before">The guest as it was; null for a new one.</param>
    /// <param name="posted">Whether the form came back from the browser, where an empty box means no.</param>
    /// <exception cref="Refused">Something typed does not make sense.</exception>
    public Guest ToGuest(IReadOnlyList<Profile> profiles, Guest? before, bool posted)
    {
        var start = before ?? new Guest(new GuestId("new"), "", GuestKind.Machine, [], SizeOverrides.None);
        var typed = fields.Into(GuestShapes.Guest, start, NotAsked, Called);
        var folders = FoldersTyped();
        if (before is null && typed.Kind == GuestKind.AppStack && folders.Count == 0)
        {
            folders = [AppStacks.DefaultFolder(typed.Name)];
        }

        return typed with
        {
            Folders = folders,
            Ports = PortsTyped(),
            RunsIn = typed.Kind == GuestKind.AppStack && Engine.Length > 0 && OwnEngine is null ? new GuestId(Engine) : null,
            Privileged = typed.Privileged && typed.Kind == GuestKind.SystemContainer,
            Growth = GrowthTyped(),
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
        if (string.IsNullOrWhiteSpace(fields["grows-monthly"] + fields["grows-yearly"]))
        {
            return null;
        }

        var yearly = Typed.OptionalNumber(fields["grows-yearly"], "Grows a year, in %") ?? 0;
        var give = Typed.OptionalNumber(fields["give-or-take"], "Give or take, in %") ?? 0;
        return yearly > 1000 || give > 100
            ? throw new Refused("Growth is at most 1,000 % a year, give or take at most 100 %.")
            : new Growth(Typed.OptionalSize(fields["grows-monthly"], "Grows a month") ?? ByteSize.Zero, yearly / 100, give / 100);
    }

    private ValueList<LoadValue> LoadTyped(Profile profile, int want, bool posted)
    {
        List<LoadValue> values = [];
        foreach (var load in profile.Loads)
        {
            var name = $"load-{want}-{load.Id}";
            if (!fields.Has(name) && !(posted && load.YesNo))
            {
                continue;
            }

            var value = 0.0;
            if (fields.Has(name) && !Numbers.TryParse(fields[name], out value))
            {
                throw new Refused(
                    $"{load.Label}: a number from {Numbers.Short(load.Min)} to {Numbers.Short(load.Max)} belongs here, not «{Names.Short(Names.Clean(fields[name]))}»."
                );
            }

            Core.Profiles.Loads.Check(profile, load.Id, value);
            values.Add(new LoadValue(load.Id, value));
        }

        return [.. values];
    }

    private ValueList<int> PortsTyped() =>
        [
            .. fields["ports"]
                .Split([' ', ',', ';'], StringSplitOptions.RemoveEmptyEntries)
                .Select(p => Typed.Whole(p, "Ports it answers on", 1, 65_535))
                .Distinct(),
        ];

    private ValueList<FolderMount> FoldersTyped() =>
        [
            .. fields["folders"]
                .Split('\n', StringSplitOptions.RemoveEmptyEntries | StringSplitOptions.TrimEntries)
                .Select(AppStacks.FolderLine),
        ];
}
