using Yuntak.Core.Labs;
using Yuntak.Core.Shapes;
using Yuntak.Core.Units;

namespace Yuntak.Core.Kit;

/// <summary>What was read, held to the limits that forms and lab files have: what Yuntak lets in, it can write and read again.</summary>
public static class SoundReading
{
    /// <summary>The reading with only what may be kept; what was left out is said as a part of its own.</summary>
    public static HostReading Of(HostReading reading)
    {
        List<Problem> dropped = [];
        // Half a processor is none: a count that was left out must not be taken for one.
        var processor = reading.Processor is { } p && HostShapes.Processor.Sound(p, dropped) == p ? p : null;
        var memory = reading.Memory is { } size && size > ByteSize.Zero && size <= ByteSize.LargestEntered ? reading.Memory : null;
        if (memory != reading.Memory)
        {
            dropped.Add(new Problem("memory", $"more than {ByteSize.LargestEntered}, or nothing"));
        }

        List<Disk> disks = [.. reading.Disks.Select(d => Whole(DiskShapes.Disk, d, dropped)).OfType<Disk>()];
        var hardware = HardwareShapes.Inside.Sound(reading.Hardware, dropped);
        List<HealthReading> health = [.. reading.OtherHealth.Select(h => h with { Health = DiskShapes.Health.Sound(h.Health, dropped) })];
        if (dropped.Count == 0)
        {
            return reading;
        }

        List<string> said = [.. dropped.Take(PartReading.MostProblems).Select(d => $"{d.Path}: {d.Sentence.TrimEnd('.')}; left out")];
        if (dropped.Count > said.Count)
        {
            said.Add($"{Numbers.Count(dropped.Count - said.Count, "more value")} outside the limits, left out");
        }

        return reading with
        {
            Processor = processor,
            Memory = memory,
            Disks = disks,
            Hardware = hardware,
            OtherHealth = health,
            Parts = [.. reading.Parts, new PartReading(KitParts.Other, 0, said)],
        };
    }

    /// <summary>A thing with only what may be kept; null when nothing useful is left of it.</summary>
    private static T? Whole<T>(Shape<T> shape, T thing, List<Problem> dropped)
        where T : class
    {
        var sound = shape.Sound(thing, dropped);
        var rest = shape.Problems(sound).ToList();
        dropped.AddRange(rest.Where(r => dropped.All(d => d.Path != r.Path)));
        return rest.Count == 0 ? sound : null;
    }
}
