using Yuntak.Core.Base;

namespace Yuntak.Core.Profiles;

/// <summary>The load of one want with the profile's defaults filled in.</summary>
public sealed class Load
{
    private readonly Dictionary<string, (double Value, bool Said)> values;

    /// <summary>The load of a want under its profile. Values outside the sensible range are kept as said; the form refuses them.</summary>
    public Load(Profile profile, ValueList<LoadValue> said)
    {
        values = profile.Loads.ToDictionary(l => l.Id, l => (l.Default, false), StringComparer.Ordinal);
        foreach (var load in said)
        {
            if (values.ContainsKey(load.Id))
            {
                values[load.Id] = (load.Value, true);
            }
        }
    }

    /// <summary>How much of a load there is; 1 for a load the profile does not know.</summary>
    public double this[string id] => values.TryGetValue(id, out var v) ? v.Value : 1;

    /// <summary>Whether the person said it, rather than leaving the default.</summary>
    public bool WasSaid(string id) => values.TryGetValue(id, out var v) && v.Said;
}
