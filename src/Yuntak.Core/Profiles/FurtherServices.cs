using Yuntak.Core.Base;
using Yuntak.Core.Units;

namespace Yuntak.Core.Profiles;

/// <summary>The services a house comes to after the first ones: ways in, what links services together, measuring, reading, playing. Figures are common practice unless a term says otherwise.</summary>
internal static class FurtherServices
{
    private const double GiBPerGB = 1e9 / (1L << 30);
    private const double BytesPerGB = 1e9;
    private const double GBPerMB = 1e-3;
    private const double BitsPerByte = 8;
    private const double MinutesPerDay = 1440;
    private const double GiBPerToken = 1.0 / 8_000;

    private static readonly ValueList<GuestKind> Small = [GuestKind.AppStack, GuestKind.SystemContainer, GuestKind.Machine];

    /// <summary>The profiles, in the order they are offered.</summary>
    public static readonly ValueList<Profile> All =
    [
        new(
            "reverse-proxy",
            "reverse proxy and certificates",
            "One front door for the house's web pages, with certificates.",
            Family.Network,
            [new("sites", "Sites behind it", "", "{0} sites", 5, 1, 200, ForTheRecord: true)],
            [new("at rest", 0.05)],
            [new("busy", 0.05)],
            [new("proxy", 0.25)],
            [new("system and certificates", 4)],
            [],
            DayShape.Household,
            Small,
            "Published as an image with two folders: an app stack.",
            Ports: [80, 443],
            StartOrder: 10
        ),
        new(
            "remote-access",
            "remote access tunnel",
            "The safer way in from outside.",
            Family.Network,
            [
                new("people", "People who come in", "", "{0} people", 3, 1, 200, ForTheRecord: true),
                new("rate", "Traffic through it", "Mbit/s", "{0} through it", 100, 1, 10_000),
            ],
            [new("at rest", 0.05)],
            [new("at rest", 0.05), new("each Mbit/s (half a core for 500)", 0.5 / 500, ["rate"])],
            [new("tunnel", 0.25)],
            [new("system", 4)],
            [],
            DayShape.Evening,
            [GuestKind.SystemContainer, GuestKind.AppStack, GuestKind.Machine],
            "Small, but it faces the internet: a machine when nothing else stands before it.",
            StartOrder: 10,
            Bandwidth: [new("traffic", 1, ["rate"])]
        ),
        new(
            "message-broker",
            "message broker",
            "Passes on what devices say to whoever listens.",
            Family.House,
            [new("devices", "Devices", "", "{0} devices", 30, 0, 10_000, ForTheRecord: true)],
            [new("at rest", 0.02)],
            [new("busy", 0.02)],
            [new("broker", 0.125)],
            [new("system", 2)],
            [],
            DayShape.Flat,
            Small,
            "Tiny: an app stack. Start it before what talks through it.",
            Ports: [1883, 8883],
            StartOrder: 20
        ),
        new(
            "flow-automation",
            "flow automation",
            "Rules drawn as flows between services.",
            Family.House,
            [new("flows", "Flows", "", "{0} flows", 10, 0, 1_000, ForTheRecord: true)],
            [new("at rest", 0.05)],
            [new("busy", 0.05)],
            [new("flows", 0.5)],
            [new("system", 4)],
            [],
            DayShape.Household,
            Small,
            "Published as an image with one folder: an app stack.",
            StartOrder: 40
        ),
        new(
            "container-page",
            "container manager page",
            "A page to look at and restart app stacks.",
            Family.Workshop,
            [new("stacks", "App stacks", "", "{0} app stacks", 8, 0, 200, ForTheRecord: true)],
            [new("at rest", 0.03)],
            [new("busy", 0.03)],
            [new("page", 0.25)],
            [new("system", 2)],
            [],
            DayShape.WorkingDay,
            Small,
            "It drives the app engine beside it, so an app stack.",
            Caution: "Whoever gets into it owns every stack: an admin password of 12 characters or more, and never open to the internet."
        ),
        new(
            "measurements",
            "measurements and charts",
            "Numbers over time, drawn.",
            Family.Workshop,
            [
                new("series", "Series", "", "{0} series", 2_000, 1, 1_000_000),
                new("a-minute", "Samples of each a minute", "", "{0} samples a minute", 4, 0.01, 600, 0.01),
                new("days", "Days kept", "days", "kept {0}", 365, 1, 3_660),
            ],
            [new("at rest", 0.1)],
            [new("busy", 0.1)],
            [new("server and charts", 1), new("series (1 GiB for 100,000)", 1.0 / 100_000, ["series"])],
            [new("system", 8)],
            [new("1.5 bytes a sample × 1,440 minutes", 1.5 * MinutesPerDay / BytesPerGB, ["series", "a-minute", "days"])],
            DayShape.Flat,
            Small,
            "Published as images with named folders: an app stack."
        ),
        new(
            "document-archive",
            "document archive",
            "Paper, scanned and found again.",
            Family.Files,
            [
                new("pages", "Pages a day", "", "{0} pages a day", 10, 0, 10_000),
                new("years", "Years kept", "years", "kept {0}", 10, 1, 100),
            ],
            [new("at rest", 0.1)],
            [new("while reading text", 2)],
            [new("archive with its reader", 2)],
            [new("system and index", 8)],
            [new("1 MB a page", Duration.DaysPerYear * GBPerMB, ["pages", "years"])],
            DayShape.WorkingDay,
            Small,
            "Published as images with named folders: an app stack."
        ),
        new(
            "music",
            "music and spoken word",
            "Songs, books and plays in every room.",
            Family.Media,
            [
                new("listeners", "Listeners at once", "", "{0} listening", 2, 0, 200),
                new("library", "Library", "GB", "{0} of music", 200, 0, 50_000),
            ],
            [new("at rest", 0.05)],
            [new("at rest", 0.05), new("listener", 0.2, ["listeners"])],
            [new("library", 0.5)],
            [new("system", 8)],
            [new("library", 1, ["library"], Trade: false)],
            DayShape.Evening,
            Small,
            "Read-only access to the library is enough: an app stack."
        ),
        new(
            "web-site",
            "web site",
            "Pages for whoever comes by.",
            Family.Network,
            [new("visits", "Visits a second", "", "{0} visits a second", 1, 0, 1_000, 0.1, ForTheRecord: true)],
            [new("at rest", 0.05)],
            [new("busy", 0.05)],
            [new("server", 0.25)],
            [new("system and pages", 4)],
            [],
            DayShape.WorkingDay,
            [GuestKind.Machine, GuestKind.AppStack, GuestKind.SystemContainer],
            "It faces the internet: a machine keeps a break-in inside."
        ),
        new(
            "game-server",
            "block-game server",
            "A world to build in together.",
            Family.Workshop,
            [new("players", "Players at once", "", "{0} players", 5, 1, 200)],
            [new("the world ticking", 0.5)],
            [new("the world ticking", 0.5), new("player", 0.1, ["players"])],
            [new("world", 2), new("player", 0.1, ["players"])],
            [new("system and worlds", 10)],
            [],
            DayShape.Evening,
            Small,
            "One thread does most of the work: a quick core helps more than many. An app stack with a folder for the worlds."
        ),
        new(
            "desktop",
            "desktop",
            "A screen to work at, from any room.",
            Family.Workshop,
            [],
            [new("at rest", 0.1)],
            [new("at work", 2)],
            [new("desktop", 4)],
            [new("system", 40)],
            [],
            DayShape.WorkingDay,
            [GuestKind.Machine, GuestKind.SystemContainer],
            "It brings its own system, and a graphics chip when it is handed one: a machine.",
            Needs: ["a graphics chip, for moving pictures"],
            Claims: [new(DeviceNeed.VideoEncoder)],
            StartOrder: 80,
            LeastProcessors: HouseholdServices.TwoAsMachine
        ),
        new(
            "language-model",
            "local language model",
            "Answers in the house, from the house.",
            Family.Workshop,
            [
                new("parameters", "Parameters", "billion", "{0} parameters", 8, 0.1, 1_000, 0.1),
                new("bits", "Bits for each", "bits", "{0} each", 4, 1, 32),
                new("cores", "Cores while it answers", "", "{0} cores while it answers", 4, 2, 256),
                new("context", "Long context kept in mind, tokens", "", "{0} tokens of context", 0, 0, 10_000_000, 1_000),
                new("models", "Models kept", "", "{0} kept", 1, 1, 100),
                new("main-memory", "Kept in main memory, not on a graphics card", "", "in main memory", 1, 0, 1, YesNo: true),
            ],
            [new("at rest", 0.05)],
            [
                new("while it answers", 1, ["cores", "main-memory"]),
                new("while it answers, beside a graphics card", 1, Unless: ["main-memory"]),
            ],
            [
                new("parameters × bits ÷ 8 × 1.2", 1.2 * GiBPerGB / BitsPerByte, ["parameters", "bits", "main-memory"]),
                new("context (1 GiB for 8,000 tokens)", GiBPerToken, ["context", "main-memory"]),
                new("to work in", 2),
            ],
            [new("system", 16)],
            [new("models on disk: parameters × bits ÷ 8", 1 / BitsPerByte, ["parameters", "bits", "models"], Trade: false)],
            DayShape.Evening,
            [GuestKind.Machine, GuestKind.AppStack, GuestKind.SystemContainer],
            "A machine when a graphics card is handed over whole: its memory counts instead, when the model fits there.",
            Needs: ["a graphics card with memory enough, to spare the cores"],
            StartOrder: 80,
            GraphicsMemory:
            [
                new("parameters × bits ÷ 8 × 1.2", 1.2 * GiBPerGB / BitsPerByte, ["parameters", "bits"]),
                new("context (1 GiB for 8,000 tokens)", GiBPerToken, ["context"]),
            ]
        ),
        new(
            ProfileBook.Other,
            "another service",
            "Anything that is not on this list. Its figures are a beginning: set them as you know them.",
            Family.Workshop,
            [],
            [new("at rest", 0.05)],
            [new("busy", 0.25)],
            [new("service", 0.5)],
            [new("system and data", 8)],
            [],
            DayShape.Household,
            [GuestKind.AppStack, GuestKind.SystemContainer, GuestKind.Machine],
            "However it runs today; what it needs is not known here.",
            StartOrder: 60
        ),
        new(
            ProfileBook.AppEngine,
            "home for app stacks",
            "A guest of its own whose engine runs other services' app stacks.",
            Family.Workshop,
            [],
            [new("at rest", 0.02)],
            [new("at rest", 0.02)],
            [new("small system", 0.125, Only: [GuestKind.SystemContainer])],
            [new("images", 8)],
            [],
            DayShape.Flat,
            [GuestKind.Machine, GuestKind.SystemContainer],
            "A machine keeps what breaks out of a stack inside. A system container is lighter and shares a graphics chip, behind a thinner wall.",
            StartOrder: 15
        ),
    ];
}
