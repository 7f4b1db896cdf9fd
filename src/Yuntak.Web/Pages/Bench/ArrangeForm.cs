using System.Globalization;
using Yuntak.Core.Arranging;
using Yuntak.Core.Base;
using Yuntak.Core.Labs;

namespace Yuntak.Web.Pages.Bench;

/// <summary>What is asked of an arrangement, as the form sends it.</summary>
/// <param name="Scope">Which guests may move: «all», «unplaced», or «of» and a host.</param>
/// <param name="Empty">A host to be emptied; empty for none.</param>
/// <param name="Survive">Whether all that must run is to survive a host.</param>
/// <param name="Even">Whether an even spread is preferred.</param>
/// <param name="Offers">Which offers may be bought: «none», «all», or one by name.</param>
/// <param name="Seconds">How long to search.</param>
public sealed record ArrangeForm(
    string Scope = "all",
    string Empty = "",
    bool Survive = false,
    bool Even = false,
    string Offers = "none",
    string Seconds = "5"
)
{
    /// <summary>Only guests without a host.</summary>
    public const string Unplaced = "unplaced";

    /// <summary>Before a host whose guests may move, and before an offer that may be bought.</summary>
    public const string Of = "of:";

    /// <summary>Every offer.</summary>
    public const string AllOffers = "all";

    /// <summary>The form of something that was asked.</summary>
    public static ArrangeForm From(ArrangeAsk ask) =>
        new(
            ask.Scope switch
            {
                ArrangeScope.Unplaced => Unplaced,
                ArrangeScope.OneHost => Of + ask.Of?.Value,
                ArrangeScope.Everything => "all",
            },
            ask.Empty?.Value ?? "",
            ask.SurviveOne,
            ask.Prefer == Prefer.Even,
            !ask.WithOffers ? "none"
                : ask.Offer is { } offer ? Of + offer
                : AllOffers,
            ask.Seconds.ToString("0.##", CultureInfo.InvariantCulture)
        );

    /// <summary>What is asked.</summary>
    /// <exception cref="Refused">Something of it makes no sense for the lab.</exception>
    public ArrangeAsk Read(Lab lab)
    {
        if (
            !double.TryParse(Seconds.Replace(',', '.'), NumberStyles.AllowDecimalPoint, CultureInfo.InvariantCulture, out var seconds)
            || seconds is not (> 0 and <= ArrangeAsk.MostSeconds)
        )
        {
            throw new Refused($"Seconds: a number over 0 and up to {ArrangeAsk.MostSeconds:0} belongs here, not «{Names.Short(Seconds)}».");
        }

        HostId? Host(string id) =>
            id.Length == 0 ? null : lab.Host(new HostId(id))?.Id ?? throw new Refused("That host is no longer in the lab.");
        var of = Scope.StartsWith(Of, StringComparison.Ordinal) ? Host(Scope[Of.Length..]) : null;
        var offer = Offers.StartsWith(Of, StringComparison.Ordinal) ? Offers[Of.Length..] : null;
        return offer is not null && lab.Offers.All(o => o.Name != offer)
            ? throw new Refused($"There is no offer «{Names.Short(offer)}».")
            : new ArrangeAsk
            {
                Scope =
                    of is not null ? ArrangeScope.OneHost
                    : Scope == Unplaced ? ArrangeScope.Unplaced
                    : ArrangeScope.Everything,
                Of = of,
                Empty = Host(Empty),
                SurviveOne = Survive,
                Prefer = Even ? Prefer.Even : Prefer.FewHosts,
                WithOffers = offer is not null || Offers == AllOffers,
                Offer = offer,
                Seconds = seconds,
            };
    }
}
