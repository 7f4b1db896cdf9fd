using Yuntak.Core.Base;

namespace Yuntak.Core.Labs;

/// <summary>A thing outside the lab that has a place on its networks: the provider's router, a switch, a camera, a bought storage box.</summary>
/// <param name="Name">What people call it, once in a lab.</param>
/// <param name="Does">What it does, in a few words.</param>
/// <param name="Addresses">Its addresses.</param>
/// <param name="Mac">Its hardware address, where its address is reserved by it.</param>
/// <param name="Listens">What it answers on.</param>
public sealed record Box(
    string Name,
    string Does = "",
    ValueList<string> Addresses = default,
    string? Mac = null,
    ValueList<Listen> Listens = default
);
