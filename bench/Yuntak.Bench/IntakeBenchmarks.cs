using System.Text;
using BenchmarkDotNet.Attributes;
using Yuntak.Core.Profiles;
using Yuntak.Formats.Intake;

namespace Yuntak.Bench;

/// <summary>Reading a host: the demo's bundle, and one grown to 20 MB, against looking at every line of the same 20 MB once.</summary>
public class IntakeBenchmarks
{
    private byte[] bundle = [];
    private byte[] large = [];

    [GlobalSetup]
    public void Load()
    {
        var text = File.ReadAllText(Path.Combine(AppContext.BaseDirectory, "demo", "kiln-bundle.txt"));
        bundle = Encoding.UTF8.GetBytes(text);
        large = Encoding.UTF8.GetBytes(string.Concat(Enumerable.Repeat(text, (20_000_000 / text.Length) + 1)));
    }

    [Benchmark(Baseline = true)]
    public int Every_line_of_20_MB_looked_at_once()
    {
        using var reader = new StreamReader(new MemoryStream(large));
        var lines = 0;
        while (reader.ReadLine() is not null)
        {
            lines++;
        }

        return lines;
    }

    [Benchmark]
    [Limit(50)]
    public int The_demos_bundle() => IntakeReader.Read(new MemoryStream(bundle)).Disks.Count;

    [Benchmark]
    [Limit(2000)]
    public int A_bundle_of_20_MB() => IntakeReader.Read(new MemoryStream(large)).Disks.Count;
}
