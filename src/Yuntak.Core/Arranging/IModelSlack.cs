using Google.OrTools.Sat;

namespace Yuntak.Core.Arranging;

/// <summary>What may give in a model, so that it can be asked for the least that would have to.</summary>
internal interface IModelSlack
{
    /// <summary>The seats a guest may take.</summary>
    IEnumerable<Seat> SeatsOf(Mover mover);

    /// <summary>How much more there could be of a line; null for one that does not give.</summary>
    IntVar? On(CpModel model, HostRoom room, Limit limit);

    /// <summary>What those take of a line who stay on a host without a place.</summary>
    long Staying(HostRoom room, Limit limit);

    /// <summary>Whether two guests need not keep apart; null where they must.</summary>
    BoolVar? Apart(CpModel model, int a, int b);

    /// <summary>Whether two guests need not keep together; null where they must.</summary>
    BoolVar? Together(CpModel model, int a, int b);

    /// <summary>Whether a guest goes without a device it needs on its seat; null where it may not.</summary>
    BoolVar? Without(CpModel model, Seat seat, SeatNeed need);
}
