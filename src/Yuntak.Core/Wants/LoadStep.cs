using Yuntak.Core.Base;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Shapes;
using Yuntak.Core.Units;

namespace Yuntak.Core.Wants;

/// <summary>What one step more of a load would add to a guest.</summary>
/// <param name="Load">The load and the step: «cameras 4 → 5».</param>
/// <param name="Adds">What it adds, in words; never empty.</param>
/// <param name="Weight">How much that is against what the guest has already; the largest share of cores, memory and data.</param>
public sealed record LoadStep(string Load, string Adds, double Weight)
{
    private const double TenthMore = 0.1;

    /// <summary>The steps that change a guest most, the heaviest first. Counts go up by one, amounts by a tenth or by the step of their field.</summary>
    /// <param name="lab">Its lab.</param>
    /// <param name="guest">The guest.</param>
    /// <param name="most">The most that are answered.</param>
    public static IReadOnlyList<LoadStep> Heaviest(Lab lab, Guest guest, int most = 3)
    {
        var before = Sizing.Of(lab, guest);
        var book = lab.Book;
        List<LoadStep> steps = [];
        for (var n = 0; n < guest.Wants.Count; n++)
        {
            var profile = book.Get(guest.Wants[n].ProfileId);
            var load = new Load(profile, guest.Wants[n].Load);
            foreach (var spec in profile.Loads.Where(l => l is { YesNo: false, ForTheRecord: false }))
            {
                var now = load[spec.Id];
                var next = Math.Min(spec.Max, Next(spec, now));
                if (next > now && Step(before, spec, now, next, Sizing.Of(lab, With(guest, n, spec.Id, next))) is { } step)
                {
                    steps.Add(step);
                }
            }
        }

        return [.. steps.OrderByDescending(s => s.Weight).Take(most)];
    }

    private static double Next(LoadSpec spec, double now) =>
        spec is { Step: 1, Unit.Length: 0 }
            ? Math.Floor(now) + 1
            : now + Math.Max(spec.Step, Math.Ceiling(now * TenthMore / spec.Step) * spec.Step);

    private static Guest With(Guest guest, int want, string load, double value)
    {
        var wants = guest.Wants.ToList();
        wants[want] = wants[want] with { Load = [.. wants[want].Load.Where(l => l.Id != load), new LoadValue(load, value)] };
        return guest with { Wants = [.. wants], Overrides = SizeOverrides.None };
    }

    private static LoadStep? Step(Sizing before, LoadSpec spec, double now, double next, Sizing after)
    {
        var cores = after.BusyCores.Value - before.BusyCores.Value;
        var memory = after.ExpectedMemory - before.ExpectedMemory;
        var data = after.AdvisedBulk.Value + after.AdvisedSystemDisk.Value - before.AdvisedBulk.Value - before.AdvisedSystemDisk.Value;
        var encode = after.EncodeMegapixels.Value - before.EncodeMegapixels.Value;
        List<string> adds = [];
        Say(adds, cores > 1e-6, $"{Numbers.Short(cores)} cores");
        Say(adds, memory > ByteSize.FromMiB(1), $"{memory} of memory");
        Say(adds, data > ByteSize.FromMiB(1), $"{data.ToDecimalString()} of disk");
        if (adds.Count == 0)
        {
            return null;
        }

        var instead = encode > 0 && cores > 1e-6 ? $"; an encoder that can do {Numbers.Short(encode)} Mpx/s more spares the cores" : "";
        var unit = spec.Unit.Length > 0 ? Numbers.ThinSpace + spec.Unit : "";
        var weight = Math.Max(
            cores / Math.Max(0.25, before.BusyCores.Value),
            Math.Max(
                memory.ShareOf(before.ExpectedMemory).Value,
                data.ShareOf(before.AdvisedBulk.Value + before.AdvisedSystemDisk.Value).Value
            )
        );
        var label = char.ToLowerInvariant(spec.Label[0]) + spec.Label[1..];
        return new LoadStep(
            $"{label} {Arrow.Between(Numbers.Short(now) + unit, Numbers.Short(next) + unit)}",
            string.Join(", ", adds) + instead,
            weight
        );
    }

    private static void Say(List<string> adds, bool worth, string words)
    {
        if (worth)
        {
            adds.Add("+ " + words);
        }
    }
}
