using Yuntak.Core.Profiles;

namespace Yuntak.Core.Wants;

/// <summary>
/// Guesses which profile a guest that runs already follows, by the words in its name and the ports it answers on. Only ports a published standard gives to one
/// service count. A guess to begin with: its figures are those it has, and the profile can be changed.
/// </summary>
public static class ProfileGuess
{
    private static readonly (string Word, string Profile)[] Words =
    [
        ("automation", "automation-hub"),
        ("hub", "automation-hub"),
        ("media", "media-library"),
        ("film", "media-library"),
        ("photo", "file-cloud"),
        ("cloud", "file-cloud"),
        ("files", "file-cloud"),
        ("camera", "camera-recorder"),
        ("recorder", "camera-recorder"),
        ("router", ProfileBook.Router),
        ("firewall", ProfileBook.Router),
        ("dns", "name-server"),
        ("names", "name-server"),
        ("proxy", "reverse-proxy"),
        ("tunnel", "remote-access"),
        ("vpn", "remote-access"),
        ("broker", "message-broker"),
        ("flow", "flow-automation"),
        ("netboot", "network-boot"),
        ("backup", "backup-server"),
        ("metrics", "measurements"),
        ("charts", "measurements"),
        ("database", "database"),
        ("db", "database"),
        ("sql", "database"),
        ("paper", "document-archive"),
        ("documents", "document-archive"),
        ("music", "music"),
        ("wiki", "wiki"),
        ("notes", "wiki"),
        ("web", "web-site"),
        ("game", "game-server"),
        ("desktop", "desktop"),
        ("test", ProfileBook.TestMachine),
        ("engine", ProfileBook.AppEngine),
    ];

    private static readonly (int Port, string Profile)[] Ports =
    [
        (53, "name-server"),
        (69, "network-boot"),
        (1883, "message-broker"),
        (8883, "message-broker"),
        (445, "file-cloud"),
        (2049, "file-cloud"),
    ];

    /// <summary>The id of the profile; <see cref="ProfileBook.Other"/> when nothing speaks for one, or when the way it is packaged rules it out.</summary>
    /// <param name="name">The guest's name.</param>
    /// <param name="kind">How it is packaged.</param>
    /// <param name="ports">Ports it answers on.</param>
    public static string Of(string name, GuestKind kind, IEnumerable<int> ports)
    {
        var parts = name.ToLowerInvariant().Split([' ', '-', '_', '.', '/', ':'], StringSplitOptions.RemoveEmptyEntries);
        var found =
            Words.Where(w => parts.Contains(w.Word)).Select(w => w.Profile).FirstOrDefault()
            ?? Ports.Where(p => ports.Contains(p.Port)).Select(p => p.Profile).FirstOrDefault()
            ?? ProfileBook.Other;
        var profile = ProfileBook.Standard.Find(found);
        // A router or an engine as an app stack is something else by that name.
        var fits =
            profile is not null
            && (!profile.MachineOnly || kind == GuestKind.Machine)
            && !(found == ProfileBook.AppEngine && kind == GuestKind.AppStack);
        return fits ? found : ProfileBook.Other;
    }
}
