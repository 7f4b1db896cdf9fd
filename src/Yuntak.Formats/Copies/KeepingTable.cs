using System.Globalization;
using System.Text;
using Yuntak.Core.Base;
using Yuntak.Core.Keeping;
using Yuntak.Formats.Exports;

namespace Yuntak.Formats.Copies;

/// <summary>The plan of what is copied where, to take away: as a table (RFC 4180) and as Markdown.</summary>
public static class KeepingTable
{
    private static readonly string[] Titles = ["job", "takes", "bytes", "bytes each", "store", "begins", "keeps"];

    /// <summary>A row for each thing of each job.</summary>
    public static string Csv(HouseKeeping keeping) =>
        SafeTable.Of(
            Titles,
            from job in keeping.Jobs
            from segment in job.Segments
            select new object[]
            {
                job.Job.Name,
                segment.Name,
                segment.Size.Bytes,
                segment.After(job.EveryDays).Bytes,
                job.Job.Store,
                job.Times.ToString(),
                job.Keep?.ToString() ?? "everything",
            }
        );

    /// <summary>The whole plan.</summary>
    public static string Markdown(HouseKeeping keeping)
    {
        var text = new StringBuilder();
        text.Append(CultureInfo.InvariantCulture, $"# What is copied: {MarkdownText.Plain(keeping.Lab.Name)}\n\n## Stores\n\n");
        foreach (var store in keeping.Stores)
        {
            var room = keeping.Room(store);
            text.Append(
                CultureInfo.InvariantCulture,
                $"- **{MarkdownText.Plain(store.Store.Name)}**, {MarkdownText.Plain(store.Where)}: {room.Used.ToDecimalString()} of {store.Room?.ToDecimalString() ?? "a room nobody said"}{(room.FullOn is { } full ? $", full on {full:yyyy-MM-dd}" : "")}\n"
            );
        }

        text.Append("\n## Jobs\n\n");
        foreach (var job in keeping.Jobs)
        {
            text.Append(
                CultureInfo.InvariantCulture,
                $"### {MarkdownText.Plain(job.Job.Name)}\n\nInto {MarkdownText.Plain(job.Job.Store)}, {job.Times.Words()}; keeps {job.Keep?.ToString() ?? "everything"}. First {job.First.ToDecimalString()} in {job.FirstTime.Exactly()}, then {job.Each.ToDecimalString()} in {job.EachTime.Exactly()}.\n\n"
            );
            foreach (var segment in job.Segments)
            {
                text.Append(CultureInfo.InvariantCulture, $"- {MarkdownText.Plain(segment.Name)}, {segment.Size.ToDecimalString()}\n");
            }

            foreach (var part in job.Job.Takes.Where(p => p.Without.Count > 0 && p.Guest is not null))
            {
                text.Append(
                    CultureInfo.InvariantCulture,
                    $"- not {string.Join(" and ", part.Without.Select(Core.Labs.CopyWords.Volumes.Display))} of {MarkdownText.Plain(keeping.Lab.Guest(part.Guest!.Value)?.Name ?? "")}{(part.Why.Length > 0 ? $": {MarkdownText.Plain(part.Why)}" : "")}\n"
                );
            }

            text.Append('\n');
        }

        if (keeping.Onward.Count > 0)
        {
            text.Append("## Onward\n\n");
            foreach (var onward in keeping.Onward)
            {
                text.Append(
                    CultureInfo.InvariantCulture,
                    $"- {MarkdownText.Plain(onward.Onward.Key)}, {onward.Times.Words()}: first {onward.First.ToDecimalString()} in {onward.FirstTime.Exactly()}, then {onward.Each.ToDecimalString()} in {onward.EachTime.Exactly()}\n"
                );
            }
        }

        return text.ToString();
    }
}
