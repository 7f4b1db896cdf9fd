using System.Text.Json.Nodes;

namespace Yuntak.Data;

/// <summary>The steps from each version of the stored form to the next. A step knows the two forms only, never today's model, and is never changed again.</summary>
internal static class Upgrades
{
    private static readonly Func<JsonObject, JsonObject>[] Steps =
    [
        UpgradeTo2.Step,
        UpgradeTo3.Step,
        UpgradeTo4.Step,
        UpgradeTo5.Step,
        UpgradeTo6.Step,
        UpgradeTo7.Step,
        UpgradeTo8.Step,
        UpgradeTo9.Step,
    ];

    /// <summary>How many steps there are.</summary>
    public static int Count => Steps.Length;

    /// <summary>A stored lab of a version, in today's form.</summary>
    /// <param name="version">The version, from 1.</param>
    /// <param name="lab">The lab in that form.</param>
    public static JsonObject From(int version, JsonObject lab) => Steps.Skip(version - 1).Aggregate(lab, (form, step) => step(form));
}
