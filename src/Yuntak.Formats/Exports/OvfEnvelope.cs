using System.Globalization;
using System.Text;
using System.Xml;
using System.Xml.Linq;
using Yuntak.Core.Base;
using Yuntak.Core.Bench;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Units;
using Yuntak.Core.Wants;

namespace Yuntak.Formats.Exports;

/// <summary>
/// A machine as an OVF envelope (DMTF DSP0243, its schema DSP8023): processors, memory, disks still empty, and an adapter for each place on a network. Within an item
/// the elements stand in the order of the schema, which is that of the alphabet.
/// </summary>
public static class OvfEnvelope
{
    private static readonly XNamespace Ovf = "http://schemas.dmtf.org/ovf/envelope/1";
    private static readonly XNamespace Rasd = "http://schemas.dmtf.org/wbem/wscim/1/cim-schema/2/CIM_ResourceAllocationSettingData";
    private static readonly XNamespace Vssd = "http://schemas.dmtf.org/wbem/wscim/1/cim-schema/2/CIM_VirtualSystemSettingData";

    // Resource types of the CIM resource allocation classes that DSP0243 refers to; 101 is Linux on 64 bit in CIM_OperatingSystem (from memory).
    private const int Processor = 3;
    private const int Memory = 4;
    private const int Controller = 20;
    private const int Ethernet = 10;
    private const int Disk = 17;
    private const int LinuxOn64Bit = 101;

    /// <summary>The envelope.</summary>
    /// <param name="sums">The lab.</param>
    /// <param name="guest">A machine of it.</param>
    /// <exception cref="Refused">It is packaged otherwise.</exception>
    public static string Of(Sums sums, Guest guest)
    {
        if (guest.Kind != GuestKind.Machine)
        {
            throw new Refused($"{guest.Name} is no machine: an envelope describes machines only.");
        }

        var sizing = sums.Guest(guest.Id);
        List<(string Id, string Name, ByteSize Size)> disks = [("system", "system disk", sizing.SystemDisk)];
        if (GuestVolumes.Bulk(sums.Lab, sizing) is { Place: VolumePlace.OwnDisk } bulk)
        {
            disks.Add(("bulk", bulk.Name, bulk.Size));
        }

        var networks = guest.Interfaces.Select(l => l.Network).Distinct(StringComparer.Ordinal).ToList();
        var envelope = new XElement(
            Ovf + "Envelope",
            new XAttribute("xmlns", Ovf),
            new XAttribute(XNamespace.Xmlns + "ovf", Ovf),
            new XAttribute(XNamespace.Xmlns + "rasd", Rasd),
            new XAttribute(XNamespace.Xmlns + "vssd", Vssd),
            new XAttribute(Ovf + "version", "1.0.0"),
            new XAttribute(XNamespace.Xml + "lang", "en"),
            new XElement(Ovf + "References"),
            new XElement(
                Ovf + "DiskSection",
                Info("Disks, still empty"),
                disks.Select(d => new XElement(
                    Ovf + "Disk",
                    new XAttribute(Ovf + "diskId", d.Id),
                    new XAttribute(Ovf + "capacity", d.Size.Bytes.ToString(CultureInfo.InvariantCulture)),
                    new XAttribute(Ovf + "capacityAllocationUnits", "byte")
                ))
            ),
            new XElement(
                Ovf + "NetworkSection",
                Info("Networks by the name they have in the lab"),
                networks.Select(n => new XElement(
                    Ovf + "Network",
                    new XAttribute(Ovf + "name", Clean(n)),
                    new XElement(Ovf + "Description", Clean(n))
                ))
            ),
            Machine(guest, sizing, disks)
        );
        using var text = new Utf8Writer();
        using (var xml = XmlWriter.Create(text, new XmlWriterSettings { Indent = true, NewLineChars = "\n" }))
        {
            new XDocument(envelope).Save(xml);
        }

        return text + "\n";
    }

    private static XElement Machine(Guest guest, Sizing sizing, List<(string Id, string Name, ByteSize Size)> disks)
    {
        var next = 1;
        string Id() => next++.ToString(CultureInfo.InvariantCulture);
        List<XElement> items =
        [
            Item(
                ("ElementName", $"{sizing.Vcpu} virtual processors"),
                ("InstanceID", Id()),
                ("ResourceType", Text(Processor)),
                ("VirtualQuantity", Text(sizing.Vcpu))
            ),
            Item(
                ("AllocationUnits", "byte * 2^20"),
                ("ElementName", $"{Math.Ceiling(sizing.Memory.MiB):0} MiB of memory"),
                ("InstanceID", Id()),
                ("ResourceType", Text(Memory)),
                ("VirtualQuantity", Math.Ceiling(sizing.Memory.MiB).ToString("0", CultureInfo.InvariantCulture))
            ),
        ];
        var controller = Id();
        items.Add(
            Item(("Address", "0"), ("ElementName", "disk controller"), ("InstanceID", controller), ("ResourceType", Text(Controller)))
        );
        items.AddRange(
            disks.Select(
                (d, n) =>
                    Item(
                        ("AddressOnParent", Text(n)),
                        ("ElementName", d.Name),
                        ("HostResource", $"ovf:/disk/{d.Id}"),
                        ("InstanceID", Id()),
                        ("Parent", controller),
                        ("ResourceType", Text(Disk))
                    )
            )
        );
        items.AddRange(
            guest.Interfaces.Select(
                (l, n) =>
                    Item(
                        ("Address", Core.Wires.Macs.Of(guest, l)),
                        ("AddressOnParent", Text(n)),
                        ("AutomaticAllocation", "true"),
                        ("Connection", Clean(l.Network)),
                        ("ElementName", $"adapter on {Clean(l.Network)}"),
                        ("InstanceID", Id()),
                        ("ResourceType", Text(Ethernet))
                    )
            )
        );
        return new XElement(
            Ovf + "VirtualSystem",
            new XAttribute(Ovf + "id", Names.Slug(guest.Name)),
            Info("A machine"),
            new XElement(Ovf + "Name", Clean(guest.Name)),
            new XElement(
                Ovf + "OperatingSystemSection",
                new XAttribute(Ovf + "id", LinuxOn64Bit),
                Info("The system that is installed in it"),
                new XElement(Ovf + "Description", "Linux, 64 bit")
            ),
            new XElement(
                Ovf + "VirtualHardwareSection",
                Info("Processors, memory, disks and adapters"),
                new XElement(
                    Ovf + "System",
                    new XElement(Vssd + "ElementName", "virtual hardware"),
                    new XElement(Vssd + "InstanceID", "0"),
                    new XElement(Vssd + "VirtualSystemIdentifier", Names.Slug(guest.Name))
                ),
                items
            )
        );
    }

    private static XElement Info(string text) => new(Ovf + "Info", text);

    private static XElement Item(params (string Name, string Value)[] parts) =>
        new(Ovf + "Item", parts.Select(p => new XElement(Rasd + p.Name, p.Value)));

    private static string Text(int number) => number.ToString(CultureInfo.InvariantCulture);

    /// <summary>A name without what XML cannot hold.</summary>
    private static string Clean(string text) => string.Concat(text.Where(XmlConvert.IsXmlChar));

    private sealed class Utf8Writer() : StringWriter(CultureInfo.InvariantCulture)
    {
        public override Encoding Encoding => Encoding.UTF8;
    }
}
