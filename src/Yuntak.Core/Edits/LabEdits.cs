using Yuntak.Core.Base;
using Yuntak.Core.Labs;

namespace Yuntak.Core.Edits;

/// <summary>Changes to the lab as a whole.</summary>
public static class LabEdits
{
    /// <summary>Gives the lab a name.</summary>
    public static Edit Rename(string name) =>
        lab =>
        {
            var checkedName = Names.Checked(name, "lab");
            return new Changed(lab with { Name = checkedName }, $"the lab is called {checkedName}");
        };

    /// <summary>Changes the assumptions behind the sums.</summary>
    public static Edit Settings(LabSettings settings) => lab => new Changed(lab with { Settings = settings }, "assumptions changed");

    /// <summary>Replaces the whole draft, from a lab file.</summary>
    public static Edit Replace(Lab with) =>
        _ => new Changed(with, $"read from a lab file: {with.Hosts.Count} hosts, {with.Guests.Count} guests");
}
