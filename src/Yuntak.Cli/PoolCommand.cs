using System.CommandLine;
using Yuntak.Core.Base;
using Yuntak.Core.Disks;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Runbooks;
using Yuntak.Core.Shapes;
using Yuntak.Core.Units;
using Yuntak.Formats.Answers;

namespace Yuntak.Cli;

/// <summary><c>pool DISKS LAYOUT</c>: how much room a pool has and how likely it is lost. <c>layouts DISKS</c>: every sensible way to join disks.</summary>
internal static class PoolCommand
{
    private const double OldestYears = 30;
    private static readonly ByteSize LeastBlock = new(512);
    private static readonly ByteSize LargestBlock = ByteSize.FromMiB(16);

    public static Command MakePool()
    {
        var disks = Disks();
        var layout = new Argument<string>("LAYOUT")
        {
            Description = "single, stripe, mirror, mirrors, parity1 to parity3, dedicated1, dedicated2; groups as 2*parity2.",
        };
        var family = new Option<string?>("--family") { Description = "array (default) or cow, copy-on-write." };
        var block = new Option<string?>("--block") { Description = "The block that is written at once, such as 128K (default)." };
        var age = Age();
        var spare = Spare();
        var json = Shared.Json();
        var command = new Command("pool", "Say how much room a pool has and how likely it is lost.")
        {
            disks,
            layout,
            family,
            block,
            age,
            spare,
            json,
        };
        command.SetAction(parsed =>
            Answered(
                parsed.GetValue(json),
                () =>
                {
                    var (kind, groups) = DiskText.Layout(parsed.GetValue(layout));
                    var chosen = Family(parsed.GetValue(family));
                    var plan = PoolPlan.Of(
                        kind,
                        groups,
                        chosen,
                        DiskText.Disks(parsed.GetValue(disks)),
                        Block(parsed.GetValue(block)),
                        Years(parsed.GetValue(age)),
                        parsed.GetValue(spare)
                    );
                    if (parsed.GetValue(json))
                    {
                        Console.WriteLine(JsonAnswers.Pool(plan));
                    }
                    else
                    {
                        Print(plan);
                    }
                }
            )
        );
        return command;
    }

    public static Command MakeLayouts()
    {
        var disks = Disks();
        var price = new Option<string?>("--price") { Description = "What one disk costs, to say what a usable terabyte costs." };
        var age = Age();
        var spare = Spare();
        var json = Shared.Json();
        var command = new Command("layouts", "List every sensible way to join disks; * marks what nothing beats.")
        {
            disks,
            price,
            age,
            spare,
            json,
        };
        command.SetAction(parsed =>
            Answered(
                parsed.GetValue(json),
                () =>
                {
                    var there = DiskText.Disks(parsed.GetValue(disks));
                    var years = Years(parsed.GetValue(age));
                    var offer = parsed.GetValue(price) is { } typed
                        ? new DiskOffer(there[0], Number(typed, "--price", 1e9), AgeYears: years)
                        : null;
                    var found = LayoutChooser.For(there, offer, years, parsed.GetValue(spare));
                    if (parsed.GetValue(json))
                    {
                        Console.WriteLine(JsonAnswers.Layouts(found));
                    }
                    else
                    {
                        Print(found);
                    }
                }
            )
        );
        return command;
    }

    private static Argument<string> Disks() =>
        new("DISKS") { Description = "6x20TB or «2 x 4 TB spinning»; unequal ones as 1x6TB,1x2TB; flash as 2x1.92TB:nvme-flash." };

    private static Option<string?> Age() => new("--age-years") { Description = "How old the disks are; 0 when left out." };

    private static Option<bool> Spare() =>
        new("--spare") { Description = "A spare lies ready; without one, 72 hours are added to a rebuild." };

    private static int Answered(bool json, Action answer)
    {
        try
        {
            answer();
            return 0;
        }
        catch (Refused refused)
        {
            Shared.Refuse([refused.Message], json);
            return Shared.CouldNotRead;
        }
    }

    private static PoolFamily Family(string? word) => word is null ? PoolFamily.BlockArray : LabWords.Families.Read(word, "--family");

    private static int Block(string? typed) =>
        typed is null ? PoolRoom.QuotedBlock
        : ByteSize.TryParse(typed, Prefixes.Binary, out var size, "B") && size >= LeastBlock && size <= LargestBlock ? (int)size.Bytes
        : throw new Refused($"--block is a size from 512 (bytes) to 16M such as 128K, not «{typed}».");

    private static double Years(string? typed) => typed is null ? 0 : Number(typed, "--age-years", OldestYears);

    private static double Number(string typed, string what, double most) =>
        Numbers.TryParse(typed, out var number) && number <= most
            ? number
            : throw new Refused($"{what} is a number from 0 to {Numbers.Short(most)}, not «{typed}».");

    private static void Print(PoolPlan plan)
    {
        var room = plan.Room;
        Console.WriteLine($"{plan.Words}, {(plan.Family == PoolFamily.CopyOnWrite ? "copy-on-write pool" : "block array")}");
        foreach (
            var (step, size) in new[]
            {
                ("raw", room.Raw),
                ("after parity", room.AfterParity),
                ("after padding", room.AfterPadding),
                ("usable", room.Usable),
                ("comfortable", room.Comfort),
            }
        )
        {
            Console.WriteLine($"{step, -14}{size.ToDecimalString(), 12}{size, 12}");
        }

        Console.WriteLine(
            $"Survives {Numbers.Count(plan.Risk.Survives, "failure")}; a rebuild takes {Numbers.OneDecimal(plan.Risk.RebuildHours)} h, a scrub {Numbers.OneDecimal(plan.Risk.ScrubHours)} h."
        );
        Console.WriteLine($"Lost within a year: {Odds(plan.Risk)}. A pool is no backup.");
        foreach (var warning in plan.Warnings())
        {
            Console.WriteLine("! " + warning);
        }
    }

    private static void Print(IReadOnlyList<LayoutCandidate> found)
    {
        foreach (var candidate in found)
        {
            var plan = candidate.Plan;
            Console.WriteLine(
                $"{(candidate.Best ? "*" : " ")} {plan.Words}, {(plan.Family == PoolFamily.CopyOnWrite ? "copy-on-write" : "array")}: "
                    + $"{plan.Room.Usable.ToDecimalString()} usable, survives {plan.Risk.Survives}, lost within a year {Odds(plan.Risk)}"
                    + (candidate.Cost is { } cost ? $", {Numbers.Short(cost.PerUsableTB)} a usable TB" : "")
                    + (candidate.Recommended ? "  ← recommended" : "")
            );
        }

        if (found.FirstOrDefault(c => c.Recommended) is { } recommended)
        {
            Console.WriteLine(string.Join(' ', LayoutChooser.Reasons(recommended.Plan)));
        }
        else if (LayoutChooser.WhyNone(found) is { } why)
        {
            Console.WriteLine(why);
        }
    }

    /// <summary>The odds in words with the figure behind, and those of one batch where they matter.</summary>
    private static string Odds(PoolRisk risk)
    {
        var exactly = Core.Disks.Odds.Exactly(risk.LossPerYear);
        var words = Core.Disks.Odds.Words(risk.LossPerYear);
        return (words == exactly ? exactly : $"{words} ({exactly})")
            + (risk.LossInBatch > risk.LossPerYear ? $", {Core.Disks.Odds.Exactly(risk.LossInBatch)} if the disks are of one batch" : "");
    }
}
