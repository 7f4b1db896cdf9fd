using System.Globalization;
using BenchmarkDotNet.Reports;
using BenchmarkDotNet.Running;

namespace Yuntak.Bench;

/// <summary>Prints each measurement as a time, as a ratio to the trivial one of the same run, and against its limit.</summary>
internal static class Report
{
    /// <returns>Whether everything stayed within its limit.</returns>
    public static bool Print(Summary summary)
    {
        var trivial = summary.Reports.Single(r => r.BenchmarkCase.Descriptor.Baseline).ResultStatistics!.Mean;
        var within = true;
        Console.WriteLine();
        Console.WriteLine(string.Create(CultureInfo.InvariantCulture, $"{"what", -62} {"mean", 10} {"ratio", 9}   limit"));
        foreach (var report in summary.Reports)
        {
            var method = report.BenchmarkCase.Descriptor.WorkloadMethod;
            var limit = ((LimitAttribute?)Attribute.GetCustomAttribute(method, typeof(LimitAttribute)))?.Milliseconds;
            var milliseconds = report.ResultStatistics!.Mean / 1e6;
            var verdict =
                limit is null ? ""
                : milliseconds <= limit ? $"≤ {limit} ms, kept"
                : $"≤ {limit} ms, MISSED";
            within &= limit is null || milliseconds <= limit;
            Console.WriteLine(
                string.Create(
                    CultureInfo.InvariantCulture,
                    $"{Name(report.BenchmarkCase), -62} {milliseconds, 7:0.000} ms {report.ResultStatistics.Mean / trivial, 8:0.0}×   {verdict}"
                )
            );
        }

        return within;
    }

    private static string Name(BenchmarkCase measured) =>
        string.Join(
            ' ',
            [measured.Descriptor.WorkloadMethod.Name.Replace('_', ' '), .. measured.Parameters.Items.Select(p => (string)p.Value)]
        );
}
