using System.Text;
using Yuntak.Core.Disks;
using Yuntak.Core.Labs;
using Yuntak.Core.Units;
using Yuntak.Formats.Answers;

namespace Yuntak.Compare;

/// <summary>What Yuntak says about pools made of random disks, as text.</summary>
internal static class PoolSaying
{
    private static readonly double[] SizesTB = [1, 2, 4, 6, 8, 12, 16, 20];
    private static readonly DiskKind[] Kinds =
    [
        DiskKind.Spinning,
        DiskKind.Spinning,
        DiskKind.Spinning,
        DiskKind.SataFlash,
        DiskKind.NvmeFlash,
    ];

    /// <summary>300 pools: two of three of equal disks, the third of two sizes.</summary>
    public static string OfMany()
    {
        var random = new Random(12);
        var text = new StringBuilder();
        for (var n = 0; n < 300; n++)
        {
            var kind = Kinds[random.Next(Kinds.Length)];
            List<DiskSpec> disks =
            [
                .. Enumerable.Repeat(new DiskSpec(ByteSize.FromTB(SizesTB[random.Next(SizesTB.Length)]), kind), random.Next(1, 13)),
            ];
            if (n % 3 == 2)
            {
                disks.AddRange(
                    Enumerable.Repeat(new DiskSpec(ByteSize.FromTB(SizesTB[random.Next(SizesTB.Length)]), kind), random.Next(1, 7))
                );
            }

            var layout = Enum.GetValues<PoolLayout>()[random.Next(Enum.GetValues<PoolLayout>().Length)];
            var groups = random.Next(4) == 0 ? 2 : 1;
            var family = layout.IsDedicated() || random.Next(2) == 0 ? PoolFamily.BlockArray : PoolFamily.CopyOnWrite;
            text.AppendLine($"== {n}: {DiskText.Word(disks)} {DiskText.Word(layout, groups)} {family}");
            try
            {
                text.AppendLine(
                    JsonAnswers.Pool(PoolPlan.Of(layout, groups, family, disks, ageYears: random.Next(8), spareReady: random.Next(2) == 0))
                );
            }
            catch (Exception e) when (e.GetType().Name == "Refused")
            {
                text.AppendLine(e.Message);
            }

            foreach (var way in LayoutChooser.For(disks))
            {
                text.AppendLine(
                    $"{DiskText.Word(way.Plan.Layout, way.Plan.Groups.Count)} {way.Plan.Family} {way.Plan.Room.Usable.Bytes} {way.Plan.Risk.LossPerYear:G7} {(way.Best ? "best" : "")} {(way.Recommended ? "recommended" : "")}"
                );
            }
        }

        return text.Replace(Numbers.ThinSpace, " ").ToString();
    }
}
