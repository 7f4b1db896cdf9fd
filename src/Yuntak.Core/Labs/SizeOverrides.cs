using Yuntak.Core.Units;

namespace Yuntak.Core.Labs;

/// <summary>Figures the person set beside the advice. What is null follows the advice.</summary>
/// <param name="Vcpu">Virtual processors.</param>
/// <param name="Memory">Memory given.</param>
/// <param name="SystemDisk">System disk.</param>
/// <param name="Bulk">Bulk data.</param>
public sealed record SizeOverrides(int? Vcpu = null, ByteSize? Memory = null, ByteSize? SystemDisk = null, ByteSize? Bulk = null)
{
    /// <summary>Nothing overridden.</summary>
    public static readonly SizeOverrides None = new();
}
