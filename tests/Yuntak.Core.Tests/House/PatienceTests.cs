using Yuntak.Core.Base;
using Yuntak.Core.Labs;
using Yuntak.Core.Stations;
using Yuntak.Tests;

namespace Yuntak.Core.Tests.House;

/// <summary>Sums are broken off when nothing waits for them any more, and begun anew when asked for again.</summary>
public class PatienceTests
{
    [Fact]
    public void Sums_that_were_broken_off_are_worked_out_for_the_next()
    {
        var lab = Copied.Sound();
        var whole = Assessment.Of(lab, Copied.Today).From(lab);
        using var gone = new CancellationTokenSource();
        gone.Cancel();
        Patience.Until(gone.Token);
        Should.Throw<OperationCanceledException>(() => whole.Findings.Count);
        Should.Throw<OperationCanceledException>(() => whole.Findings.Count, "nor is half of it kept");
        Should.Throw<OperationCanceledException>(() => lab.Keeping().NightOf(Copied.Today.AddDays(1)).Runs.Count);

        Patience.Until(default);
        whole.Findings.Select(f => f.Key).ShouldBe(Assessment.Of(lab, Copied.Today).From(lab).Findings.Select(f => f.Key));
    }

    [Fact]
    public async Task One_call_that_is_given_up_breaks_off_no_other()
    {
        var lab = Copied.Sound();
        using var gone = new CancellationTokenSource();
        await gone.CancelAsync();
        var (mine, other) = (Task.Run(() => Counted(lab, gone.Token)), Task.Run(() => Counted(lab, default)));
        await Should.ThrowAsync<OperationCanceledException>(() => mine);
        (await other).ShouldBe(Assessment.Of(lab, Copied.Today).Findings.Count);
    }

    [Fact]
    public void What_failed_once_is_tried_again_and_what_worked_is_kept()
    {
        var tries = 0;
        var once = new Once<int>(() => ++tries == 1 ? throw new TimeoutException() : tries);
        Should.Throw<TimeoutException>(() => once.Value);
        once.Value.ShouldBe(2);
        once.Value.ShouldBe(2);

        Once<int>? itself = null;
        itself = new Once<int>(() => itself!.Value + 1);
        Should.Throw<InvalidOperationException>(() => itself.Value).Message.ShouldContain("needs itself");
    }

    [Fact]
    public void Of_many_who_ask_at_once_one_works_it_out()
    {
        var made = 0;
        var once = new Once<int>(() => Interlocked.Increment(ref made));
        Parallel.For(0, 64, _ => once.Value.ShouldBe(1));
        made.ShouldBe(1);
    }

    private static int Counted(Lab lab, CancellationToken gone)
    {
        Patience.Until(gone);
        return Assessment.Of(lab, Copied.Today).Findings.Count;
    }
}
