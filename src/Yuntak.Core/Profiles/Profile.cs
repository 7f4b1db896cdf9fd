using Yuntak.Core.Base;
using Yuntak.Core.Shapes;
using Yuntak.Core.Units;

namespace Yuntak.Core.Profiles;

/// <summary>A kind of service: what it is asked about, and how its size follows from the answers. All figures are defaults people can set aside.</summary>
/// <param name="Id">Its name in files and on the command line.</param>
/// <param name="Name">What people call it.</param>
/// <param name="Summary">One line that says what it does.</param>
/// <param name="Family">Its family.</param>
/// <param name="Loads">What is asked.</param>
/// <param name="Idle">Cores kept busy at rest.</param>
/// <param name="Busy">Cores kept busy at the busiest hour; at least the idle figure is used.</param>
/// <param name="Memory">Memory in GiB before the margin.</param>
/// <param name="SystemDisk">System disk in GiB.</param>
/// <param name="Bulk">Bulk data in GB.</param>
/// <param name="Shape">How the day goes.</param>
/// <param name="MemoryFloorGiB">The least memory that makes sense, in GiB.</param>
/// <param name="Needs">Devices it needs, in words.</param>
/// <param name="Claims">Devices it needs, as claims it brings along.</param>
/// <param name="Ports">Ports it answers on where a published standard names them; others are asked of the person.</param>
/// <param name="StartOrder">Small numbers start first.</param>
/// <param name="FirstStartMinutes">How long the first start may take.</param>
/// <param name="Advised">The packaging advised, the best first.</param>
/// <param name="Advice">Why.</param>
/// <param name="Caution">What may hurt somebody.</param>
/// <param name="Encode">Pixels to convert, in Mpx/s: half of what is decoded and all of what is encoded.</param>
/// <param name="Bandwidth">Streams over the network, in Mbit/s.</param>
/// <param name="Accelerator">How busy it keeps an AI accelerator, as a share.</param>
/// <param name="Scratch">Room for what is only needed while it works, in GB.</param>
/// <param name="ClientMemory">Memory of a machine that starts over the network from it, in GiB.</param>
/// <param name="Fetch">What such a machine fetches at each start, in GB.</param>
/// <param name="GraphicsMemory">Memory of a graphics card that would hold it in place of main memory, in GiB.</param>
/// <param name="LeastProcessors">The least virtual processors that make sense: the largest of the terms, not their sum.</param>
/// <param name="LeastMemory">The least memory that makes sense, in GiB: the largest of the terms, and of <paramref name="MemoryFloorGiB"/>.</param>
public sealed record Profile(
    string Id,
    string Name,
    string Summary,
    Family Family,
    ValueList<LoadSpec> Loads,
    ValueList<Term> Idle,
    ValueList<Term> Busy,
    ValueList<Term> Memory,
    ValueList<Term> SystemDisk,
    ValueList<Term> Bulk,
    DayShape Shape,
    ValueList<GuestKind> Advised,
    string Advice,
    double MemoryFloorGiB = 0,
    ValueList<string> Needs = default,
    ValueList<ProfileClaim> Claims = default,
    ValueList<int> Ports = default,
    int StartOrder = 50,
    int FirstStartMinutes = 2,
    string? Caution = null,
    ValueList<Term> Encode = default,
    ValueList<Term> Bandwidth = default,
    ValueList<Term> Accelerator = default,
    ValueList<Term> Scratch = default,
    ValueList<Term> ClientMemory = default,
    ValueList<Term> Fetch = default,
    ValueList<Term> GraphicsMemory = default,
    ValueList<Term> LeastProcessors = default,
    ValueList<Term> LeastMemory = default
)
{
    /// <summary>Whether only a machine will do.</summary>
    public bool MachineOnly => Advised.Count == 1 && Advised[0] == GuestKind.Machine;
}
