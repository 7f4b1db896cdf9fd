using Yuntak.Core.Base;
using Yuntak.Core.Labs;

namespace Yuntak.Core.Kit;

/// <summary>One line of the readiness list, the same for every host.</summary>
/// <param name="Id">Its name in files and links.</param>
/// <param name="Question">What is asked.</param>
/// <param name="LookFor">Where to look and what for, in general words.</param>
/// <param name="Why">Why it matters.</param>
/// <param name="Rules">The rules that speak up when the answer is no.</param>
/// <param name="Evidence">What is known of a host, in words; null when nothing is.</param>
/// <param name="Answer">The host with the answer given, for what only a person can say; null for what is read.</param>
/// <param name="LeftOut">Kinds of hosts it is not asked of, since they have nothing to answer it with.</param>
public sealed record ReadinessItem(
    string Id,
    string Question,
    string LookFor,
    string Why,
    ValueList<string> Rules,
    Func<Host, string?> Evidence,
    Func<Host, bool, Host>? Answer = null,
    ValueList<HostType> LeftOut = default
)
{
    /// <summary>Whether it is asked of a host.</summary>
    public bool IsAskedOf(Host host) => !LeftOut.Contains(host.Type);
}
