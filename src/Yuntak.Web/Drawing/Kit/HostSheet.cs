using System.Xml.Linq;
using Yuntak.Core.Labs;
using Yuntak.Core.Shapes;
using Yuntak.Core.Units;

namespace Yuntak.Web.Drawing.Kit;

/// <summary>What a drawing of a host is made from.</summary>
/// <param name="Name">The host's name.</param>
/// <param name="Processor">Its processors; null when unknown.</param>
/// <param name="Memory">Its memory; null when unknown.</param>
/// <param name="Disks">Its disks.</param>
/// <param name="Inside">What else is inside.</param>
/// <param name="Largest">The memory of the largest host drawn beside it, which sets the scale.</param>
/// <param name="Id">The host's identity, for links to its things; null for a host that is not in the lab yet.</param>
/// <param name="Lit">The thing that is open beside the drawing.</param>
internal sealed record HostSheet(
    string Name,
    Processor? Processor,
    ByteSize? Memory,
    IReadOnlyList<Disk> Disks,
    Hardware Inside,
    ByteSize Largest = default,
    HostId? Id = null,
    string? Lit = null
)
{
    /// <summary>A host of the lab.</summary>
    public static HostSheet Of(Host host, ByteSize largest, string? lit) =>
        new(host.Name, host.Processor, host.Memory, [.. host.Disks], host.Hardware, largest, host.Id, lit);

    /// <summary>A drawn thing that can be opened: where its figures came from, and how to correct them.</summary>
    /// <param name="key">The thing: «memory», «disks/wwn-0x1».</param>
    /// <param name="words">What it is, for those who do not see it.</param>
    /// <param name="parts">Its shapes.</param>
    public XElement Thing(string key, string words, params object?[] parts)
    {
        var group = Svg.Group("thing" + (key == Lit ? " lit" : ""), [new XElement("title", words), .. parts]);
        return Id is { } id ? Svg.Link($"/Kit?host={Uri.EscapeDataString(id.Value)}&look={Uri.EscapeDataString(key)}", group) : group;
    }
}
