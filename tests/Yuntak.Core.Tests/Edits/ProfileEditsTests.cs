using CsCheck;
using Yuntak.Core.Base;
using Yuntak.Core.Edits;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Runbooks;
using Yuntak.Core.Shapes;
using Yuntak.Core.Units;
using Yuntak.Core.Wants;
using Yuntak.Tests;

namespace Yuntak.Core.Tests.Edits;

/// <summary>Own profiles are kept with the lab, stand in the place of others, and can be dropped again.</summary>
public class ProfileEditsTests
{
    private static readonly Profile Wiki = ProfileBook.Standard.Get("wiki");
    private static readonly Lab WithWiki = Small
        .Lab(Small.Host("kiln"))
        .WithGuestOn(Small.Guest("notes", load: new LoadValue("people", 9)), "kiln");

    [Fact]
    public void A_changed_profile_changes_the_size_and_dropping_it_brings_the_old_size_back()
    {
        var before = Sizing.Of(WithWiki, WithWiki.Guests[0]).Memory;
        var heavier = Wiki with { Memory = [new Term("server", 4)] };
        var kept = ProfileEdits.Keep(heavier)(WithWiki);
        kept.Sentence.ShouldBe("own profile wiki and notes kept");
        Sizing.Of(kept.Lab, kept.Lab.Guests[0]).Memory.ShouldBe(ByteSize.FromGiB(5.5), "(4 + 0.5) GiB × 1.15, up to the next 512 MiB");

        var dropped = ProfileEdits.Drop("wiki")(kept.Lab);
        dropped.Lab.ShouldBe(WithWiki);
        Sizing.Of(dropped.Lab, dropped.Lab.Guests[0]).Memory.ShouldBe(before);
        dropped.Sentence.ShouldBe("wiki and notes: back to the profile that comes with Yuntak");
    }

    [Fact]
    public void Loads_that_are_no_longer_asked_for_are_dropped_and_said_to_be()
    {
        var narrow = Wiki with { Loads = [Wiki.Loads[0] with { Max = 5, Default = 2 }] };
        var kept = ProfileEdits.Keep(narrow)(WithWiki);
        kept.Sentence.ShouldEndWith("notes's people no longer counts");
        kept.Lab.Guests[0].Wants[0].Load.ShouldBeEmpty();
    }

    [Fact]
    public void One_in_use_is_not_dropped_from_under_its_guests()
    {
        var own = Wiki with { Id = "recipes", Name = "recipes" };
        var lab = Small.Lab().With(ProfileEdits.Keep(own)).With(GuestEdits.Add(Small.Guest("book", "recipes")));
        Should.Throw<Refused>(() => ProfileEdits.Drop("recipes")(lab)).Message.ShouldStartWith("book follows the profile recipes.");
        lab.With(GuestEdits.Remove(new GuestId("book"))).With(ProfileEdits.Drop("recipes")).Profiles.ShouldBeEmpty();
        Should.Throw<Refused>(() => ProfileEdits.Drop("wiki")(lab)).Message.ShouldContain("not one of the lab's own");
    }

    [Fact]
    public void A_wrong_one_is_refused_and_nothing_is_kept_of_the_others() =>
        Should
            .Throw<Refused>(() => ProfileEdits.Keep(Wiki, Wiki with { Id = "x", Busy = [new Term("negative", -1)] })(Small.Lab()))
            .Message.ShouldContain("«negative»");

    [Fact]
    public void Many_more_than_a_lab_holds_are_refused() =>
        Should
            .Throw<Refused>(() =>
                ProfileEdits.Keep([.. Enumerable.Range(0, ProfileChecks.MostProfiles + 1).Select(n => Wiki with { Id = $"w{n}" })])(
                    Small.Lab()
                )
            )
            .Message.ShouldContain("100 profiles of its own at most");

    [Fact]
    public void A_tick_takes_a_changed_profile_over_and_what_stands_keeps_its_figures()
    {
        var draft = WithWiki
            .With(ProfileEdits.Keep(Wiki with { Memory = [new Term("server", 4)] }))
            .With(GuestEdits.Place(new GuestId(WithWiki.Guests[0].Id.Value), new HostId("kiln")))
            .WithGuestOn(Small.Guest("songs", "music"), "kiln");
        var before = Sizing.Of(WithWiki, WithWiki.Guests[0]).Memory;
        var song = RunbookBuilder.Build(WithWiki, draft).Sections.Single(s => s.Title == "Build songs on kiln").Steps[0];

        var stands = WithWiki.With(RunbookTick.Off(draft, song.Id));
        stands.Profiles.ShouldBe(draft.Profiles);
        Sizing.Of(stands, stands.Guests[0]).Memory.ShouldBe(before);
        RunbookBuilder.Build(stands, draft).Sections.ShouldContain(s => s.Key == "change-guest/notes", "the memory has still to be given");
    }

    [Fact]
    public void The_book_offers_changed_ones_in_their_place_and_new_ones_at_the_end()
    {
        var book = ProfileBook.With([Wiki with { Name = "notes of ours" }, Wiki with { Id = "recipes", Name = "recipes" }]);
        book.All.Count().ShouldBe(ProfileBook.Standard.All.Count() + 1);
        book.All.Last().Id.ShouldBe("recipes");
        book.All.Select(p => p.Id).SkipLast(1).ShouldBe(ProfileBook.Standard.All.Select(p => p.Id));
        book.Get("wiki").Name.ShouldBe("notes of ours");
        book.Own("router").ShouldBeNull();
    }

    [Fact]
    public void With_any_sound_profile_no_size_falls_when_a_load_rises() =>
        (
            from profile in Gens.AnyProfile
            from shares in Gen.Double[0, 1].Array[Math.Max(1, profile.Loads.Count)]
            from which in Gen.Int[0, Math.Max(0, profile.Loads.Count - 1)]
            from kind in Gen.Enum<GuestKind>()
            select (profile, shares, which, kind)
        ).Holds(
            sample =>
            {
                var (profile, shares, which, kind) = sample;
                // A question of yes or no is no amount: answered the other way, one thing may take the place of another.
                if (profile.Loads.Count == 0 || profile.Loads[which].YesNo)
                {
                    return;
                }

                LoadValue[] Load(double at) =>
                    [.. profile.Loads.Select((l, n) => new LoadValue(l.Id, l.Min + ((n == which ? at : shares[n]) * (l.Max - l.Min))))];
                var book = ProfileBook.With([profile]);
                var less = Sizing.Of(Small.Guest("g", profile.Id, kind, Load(shares[which] / 2)), book);
                var more = Sizing.Of(Small.Guest("g", profile.Id, kind, Load(shares[which])), book);

                foreach (var (a, b) in Amounts(less).Zip(Amounts(more)))
                {
                    b.ShouldBeGreaterThanOrEqualTo(a);
                }
            },
            iter: 2000
        );

    private static double[] Amounts(Sizing s) =>
        [
            s.Vcpu,
            s.Memory.Bytes,
            s.SystemDisk.Bytes,
            s.Bulk.Bytes,
            s.Scratch.Value.Bytes,
            s.BusyCores.Value,
            s.IdleCores.Value,
            s.EncodeMegapixels.Value,
            s.Bandwidth.Value.BitsPerSecond,
            s.AcceleratorShare.Value.Value,
            s.ClientMemory.Value.Bytes,
            s.Fetch.Value.Bytes,
            s.GraphicsMemory.Value.Bytes,
        ];
}
