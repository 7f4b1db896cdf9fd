using System.Text.RegularExpressions;
using Yuntak.Core.Base;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Shapes;
using Yuntak.Formats.LabFiles;

namespace Yuntak.Formats.Definitions;

/// <summary>
/// Reads a Compose file (open Compose specification) into app stacks, one for each service: image, ports, networks, folders, device nodes, restart rule, limits. Of
/// environment variables only the names are read. What Yuntak wrote about its own plan beside a service, under <c>x-yuntak</c>, comes back as it was.
/// </summary>
internal static partial class ComposeReader
{
    /// <summary>The most members looked at of one service with all it merges in, each as often as it is merged.</summary>
    private const int MostMerged = 10_000;

    /// <summary>How deep merges may lie within merges.</summary>
    private const int DeepestMerge = 8;

    /// <summary>Whether a text looks like one.</summary>
    public static bool Is(string text) => Services().IsMatch(text);

    public static DefinitionReading Read(string text, string? name)
    {
        DefinitionLog log = new("Compose file");
        ProblemList problems = new(20);
        var root = SafeYaml.Root(text, problems, references: true);
        foreach (var problem in problems.Found)
        {
            log.Left(problem.Line, $"line {problem.Line}: {problem.Text}");
        }

        if (root?.Members is not { } members)
        {
            return log.ToReading();
        }

        var project = members.Where(m => m.Name == "name").Select(m => m.Value.Text).FirstOrDefault() ?? name;
        foreach (var (key, line, value) in members)
        {
            if (key == "services" && value.Members is { } services)
            {
                foreach (var service in services)
                {
                    Read(service.Name, service.Line, service.Value, project, log);
                }
            }
            else if (
                key is not ("name" or "version" or "networks" or "volumes" or "services")
                && !key.StartsWith("x-", StringComparison.Ordinal)
            )
            {
                log.Left(line, $"line {line}: {Names.Short(Names.Clean(key))}: not read");
            }
        }

        return log.ToReading();
    }

    private static void Read(string key, int line, INode service, string? project, DefinitionLog log)
    {
        if (service.Members is null)
        {
            log.Left(line, $"line {line}: service «{Names.Short(Names.Clean(key))}» says nothing");
            return;
        }

        ComposeService reader = new(project, log);
        var name = Names.Clean(key);
        var own = new Guest(new GuestId("new"), name, GuestKind.AppStack, [new Want(ProfileBook.Other)], SizeOverrides.None);
        List<(string Name, int Line, INode Value)> all = [];
        var looked = 0;
        if (!Merge(service, all, ref looked, 0))
        {
            log.Left(
                line,
                $"line {line}: service «{Names.Short(name)}» merges in («<<») more than {MostMerged:#,##0} members or more than {DeepestMerge} deep: not read"
            );
            return;
        }

        var guest = all.Aggregate(own, reader.Read);
        guest = reader.Finished(guest);
        if (log.Keep(guest, line))
        {
            log.Read(line, $"line {line}: {guest.Name}, an app stack");
        }
    }

    /// <summary>
    /// Adds the members of a service with those it merges in («&lt;&lt;») before its own, of several the first last since it counts most. Every member that is
    /// looked at is counted, so that merges within merges cannot make a small file endless.
    /// </summary>
    /// <returns>Whether it was not too much.</returns>
    private static bool Merge(INode node, List<(string Name, int Line, INode Value)> all, ref int looked, int depth)
    {
        var members = node.Members ?? [];
        looked += members.Count + 1;
        if (looked > MostMerged || depth > DeepestMerge)
        {
            return false;
        }

        foreach (var merged in members.Where(m => m.Name == "<<").Reverse())
        {
            foreach (var place in (merged.Value.Items ?? [merged.Value]).Reverse())
            {
                if (!Merge(place, all, ref looked, depth + 1))
                {
                    return false;
                }
            }
        }

        all.AddRange(members.Where(m => m.Name != "<<"));
        return true;
    }

    [GeneratedRegex(@"^[ \t]*[""']?services[""']?[ \t]*:", RegexOptions.Multiline | RegexOptions.ExplicitCapture, 1_000)]
    private static partial Regex Services();
}
