using System.Net;
using System.Net.Sockets;
using Yuntak.Core.Addresses;
using Yuntak.Core.Labs;

namespace Yuntak.Core.Wires;

/// <summary>A network with who has which of its addresses.</summary>
public sealed class NetworkSums
{
    private readonly HashSet<UInt128> taken = [];

    internal NetworkSums(Network network, IReadOnlyList<HeldAddress> held)
    {
        Network = network;
        Held = held;
        Prefix = Prefix.Read(network.Prefix);
        HandedOut = AddressRange.Read(network.HandedOut);
        if (Prefix is null)
        {
            return;
        }

        foreach (var address in held.Select(h => h.Address).Append(IpText.Read(network.Gateway)).OfType<IPAddress>())
        {
            if (address.AddressFamily == Prefix.Family)
            {
                taken.Add(IpText.Number(address));
            }
        }
    }

    /// <summary>The network.</summary>
    public Network Network { get; }

    /// <summary>Its addresses; null where they are not known.</summary>
    public Prefix? Prefix { get; }

    /// <summary>What is handed out to whoever asks; null for nothing.</summary>
    public AddressRange? HandedOut { get; }

    /// <summary>Who is on it, in the order of addresses; those without one last.</summary>
    public IReadOnlyList<HeldAddress> Held { get; }

    /// <summary>How many addresses are spoken for, the router's too.</summary>
    public int Taken => taken.Count;

    /// <summary>
    /// The first address that nobody has, outside what is handed out. Where all of the prefix is handed out and addresses are reserved, the last of those: a reserved
    /// address is handed to nobody else (RFC 2131, 3.1), though some routers want it outside. Null when there is none.
    /// </summary>
    public IPAddress? NextFree => Free().Cast<IPAddress?>().FirstOrDefault() ?? LastHandedOut();

    /// <summary>The address whose last part is a guest's number, where that is free and may be a host's; null otherwise.</summary>
    /// <param name="number">The number.</param>
    public IPAddress? ForNumber(int number) =>
        Prefix is { Family: AddressFamily.InterNetwork } prefix
        && prefix.First + (UInt128)number is var wanted
        && wanted <= prefix.LastHost
        && wanted >= prefix.FirstHost
        && !IsTaken(wanted)
            ? IpText.Of(wanted, prefix.Family)
            : null;

    /// <summary>The numbers of guests that work as the last part of an address: within the prefix, and outside what is handed out. Null for none.</summary>
    public (int First, int Last)? Numbers
    {
        get
        {
            if (Prefix is not { Family: AddressFamily.InterNetwork } prefix || prefix.FirstHost > prefix.LastHost)
            {
                return null;
            }

            var (first, last) = (prefix.FirstHost, UInt128.Min(prefix.LastHost, prefix.First + 255));
            if (HandedOut is { } range && range.Family == prefix.Family)
            {
                // Below or above what is handed out, whichever is longer.
                var below = range.First > first ? UInt128.Min(last, range.First - 1) - first + 1 : 0;
                var above = range.Last < last ? last - UInt128.Max(first, range.Last + 1) + 1 : 0;
                if (below == 0 && above == 0)
                {
                    return null;
                }

                (first, last) = below >= above ? (first, UInt128.Min(last, range.First - 1)) : (UInt128.Max(first, range.Last + 1), last);
            }

            return ((int)(first - prefix.First), (int)(last - prefix.First));
        }
    }

    /// <summary>Whether something holds an address, or it is the router's.</summary>
    public bool IsTaken(IPAddress address) =>
        Prefix is not null && address.AddressFamily == Prefix.Family && IsTaken(IpText.Number(address));

    /// <summary>The addresses nobody has, in order, outside what is handed out.</summary>
    public IEnumerable<IPAddress> Free()
    {
        if (Prefix is null)
        {
            yield break;
        }

        for (var n = Prefix.FirstHost; n <= Prefix.LastHost; n++)
        {
            if (HandedOut is { } range && range.Family == Prefix.Family && n >= range.First && n <= range.Last)
            {
                n = range.Last;
                continue;
            }

            if (!taken.Contains(n))
            {
                yield return IpText.Of(n, Prefix.Family);
            }
        }
    }

    private IPAddress? LastHandedOut()
    {
        if (Network.Addresses != AddressSchool.Reserved || Prefix is null || HandedOut is not { } range || range.Family != Prefix.Family)
        {
            return null;
        }

        for (var n = UInt128.Min(range.Last, Prefix.LastHost); n >= UInt128.Max(range.First, Prefix.FirstHost) && n > 0; n--)
        {
            if (!taken.Contains(n))
            {
                return IpText.Of(n, Prefix.Family);
            }
        }

        return null;
    }

    private bool IsTaken(UInt128 number) => taken.Contains(number);
}
