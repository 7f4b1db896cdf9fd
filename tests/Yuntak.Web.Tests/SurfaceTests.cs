using System.Reflection;
using System.Reflection.Metadata;
using System.Reflection.PortableExecutable;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Shapes;

namespace Yuntak.Web.Tests;

/// <summary>The core shows what other projects use, and nothing else.</summary>
public class SurfaceTests
{
    private static readonly Assembly Core = typeof(Lab).Assembly;

    [Fact]
    public void Every_public_type_of_the_core_is_used_by_another_project_or_by_one_that_is()
    {
        var shown = new HashSet<Type>();
        var waiting = new Queue<Type>(
            new[] { "Yuntak.Web", "Yuntak.Cli", "Yuntak.Data", "Yuntak.Formats", "Yuntak.Web.Tests" }
                .SelectMany(UsedBy)
                .Concat(NamedForConstants())
                .Distinct()
        );
        while (waiting.TryDequeue(out var type))
        {
            if (shown.Add(type))
            {
                foreach (var next in Exposed(type).SelectMany(Parts).Where(t => t.Assembly == Core))
                {
                    waiting.Enqueue(next);
                }
            }
        }

        Core.GetExportedTypes().Where(t => !shown.Contains(t)).Select(t => t.FullName).Order(StringComparer.Ordinal).ShouldBeEmpty();
    }

    /// <summary>The types of the core that the code of a project names.</summary>
    private static IEnumerable<Type> UsedBy(string project)
    {
        using var file = new PEReader(File.OpenRead(Assembly.Load(project).Location));
        var reader = file.GetMetadataReader();
        return
        [
            .. from handle in reader.TypeReferences
            let reference = reader.GetTypeReference(handle)
            let type = Core.GetType($"{reader.GetString(reference.Namespace)}.{reader.GetString(reference.Name)}")
            where type is not null
            select type,
        ];
    }

    /// <summary>Types with constants, which compilers copy so that no reference to them is left: those named in the sources of another project.</summary>
    private static IEnumerable<Type> NamedForConstants()
    {
        var sources = string.Concat(
            Directory
                .EnumerateFiles(Path.Combine(Repository.Root, "src"), "*.cs*", SearchOption.AllDirectories)
                .Where(f => !f.Contains("/obj/") && !f.Contains("/Yuntak.Core/"))
                .Select(File.ReadAllText)
        );
        return Core.GetExportedTypes().Where(t => t.GetFields().Any(f => f.IsLiteral && sources.Contains($"{t.Name}.{f.Name}")));
    }

    /// <summary>What a type shows with its own face: what it is made from, and what its members take and give.</summary>
    private static IEnumerable<Type> Exposed(Type type)
    {
        const BindingFlags All =
            BindingFlags.Public | BindingFlags.NonPublic | BindingFlags.Instance | BindingFlags.Static | BindingFlags.DeclaredOnly;
        var seen = type.GetConstructors(All).Cast<MethodBase>().Concat(type.GetMethods(All)).Where(m => m.IsPublic || m.IsFamily).ToList();
        return
        [
            .. type.GetInterfaces(),
            .. type.BaseType is { } parent ? [parent] : Type.EmptyTypes,
            .. type.GetNestedTypes(),
            .. type.DeclaringType is { } outer ? [outer] : Type.EmptyTypes,
            .. type.GetFields(All).Where(f => f.IsPublic || f.IsFamily).Select(f => f.FieldType),
            .. seen.SelectMany(m => m.GetParameters()).Select(p => p.ParameterType),
            .. seen.OfType<MethodInfo>().Select(m => m.ReturnType),
        ];
    }

    private static IEnumerable<Type> Parts(Type type) =>
        type.HasElementType ? Parts(type.GetElementType()!)
        : type.IsGenericType ? type.GetGenericArguments().SelectMany(Parts).Append(type.GetGenericTypeDefinition())
        : [type];
}
