using Yuntak.Core.Labs;
using Yuntak.Core.Runbooks;

namespace Yuntak.Core.Rehearsals;

/// <summary>Steps that are done in one go. When it is over, everybody who served before serves again.</summary>
/// <param name="Number">From 1.</param>
/// <param name="Steps">In order.</param>
/// <param name="Away">Who is still away when it is over: only where no cut leaves nobody away.</param>
/// <param name="Longer">Whether it is longer than wanted: where it could end sooner somebody would be away, or a service half moved.</param>
public sealed record Sitting(int Number, IReadOnlyList<RehearsedStep> Steps, IReadOnlyList<GuestId> Away, bool Longer = false)
{
    /// <summary>How long it takes, in minutes.</summary>
    public int Minutes => Steps[^1].Ends - Steps[0].Starts;

    /// <summary>The usual length of an evening, in minutes.</summary>
    public const int Usual = 120;

    /// <summary>The shortest length somebody may choose.</summary>
    public const int Shortest = 15;

    /// <summary>The longest length somebody may choose: a day.</summary>
    public const int Longest = 1_440;

    /// <summary>
    /// Cuts a rehearsed runbook into sittings no longer than wanted where that can be. A cut is only made where nobody who served before is away and no service is on
    /// its way from the old place to the new one; where the steps up to the next such place take longer than wanted, the sitting is longer.
    /// </summary>
    /// <param name="rehearsal">The rehearsal.</param>
    /// <param name="minutes">How long a sitting is to be.</param>
    public static IReadOnlyList<Sitting> Of(Rehearsal rehearsal, int minutes)
    {
        List<Sitting> sittings = [];
        List<RehearsedStep> now = [];
        var whole = 0;
        // Services that are stopped for their archive and not yet held against what they were.
        HashSet<GuestId> moving = [];
        foreach (var step in rehearsal.Steps)
        {
            now.Add(step);
            if (step.Step.Act is ArchiveService archive)
            {
                moving.Add(archive.Guest);
            }
            else if (step.Step.Act is CheckItems check)
            {
                moving.Remove(check.Guest);
            }

            if (whole > 0 && step.Ends - now[0].Starts > minutes)
            {
                Cut(whole);
                whole = 0;
            }

            if (step.Away.Count == 0 && moving.Count == 0)
            {
                if (now.Count > 0 && step.Ends - now[0].Starts > minutes)
                {
                    Cut(now.Count);
                    whole = 0;
                }
                else
                {
                    whole = now.Count;
                }
            }
        }

        if (now.Count > 0)
        {
            Cut(now.Count);
        }

        return sittings;

        void Cut(int steps)
        {
            var cut = now.Take(steps).ToList();
            sittings.Add(new(sittings.Count + 1, cut, cut[^1].Away, cut[^1].Ends - cut[0].Starts > minutes));
            now.RemoveRange(0, steps);
        }
    }
}
