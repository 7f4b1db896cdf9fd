using BenchmarkDotNet.Columns;
using BenchmarkDotNet.Configs;
using BenchmarkDotNet.Jobs;
using BenchmarkDotNet.Loggers;
using BenchmarkDotNet.Running;
using BenchmarkDotNet.Toolchains.InProcess.Emit;
using Yuntak.Bench;

if (args is [ProcessMeasures.Nothing])
{
    return 0;
}

ProcessMeasures.Print(Environment.GetEnvironmentVariable("YUNTAK_ROOT") ?? Environment.CurrentDirectory);

// Measures in this process: the application under test runs in it too, and its pages are asked for over a real connection.
var job = Job
    .ShortRun.WithToolchain(InProcessEmitToolchain.Instance)
    .WithWarmupCount(2)
    .WithIterationCount(5)
    .WithIterationTime(Perfolizer.Horology.TimeInterval.FromMilliseconds(200));
var config = ManualConfig.CreateEmpty().AddJob(job).AddLogger(NullLogger.Instance).AddColumnProvider(DefaultColumnProviders.Instance);
Console.WriteLine("Measuring; this takes some ten minutes. A word measures only what has it in its name.");
var within = true;
if (args.Length == 0 || "arrange".Contains(args[0], StringComparison.OrdinalIgnoreCase))
{
    within &= ArrangeMeasures.Print();
}

Type[] all =
[
    typeof(PageBenchmarks),
    typeof(LargePageBenchmarks),
    typeof(CoreBenchmarks),
    typeof(KeepingBenchmarks),
    typeof(FileBenchmarks),
    typeof(IntakeBenchmarks),
];
foreach (var type in all.Where(t => args.Length == 0 || t.Name.Contains(args[0], StringComparison.OrdinalIgnoreCase)))
{
    within &= Report.Print(BenchmarkRunner.Run(type, config));
}

return within && LargePageBenchmarks.AllSmall ? 0 : 1;
