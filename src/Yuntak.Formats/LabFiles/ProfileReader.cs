using Yuntak.Core.Labs;
using Yuntak.Core.Wants;

namespace Yuntak.Formats.LabFiles;

/// <summary>Builds profiles from their part of a file and notes everything that is wrong with them.</summary>
internal static class ProfileReader
{
    /// <summary>The profiles under a key. One with a problem is left out; the problem is noted.</summary>
    public static ValueList<Profile> ReadAll(NodeReader node, string key, bool needed = false)
    {
        List<Profile> profiles = [];
        foreach (var map in node.Maps(key, needed))
        {
            if (profiles.Count == ProfileChecks.MostProfiles)
            {
                node.Problem(key, $"more than {ProfileChecks.MostProfiles} profiles");
                break;
            }

            var profile = Read(map);
            if (profiles.Any(p => p.Id == profile.Id))
            {
                map.Problem("id", $"the profile «{profile.Id}» is there twice");
            }

            profiles.Add(profile);
        }

        return [.. profiles];
    }

    private static Profile Read(NodeReader map)
    {
        var before = map.Problems;
        var standard = ProfileTree.Standard;
        var profile = standard with
        {
            Id = map.Text("id", needed: true) ?? "",
            Name = map.Text("name", needed: true) ?? "",
            Summary = map.Text("summary", needed: true) ?? "",
            Family = map.Word("family", LabFileNames.ServiceFamilies, Family.House, needed: true),
            Advised = [.. map.Words("advised", LabFileNames.Kinds, needed: true)],
            Advice = map.Text("advice") ?? "",
            Caution = map.Text("caution"),
            Needs = [.. map.Texts("needs")],
            Ports = [.. map.NumberList("ports").Select(p => (int)Math.Clamp(p, 0, int.MaxValue))],
            StartOrder = map.Whole("start-order", 0, 1000) ?? standard.StartOrder,
            FirstStartMinutes = map.Whole("first-start-minutes", 0, 1440) ?? standard.FirstStartMinutes,
            MemoryFloorGiB = map.Number("memory-floor", 0, 4096) ?? 0,
            Loads = [.. map.Maps("loads").Select(Load)],
            Shape = Shape(map),
        };
        foreach (var terms in ProfileTerms.All)
        {
            profile = terms.With(profile, [.. map.Maps(terms.Word).Select(Term)]);
        }

        map.Done();
        if (map.Problems == before)
        {
            foreach (var (part, text) in ProfileChecks.Problems(profile))
            {
                map.Problem(part, text);
            }
        }

        return profile;
    }

    private static LoadSpec Load(NodeReader map)
    {
        var load = new LoadSpec(
            map.Text("id", needed: true) ?? "",
            map.Text("label", needed: true) ?? "",
            map.Text("unit") ?? "",
            map.Text("says", needed: true) ?? "",
            map.Number("usual", needed: true),
            map.Number("min", needed: true),
            map.Number("max", needed: true),
            map.Number("step", 0, double.MaxValue) ?? 1,
            map.Flag("yes-no") ?? false,
            map.Flag("for-the-record") ?? false
        );
        map.Done();
        return load;
    }

    private static Term Term(NodeReader map)
    {
        var term = new Term(
            map.Text("label", needed: true) ?? "",
            map.Number("amount", needed: true),
            [.. map.Texts("per")],
            [.. map.Words("only", LabFileNames.Kinds)],
            !(map.Flag("published") ?? false)
        );
        map.Done();
        return term;
    }

    /// <summary>A named shape, or 24 numbers.</summary>
    private static DayShape Shape(NodeReader map)
    {
        if (map.IsList("shape"))
        {
            return new DayShape([.. map.NumberList("shape")]);
        }

        return map.Word("shape", LabFileNames.Shapes, DayShape.Flat);
    }
}
