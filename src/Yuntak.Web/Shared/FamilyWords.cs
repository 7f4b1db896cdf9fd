using Yuntak.Core.Wants;

namespace Yuntak.Web.Shared;

/// <summary>The families in words.</summary>
internal static class FamilyWords
{
    /// <summary>A family in words.</summary>
    public static string Of(Family family) =>
        family switch
        {
            Family.House => "House",
            Family.Media => "Films and music",
            Family.Files => "Files and notes",
            Family.Cameras => "Cameras",
            Family.Network => "Network",
            Family.Keeping => "Backups",
            _ => "Workshop",
        };
}
