using Microsoft.AspNetCore.Mvc;
using Yuntak.Core.Base;
using Yuntak.Core.Disks;
using Yuntak.Core.Findings;
using Yuntak.Core.Labs;
using Yuntak.Core.Runbooks;
using Yuntak.Core.Shapes;
using Yuntak.Core.Units;
using Yuntak.Data;
using Yuntak.Formats.Intake;
using Yuntak.Web.Shared;

namespace Yuntak.Web.Pages.Disks;

/// <summary>The layout chooser, both ways: from disks that are there, or from room that is needed and disks on offer.</summary>
public sealed class LayoutsModel(DeskService desks, LabStore store) : LabPageModel(desks, store)
{
    /// <summary>Offers that can be compared at once.</summary>
    public const int Offers = 3;

    public override Station? Here => Station.Disks;

    /// <summary>The disks there are, as typed.</summary>
    [BindProperty(Name = "disks", SupportsGet = true)]
    public string? Disks { get; set; }

    /// <summary>The age of the disks, as typed.</summary>
    [BindProperty(Name = "age", SupportsGet = true)]
    public string? Age { get; set; }

    /// <summary>What one costs, as typed.</summary>
    [BindProperty(Name = "price", SupportsGet = true)]
    public string? Price { get; set; }

    /// <summary>Whether a spare lies ready.</summary>
    [BindProperty(Name = "spare", SupportsGet = true)]
    public bool Spare { get; set; }

    /// <summary>The host whose disks they are; null when nobody's.</summary>
    [BindProperty(Name = "host", SupportsGet = true)]
    public string? HostId { get; set; }

    /// <summary>The room needed, as typed.</summary>
    [BindProperty(Name = "need", SupportsGet = true)]
    public string? Need { get; set; }

    /// <summary>Failures to survive, as typed.</summary>
    [BindProperty(Name = "survives", SupportsGet = true)]
    public string? Survives { get; set; }

    /// <summary>Every way found, most room or fewest disks first, with the offer it is made of where there is one.</summary>
    public IReadOnlyList<(LayoutCandidate Way, DiskOffer? Offer)> Found { get; private set; } = [];

    /// <summary>Why nothing is shown.</summary>
    public string? Problem { get; private set; }

    /// <summary>Why none of the ways is recommended, where that is so.</summary>
    public string? WhyNone => LayoutChooser.WhyNone([.. Found.Select(f => f.Way)]);

    /// <summary>The host the disks are in, if any.</summary>
    public Host? Host => HostId is null ? null : Desk.Lab.Host(new HostId(HostId));

    /// <summary>The disks of the host that are free to join.</summary>
    public IEnumerable<Disk> FreeDisks => Host?.DisksToJoin ?? [];

    /// <summary>Whether the disks typed are those that are free in the host, so that a pool can be made of them.</summary>
    public bool CanMake => Host is not null && FreeDisks.Any() && DiskText.Word(FreeDisks.Select(DiskSpec.Of)) == Disks;

    /// <summary>What stands in a field of an offer.</summary>
    public string Offer(int n, string field) =>
        Request.Query[$"offer-{n}-{field}"].ToString() is { Length: > 0 } typed ? typed
        : n == 0 && Request.Query.Count == 0 && field == "size" ? "4TB"
        : "";

    public void OnGet()
    {
        try
        {
            if (!string.IsNullOrWhiteSpace(Need))
            {
                Found = ForNeed();
                Problem = Found.Count == 0 ? "Nothing sensible gives that: ask for less room, fewer failures, or larger disks." : null;
            }
            else if (!string.IsNullOrWhiteSpace(Disks))
            {
                Found = ForDisks();
            }
        }
        catch (Refused refused)
        {
            Problem = refused.Message;
        }
    }

    /// <summary>A name no pool of the host has yet.</summary>
    public string FreeName => Enumerable.Range(1, 1000).Select(n => n == 1 ? "vault" : $"vault {n}").First(n => Host?.PoolNamed(n) is null);

    private List<(LayoutCandidate, DiskOffer?)> ForDisks()
    {
        var disks = DiskText.Disks(Disks);
        var age = Typed.OptionalNumber(Age, "Their age") ?? 0;
        var offer = Typed.OptionalNumber(Price, "What one costs") is { } price
            ? new DiskOffer(disks[0], price, WarrantyYears: 0, AgeYears: age)
            : null;
        return [.. LayoutChooser.For(disks, offer, age, Spare).Select(c => (c, (DiskOffer?)null))];
    }

    private List<(LayoutCandidate, DiskOffer?)> ForNeed()
    {
        var need = Typed.Size(Need, "The room you need", Prefixes.Decimal, "TB");
        var survives = Typed.OptionalWhole(Survives, "Failures to survive", 0, 3) ?? 1;
        var offers = Enumerable.Range(0, Offers).Select(OfferTyped).OfType<DiskOffer>().ToList();
        if (offers.Count == 0)
        {
            throw new Refused("Name at least one disk you could buy, by its size.");
        }

        var found = offers.SelectMany(o => LayoutChooser.ForNeed(need, survives, o, Spare).Select(c => (Way: c, Offer: (DiskOffer?)o)));
        return
        [
            .. found.OrderBy(f => f.Way.Cost is { Total: > 0 } cost ? cost.Total : double.MaxValue).ThenBy(f => f.Way.Plan.Disks.Count),
        ];
    }

    private DiskOffer? OfferTyped(int n)
    {
        var size = Offer(n, "size");
        if (string.IsNullOrWhiteSpace(size))
        {
            return null;
        }

        return new DiskOffer(
            new DiskSpec(Typed.Size(size, $"Offer {n + 1}", Prefixes.Decimal, "TB")),
            Typed.OptionalNumber(Offer(n, "price"), $"Offer {n + 1}, its price") ?? 0,
            Offer(n, "condition") is { Length: > 0 } word ? DiskWords.Conditions.Read(word, $"Offer {n + 1}, how") : DiskCondition.New,
            Typed.OptionalNumber(Offer(n, "warranty"), $"Offer {n + 1}, its warranty") ?? 0,
            Typed.OptionalNumber(Offer(n, "age"), $"Offer {n + 1}, its age") ?? 0
        );
    }
}
