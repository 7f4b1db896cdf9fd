using System.Reflection;
using Yuntak.Core.Base;
using Yuntak.Core.Labs;
using Yuntak.Core.Shapes;

namespace Yuntak.Core.Tests.Shapes;

/// <summary>No member of a record is forgotten by its shape, and no word of a kind by its table.</summary>
public class ShapeTests
{
    private static readonly IReadOnlyList<FieldInfo> Constants =
    [
        .. typeof(LabShapes)
            .Assembly.GetTypes()
            .Where(t => t is { IsAbstract: true, IsSealed: true })
            .SelectMany(t => t.GetFields(BindingFlags.Static | BindingFlags.Public | BindingFlags.NonPublic)),
    ];

    private static readonly IReadOnlyList<object> AllShapes = Of(typeof(Shape<>));

    private static readonly IReadOnlyList<object> AllTables = Of(typeof(WordTable<>));

    [Fact]
    public void Every_member_a_record_is_made_of_has_exactly_one_field()
    {
        AllShapes.Count.ShouldBeGreaterThan(20);
        foreach (var shape in AllShapes)
        {
            var record = shape.GetType().GetGenericArguments()[0];
            var fields = (System.Collections.IEnumerable)shape.GetType().GetProperty("Fields")!.GetValue(shape)!;
            var members = fields
                .Cast<object>()
                .Select(f => (string)f.GetType().GetProperty("Member")!.GetValue(f)!)
                .Where(m => m.Length > 0)
                .ToList();
            members.ShouldBeUnique(record.Name);
            members.ShouldBe(Members(record, members), ignoreOrder: true, record.Name);
        }
    }

    [Fact]
    public void Names_of_fields_are_promises_in_one_style_and_one_of_a_kind()
    {
        foreach (var shape in AllShapes)
        {
            var fields = (System.Collections.IEnumerable)shape.GetType().GetProperty("Fields")!.GetValue(shape)!;
            var names = fields.Cast<object>().Select(f => (string)f.GetType().GetProperty("Name")!.GetValue(f)!).ToList();
            names.ShouldBeUnique();
            names.ShouldAllBe(n => n.All(c => char.IsAsciiLetterLower(c) || char.IsAsciiDigit(c) || c == '-'));
        }
    }

    [Fact]
    public void Every_value_of_every_kind_has_a_word_of_its_own()
    {
        AllTables.Count.ShouldBeGreaterThan(8);
        foreach (var table in AllTables)
        {
            var kind = table.GetType().GetGenericArguments()[0];
            var word = table.GetType().GetMethod("Word")!;
            var words = Enum.GetValues(kind).Cast<object>().Select(v => (string)word.Invoke(table, [v])!).ToList();
            words.ShouldAllBe(w => w.Length > 0, kind.Name);
            words.ShouldBeUnique(kind.Name);
        }
    }

    private static List<object> Of(Type generic) =>
        [
            .. Constants
                .Where(f => f.FieldType.IsGenericType && f.FieldType.GetGenericTypeDefinition() == generic)
                .Select(f => f.GetValue(null)!),
        ];

    /// <summary>The members of a record; those of a record within it where the shape spells them out.</summary>
    private static IEnumerable<string> Members(Type record, IReadOnlyList<string> spelled) =>
        from parameter in record
            .GetConstructors(BindingFlags.Instance | BindingFlags.Public | BindingFlags.NonPublic)
            .MaxBy(c => c.GetParameters().Length)!
            .GetParameters()
        from member in spelled.Any(m => m.StartsWith(parameter.Name + ".", StringComparison.Ordinal))
            ? Members(parameter.ParameterType, []).Select(inner => $"{parameter.Name}.{inner}")
            : [parameter.Name!]
        select member;
}
