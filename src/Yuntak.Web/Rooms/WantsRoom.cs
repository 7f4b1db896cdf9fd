using System.Globalization;
using Yuntak.Core.Figures;
using Yuntak.Core.Findings;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Shapes;
using Yuntak.Web.Shared;

namespace Yuntak.Web.Rooms;

/// <summary>What is asked for, and its size.</summary>
public sealed class WantsRoom : Room
{
    public override Station? Station => Core.Findings.Station.Wants;

    public override IReadOnlyList<RoomPage> Pages =>
        [
            new("/Wants", new Picture("wants", Height: 900)),
            new("/Wants/Guest"),
            new("/Wants/Guest/owlwatch", new Picture("want-form", Height: 900)),
            new("/Wants/Guest/glazelog") { IsView = false },
            new("/Wants/Guest?profile=camera-recorder") { IsView = false },
            new("/Wants/Guest?profile=network-boot"),
            new("/Wants/Guest?profile=language-model") { IsView = false },
            new("/Wants/Profiles"),
            new("/Wants/Profile") { IsView = false },
            new("/Wants/Profile/camera-recorder"),
            new("/Wants/Profile/media-library", new Picture("profile", Height: 1100)),
            new("/Wants/Profile?like=wiki") { IsView = false },
        ];

    public override IEnumerable<Hit> Answers(Desk desk) =>
        desk
            .Lab.Book.All.SelectMany(p =>
                new[]
                {
                    new Hit(HitKind.Ask, $"ask for: {p.Name}", p.Summary, $"/Wants/Guest?profile={Escaped(p.Id)}"),
                    new Hit(HitKind.Source, $"profile: {p.Name}", "what its sums are made of", $"/Wants/Profile/{Escaped(p.Id)}"),
                }
            )
            .Append(new Hit(HitKind.Page, "Profiles", "how sizes follow from what is asked", "/Wants/Profiles"));

    public override IEnumerable<Hit> Asked(Desk desk, string words) =>
        from ask in QuickAsk.Of(desk.Lab.Book, words)
        let loads = string.Concat(ask.Load.Select(l => $"&load-0-{l.Id}={Escaped(l.Value.ToString(CultureInfo.InvariantCulture))}"))
        select new Hit(HitKind.Ask, $"ask for: {ask.Words}", ask.Profile.Summary, $"/Wants/Guest?profile={Escaped(ask.Profile.Id)}{loads}");
}
