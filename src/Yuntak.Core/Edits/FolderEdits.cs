using Yuntak.Core.Base;
using Yuntak.Core.Labs;
using Yuntak.Core.Units;

namespace Yuntak.Core.Edits;

/// <summary>Changes to folders that several guests use.</summary>
public static class FolderEdits
{
    /// <summary>Adds a folder.</summary>
    /// <exception cref="Refused">When applied: its name is taken, or it lies nowhere.</exception>
    public static Edit Add(SharedFolder folder) =>
        lab =>
        {
            if (lab.Folders.Count >= LabShapes.MostFolders)
            {
                throw new Refused($"A lab holds {LabShapes.MostFolders} shared folders at most.");
            }

            var sound = Sound(lab, folder);
            // A folder that is there is part of what lies in its pool already, and is not counted twice.
            var counted = lab.WithHost(
                sound.Host,
                h =>
                    h with
                    {
                        Pools = h.Pools.Change(
                            p => p.Name == sound.Pool,
                            p => p with { AlreadyUsed = ByteSize.Max(ByteSize.Zero, p.AlreadyUsed - sound.Size) }
                        ),
                    }
            );
            return new Changed(counted with { Folders = lab.Folders.With(sound) }, $"the folder {sound.Name} is shared");
        };

    /// <summary>Changes a folder.</summary>
    /// <exception cref="Refused">When applied: there is none of that name, or the change makes no sense.</exception>
    public static Edit Change(string name, Func<SharedFolder, SharedFolder> change) =>
        lab =>
        {
            var before = Existing(lab, name);
            var after = change(before);
            return new Changed(
                lab with
                {
                    Folders = lab.Folders.Change(f => f.Name == name, _ => after),
                    Jobs = KeepingEdits.Renamed(lab.Jobs, name, after.Name),
                },
                $"the folder {after.Name} changed"
            );
        };

    /// <summary>Takes a folder out, also of the job that copied it; its files stay where they are.</summary>
    /// <exception cref="Refused">When applied: there is none of that name.</exception>
    public static Edit Remove(string name) =>
        lab =>
        {
            var before = Existing(lab, name);
            return new Changed(
                KeepingEdits.Without(lab with { Folders = lab.Folders.Without(f => f == before) }),
                $"the folder {name} is no longer shared"
            );
        };

    private static SharedFolder Existing(Lab lab, string name) =>
        lab.Folders.FirstOrDefault(f => f.Name == name) ?? throw new Refused($"There is no shared folder «{Names.Short(name)}».");

    private static SharedFolder Sound(Lab lab, SharedFolder folder)
    {
        var named = folder with { Name = Names.Checked(folder.Name, "folder") };
        if (lab.Folders.Any(f => string.Equals(f.Name, named.Name, StringComparison.OrdinalIgnoreCase)))
        {
            throw new Refused($"There is a shared folder «{named.Name}» already.");
        }

        return lab.Host(named.Host)?.PoolNamed(named.Pool) is null
            ? throw new Refused($"There is no pool «{Names.Short(named.Pool)}» for it to lie in.")
            : named;
    }
}
