using Yuntak.Core.Labs;

namespace Yuntak.Core.Wires;

/// <summary>Something that is reached from outside.</summary>
/// <param name="Who">Who answers in the end.</param>
/// <param name="Port">The port it answers on.</param>
/// <param name="Path">The way there, from outside to who answers.</param>
/// <param name="Clear">Whether passwords go over the internet readable.</param>
/// <param name="Login">Whether it asks who is there, as far as somebody said.</param>
/// <param name="Page">Whether it is a page for looking after the thing itself.</param>
/// <param name="IsTunnel">Whether it is a tunnel, which lets nobody in without a key.</param>
/// <param name="Answers">Whether anything is known to answer there.</param>
/// <param name="Forward">The forward; null where it stands outside itself.</param>
public sealed record WayIn(
    Guest Who,
    int Port,
    IReadOnlyList<string> Path,
    bool Clear,
    bool? Login,
    bool Page,
    bool IsTunnel,
    bool Answers,
    Forward? Forward
);
