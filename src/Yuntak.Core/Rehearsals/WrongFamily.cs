using Yuntak.Core.Labs;
using Yuntak.Core.Runbooks;
using Yuntak.Core.Simulation;

namespace Yuntak.Core.Rehearsals;

/// <summary>The image or template is made for another processor family.</summary>
internal sealed class WrongFamily : Fault
{
    /// <inheritdoc/>
    public override FaultInfo Info => new("wrong-family", "the image is for the wrong family");

    public override bool Strikes(Act act, SimHouse house, Plan plan) => act is CreateContainer or LayStack or AttachMedium;

    public override void After(SimHouse house, Act act, Plan plan) =>
        GuestOf(act, house)!.Family = ProcessorFamily.Named(house.Host(act.On).Processor.Architecture) == "aarch64" ? "x86_64" : "aarch64";

    public override (string Words, double Weight) Cost(SimHouse house, Act act, Plan plan) =>
        ($"{Name(act, plan)} never starts, and the evening goes into looking for the reason.", 20);
}
