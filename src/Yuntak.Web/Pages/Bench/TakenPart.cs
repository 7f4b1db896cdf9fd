using System.Text.Json;
using Yuntak.Core.Arranging;
using Yuntak.Core.Base;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;

namespace Yuntak.Web.Pages.Bench;

/// <summary>A part of an arrangement as a form carries it: the form says all of it, so that it can still be accepted when the search is forgotten.</summary>
/// <param name="Guest">The guest.</param>
/// <param name="Host">The host; null to take it off.</param>
/// <param name="System">The pool of its system disk.</param>
/// <param name="Bulk">The pool of its bulk data.</param>
/// <param name="Kind">How it is packaged.</param>
public sealed record TakenPart(string Guest, string? Host, string? System, string? Bulk, GuestKind Kind)
{
    private const int Longest = 4_000;

    /// <summary>The value of a form's field.</summary>
    public static string Of(ArrangeTake take) =>
        JsonSerializer.Serialize(
            new TakenPart(take.Guest.Value, take.Place?.Host.Value, take.Place?.SystemPool, take.Place?.BulkPool, take.Kind)
        );

    /// <summary>The part a field says.</summary>
    /// <exception cref="Refused">It says none.</exception>
    public static ArrangeTake Read(string text)
    {
        var part = text.Length <= Longest ? Parsed(text) : null;
        return part is { Guest: not null } && Enum.IsDefined(part.Kind)
            ? new ArrangeTake(
                new GuestId(part.Guest),
                part.Host is null ? null : new Placement(new HostId(part.Host), part.System, part.Bulk),
                part.Kind
            )
            : throw new Refused("That is no part of an arrangement. Arrange once more.");
    }

    private static TakenPart? Parsed(string text)
    {
        try
        {
            return JsonSerializer.Deserialize<TakenPart>(text);
        }
        catch (JsonException)
        {
            return null;
        }
    }
}
