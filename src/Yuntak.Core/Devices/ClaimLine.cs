namespace Yuntak.Core.Devices;

/// <summary>A line somebody types while a device is handed over.</summary>
/// <param name="Where">The layer it is typed at.</param>
/// <param name="Label">What it is for.</param>
/// <param name="Line">The line.</param>
public sealed record ClaimLine(ClaimLayer Where, string Label, string Line);
