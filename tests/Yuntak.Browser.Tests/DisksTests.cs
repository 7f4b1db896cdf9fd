using OpenQA.Selenium;
using Yuntak.Core.Runbooks;

namespace Yuntak.Browser.Tests;

/// <summary>The Disks station in a real browser: disks dragged between pools, by keyboard, and the chooser.</summary>
public class DisksTests
{
    /// <summary>What fits into vault of the demo, but not beside what its guests keep there.</summary>
    private const string Full = "20 TB";
    private const string Subtract = ".findings form:has(input[value*='bench.pool-over']) button.fix";
    private const string Gone = "return !document.querySelector('.findings')?.textContent.includes('vault on cellar is too small')";
    private const string Spare = "#disk-wwn-0x0000000000030006";

    [Fact]
    public async Task A_disk_is_dragged_out_of_its_pool_and_back()
    {
        await using var person = await SliceSession.OpenAsync(demo: true);
        person.Go("/Disks");
        person.Drag(Spare, ".disk-pool.free[data-pool-host=kiln]");
        person.Sees("#status .said", "kiln: sdg taken out of clay");
        person.Sees("#panel", "in no pool");
        person.Drag(Spare, ".disk-pool[data-pool=clay]");
        person.Sees("#status .said", "sdg joins clay, double parity of 6 disks");
        // A pool of another host is no place for it.
        person.Drag(Spare, ".disk-pool[data-pool=vault]");
        person.Sees("#status .said", "sdg joins clay");
        person.Complaints().ShouldBeEmpty();
    }

    [Theory]
    [InlineData(1280)]
    [InlineData(390)]
    public async Task By_keyboard_a_layout_is_chosen_for_disks_that_were_freed(int width)
    {
        await using var person = await SliceSession.OpenAsync(demo: true, width);
        person.Go("/Disks?host=cellar&pool=vault");
        person.TabTo("#apart");
        person.Keys(Keys.Enter);
        person.Sees("#status .said", "cellar: pool vault removed");
        person.TabTo("a[href*='Layouts'][href*='host=cellar']");
        person.Keys(Keys.Enter);
        person.Sees("#recommended", "Recommended:");
        person.Script<bool>("return document.documentElement.scrollWidth <= innerWidth").ShouldBeTrue("nothing sticks out sideways");
        person.TabTo("#make-1");
        person.Keys(Keys.Enter);
        person.Sees("#status .said", "cellar: pool vault added");
        person.Sees("#panel-title", "vault");
        person.Chord(Keys.Control, "z");
        person.Sees("#status .said", "taken back: cellar: pool vault added");
        person.Complaints().ShouldBeEmpty();
    }

    [Fact]
    public async Task A_need_typed_into_the_chooser_is_answered()
    {
        await using var person = await SliceSession.OpenAsync(demo: true);
        person.Go("/Disks");
        person.Click("#choose-layout");
        person.Type("input[name=need]", "20 TB");
        person.Type("input[name='offer-0-size']", "4TB");
        person.Type("input[name='offer-0-price']", "90");
        person.Click("#need");
        person.Find(".layouts tbody tr");
        person.Find(".risk-plot .best");
        person.Type("input[name=need]", "plenty");
        person.Click("#need");
        person.Sees(".refusal", "The room you need: a size such as");
    }

    [Fact]
    public async Task What_counts_twice_is_subtracted_at_a_press_with_the_mouse_and_by_keyboard()
    {
        await using var person = await SliceSession.OpenAsync(demo: true);
        Use("plenty");
        person.Sees("#panel", "Already used");
        person.Sees("#status, .refusal", "plenty");

        Use(Full);
        person.Sees("#status .said", "already holds");
        person.Go("/Bench");
        person.Sees(".findings", "vault on cellar is too small");
        person.Click(Subtract);
        person.Until(Gone, "the pool is too small all the same");

        person.Chord(Keys.Control, "z");
        person.Sees(".findings", "vault on cellar is too small");
        person.TabTo(Subtract);
        person.Keys(Keys.Enter);
        person.Until(Gone, "the pool is too small all the same");
        person.Complaints().ShouldBeEmpty();

        void Use(string used)
        {
            person.Go("/Disks?host=cellar&pool=vault");
            person.Script<object?>("document.querySelector('#pool-form').closest('details').open = true");
            person.Type("#pool-form input[name=used]", used);
            person.Click("#keep-pool");
        }
    }
}
