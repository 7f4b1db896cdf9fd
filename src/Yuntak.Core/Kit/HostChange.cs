using Yuntak.Core.Shapes;

namespace Yuntak.Core.Kit;

/// <summary>One difference between two descriptions of a host.</summary>
/// <param name="Kind">Came, went or changed.</param>
/// <param name="Text">The difference in words.</param>
public sealed record HostChange(Happened Kind, string Text);
