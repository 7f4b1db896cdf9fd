namespace Yuntak.Core.Labs;

/// <summary>What a battery backup said when the host was read.</summary>
/// <param name="ChargePercent">How full it is.</param>
/// <param name="LoadPercent">How much of its power is drawn.</param>
/// <param name="RuntimeMinutes">How long it would last at that load.</param>
/// <param name="Watts">The power it can give.</param>
public sealed record BatteryState(
    double? ChargePercent = null,
    double? LoadPercent = null,
    double? RuntimeMinutes = null,
    double? Watts = null
);
