using System.Globalization;
using System.Text.RegularExpressions;
using System.Xml;
using System.Xml.Linq;
using Yuntak.Core.Base;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Units;
using Yuntak.Core.Wants;

namespace Yuntak.Formats.Definitions;

/// <summary>Reads an OVF envelope (DMTF DSP0243): processors, memory, disks and network adapters of each virtual system, which becomes a machine.</summary>
internal static partial class EnvelopeReader
{
    // Resource types of the CIM resource allocation classes that DSP0243 refers to.
    private const int Processor = 3;
    private const int Memory = 4;
    private const int Ethernet = 10;
    private const int Disk = 17;

    // An envelope of DSP0243 is some ten elements deep.
    private const int Deepest = 64;
    private const int MostElements = 200_000;

    private static readonly XmlReaderSettings Careful = new()
    {
        DtdProcessing = DtdProcessing.Prohibit,
        XmlResolver = null,
        MaxCharactersFromEntities = 1_000,
    };

    /// <summary>Whether a text begins like an envelope.</summary>
    public static bool Is(ReadOnlySpan<char> text) => text.StartsWith("<") && text.Contains("Envelope", StringComparison.Ordinal);

    public static DefinitionReading Read(string text)
    {
        DefinitionLog log = new("OVF envelope");
        XElement? root;
        try
        {
            if (Hazard(text) is { } hazard)
            {
                log.Left(hazard.Line, $"line {hazard.Line}: {hazard.Text}: not read");
                return log.ToReading();
            }

            using var reader = XmlReader.Create(new StringReader(text), Careful);
            root = XDocument.Load(reader, LoadOptions.SetLineInfo).Root;
        }
        catch (XmlException broken)
        {
            log.Left(broken.LineNumber, $"line {broken.LineNumber}: this is not XML: {Names.Clean(broken.Message)}");
            return log.ToReading();
        }

        if (root?.Name.LocalName != "Envelope")
        {
            log.Left(1, $"line 1: the file's outermost element is «{Names.Short(root?.Name.LocalName)}», not an Envelope");
            return log.ToReading();
        }

        var disks = Disks(root, log);
        foreach (var system in root.Descendants().Where(e => e.Name.LocalName == "VirtualSystem").Take(DefinitionReading.MostGuests + 1))
        {
            Read(system, disks, log);
        }

        foreach (
            var section in root.Elements()
                .Where(e =>
                    e.Name.LocalName.EndsWith("Section", StringComparison.Ordinal)
                    && e.Name.LocalName is not ("DiskSection" or "NetworkSection")
                )
        )
        {
            log.Left(LineOf(section), $"line {LineOf(section)}: {Names.Short(section.Name.LocalName)}: not read");
        }

        return log.ToReading();
    }

    /// <summary>What would make a small file take long, found without building anything.</summary>
    /// <exception cref="XmlException">It is not XML.</exception>
    private static (int Line, string Text)? Hazard(string text)
    {
        using var reader = XmlReader.Create(new StringReader(text), Careful);
        var elements = 0;
        while (reader.Read())
        {
            if (reader.Depth > Deepest)
            {
                return (((IXmlLineInfo)reader).LineNumber, $"elements more than {Deepest} deep");
            }

            if (reader.NodeType == XmlNodeType.Element && ++elements > MostElements)
            {
                return (((IXmlLineInfo)reader).LineNumber, $"more than {Numbers.Exact(MostElements)} elements");
            }
        }

        return null;
    }

    /// <summary>The capacity of each disk of the envelope, in bytes.</summary>
    private static Dictionary<string, ByteSize> Disks(XElement root, DefinitionLog log)
    {
        Dictionary<string, ByteSize> disks = new(StringComparer.Ordinal);
        foreach (
            var disk in root.Elements().Where(e => e.Name.LocalName == "DiskSection").Elements().Where(e => e.Name.LocalName == "Disk")
        )
        {
            var id = Attribute(disk, "diskId");
            if (id is not null && Scaled(Attribute(disk, "capacity"), Attribute(disk, "capacityAllocationUnits")) is { } size)
            {
                disks[id] = size;
            }
            else
            {
                log.Left(LineOf(disk), $"line {LineOf(disk)}: a disk whose capacity is not a number: not read");
            }
        }

        return disks;
    }

