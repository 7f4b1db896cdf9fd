using YamlDotNet.RepresentationModel;
using Yuntak.Core.Edits;
using Yuntak.Core.Labs;
using Yuntak.Core.Units;
using Yuntak.Core.Wants;

namespace Yuntak.Formats.LabFiles;

/// <summary>Builds a lab from the tree of a lab file and notes everything that is wrong with it.</summary>
internal static class LabReader
{
    public static Lab Read(YamlNode root, List<LabFileProblem> problems)
    {
        var top = new NodeReader(root, "", problems);
        if (top.Whole("yuntak", 1, int.MaxValue, needed: true) is { } version && version != LabFile.Version)
        {
            top.Problem("yuntak", $"this Yuntak reads version {LabFile.Version}, the file says {version}");
        }

        var name = top.Text("name", needed: true) ?? "";
        Checked(() => Names.Checked(name, "lab"), top, "name");
        var settings = top.Map("settings") is { } map ? Settings(map) : LabSettings.Default;
        var profiles = ProfileReader.ReadAll(top, "profiles");
        List<Host> hosts = [];
        foreach (var node in top.Maps("hosts", needed: true))
        {
            var host = HostReader.Read(node);
            Checked(() => HostEdits.Add(host)(new Lab("check", settings, [.. hosts], [])), node, "name");
            var id = node.Text("id") ?? Names.IdFrom(host.Name, hosts.Select(h => h.Id.Value));
            Unique(node, id, hosts.Any(h => h.Id.Value == id));
            hosts.Add(host with { Id = new HostId(id) });
            node.Done();
        }

        var book = ProfileBook.With(profiles);
        List<Guest> guests = [];
        List<(GuestId Guest, NodeReader Node, string Outer)> nested = [];
        foreach (var node in top.Maps("guests", needed: true))
        {
            var guest = GuestReader.Read(node, hosts, book);
            Checked(() => GuestEdits.Add(guest)(new Lab("check", settings, [.. hosts], [.. guests], Profiles: profiles)), node, "name");
            var id = node.Text("id") ?? Names.IdFrom(guest.Name, guests.Select(g => g.Id.Value));
            Unique(node, id, guests.Any(g => g.Id.Value == id));
            guests.Add(guest with { Id = new GuestId(id) });
            if (node.Text("runs-in") is { } outer)
            {
                nested.Add((new GuestId(id), node, outer));
            }

            node.Done();
        }

        var ticks = top.Texts("ticks");
        top.Done();
        var lab = new Lab(Names.Clean(name), settings, [.. hosts], [.. guests], [.. ticks], profiles);
        return nested.Aggregate(lab, (l, n) => Nested(l, n.Guest, n.Node, n.Outer));
    }

    /// <summary>Puts an app stack into the guest it names; that one may stand further down in the file.</summary>
    private static Lab Nested(Lab lab, GuestId id, NodeReader node, string outerName)
    {
        var outer = lab.Guests.FirstOrDefault(g => g.Name == outerName);
        if (outer is null)
        {
            node.Problem("runs-in", $"there is no guest called «{outerName}»");
        }
        else if (lab.Guest(id)?.Placement is not null)
        {
            node.Problem("on", $"what runs in another guest has no place of its own; {outerName} says where it is");
        }
        else
        {
            Checked(() => lab = NestingEdits.RunIn(id, outer.Id)(lab).Lab, node, "runs-in");
        }

        return lab;
    }

    private static LabSettings Settings(NodeReader map)
    {
        var standard = LabSettings.Default;
        var settings = new LabSettings(
            map.Number("second-thread-gain", 0, 1) ?? standard.SecondThreadGain,
            map.Size("host-base", Prefixes.Binary) ?? standard.HostBase,
            map.Word("read-cache", LabFileNames.CacheRules, standard.ReadCacheRule),
            map.Size("read-cache-cap", Prefixes.Binary) ?? standard.ReadCacheCap
        );
        map.Done();
        return settings;
    }

    private static void Unique(NodeReader node, string id, bool taken)
    {
        if (taken || id.Length is 0 or > 100)
        {
            node.Problem("id", taken ? $"the id «{id}» is used twice" : "an id has 1 to 100 characters");
        }
    }

    /// <summary>The same checks as on screen, so that a file cannot bring in what a form refuses.</summary>
    private static void Checked(Action check, NodeReader node, string key)
    {
        try
        {
            check();
        }
        catch (EditRefused refused)
        {
            node.Problem(key, refused.Message);
        }
    }
}
