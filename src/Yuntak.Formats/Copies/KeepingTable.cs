using System.Globalization;
using System.Text;
using CsvHelper;
using Yuntak.Core.Base;
using Yuntak.Core.Keeping;
using Yuntak.Formats.Exports;

namespace Yuntak.Formats.Copies;

/// <summary>The plan of what is copied where, to take away: as a table (RFC 4180) and as Markdown.</summary>
public static class KeepingTable
{
    private static readonly string[] Titles = ["job", "takes", "bytes", "bytes each", "store", "begins", "keeps"];

    /// <summary>A row for each thing of each job.</summary>
    public static string Csv(HouseKeeping keeping)
    {
        using var text = new StringWriter(CultureInfo.InvariantCulture) { NewLine = "\n" };
        using (var csv = new CsvWriter(text, CultureInfo.InvariantCulture, leaveOpen: true))
        {
            foreach (var title in Titles)
            {
                csv.WriteField(title);
            }

            csv.NextRecord();
            foreach (var job in keeping.Jobs)
            {
                foreach (var segment in job.Segments)
                {
                    csv.WriteField(job.Job.Name);
                    csv.WriteField(segment.Name);
                    csv.WriteField(segment.Size.Bytes);
                    csv.WriteField(segment.After(job.EveryDays).Bytes);
                    csv.WriteField(job.Job.Store);
                    csv.WriteField(job.Times.ToString());
                    csv.WriteField(job.Keep?.ToString() ?? "everything");
                    csv.NextRecord();
                }
            }
        }

        return text.ToString().Replace("\r\n", "\n", StringComparison.Ordinal);
    }

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
