using System.Runtime.CompilerServices;
using CsCheck;

namespace Yuntak.Tests;

/// <summary>
/// Properties that are to hold over many random values. Every run takes the same values, so that a red run is about what was changed and comes again when it is run
/// again. <c>./yuntak explore</c> takes new ones each time, which is how new mistakes are found: the seed it names goes into <c>CsCheck_Seed</c>.
/// </summary>
internal static class Samples
{
    /// <summary>How many times as many values are taken, none of them seen before; null when each run takes the same.</summary>
    private static readonly int? Explores =
        int.TryParse(Environment.GetEnvironmentVariable("YUNTAK_EXPLORE"), out var times) ? Math.Clamp(times, 1, 1_000)
        : Environment.GetEnvironmentVariable("CsCheck_Seed") is not null ? 1
        : null;

    /// <summary>A check passes for random values.</summary>
    /// <param name="gen">What the values are.</param>
    /// <param name="assert">The check; it throws when it does not hold.</param>
    /// <param name="iter">How many values.</param>
    /// <param name="threads">How many at a time; -1 for as many as there are processors.</param>
    /// <param name="name">The test, so that each has values of its own.</param>
    public static void Holds<T>(this Gen<T> gen, Action<T> assert, int iter = 100, int threads = -1, [CallerMemberName] string name = "")
    {
        if (Explores is { } times)
        {
            gen.Sample(assert, iter: (long)iter * times, threads: threads);
            return;
        }

        var stream = name.Aggregate(2166136261u, (hash, c) => (hash ^ c) * 16777619u);
        Parallel.For(
            0,
            iter,
            new ParallelOptions { MaxDegreeOfParallelism = threads < 0 ? Environment.ProcessorCount : threads },
            (n, others) =>
            {
                // Neighbouring numbers would begin alike.
                var random = new PCG(stream >> 1, (ulong)(n + 1) * 0x9E3779B97F4A7C15UL);
                var seed = random.ToString();
                var value = gen.Generate(random, null, out _);
                try
                {
                    assert(value);
                }
                catch (Exception e)
                {
                    others.Stop();
                    throw new InvalidOperationException($"Does not hold for CsCheck_Seed={seed}, {value}: {e.Message}", e);
                }
            }
        );
    }

    /// <inheritdoc cref="Holds{T}(Gen{T}, Action{T}, int, int, string)"/>
    public static void Holds<T1, T2>(this Gen<(T1, T2)> gen, Action<T1, T2> assert, int iter = 100, [CallerMemberName] string name = "") =>
        gen.Holds(both => assert(both.Item1, both.Item2), iter, name: name);

    /// <inheritdoc cref="Holds{T}(Gen{T}, Action{T}, int, int, string)"/>
    public static void Holds<T>(this Gen<T> gen, Func<T, bool> isTrue, int iter = 100, [CallerMemberName] string name = "") =>
        gen.Holds(
            value =>
            {
                if (!isTrue(value))
                {
                    throw new InvalidOperationException("It is false.");
                }
            },
            iter,
            name: name
        );
}
