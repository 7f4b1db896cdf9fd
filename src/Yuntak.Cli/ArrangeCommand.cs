using System.CommandLine;
using System.Globalization;
using Yuntak.Core.Arranging;
using Yuntak.Core.Base;
using Yuntak.Core.Bench;
using Yuntak.Core.Labs;
using Yuntak.Core.Shapes;
using Yuntak.Formats.Answers;

namespace Yuntak.Cli;

/// <summary><c>arrange LAB.yaml</c>: the best place for every guest, proven, and for each without one why.</summary>
internal static class ArrangeCommand
{
    private const string FewHosts = "few-hosts";
    private const string Even = "even";

    public static Command Make()
    {
        var lab = Shared.LabArgument();
        var prefer = new Option<string>("--prefer")
        {
            Description =
                "What is preferred in the end: as few hosts with something to do as can be (few-hosts), or an even spread (even).",
            DefaultValueFactory = _ => FewHosts,
        };
        prefer.AcceptOnlyFromAmong(FewHosts, Even);
        var survive = new Option<bool>("--survive-one")
        {
            Description = "Keep every guest that must run alive with any one host away; without it, those marked «survives».",
        };
        var empty = new Option<string?>("--empty") { Description = "A host that is to be emptied." };
        var only = new Option<bool>("--only-unplaced") { Description = "Move nobody; place those without a host." };
        var of = new Option<string?>("--only-host") { Description = "Move only the guests of this host." };
        var offers = new Option<bool>("--offers") { Description = "Buy of the offers of the lab what is needed, as cheap as can be." };
        var seconds = new Option<double>("--seconds")
        {
            Description = $"How long to search at most; {ArrangeAsk.UsualSeconds:0} when left out.",
            DefaultValueFactory = _ => ArrangeAsk.UsualSeconds,
        };
        seconds.Validators.Add(said =>
        {
            if (said.GetValueOrDefault<double>() is not (> 0 and <= ArrangeAsk.MostSeconds))
            {
                said.AddError(
                    string.Create(CultureInfo.InvariantCulture, $"--seconds takes a number over 0, and {ArrangeAsk.MostSeconds:0} at most.")
                );
            }
        });
        var write = new Option<string?>("--write")
        {
            Description = "A lab file to write the arrangement to. The lab file that was read stays as it is.",
        };
        var json = Shared.Json();
        var command = new Command("arrange", "Put every guest where it belongs, and say why not where it cannot be.")
        {
            lab,
            prefer,
            survive,
            empty,
            only,
            of,
            offers,
            seconds,
            write,
            json,
        };
        command.Validators.Add(result =>
        {
            if (result.GetValue(only) && result.GetValue(of) is not null)
            {
                result.AddError("--only-unplaced and --only-host are two answers to one question; give one.");
            }
        });
        command.SetAction(parsed =>
            Run(
                parsed.GetValue(lab)!,
                parsed.GetValue(empty),
                parsed.GetValue(of),
                new ArrangeAsk
                {
                    Prefer = parsed.GetValue(prefer) == Even ? Prefer.Even : Prefer.FewHosts,
                    SurviveOne = parsed.GetValue(survive),
                    Scope = parsed.GetValue(only) ? ArrangeScope.Unplaced : ArrangeScope.Everything,
                    WithOffers = parsed.GetValue(offers),
                    Seconds = parsed.GetValue(seconds),
                },
                parsed.GetValue(write),
                parsed.GetValue(json)
            )
        );
        return command;
    }

    private static int Run(string path, string? empty, string? of, ArrangeAsk ask, string? write, bool json)
    {
        if (Shared.ReadLab(path, json) is not { } lab)
        {
            return Shared.CouldNotRead;
        }

        foreach (var named in new[] { empty, of }.OfType<string>())
        {
            if (Called(lab, named) is null)
            {
                Shared.Refuse(
                    [$"{path} has no host called «{Names.Short(named)}»; there are {string.Join(", ", lab.Hosts.Select(h => h.Name))}."],
                    json
                );
                return Shared.CouldNotRead;
            }
        }

        var asked = ask with
        {
            Empty = empty is null ? null : Called(lab, empty)!.Id,
            Of = of is null ? null : Called(lab, of)!.Id,
            Scope = of is null ? ask.Scope : ArrangeScope.OneHost,
        };
        var arranged = Arranger.Of(Sums.Of(lab), asked, lab.Guests.Where(g => g.Stands).Select(g => g.Id).ToHashSet());
        if (write is not null)
        {
            var takes = ArrangeEdits.All(arranged);
            var changed = takes.Count == 0 ? lab : ArrangeEdits.Accept(takes, [.. arranged.Bought.Select(b => b.Name)])(lab).Lab;
            if (!Shared.WriteLab(write, changed, json))
            {
                return Shared.CouldNotRead;
            }
        }

        if (json)
        {
            Console.WriteLine(ArrangeAnswer.Of(arranged));
        }
        else
        {
            Print(lab, arranged, write);
        }

        return arranged.LeftOut.Count == 0 ? 0 : 1;
    }

    private static Host? Called(Lab lab, string name) =>
        lab.Hosts.FirstOrDefault(h => string.Equals(h.Name, name, StringComparison.OrdinalIgnoreCase));

    private static void Print(Lab lab, Arrangement arranged, string? written)
    {
        Console.WriteLine(
            arranged.Status switch
            {
                ArrangeStatus.Optimal => "proven: nothing better is to be had",
                ArrangeStatus.Feasible => "the best that was found in the time",
                ArrangeStatus.Infeasible => "what was asked cannot be",
            }
        );
        foreach (var goal in arranged.Goals)
        {
            var today = goal.Today is { } was && Math.Abs(was - goal.Value) > 1e-9 ? $", today {Said(was)}" : "";
            var bound = goal.Proven ? "" : $", at best {Said(goal.Bound)}";
            Console.WriteLine($"  {Said(goal.Value)} {goal.Words}{today}{bound}");
        }

        foreach (var bought in arranged.Bought)
        {
            Console.WriteLine($"buy {bought.Name} for {Said(bought.Price)} {lab.Settings.Currency}");
        }

        foreach (var change in arranged.Changes)
        {
            var pools = string.Join(" and ", new[] { change.Place.SystemPool, change.Place.BulkPool }.OfType<string>().Distinct());
            Console.WriteLine($"{change.Guest.Name}: {change.From?.Name ?? "on no host"} → {change.Host.Name}, {pools}");
        }

        foreach (var left in arranged.LeftOut)
        {
            Console.WriteLine($"{left.Guest.Name} has no place{(left.Stays ? " and stays where it is" : "")}");
            foreach (var host in left.Hosts)
            {
                Console.WriteLine($"  {host.Host.Name}: {host.Limit}");
                Console.WriteLine($"    smallest change: {host.SmallestChange}{(host.Proven ? "" : " (or less; not proven)")}");
            }
        }

        if (written is not null)
        {
            Console.WriteLine($"written to {written}");
        }
    }

    private static string Said(double value) => value.ToString("0.##", CultureInfo.InvariantCulture);
}
