using BenchmarkDotNet.Columns;
using BenchmarkDotNet.Configs;
using BenchmarkDotNet.Jobs;
using BenchmarkDotNet.Loggers;
using BenchmarkDotNet.Running;
using BenchmarkDotNet.Toolchains.InProcess.Emit;
using Yuntak.Bench;

// Measures in this process: the application under test runs in it too, and its pages are asked for over a real connection.
var job = Job
    .ShortRun.WithToolchain(InProcessEmitToolchain.Instance)
    .WithWarmupCount(3)
    .WithIterationCount(6)
    .WithIterationTime(Perfolizer.Horology.TimeInterval.FromMilliseconds(200));
var config = ManualConfig.CreateEmpty().AddJob(job).AddLogger(NullLogger.Instance).AddColumnProvider(DefaultColumnProviders.Instance);
Console.WriteLine("Measuring; this takes about three minutes …");
var within = true;
foreach (var summary in BenchmarkRunner.Run([typeof(PageBenchmarks), typeof(CoreBenchmarks), typeof(IntakeBenchmarks)], config))
{
    within &= Report.Print(summary);
}

return within ? 0 : 1;
