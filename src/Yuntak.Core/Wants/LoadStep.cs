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

    /// <summary>The steps that change a guest most, the heaviest first. Counts go up by one, amounts by a tenth or by the step of their field; a question of yes or no is answered the other way.</summary>
    /// <param name="lab">Its lab.</param>
    /// <param name="guest">The guest.</param>
    /// <param name="most">The most that are answered.</param>
    public static IReadOnlyList<LoadStep> Heaviest(Lab lab, Guest guest, int most = 5)
    {
        var before = Sizing.Of(lab, guest);
        var book = lab.Book;
        List<LoadStep> steps = [];
        for (var n = 0; n < guest.Wants.Count; n++)
        {
            var profile = book.Get(guest.Wants[n].ProfileId);
            var load = new Load(profile, guest.Wants[n].Load);
            foreach (var spec in profile.Loads.Where(l => !l.ForTheRecord))
            {
                var now = load[spec.Id];
                var next =
                    !spec.YesNo ? Math.Min(spec.Max, Next(spec, now))
                    : now > 0 ? 0
                    : 1;
                if (Math.Abs(next - now) > 0 && Step(before, spec, now, next, Sizing.Of(lab, With(guest, n, spec.Id, next))) is { } step)
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
        var data = (
            was: before.AdvisedBulk.Value + before.AdvisedSystemDisk.Value,
            now: after.AdvisedBulk.Value + after.AdvisedSystemDisk.Value
        );
        (double Part, string? Words)[] parts =
        [
            Part(before.BusyCores.Value, after.BusyCores.Value, 0.25, v => $"{Numbers.Short(v)} cores"),
            Part(before.ExpectedMemory.Bytes, after.ExpectedMemory.Bytes, 1 << 20, v => $"{ByteSize.Rounded(v)} of memory"),
            Part(data.was.Bytes, data.now.Bytes, 1 << 20, v => $"{ByteSize.Rounded(v).ToDecimalString()} of disk"),
            Beside(before.LeftToEncoder, after.LeftToEncoder, v => $"{Numbers.Short(v)} Mpx/s of a video encoder"),
            Beside(before.AcceleratorShare.Value.Value, after.AcceleratorShare.Value.Value, v => $"{new Share(v)} of an AI accelerator"),
        ];
        var adds = parts.Select(p => p.Words).OfType<string>().ToList();
        if (adds.Count == 0)
        {
            return null;
        }

        var unit = spec.Unit.Length > 0 ? Numbers.ThinSpace + spec.Unit : "";
        var label = char.ToLowerInvariant(spec.Label[0]) + spec.Label[1..];
        var step = spec.YesNo
            ? Arrow.Between(now > 0 ? "yes" : "no", next > 0 ? "yes" : "no")
            : Arrow.Between(Numbers.Short(now) + unit, Numbers.Short(next) + unit);
        return new LoadStep($"{label} {step}", string.Join(", ", adds), parts.Max(p => p.Part));
    }

    /// <summary>How much one figure changes against what it was, and in words; nothing when it hardly does.</summary>
    private static (double Part, string? Words) Part(double was, double now, double floor, Func<double, string> words)
    {
        var change = now - was;
        var part = Math.Abs(change) / Math.Max(floor, was);
        return part < Worth ? (0, null) : (part, (change > 0 ? "+ " : "− ") + words(Math.Abs(change)));
    }

    /// <summary>What is asked of a device is said, but does not change the guest itself.</summary>
    private static (double Part, string? Words) Beside(double was, double now, Func<double, string> words) =>
        (0, Part(was, now, 1e-3, words).Words);

    private const double Worth = 0.001;
}
