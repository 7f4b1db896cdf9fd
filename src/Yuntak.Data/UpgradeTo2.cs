using System.Text.Json.Nodes;
using Yuntak.Core.Bench;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using static Yuntak.Data.StoredTree;

namespace Yuntak.Data;

/// <summary>
/// From the first form to the second. The first left out what was null and, in its earliest builds, what was zero; labs stored early lack members that came later.
/// All are filled in here with what was meant then. A host's facts and plans part, and a pool may say the age of its disks and that a spare lies ready. Ticks were known by the wording of their
/// steps and by places in a list; they cannot be told apart from others reliably, so they are kept as they are and match no step any more.
/// </summary>
internal static class UpgradeTo2
{
    /// <summary>What a member meant that is not there: «null» where nothing is written.</summary>
    private static readonly Dictionary<string, string> Lab = Members("Ticks=[] Profiles=[]");

    private static readonly Dictionary<string, string> Settings = Members(
        "SecondThreadGain=0 HostBase=0 ReadCacheRule=\"Cap\" ReadCacheCap=0"
    );

    private static readonly Dictionary<string, string> Host = Members(
        "Disks=[] Pools=[] NetworkPorts BatteryBackup IdleWatts FullWatts WasRead=false Inside PowersOn AddressFixed ReadOn Checks=[] Notes=[]"
    );

    private static readonly Dictionary<string, string> Processor = Members("Virtualisation Model");

    private static readonly Dictionary<string, string> Disk = Members(
        "Kind=\"Spinning\" MountedAt=[] Model HoursRun Removable=false Health Holds=[] Controller Sector"
    );

    private static readonly Dictionary<string, string> Health = Members("Passed ReallocatedSectors PendingSectors WearPercent Celsius");

    private static readonly Dictionary<string, string> Pool = Members(
        "Layout=\"Single\" Family=\"BlockArray\" AlreadyUsed=0 Groups=1 Takes=[] Encrypted KeyPlaces=[] ScrubDays Thin=false Compression=1 AgeYears SpareReady=false"
    );

    private static readonly Dictionary<string, string> Note = Members("On");

    private static readonly Dictionary<string, string> Inside = Members(
        "MemorySlots=[] Functions=[] UsbBuses=[] UsbDevices=[] Ports=[] Bridges=[] Temperatures=[] DiskSpeeds=[] LinkSpeeds=[] Battery Firmware Isolation"
    );

    private static readonly Dictionary<string, Dictionary<string, string>> InsideLists = new(StringComparer.Ordinal)
    {
        ["MemorySlots"] = Members("Size"),
        ["Functions"] = Members("Name Ids Group Driver Reset Slot ConsoleGraphics=false EncodeMegapixels"),
        ["UsbBuses"] = Members("Controller Ports SpeedMbps"),
        ["UsbDevices"] = Members("Id Name Hub=false BatteryLink=false"),
        ["Ports"] = Members("Mac SpeedMbps Up Function Addresses=[] Wireless=false Management=false"),
        ["Bridges"] = Members("Ports=[] Addresses=[]"),
        ["Temperatures"] = Members("High"),
        ["DiskSpeeds"] = Members("Pattern Block Read ReadsPerSecond Write WritesPerSecond"),
    };

    private static readonly Dictionary<string, string> Battery = Members("ChargePercent LoadPercent RuntimeMinutes Watts");

    private static readonly Dictionary<string, string> Firmware = Members("Date Version Board");

    private static readonly Dictionary<string, string> Guest = Members(
        "Kind=\"Machine\" Placement Importance=\"Should\" MayShrinkTo Image Folders=[] Life=\"InService\" Devices=[] RunsIn Privileged=false MadeFor HealthCheckMinutes Growth"
    );

    private static readonly Dictionary<string, string> Overrides = Members("Vcpu Memory SystemDisk Bulk");

    private static readonly Dictionary<string, string> Placement = Members("SystemPool BulkPool");

    private static readonly Dictionary<string, string> Want = Members("Load=[]");

    private static readonly Dictionary<string, string> LoadValue = Members("Value=0");

