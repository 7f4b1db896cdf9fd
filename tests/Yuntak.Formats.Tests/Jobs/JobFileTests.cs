using Yuntak.Core.Rehearsals;

namespace Yuntak.Formats.Tests.Jobs;

/// <summary>What holds for every job.</summary>
public class JobFileTests
{
    public static TheoryData<string> Names() =>
        [
            .. Directory
                .EnumerateFiles(Job.Beside, "*.yaml")
                .Select(f => Path.GetFileNameWithoutExtension(f))
                .Where(n => !n.EndsWith("-as-built", StringComparison.Ordinal))
                .Order(StringComparer.Ordinal),
        ];

    [Fact]
    public void The_copies_are_the_same_as_the_files_they_are_copies_of()
    {
        var files = Directory.GetFiles(Job.Beside, "*.yaml");
        files.Length.ShouldBeGreaterThanOrEqualTo(35);
        // Only where the tests run beside them.
        foreach (var copy in files)
        {
            var origin = Path.Combine("/work/shared/jobs", Path.GetFileName(copy));
            if (File.Exists(origin))
            {
                File.ReadAllText(copy).ShouldBe(File.ReadAllText(origin), copy);
            }
        }
    }

    [Theory]
    [MemberData(nameof(Names))]
    public void Every_store_volume_stays_out_of_backups_and_nothing_is_done_on_where_it_lies(string name)
    {
        var job = new Job(name);
        job.Text.ShouldNotContain("where it lies");
        foreach (var store in job.Draft.Stores.Where(s => s.Guest is not null))
        {
            var keeper = job.Draft.Guest(store.Guest!.Value)!;
            job.Keeping.Jobs.SelectMany(j => j.Segments)
                .Where(s => s.Volume is { Part: Core.Labs.VolumePart.Bulk } v && v.Guest?.Id == keeper.Id)
                .ShouldBeEmpty();
        }
    }

    [Theory]
    [MemberData(nameof(Names))]
    public void Every_folder_a_step_makes_is_made_once_and_is_a_place_of_something_that_is_kept(string name)
    {
        var job = new Job(name);
        var made = job
            .Steps.SelectMany(s => s.Values.Select(v => (Step: s, v.Value)))
            .Where(v =>
                v.Value.StartsWith("mkdir -p -- ", StringComparison.Ordinal) && v.Step.Act.Type is ("lay-app-stack" or "mount-bulk")
            )
            .Select(v => (v.Step.Act, Path: v.Value["mkdir -p -- ".Length..].Trim('\'')))
            .ToList();
        made.Select(m => m.Path).ShouldBeUnique();
        var places = job
            .Draft.Guests.SelectMany(g => Core.Wants.GuestVolumes.Of(job.Draft, job.Assessment.Guest(g.Id)).Select(v => v.Outside))
            .OfType<string>()
            .Concat(job.Draft.Guests.SelectMany(g => g.Folders.Select(f => f.HostPath)))
            .ToHashSet();
        made.Select(m => m.Path).ShouldAllBe(p => places.Contains(p));
    }

    [Theory]
    [MemberData(nameof(Names))]
    public void Pools_copies_and_steps_speak_of_a_volume_to_the_same_byte(string name)
    {
        var job = new Job(name);
        foreach (var guest in job.Draft.Guests.Where(g => g.RunsIn is null && g.Placement is not null))
        {
            var sizing = job.Assessment.Guest(guest.Id);
            var own = Core
                .Wants.GuestVolumes.Of(job.Draft, sizing)
                .Where(v => v is { Part: not null, Place: not Core.Wants.VolumePlace.SystemDisk });
            foreach (var volume in own)
            {
                job.Keeping.Volumes.Single(v => v.Guest?.Id == guest.Id && v.Part == volume.Part).Size.ShouldBe(volume.Size);
                if (
                    job.Steps.FirstOrDefault(s =>
                        s.Act.Type == "mount-bulk" && s.Act.Values.Any(v => v.Key == "guest" && $"{v.Value}" == guest.Id.Value)
                    )
                        is { } step
                    && volume.Part == Core.Labs.VolumePart.Bulk
                )
                {
                    $"{step.Act.Values.Single(v => v.Key == "bytes").Value}".ShouldBe($"{volume.Size.Bytes}");
                }
            }
        }
    }

    /// <summary>No step copies what no job copies, and each first run copies what its job takes.</summary>
    [Theory]
    [MemberData(nameof(Names))]
    public void First_runs_are_those_of_jobs_and_come_after_store_and_job(string name)
    {
        var job = new Job(name);
        foreach (var run in job.Of("run-first-copy"))
        {
            var of = $"{run.Act.Values.Single(v => v.Key == "job").Value}";
            var planned = job.Draft.Jobs.Single(j => j.Name == of);
            job.Steps.Take(job.At(run)).ShouldContain(s => s.Act.Type == "set-up-job" && s.What.Contains(of));
            if (job.Stands.Stores.All(s => s.Name != planned.Store))
            {
                job.Steps.Take(job.At(run)).ShouldContain(s => s.Act.Type == "set-up-store" && s.What.Contains(planned.Store));
            }
        }

        job.Steps.Select(s => s.Act.Type).ShouldNotContain("first-backup");
    }

    [Theory]
    [MemberData(nameof(Names))]
    public void The_rehearsal_loses_nothing_and_ends_at_the_draft_where_nothing_stops_it(string name)
    {
        var job = new Job(name);
        var rehearsal = Rehearsal.Of(job.Assessment.Runbook!);
        rehearsal.Lost.ShouldBeEmpty();
        if (job.Steps.All(s => s.Act.CanBeDone))
        {
            rehearsal.ReachesDraft.ShouldBeTrue(string.Join("; ", rehearsal.Differences));
        }
    }
}
