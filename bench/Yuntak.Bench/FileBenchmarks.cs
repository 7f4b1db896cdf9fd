using BenchmarkDotNet.Attributes;
using Yuntak.Formats.LabFiles;

namespace Yuntak.Bench;

/// <summary>Reading a lab file of one, two and four times the length, each against the first: what is linear has the ratios 1, 2 and 4.</summary>
public class FileBenchmarks
{
    private string one = "";
    private string two = "";
    private string four = "";

    [GlobalSetup]
    public void Write() => (one, two, four) = (Of(450), Of(900), Of(1_800));

    [Benchmark(Baseline = true)]
    public int Lab_file_of_450_guests() => LabFile.Read(one).Problems.Count;

    [Benchmark]
    public int Lab_file_of_900_guests() => LabFile.Read(two).Problems.Count;

    [Benchmark]
    public int Lab_file_of_1800_guests() => LabFile.Read(four).Problems.Count;

    [Benchmark]
    [Limit(2_000)]
    public int File_of_4_MiB_wrong_everywhere() => LabFile.Read(Wrong).Problems.Count;

    private static readonly string Wrong = "yuntak: 1\nguests:\n" + string.Concat(Enumerable.Repeat("- {}\n", 800_000));

    private static string Of(int guests) => LabFile.ToYaml(LargeLabs.Of(20, guests));
}
