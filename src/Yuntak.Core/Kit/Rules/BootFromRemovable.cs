using Yuntak.Core.Bench;
using Yuntak.Core.Figures;
using Yuntak.Core.Findings;
using Yuntak.Core.Labs;
using Yuntak.Core.Shapes;

namespace Yuntak.Core.Kit.Rules;

/// <summary>A host may start from a stick or card, with care.</summary>
internal sealed class BootFromRemovable : IRule
{
    /// <inheritdoc/>
    public RuleInfo Info { get; } =
        new(
            "kit.boot-from-stick",
            Severity.Note,
            Station.Kit,
            Says: "A host that starts from USB or from a memory card keeps a copy of it and writes its logs elsewhere.",
            Because: "Sticks and cards wear out from small writes and fail without notice, and a USB plug comes loose.",
            Source: Source.CommonPractice
        );

    /// <inheritdoc/>
    public IEnumerable<Finding> Check(Sums lab) =>
        from host in lab.Hosts
        from disk in host.Host.Disks
        where disk.Kind is DiskKind.Usb or DiskKind.Card
        where disk.IsBoot
        select Info.On(
            Subject.Of(host.Host),
            $"{host.Host.Name} starts from a {(disk.Kind == DiskKind.Card ? "memory card" : disk.Removable ? "USB stick" : "disk on USB")}",
            $"Keep a copy of {disk.Name} ({disk.Size.ToDecimalString()}) in a drawer, and keep logs off it."
        );
}
