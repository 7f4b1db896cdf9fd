using Yuntak.Core.Base;

namespace Yuntak.Core.Labs;

/// <summary>A bridge between network ports.</summary>
/// <param name="Name">What the kernel calls it.</param>
/// <param name="Ports">The ports in it.</param>
/// <param name="Addresses">Its addresses with the length of their prefix.</param>
public sealed record Bridge(string Name, ValueList<string> Ports = default, ValueList<string> Addresses = default);
