using System.Text.Json;

namespace Yuntak.Web.Tests.Cli;

/// <summary>The rehearsal and the files of a runbook on the command line.</summary>
public sealed class RehearseTests
{
    private static readonly string[] Home =
    [
        CommandLine.Demo("saltmarsh-draft.yaml"),
        "--from",
        CommandLine.Demo("saltmarsh-as-built.yaml"),
    ];

    [Fact]
    public void The_rehearsal_answers_by_the_names_it_promises()
    {
        var (ended, said, _) = CommandLine.Run(null, ["rehearse", .. Home, "--all-faults", "--json"]);
        ended.ShouldBe(1, "the demo has a stop: its draft is not reached");
        var root = JsonDocument.Parse(said).RootElement;
        root.GetProperty("reachesDraft").GetBoolean().ShouldBeFalse();
        var steps = root.GetProperty("steps").EnumerateArray().ToList();
        steps.Count.ShouldBe(37);
        steps.Select(s => s.GetProperty("outcome").GetString()).Distinct().ShouldBe(["done", "refused"]);
        steps.ShouldAllBe(s => s.GetProperty("endsMinute").GetInt32() >= s.GetProperty("startsMinute").GetInt32());
        root.GetProperty("minutes").GetInt32().ShouldBe(steps[^1].GetProperty("endsMinute").GetInt32());
        root.GetProperty("away")[0].GetProperty("guest").GetString().ShouldBe("lantern");
        (
            root.GetProperty("away")[0].GetProperty("toMinute").GetInt32()
            - root.GetProperty("away")[0].GetProperty("fromMinute").GetInt32()
        ).ShouldBe(8);
        root.GetProperty("leastMemoryFreeBytes")
            .EnumerateArray()
            .Select(h => h.GetProperty("host").GetString())
            .ShouldBe(["kiln", "wren", "cellar"]);
        root.GetProperty("noReturnAfter").ValueKind.ShouldBe(JsonValueKind.Null);
        var faults = root.GetProperty("faults").EnumerateArray().ToList();
        faults.Select(f => f.GetProperty("outcome").GetString()).Distinct().ShouldBe(["caught", "harmless"], ignoreOrder: true);
        faults.ShouldAllBe(f => f.GetProperty("cost").GetString()!.Length > 0 && f.GetProperty("message").GetString()!.Length > 0);
    }

    [Fact]
    public void In_words_it_says_each_step_who_is_away_and_what_strikes()
    {
        var (ended, said, _) = CommandLine.Run(null, ["rehearse", .. Home, "--fault", "only-suspended@3.1"]);
        ended.ShouldBe(1);
        var lines = said.Split('\n', StringSplitOptions.RemoveEmptyEntries);
        lines[0].ShouldStartWith("Does not reach the draft: 37 steps");
        lines.Count(l => l.Contains(" min  ", StringComparison.Ordinal)).ShouldBe(37);
        lines.ShouldContain(l => l.StartsWith("Away: lantern for 13", StringComparison.Ordinal));
        lines.Count(l => l.StartsWith("Least memory free on ", StringComparison.Ordinal)).ShouldBe(3);
        lines.ShouldContain(l => l.StartsWith("only-suspended at 3.1, ", StringComparison.Ordinal) && l.Contains("It would cost: "));
        // Of a job that is not as planned only what differs, in words.
        lines.ShouldContain(
            "Not as planned: should be: job nightly: takes hearth, pressbook without bulk, glazelog, signpost, bootpost, gatehouse, "
                + "owlwatch without bulk, kiln, strongroom without system and bulk, wren"
        );
        said.ShouldNotContain("{");
        CommandLine
            .Run(null, "rehearse", CommandLine.Demo("saltmarsh-as-built.yaml"), "--from", CommandLine.Demo("saltmarsh-as-built.yaml"))
            .Said.ShouldBe("Nothing to rehearse: what stands is what is planned.\n");
    }

    [Fact]
    public void A_fault_strikes_where_it_is_told_to_or_at_the_worst()
    {
        JsonElement Fault(string at) =>
            JsonDocument.Parse(CommandLine.Run(null, ["rehearse", .. Home, "--fault", at, "--json"]).Said).RootElement;
        var told = Fault("only-suspended@3.1");
        told.GetProperty("steps")
            .EnumerateArray()
            .Single(s => s.GetProperty("number").GetString() == "3.1")
            .GetProperty("outcome")
            .GetString()
            .ShouldBe("caught");
        Fault("small-backup@worst").GetProperty("faults")[0].GetProperty("outcome").GetString().ShouldBe("caught");

        foreach (
            var (at, says) in new[]
            {
                ("nonsense@1.1", "There is no fault"),
                ("disk-full@99.1", "There is no open step"),
                ("medium-left-in@1.1", "cannot happen"),
                ("disk-full", "NAME@STEP"),
            }
        )
        {
            var (ended, _, problem) = CommandLine.Run(null, ["rehearse", .. Home, "--fault", at]);
            ended.ShouldBe(2);
            problem.ShouldContain(says);
        }
    }

    [Fact]
    public void Each_file_of_a_runbook_is_written_alone_and_wrong_names_are_said()
    {
        CommandLine.Run(null, ["runbook", .. Home, "--script", "kiln"]).Said.ShouldStartWith("#!/bin/sh\n");
        CommandLine
            .Run(null, ["runbook", .. Home, "--ics", "--sitting", "60", "--start", "2026-11-28T19:00"])
            .Said.ShouldContain("DTSTART:20261128T190000");
        CommandLine.Run(null, ["runbook", .. Home, "--cloud-config", "tinker"]).Said.ShouldContain("hostname: \"tinker\"");
        CommandLine.Run(null, ["runbook", .. Home, "--ovf", "tinker"]).Said.ShouldContain("VirtualSystem");
        foreach (
            var (arguments, says) in new (string[], string)[]
            {
                (["--script", "nowhere"], "There is no host"),
                (["--ovf", "nobody"], "There is no guest"),
                (["--ovf", "bootpost"], "is no machine"),
                (["--cloud-config", "bootpost"], "is an app stack"),
                (["--ics", "--sitting", "1"], "--sitting takes"),
                (["--ics", "--start", "soon"], "--start takes"),
                (["--ics", "--json"], "one file at a time"),
            }
        )
        {
            var (ended, said, problem) = CommandLine.Run(null, ["runbook", .. Home, .. arguments]);
            ended.ShouldBe(2);
            (said + problem).ShouldContain(says);
        }
    }
}
