using Yuntak.Core.Labs;

namespace Yuntak.Core.Wires;

/// <summary>Who holds an address or answers on a port.</summary>
/// <param name="Kind">What it is.</param>
/// <param name="Id">Its id; of a box its name.</param>
/// <param name="Name">What people call it.</param>
public sealed record Holder(HolderKind Kind, string Id, string Name)
{
    /// <summary>A host.</summary>
    public static Holder Of(Host host) => new(HolderKind.Host, host.Id.Value, host.Name);

    /// <summary>A guest.</summary>
    public static Holder Of(Guest guest) => new(HolderKind.Guest, guest.Id.Value, guest.Name);

    /// <summary>A box.</summary>
    public static Holder Of(Box box) => new(HolderKind.Box, box.Name, box.Name);
}
