using Yuntak.Core.Base;
using Yuntak.Core.Labs;
using Yuntak.Core.Shapes;

namespace Yuntak.Core.Runbooks;

/// <summary>A folder that several guests use, as one of them sees it.</summary>
/// <param name="Name">The folder's name.</param>
/// <param name="Place">Where it lies on its host.</param>
/// <param name="At">Where the guest sees it.</param>
/// <param name="Writes">Whether the guest may write there.</param>
internal sealed record UsedFolder(string Name, string Place, string At, bool Writes)
{
    /// <summary>The folders a guest uses.</summary>
    public static ValueList<UsedFolder> Of(Lab lab, Guest guest) =>
        [
            .. from folder in lab.Folders
            from use in folder.Uses
            where use.Guest == guest.Id
            let pool = lab.Host(folder.Host)?.PoolNamed(folder.Pool)
            where pool is not null
            select new UsedFolder(folder.Name, $"{Host.PlaceOf(pool)}/{Names.Slug(folder.Name)}", use.Path, use.Writes),
        ];

    /// <summary>As a value of a step.</summary>
    public string Words => $"{Place} as {At}{(Writes ? "" : ", read-only")}";
}
