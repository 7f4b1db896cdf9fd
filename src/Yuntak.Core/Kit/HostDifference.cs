using Yuntak.Core.Labs;
using Yuntak.Core.Shapes;

namespace Yuntak.Core.Kit;

/// <summary>The difference between two descriptions of one host, in words; pools apart. What is measured anew each time, such as a temperature, is no difference.</summary>
internal static class HostDifference
{
    /// <summary>Everything that differs. Disks are the same disk when their stable id is the same, whatever the kernel calls them today.</summary>
    /// <param name="before">One.</param>
    /// <param name="after">The other.</param>
    /// <param name="reading">Whether the second was read anew: then what grows by itself, such as hours run, is no difference either.</param>
    public static IReadOnlyList<HostChange> Between(Host before, Host after, bool reading = false)
    {
        var telling = new Telling(reading);
        HostShapes.Host.Tell(before, after, telling);
        return [.. telling.Told.Select(t => new HostChange(t.Kind, t.Text))];
    }
}