    private static void Read(XElement system, Dictionary<string, ByteSize> disks, DefinitionLog log)
    {
        var line = LineOf(system);
        var name = Names.Clean(
            system.Elements().FirstOrDefault(e => e.Name.LocalName == "Name")?.Value ?? Attribute(system, "id") ?? "machine"
        );
        int? vcpu = null;
        ByteSize? memory = null;
        List<ByteSize> volumes = [];
        var adapters = 0;
        var items = system.Descendants().Where(e => e.Name.LocalName is "Item" or "StorageItem" or "EthernetPortItem").Take(1_000);
        foreach (var item in items)
        {
            var at = LineOf(item);
            var type = int.TryParse(Value(item, "ResourceType"), NumberStyles.None, CultureInfo.InvariantCulture, out var known)
                ? known
                : 0;
            switch (type)
            {
                case Processor when Whole(Value(item, "VirtualQuantity")) is > 0 and <= 4096 and var count:
                    vcpu = (int)count;
                    log.Read(at, $"line {at}: {Numbers.Count(vcpu.Value, "processor")}");
                    break;
                case Memory when Scaled(Value(item, "VirtualQuantity"), Value(item, "AllocationUnits") ?? "byte * 2^20") is { } size:
                    memory = size;
                    log.Read(at, $"line {at}: {size} of memory");
                    break;
                case Disk when Value(item, "HostResource") is { } resource && disks.TryGetValue(resource.Split('/')[^1], out var capacity):
                    volumes.Add(capacity);
                    log.Read(at, $"line {at}: a disk of {capacity}");
                    break;
                case Ethernet:
                    adapters++;
                    log.Read(
                        at,
                        $"line {at}: a network adapter{(Value(item, "Connection") is { } network ? $" in {Names.Short(network)}" : "")}"
                    );
                    break;
                default:
                    log.Left(
                        at,
                        $"line {at}: {Names.Short(Names.Clean(Value(item, "ElementName") ?? $"an item of type {type}"))}: not read"
                    );
                    break;
            }
        }

        var guest = new Guest(
            new GuestId("new"),
            name.Length > Names.LongestName ? name[..Names.LongestName].Trim() : name,
            GuestKind.Machine,
            [new Want(ProfileGuess.Of(name, GuestKind.Machine, []))],
            new SizeOverrides(
                vcpu,
                memory,
                volumes.Count > 0 ? volumes[0] : null,
                volumes.Count > 1 ? volumes.Skip(1).Aggregate(ByteSize.Zero, (sum, v) => sum + v) : ByteSize.Zero
            )
        );
        if (log.Keep(guest, line))
        {
            log.Read(
                line,
                $"line {line}: {name}, a machine with {Numbers.Count(volumes.Count, "disk")} and {Numbers.Count(adapters, "network adapter")}"
            );
        }
    }

    private static int LineOf(XElement element) => ((IXmlLineInfo)element).LineNumber;

    private static string? Attribute(XElement element, string name) =>
        element.Attributes().FirstOrDefault(a => a.Name.LocalName == name)?.Value;

    private static string? Value(XElement item, string name) =>
        item.Elements().FirstOrDefault(e => e.Name.LocalName == name)?.Value.Trim() is { Length: > 0 } value ? value : null;

    private static long? Whole(string? text) =>
        long.TryParse(text, NumberStyles.None, CultureInfo.InvariantCulture, out var number) ? number : null;

    /// <summary>A quantity in its allocation units: «byte * 2^20» as DSP0004 writes them, or the words of earlier versions.</summary>
    private static ByteSize? Scaled(string? quantity, string? units)
    {
        if (Whole(quantity) is not { } number)
        {
            return null;
        }

        var unit = (units ?? "byte").Trim().ToLowerInvariant();
        double? factor = unit switch
        {
            "byte" or "bytes" => 1,
            "kilobytes" or "kb" => 1L << 10,
            "megabytes" or "mb" => 1L << 20,
            "gigabytes" or "gb" => 1L << 30,
            _ when Power().Match(unit) is { Success: true } power => Math.Pow(
                int.Parse(power.Groups["base"].Value, CultureInfo.InvariantCulture),
                int.Parse(power.Groups["power"].Value, CultureInfo.InvariantCulture)
            ),
            _ => null,
        };
        return factor is { } times && number > 0 && number * times <= ByteSize.LargestEntered.Bytes
            ? ByteSize.Rounded(number * times)
            : null;
    }

    [GeneratedRegex(@"^bytes?\s*\*\s*(?<base>2|10)\s*\^\s*(?<power>[0-9]{1,2})$", RegexOptions.ExplicitCapture, 1_000)]
    private static partial Regex Power();
}
