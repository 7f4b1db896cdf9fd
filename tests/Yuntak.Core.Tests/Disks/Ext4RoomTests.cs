using System.Diagnostics;
using Yuntak.Core.Disks;
using Yuntak.Core.Shapes;
using Yuntak.Core.Units;
using Yuntak.Tests;

namespace Yuntak.Core.Tests.Disks;

/// <summary>The overhead of ext4 against its own tools.</summary>
public sealed class Ext4RoomTests : IDisposable
{
    private readonly string file = Path.Combine(Path.GetTempPath(), $"yuntak-ext4-{Guid.NewGuid():N}.img");

    public void Dispose() => File.Delete(file);

    [Theory]
    [Reference("mkfs.ext4 and dumpe2fs of e2fsprogs, on a sparse file")]
    [InlineData(1)]
    [InlineData(100)]
    [InlineData(4096)]
    public void Room_for_files_is_what_mkfs_leaves_within_one_percent_of_its_overhead(double gib)
    {
        var device = ByteSize.FromGiB(gib);
        using (var sparse = File.Create(file))
        {
            sparse.SetLength(device.Bytes);
        }

        Run("mkfs.ext4", "-q", "-F", file);
        var said = Run("dumpe2fs", "-h", file)
            .Split('\n')
            .Select(l => l.Split(':', 2))
            .Where(l => l.Length == 2)
            .DistinctBy(l => l[0])
            .ToDictionary(l => l[0], l => l[1].Trim());
        double Blocks(string what) => double.Parse(said[what]) * double.Parse(said["Block size"]);
        var overhead = Blocks("Block count") - Blocks("Free blocks") + Blocks("Reserved block count");

        var room = Ext4Room.Of(device);
        ((double)(room.Metadata + room.Reserved).Bytes).ShouldBe(overhead, overhead * 0.01);
        ((double)room.Metadata.Bytes).ShouldBe(Blocks("Overhead clusters"), Blocks("Overhead clusters") * 0.01);
        room.ForFiles.ShouldBeLessThan(device);
    }

    private static string Run(string tool, params string[] arguments)
    {
        // Debian keeps the tools where only root looks for them.
        var start = new ProcessStartInfo(Path.Combine("/usr/sbin", tool), arguments)
        {
            RedirectStandardOutput = true,
            RedirectStandardError = true,
            UseShellExecute = false,
        };
        using var process = Process.Start(start)!;
        var said = process.StandardOutput.ReadToEnd();
        process.WaitForExit();
        process.ExitCode.ShouldBe(0, $"{tool}: {process.StandardError.ReadToEnd()}");
        return said;
    }
}
