using System.CommandLine;
using Yuntak.Core.Base;
using Yuntak.Core.Disks;
using Yuntak.Core.Figures;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Runbooks;
using Yuntak.Core.Shapes;
using Yuntak.Core.Units;
using Yuntak.Core.Wants;
using Yuntak.Formats.Answers;
using Yuntak.Formats.Intake;

namespace Yuntak.Cli;

/// <summary><c>size PROFILE [load=value …]</c>: what a service needs, with every step of its working.</summary>
internal static class SizeCommand
{
    public static Command Make()
    {
        var profile = new Argument<string?>("PROFILE")
        {
            Description = "What it is for; --list names them.",
            Arity = ArgumentArity.ZeroOrOne,
        };
        var loads = new Argument<string[]>("LOADS") { Description = "How much of it: load=value.", Arity = ArgumentArity.ZeroOrMore };
        var kind = new Option<string?>("--kind") { Description = "machine, system-container or app-stack; the one advised when left out." };
        var list = new Option<bool>("--list") { Description = "Name the profiles and what they ask." };
        var own = new Option<string?>("--profiles")
        {
            Description = "A profile file, or a lab file with profiles of its own, to use as well.",
        };
        var json = Shared.Json();
        var command = new Command("size", "Say what a service needs.") { profile, loads, kind, list, own, json };
        command.SetAction(parsed =>
        {
            var asJson = parsed.GetValue(json);
            if (Shared.ReadBook(parsed.GetValue(own), asJson) is not { } book)
            {
                return Shared.CouldNotRead;
            }

            try
            {
                return parsed.GetValue(list)
                    ? List(book, asJson)
                    : Run(book, parsed.GetValue(profile), parsed.GetValue(loads) ?? [], parsed.GetValue(kind), asJson);
            }
            catch (Refused refused)
            {
                Shared.Refuse([refused.Message], asJson);
                return Shared.CouldNotRead;
            }
        });
        return command;
    }

    private static int List(ProfileBook book, bool json)
    {
        if (json)
        {
            Console.WriteLine(JsonAnswers.Profiles(book));
            return 0;
        }

        foreach (var profile in book.All)
        {
            Console.WriteLine($"{profile.Id}: {profile.Summary}");
            foreach (var load in profile.Loads)
            {
                var unit = load.Unit.Length > 0 ? ", in " + load.Unit : "";
                Console.WriteLine(
                    $"  {load.Id}: {load.Label.ToLowerInvariant()}{unit} ({Numbers.Short(load.Min)} to {Numbers.Short(load.Max)}, usually {Numbers.Short(load.Default)})"
                );
            }
        }

        return 0;
    }

    private static int Run(ProfileBook book, string? id, string[] loads, string? kind, bool json)
    {
        var profile =
            book.Find(id ?? "")
            ?? throw new Refused(
                $"{(id is null ? "Name a profile" : $"There is no profile called «{id}»")}. There are: {string.Join(", ", book.All.Select(p => p.Id))}."
            );
        var chosen = kind is null ? Packaging.For(profile).Kind : ProfileWords.Kinds.Read(kind, "--kind");
        var want = new Want(profile.Id, [.. loads.Select(l => Load(profile, l))]);
        var sizing = Sizing.Of(new Guest(new GuestId(profile.Id), profile.Name, chosen, [want], SizeOverrides.None), book);
        if (json)
        {
            Console.WriteLine(JsonAnswers.Size(sizing));
        }
        else
        {
            Print(sizing);
        }

        return 0;
    }

    private static LoadValue Load(Profile profile, string text)
    {
        if (text.Split('=', 2) is not [var id, var typed] || !Numbers.TryParse(typed, out var value))
        {
            throw new Refused(
                $"A load is written load=value, such as {(profile.Loads.Count > 0 ? $"{profile.Loads[0].Id}={Numbers.Short(profile.Loads[0].Default)}" : "cameras=4")}, not «{text}»."
            );
        }

        Loads.Check(profile, id, value);
        return new LoadValue(id, value);
    }

    private static void Print(Sizing sizing)
    {
        var packaging = Packaging.For(sizing.Leading);
        Console.WriteLine(
            $"{sizing.Leading.Name} as {(sizing.Guest.Kind == GuestKind.AppStack ? "an" : "a")} {sizing.Guest.Kind.Words()}; kept busy {sizing.IdleCores} at rest, {sizing.BusyCores} at most."
        );
        foreach (var figure in SizeAnswer.Figures(sizing))
        {
            Console.WriteLine($"{figure.Label}: {figure.ValueText}  = {figure.Formula}");
            foreach (var input in figure.Inputs)
            {
                Console.WriteLine($"    {input.Label}: {input.ValueText} ({input.Origin.ToString().ToLowerInvariant()})");
            }
        }

        Console.WriteLine($"Advised: {packaging.Kind.Words()}. {string.Join(' ', packaging.Reasons)}");
    }
}
