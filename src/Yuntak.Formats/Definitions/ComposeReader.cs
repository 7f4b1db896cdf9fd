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
    /// <summary>The most members read of one service with all it merges in.</summary>
    private const int MostMerged = 10_000;

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
        var merged = 0;
        var guest = Merged(service, ref merged, 0).Aggregate(own, reader.Read);
        guest = reader.Finished(guest);
        if (log.Keep(guest, line))
        {
            log.Read(line, $"line {line}: {guest.Name}, an app stack");
        }
    }

    /// <summary>The members of a service with those it merges in («&lt;&lt;») before its own, at most so many.</summary>
    private static List<(string Name, int Line, INode Value)> Merged(INode node, ref int count, int depth)
    {
        List<(string Name, int Line, INode Value)> all = [];
        foreach (var member in node.Members ?? [])
        {
            if (member.Name == "<<" && depth < 8)
            {
                foreach (var place in member.Value.Items ?? [member.Value])
                {
                    all.InsertRange(0, Merged(place, ref count, depth + 1));
                }
            }
            else if (++count <= MostMerged)
            {
                all.Add(member);
            }
        }

        return all;
    }

    [GeneratedRegex(@"^\s*[""']?services[""']?\s*:", RegexOptions.Multiline | RegexOptions.ExplicitCapture, 1_000)]
    private static partial Regex Services();
}
