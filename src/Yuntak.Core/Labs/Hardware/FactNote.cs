using Yuntak.Core.Figures;

namespace Yuntak.Core.Labs;

/// <summary>Where something known of a host came from.</summary>
/// <param name="Fact">What it is about: a part such as «memory» or «disks», or one thing of it such as «disks/wwn-0x1/hours».</param>
/// <param name="Origin">Read or entered.</param>
/// <param name="Text">The tool that said so; for what was corrected, what the tool had said.</param>
/// <param name="On">The day, when known.</param>
public sealed record FactNote(string Fact, Origin Origin, string Text, DateOnly? On = null);
