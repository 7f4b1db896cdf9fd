using Yuntak.Core.Base;

namespace Yuntak.Core.Profiles;

/// <summary>The profiles a lab knows: those that come with Yuntak, and its own, which stand in the place of one with the same id or beside them.</summary>
public sealed class ProfileBook
{
    /// <summary>The id of the profile that stands between the house and the internet; several rules treat it apart.</summary>
    public const string Router = "router";

    /// <summary>The id of the profile of lights, heating and sensors.</summary>
    public const string Hub = "automation-hub";

    /// <summary>The profile of backup servers: their bulk data is where copies lie.</summary>
    public const string BackupServer = "backup-server";

    /// <summary>The id of the profile that is there to be broken.</summary>
    public const string TestMachine = "test-machine";

    /// <summary>The id of the profile for what no other describes.</summary>
    public const string Other = "other-service";

    /// <summary>The id of the profile that runs other guests' app stacks.</summary>
    public const string AppEngine = "app-engine";

    /// <summary>The load that says whether conversions go without a video encoder: 1 when the processor does them, 0 when an encoder does.</summary>
    public const string SoftwareEncoding = "software-encoding";

    /// <summary>The profiles that come with Yuntak.</summary>
    public static readonly ProfileBook Standard = new([]);

    private static readonly Profile[] Built = [.. HouseholdServices.All, .. FurtherServices.All];
    private static readonly Dictionary<string, Profile> ById = Built.ToDictionary(p => p.Id, StringComparer.Ordinal);
    private readonly ValueList<Profile> own;

    private ProfileBook(ValueList<Profile> own) => this.own = own;

    /// <summary>Every profile, in the order they are offered: changed ones in their place, new ones at the end.</summary>
    public IEnumerable<Profile> All => Built.Select(p => Own(p.Id) ?? p).Concat(own.Where(o => !ById.ContainsKey(o.Id)));

    /// <summary>The book of a lab.</summary>
    public static ProfileBook With(ValueList<Profile> own) => own.Count == 0 ? Standard : new ProfileBook(own);

    /// <summary>The profile of that id, or null.</summary>
    public Profile? Find(string id) => Own(id) ?? ById.GetValueOrDefault(id);

    /// <summary>The profile of that id.</summary>
    /// <exception cref="KeyNotFoundException">There is none.</exception>
    public Profile Get(string id) => Find(id) ?? throw new KeyNotFoundException($"There is no profile called «{id}».");

    /// <summary>The profile of that id if it is the lab's own.</summary>
    public Profile? Own(string id)
    {
        foreach (var profile in own)
        {
            if (profile.Id == id)
            {
                return profile;
            }
        }

        return null;
    }

    /// <summary>Whether one of that id comes with Yuntak.</summary>
    public static bool IsBuiltIn(string id) => ById.ContainsKey(id);
}
