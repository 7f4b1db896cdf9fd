using Yuntak.Core.Base;
using Yuntak.Core.Labs;
using Yuntak.Core.Units;

namespace Yuntak.Core.Kit;

/// <summary>A host that is taken on for the first time from what was read.</summary>
public static class NewHost
{
    /// <summary>The host; what was not in the text has to be given.</summary>
    /// <param name="reading">What was read.</param>
    /// <param name="name">What it is to be called.</param>
    /// <param name="processor">Its processor, for when none was read.</param>
    /// <param name="memory">Its memory, for when none was read.</param>
    /// <exception cref="Refused">Processor or memory were neither read nor given.</exception>
    public static Host From(HostReading reading, string name, Processor? processor = null, ByteSize? memory = null)
    {
        var known =
            reading.Processor
            ?? processor
            ?? throw new Refused("The text does not say which processor it has, so it cannot be a new host; run lscpu -J too.");
        var size =
            reading.Memory
            ?? memory
            ?? throw new Refused("The text does not say how much memory it has, so it cannot be a new host; add /proc/meminfo.");
        return HostMerge.Applied(
            new Host(new HostId("new"), name, "", new HostFacts(known, size, Type: HostGuess.Of(reading)), HostPlan.None),
            reading
        );
    }
}
