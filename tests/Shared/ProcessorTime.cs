using System.Runtime.InteropServices;

namespace Yuntak.Tests;

/// <summary>How much processor time something takes, whatever else the machine does meanwhile.</summary>
internal static class ProcessorTime
{
    private const int ThreadClock = 3;

    /// <summary>Runs something on a thread of its own.</summary>
    /// <param name="what">What is run.</param>
    /// <param name="most">When it is given up.</param>
    /// <returns>The processor time of that thread in seconds; <paramref name="most"/> when it was given up.</returns>
    public static double Of(Action what, double most)
    {
        var took = most;
        Exception? broke = null;
        var thread = new Thread(
            () =>
            {
                var before = Now();
                try
                {
                    what();
                }
                catch (Exception e)
                {
                    broke = e;
                }

                took = Now() - before;
            },
            16 << 20
        )
        {
            IsBackground = true,
        };
        thread.Start();
        // A busy machine gives a thread less than its share: what is waited for is ten times what it may take.
        thread.Join(TimeSpan.FromSeconds(10 * most));
        return broke is null ? took : throw new InvalidOperationException("It broke.", broke);
    }

    private static double Now()
    {
        if (clock_gettime(ThreadClock, out var time) != 0)
        {
            throw new InvalidOperationException("The kernel does not tell the processor time of a thread.");
        }

        return time.Seconds + time.Nanoseconds / 1e9;
    }

#pragma warning disable SYSLIB1054 // Source generation wants unsafe code, which the tests have no other use for.
    [DllImport("libc")]
    [DefaultDllImportSearchPaths(DllImportSearchPath.SafeDirectories)]
    private static extern int clock_gettime(int clock, out TimeSpec time);
#pragma warning restore SYSLIB1054

    [StructLayout(LayoutKind.Sequential)]
    private struct TimeSpec
    {
        public long Seconds;
        public long Nanoseconds;
    }
}
