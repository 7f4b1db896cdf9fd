using Yuntak.Core.Bench;
using Yuntak.Core.Findings;
using Yuntak.Core.Stations;

namespace Yuntak.Web.Shared;

/// <summary>The words of a verdict.</summary>
internal static class Verdicts
{
    /// <summary>A fit in one word.</summary>
    public static string Word(Fit fit) =>
        fit switch
        {
            Fit.Fits => "fits",
            Fit.Tight => "tight",
            Fit.Over => "over",
        };

    /// <summary>A host's badge: its stops when there are any, else how it fits.</summary>
    public static (string Css, string Text) Badge(Assessment lab, HostAssessment host)
    {
        var stops = lab.StopsOf(host.Host.Id);
        return stops > 0 ? ("over", $"{stops} stop{(stops == 1 ? "" : "s")}") : (host.Fit.ToString().ToLowerInvariant(), Word(host.Fit));
    }
}
