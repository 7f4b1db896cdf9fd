using Yuntak.Core.Base;
using Yuntak.Core.Labs;
using Yuntak.Core.Wants;

namespace Yuntak.Core.Runbooks;

/// <summary>A folder that several guests use, as one of them sees it.</summary>
/// <param name="Name">The folder's name.</param>
/// <param name="Place">Where it lies on its host.</param>
/// <param name="At">Where the guest sees it.</param>
/// <param name="Writes">Whether the guest may write there.</param>
internal sealed record UsedFolder(string Name, string Place, string At, bool Writes)
{
    /// <summary>The folders a guest uses.</summary>
    public static ValueList<UsedFolder> Of(Lab lab, Sizing sizing) =>
        [
            .. GuestVolumes
                .Of(lab, sizing)
                .Where(v => v.Place == VolumePlace.SharedFolder)
                .Select(v => new UsedFolder(v.Name, v.Outside!, v.Inside!, v.Writes)),
        ];

    /// <summary>As a value of a step.</summary>
    public string Words => $"{Place} as {At}{(Writes ? "" : ", read-only")}";
}