    private static readonly Dictionary<string, string> Folder = Members("ReadOnly=false");

    private static readonly Dictionary<string, string> Growth = Members("PerMonth=0 ShareAYear=0 GiveOrTake=0");

    private static readonly Dictionary<string, string> Profile = Members(
        "MemoryFloorGiB=0 Needs=[] Ports=[] StartOrder=50 FirstStartMinutes=2 Caution Encode=[] Bandwidth=[] Accelerator=[] Scratch=[] ClientMemory=[] Fetch=[] GraphicsMemory=[]"
    );

    private static readonly Dictionary<string, string> Load = Members("Step=1 YesNo=false ForTheRecord=false");

    private static readonly Dictionary<string, string> Term = Members("Per=[] Only=[] Trade=true");

    private static readonly string[] Sums =
    [
        "Idle",
        "Busy",
        "Memory",
        "SystemDisk",
        "Bulk",
        "Encode",
        "Bandwidth",
        "Accelerator",
        "Scratch",
        "ClientMemory",
        "Fetch",
        "GraphicsMemory",
    ];

    /// <summary>Lists that follow from a host's other members, which the first form wrote all the same.</summary>
    private static readonly string[] FollowsFromOthers = ["DisksInNoPool", "DisksToJoin"];

    /// <summary>Members of a host that are facts; its pools are its plan.</summary>
    private static readonly string[] Facts =
    [
        "Processor",
        "Memory",
        "Disks",
        "NetworkPorts",
        "BatteryBackup",
        "IdleWatts",
        "FullWatts",
        "WasRead",
        "Inside",
        "PowersOn",
        "AddressFixed",
        "ReadOn",
        "Checks",
        "Notes",
    ];

    /// <summary>The same lab in the second form.</summary>
    public static JsonObject Step(JsonObject lab)
    {
        Fill(lab, Lab);
        Fill(lab["Settings"], Settings);
        Each(lab, "Profiles", FillProfile);
        Each(lab, "Guests", FillGuest);
        Each(lab, "Hosts", FillHost);
        return lab;
    }

    private static void FillHost(JsonObject host)
    {
        Fill(host, Host);
        Fill(host["Processor"], Processor);
        Each(
            host,
            "Disks",
            disk =>
            {
                Fill(disk, Disk);
                Fill(disk["Health"], Health);
            }
        );
        Each(host, "Pools", pool => Fill(pool, Pool));
        Each(host, "Notes", note => Fill(note, Note));
        FillInside(host["Inside"] as JsonObject);
        var facts = new JsonObject();
        foreach (var name in Facts)
        {
            Move(host, name, facts);
        }

        var plan = new JsonObject();
        Move(host, "Pools", plan);
        foreach (var name in FollowsFromOthers)
        {
            host.Remove(name);
        }

        host["Facts"] = facts;
        host["Plan"] = plan;
    }

    private static void FillInside(JsonObject? inside)
    {
        if (inside is null)
        {
            return;
        }

        Fill(inside, Inside);
        foreach (var (list, members) in InsideLists)
        {
            Each(inside, list, item => Fill(item, members));
        }

        Fill(inside["Battery"], Battery);
        Fill(inside["Firmware"], Firmware);
    }

    private static void FillGuest(JsonObject guest)
    {
        Fill(guest, Guest);
        Fill(guest["Overrides"], Overrides);
        Fill(guest["Placement"], Placement);
        Fill(guest["Growth"], Growth);
        Each(
            guest,
            "Wants",
            want =>
            {
                Fill(want, Want);
                Each(want, "Load", load => Fill(load, LoadValue));
            }
        );
        Each(guest, "Folders", folder => Fill(folder, Folder));
    }

    private static void FillProfile(JsonObject profile)
    {
        Fill(profile, Profile);
        Each(profile, "Loads", load => Fill(load, Load));
        foreach (var sum in Sums)
        {
            Each(profile, sum, term => Fill(term, Term));
        }
    }

    private static void Move(JsonObject from, string name, JsonObject to)
    {
        var value = from[name];
        from.Remove(name);
        to[name] = value;
    }
}
