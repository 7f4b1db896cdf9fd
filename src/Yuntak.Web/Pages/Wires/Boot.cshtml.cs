using Yuntak.Core.Findings;
using Yuntak.Core.Wires;
using Yuntak.Data;
using Yuntak.Web.Shared;

namespace Yuntak.Web.Pages.Wires;

/// <summary>What the place that hands out addresses has to say so that machines start over the network.</summary>
public sealed class BootModel(DeskService desks, LabStore store) : LabPageModel(desks, store)
{
    public override Station? Here => Station.Wires;

    /// <summary>The servers of boot files.</summary>
    public IReadOnlyList<NetworkBoot> Servers => [.. NetworkBoot.Of(Desk.Assessment.Wires, Desk.Assessment.Guests)];
}
