using Yuntak.Core.Base;

namespace Yuntak.Core.Profiles;

/// <summary>The services most households ask for first. The figures are common practice unless a term says otherwise; they are defaults, not promises.</summary>
internal static class HouseholdServices
{
    private const double GiBPerGB = 1e9 / (1L << 30);
    private const double GBPerTB = 1000;
    private const double SecondsPerDay = 86_400;

    private const double MiBPerGiB = 1024;

    /// <summary>Devices a hub looks after without wanting more for them; from memory.</summary>
    private const double HubDevices = 50;

    /// <summary>Two processors as a machine, so that what hangs does not hang all of it; common practice.</summary>
    internal static readonly ValueList<Term> TwoAsMachine = [new("as a machine", 2, Only: [GuestKind.Machine])];

    /// <summary>The profiles, in the order they are offered.</summary>
    public static readonly ValueList<Profile> All =
    [
        new(
            ProfileBook.Hub,
            "automation hub",
            "Lights, heating, sensors and the rules between them.",
            Family.House,
            [
                new("devices", "Devices", "", "{0} devices", 30, 0, 10_000),
                new("add-ons", "Add-ons beside the hub", "", "{0} add-ons", 0, 0, 200),
                new("history-months", "Months of history to keep", "months", "{0} of history", 12, 0, 120),
            ],
            [new("at rest", 0.03)],
            [new("rules running", 0.5), new("device", 0.01, ["devices"], Past: HubDevices)],
            [
                new("hub with its own system", 2, Only: [GuestKind.Machine]),
                new("hub alone", 0.25, Only: [GuestKind.SystemContainer, GuestKind.AppStack]),
                new("device", 4 / MiBPerGiB, ["devices"], Past: HubDevices),
                new("add-on", 64 / MiBPerGiB, ["add-ons"]),
            ],
            [
                new("system and add-ons", 32, Only: [GuestKind.Machine]),
                // Its own system keeps the history on its own disk, which has room for 40 months; there is no volume to mount beside it.
                new("history past 40 months", 0.2, ["history-months"], Only: [GuestKind.Machine], Past: 40),
                new("settings and database", 8, Only: [GuestKind.SystemContainer, GuestKind.AppStack]),
            ],
            [new("history", 0.2 / GiBPerGB, ["history-months"], Only: [GuestKind.SystemContainer, GuestKind.AppStack])],
            DayShape.Household,
            [GuestKind.Machine, GuestKind.AppStack],
            "A machine brings the hub's own system with its add-ons and takes a radio stick cleanly; an app stack is lighter when you need the hub alone.",
            Claims: [new(DeviceNeed.RadioStick)],
            StartOrder: 30,
            FirstStartMinutes: 20,
            LeastProcessors: TwoAsMachine
        ),
        MediaLibrary.Profile,
        new(
            "file-cloud",
            "photo and file cloud",
            "Photos and files of everyone in the house, on every device.",
            Family.Files,
            [
                new("people", "People with an account", "", "{0} people", 4, 1, 200),
                new("active", "People active at once", "", "{0} active at once", 2, 0, 200),
                new("quota", "Room for each person", "GB", "{0} each", 200, 1, 20_000, 10),
                new("recognition", "Recognise faces or text", "", "recognising faces or text", 0, 0, 1, YesNo: true),
            ],
            [new("at rest", 0.1)],
            [new("at rest", 0.1), new("person active", 0.25, ["active"])],
            [new("cloud with its database", 1), new("person active", 0.15, ["active"])],
            [new("system and database", 16)],
            [new("room for each person, with versions and trash (× 1.15)", 1.15, ["people", "quota"])],
            DayShape.WorkingDay,
            [GuestKind.AppStack, GuestKind.Machine, GuestKind.SystemContainer],
            "Published as images and updated by tag, so an app stack suits it. A machine when the internet may reach it.",
            Ports: [443],
            LeastProcessors: [new("recognising faces or text", 2, ["recognition"])],
            LeastMemory: [new("recognising faces or text", 4, ["recognition"])]
        ),
        new(
            "camera-recorder",
            "camera recorder",
            "Keeps what the cameras see and points at what moved.",
            Family.Cameras,
            [
                new("cameras", "Cameras", "", "{0} cameras", 4, 1, 64),
                new("bitrate", "Bitrate of each", "Mbit/s", "{0} each", 4, 0.25, 50, 0.25),
                new("days", "Days kept", "days", "kept {0}", 14, 1, 365),
                new("share", "Share of the day kept", "%", "{0} of the day", 100, 1, 100),
                new("detection", "Point out people and animals", "", "pointing out who moves", 1, 0, 1, YesNo: true),
                new("frames", "Frames looked at a second, each camera", "", "{0} frames a second", 5, 0.1, 60, 0.1),
                new("looks", "Looks a frame", "", "{0} looks a frame", 1, 1, 20),
                new("look-time", "Time of a look on an accelerator", "ms", "{0} a look", 10, 0.1, 1_000, 0.1),
                new("software-looks", "Look without an AI accelerator", "", "no AI accelerator", 0, 0, 1, YesNo: true),
                new("software-decoding", "Decode without a video decoder", "", "no video decoder", 0, 0, 1, YesNo: true),
            ],
            [
                new("at rest", 0.1),
                new("camera", 0.15, ["cameras"]),
                new("camera without a video decoder (0.5 in place of 0.15)", 0.35, ["cameras", "software-decoding"]),
                new("looks of 80 ms on the processor", 0.08, ["cameras", "frames", "looks", "detection", "software-looks"]),
            ],
            [],
            [new("recorder", 1), new("camera", 0.5, ["cameras"]), new("pointing out", 1, ["detection"])],
            [new("system and index", 8)],
            [
                new(
                    "recordings: Mbit/s × 86,400 s ÷ 8 × % × days × cameras",
                    1e-3 * SecondsPerDay / 8 / 100,
                    ["bitrate", "share", "days", "cameras"],
                    Trade: false
                ),
            ],
            DayShape.Flat,
            [GuestKind.AppStack, GuestKind.SystemContainer, GuestKind.Machine],
            "Published as an image with a few named folders: an app stack. A machine when it gets an accelerator of its own.",
            Needs: ["a video decoder", "an AI accelerator, when it points things out"],
            Claims:
            [
                new(DeviceNeed.VideoEncoder, Unless: ["software-decoding"]),
                new(DeviceNeed.AiAccelerator, ["detection"], ["software-looks"]),
            ],
            Bandwidth: [new("camera stream", 1, ["cameras", "bitrate"], Trade: false)],
            Accelerator:
            [
                new(
                    "looks on the accelerator",
                    0.001,
                    ["cameras", "frames", "looks", "look-time", "detection"],
                    Trade: false,
                    Unless: ["software-looks"]
                ),
            ],
            LeastProcessors: TwoAsMachine,
            Caution: "Cameras see people. Ask who may be recorded, where and for how long; local law decides, and neighbours' ground and public streets are usually off limits."
        ),
        new(
            ProfileBook.Router,
            "router and firewall",
            "Stands between the house and the internet.",
            Family.Network,
            [
                new("line-rate", "Line to the internet", "Gbit/s", "{0} to the internet", 1, 0.01, 25, 0.01),
                new("tunnels", "Traffic through its tunnels", "Mbit/s", "{0} through tunnels", 0, 0, 10_000),
                new("inspection", "Look into the traffic", "", "looking into the traffic", 0, 0, 1, YesNo: true),
            ],
            [new("at rest", 0.1)],
            [new("each Gbit/s", 1, ["line-rate"]), new("tunnels (half a core for 500 Mbit/s)", 0.5 / 500, ["tunnels"])],
            [new("router", 2), new("looking into the traffic", 4, ["inspection"])],
            [new("system and logs", 16)],
            [],
            DayShape.Evening,
            [GuestKind.Machine],
            "It faces the internet and brings its own system: a machine only. It starts first.",
            Needs: ["two network ports, or one with tagged networks"],
            Claims: [new(DeviceNeed.NetworkPort)],
            StartOrder: 1,
            LeastProcessors: TwoAsMachine
        ),
        new(
            ProfileBook.TestMachine,
            "test machine",
            "Somewhere to try a system out and throw it away.",
            Family.Workshop,
            [new("image", "Live image", "GB", "{0} live image", 3, 0.1, 100, 0.1)],
            [new("at rest", 0.1)],
            [new("at work", 2)],
            [new("live image held in memory", GiBPerGB, ["image"], Trade: false), new("to work in", 1)],
            [new("system", 32)],
            [],
            DayShape.Afternoon,
            [GuestKind.Machine],
            "You will break it on purpose: a machine keeps the breakage inside. It may be off most of the time.",
            MemoryFloorGiB: 2,
            StartOrder: 90,
            LeastProcessors: TwoAsMachine
        ),
        new(
            "name-server",
            "name server and ad filter",
            "Turns names into addresses and drops the unwanted ones.",
            Family.Network,
            [new("clients", "Clients", "", "{0} clients", 30, 1, 10_000, ForTheRecord: true)],
            [new("at rest", 0.02)],
            [new("busy", 0.02)],
            [new("names and lists", 0.25)],
            [new("system", 4)],
            [],
            DayShape.Household,
            [GuestKind.AppStack, GuestKind.SystemContainer, GuestKind.Machine],
            "Small and stateless: an app stack or a system container. Start it early, and run two.",
            Ports: [53],
            StartOrder: 5
        ),
        new(
            "network-boot",
            "network boot server",
            "Starts machines from images over the wire.",
            Family.Network,
            [
                new("images", "Images kept", "", "{0} images", 4, 0, 200),
                new("image", "Size of an image", "GB", "{0} each", 3, 0.1, 100, 0.1),
            ],
            [new("at rest", 0.05)],
            [new("busy", 0.05)],
            [new("server", 0.5)],
            [new("system", 8), new("image", GiBPerGB, ["images", "image"])],
            [],
            DayShape.Afternoon,
            [GuestKind.AppStack, GuestKind.SystemContainer, GuestKind.Machine],
            "Light enough for an app stack. The server that hands out addresses must point at it.",
            Ports: [69],
            ClientMemory: [new("image held in memory", GiBPerGB, ["image"], Trade: false), new("to work in", 1)],
            Fetch: [new("image", 1, ["image"], Trade: false)]
        ),
        new(
            ProfileBook.BackupServer,
            "backup server",
            "Takes the copies, thins them out and checks them.",
            Family.Keeping,
            [
                new("streams", "Copies taken at once", "", "{0} copies at once", 1, 1, 20),
                new("protected", "Data protected", "TB", "{0} protected", 4, 0, 500, 0.5),
            ],
            [new("at rest", 0.05)],
            [new("copy being taken", 0.5, ["streams"])],
            [new("server and cache", 2)],
            [new("system", 16)],
            [new("first full copy", GBPerTB, ["protected"], Trade: false)],
            DayShape.Night,
            [GuestKind.Machine, GuestKind.SystemContainer, GuestKind.AppStack],
            "Never beside its only source. A machine can be moved to another box whole.",
            LeastProcessors: TwoAsMachine
        ),
        new(
            "database",
            "database",
            "Holds what other services remember.",
            Family.Files,
            [
                new("working-set", "Data in daily use", "GiB", "{0} in daily use", 4, 0, 1_000, 0.5),
                new("data", "All data", "GB", "{0} in all", 20, 0, 50_000),
            ],
            [new("at rest", 0.2)],
            [new("busy", 1)],
            [new("server", 0.5), new("a quarter of the data in daily use", 0.25, ["working-set"])],
            [new("system", 8)],
            [new("all data × 1.5", 1.5, ["data"])],
            DayShape.WorkingDay,
            [GuestKind.AppStack, GuestKind.SystemContainer, GuestKind.Machine],
            "An app stack with a named folder. Stop it or dump it before it is copied.",
            StartOrder: 20
        ),
        new(
            "wiki",
            "wiki and notes",
            "What the household knows, written down.",
            Family.Files,
            [new("people", "People", "", "{0} people", 4, 1, 200, ForTheRecord: true)],
            [new("at rest", 0.05)],
            [new("people reading", 0.2)],
            [new("wiki", 0.5)],
            [new("system and pages", 8)],
            [],
            DayShape.WorkingDay,
            [GuestKind.AppStack, GuestKind.SystemContainer, GuestKind.Machine],
            "Published as an image with one folder: an app stack."
        ),
    ];
}
