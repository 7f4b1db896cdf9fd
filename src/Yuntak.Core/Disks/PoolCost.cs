using Yuntak.Core.Shapes;
using Yuntak.Core.Units;

namespace Yuntak.Core.Disks;

/// <summary>What room costs.</summary>
/// <param name="Total">All disks.</param>
/// <param name="PerUsableTB">For each usable terabyte.</param>
/// <param name="PerUsableTBYear">For each usable terabyte and year of warranty; null without warranty.</param>
public sealed record PoolCost(double Total, double PerUsableTB, double? PerUsableTBYear)
{
    /// <summary>The cost of a pool of one offer; null while nothing is usable.</summary>
    public static PoolCost? Of(DiskOffer offer, int disks, ByteSize usable)
    {
        if (usable <= ByteSize.Zero)
        {
            return null;
        }

        var total = offer.Price * disks;
        var perTB = total / usable.TB;
        return new PoolCost(total, perTB, offer.WarrantyYears > 0 ? perTB / offer.WarrantyYears : null);
    }
}
