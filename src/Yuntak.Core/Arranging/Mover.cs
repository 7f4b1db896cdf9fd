using Yuntak.Core.Labs;
using Yuntak.Core.Wants;

namespace Yuntak.Core.Arranging;

/// <summary>A guest that is arranged, with all that runs inside it.</summary>
/// <param name="Number">Which it is, from 0.</param>
/// <param name="Now">The guest as it is now.</param>
/// <param name="Home">The seat it has now; null while it is on no host.</param>
/// <param name="Seats">The seats it may take.</param>
/// <param name="Others">Every seat there is for it, also those it may not take.</param>
/// <param name="Runs">Whether it runs already, so that it stays where it is when no place is found for it.</param>
/// <param name="Fixed">Whether it is not to be moved at all.</param>
/// <param name="Survives">Whether it is to keep running with any one host away.</param>
internal sealed record Mover(
    int Number,
    Sizing Now,
    Seat? Home,
    IReadOnlyList<Seat> Seats,
    IReadOnlyList<Seat> Others,
    bool Runs,
    bool Fixed,
    bool Survives
)
{
    /// <summary>The guest.</summary>
    public Guest Guest => Now.Guest;
}
