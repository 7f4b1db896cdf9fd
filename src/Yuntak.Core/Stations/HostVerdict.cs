using Yuntak.Core.Bench;
using Yuntak.Core.Labs;

namespace Yuntak.Core.Stations;

/// <summary>What a change did to one host.</summary>
/// <param name="Host">Its name.</param>
/// <param name="Before">The verdict before; null for a new host.</param>
/// <param name="Fit">The verdict now.</param>
/// <param name="Text">The figures in words.</param>
public sealed record HostVerdict(string Host, Fit? Before, Fit Fit, string Text);
