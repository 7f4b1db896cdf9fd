using Yuntak.Core.Labs;
using Yuntak.Core.Shapes;
using Yuntak.Core.Units;

namespace Yuntak.Formats.Tests.Jobs;

/// <summary>What is to hold of the job «films-on-a-single-board»: data, mounts, stores, jobs and restores.</summary>
public class FilmsOnASingleBoardTests
{
    private readonly Job job = new("films-on-a-single-board");

    [Fact]
    public void The_films_are_in_a_job_and_counted_once()
    {
        job.Assessment.Findings.ShouldNotContain(f => f.Title.Contains("reels is in no job"));
        job.Draft.AllFolders.Count(f => f.Name == "reels").ShouldBe(1);
    }

    [Fact]
    public void The_films_count_once_where_the_share_has_a_size_too()
    {
        var sized = job.With(l => l with { Shares = [.. l.Shares.Select(s => s with { Size = ByteSize.FromGB(480) })] });
        sized.Hosts[0].Pools.Single(p => p.Pool.Name == "shelf").Claimed.Value.TB.ShouldBe(0.5036, 0.03);
    }

    [Fact]
    public void The_films_have_one_place() => job.Text.ShouldNotContain("/pool/matinee");

    [Fact]
    public void The_Compose_file_binds_them_to_be_read()
    {
        job.Compose("matinee").ShouldContain("/srv/reels");
        job.Compose("matinee").ShouldContain("read_only: true");
        job.Compose("matinee").ShouldNotContain("/srv/shelf/matinee");
    }

    [Fact]
    public void Store_and_job_come_before_the_first_backup() =>
        job.At(job.Of("set-up-job").First()).ShouldBeLessThan(job.At(job.Of("run-first-copy").First()));
}
