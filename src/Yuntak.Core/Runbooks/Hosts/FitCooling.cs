using Yuntak.Core.Labs;
using Yuntak.Core.Simulation;
using Yuntak.Core.Units;

namespace Yuntak.Core.Runbooks;

/// <summary>Cools a board before anything works it hard.</summary>
/// <param name="Host">The host.</param>
internal sealed record FitCooling(HostId Host) : HostAct(Host)
{
    /// <inheritdoc/>
    public override string Type => "fit-cooling";

    internal override Duration Takes(Plan plan) => new(15);

    internal override ActText Text(Plan plan)
    {
        return new(
            "Fit its cooling",
            [
                new("cooling", "a heat sink or a fan, before any overclocking and before the first long job"),
                new("watch", "sensors, or /sys/class/thermal/thermal_zone0/temp, after ten minutes of work"),
            ],
            "It stays under 70 °C at full work.",
            "Hotter? More air around it, a fan, or less clock; it slows itself down near 80 °C.",
            "Take it off again.",
            "Switch it off and unplug it first. Metal on bare contacts shorts them; parts stay hot for minutes."
        );
    }

    internal override void Affect(SimHouse house, SimHost host, Plan plan) { }
}
