using System.Text;
using Yuntak.Core.Bench;
using Yuntak.Core.Findings;
using Yuntak.Core.Labs;
using Yuntak.Core.Runbooks;
using Yuntak.Core.Shapes;
using Yuntak.Core.Stations;
using Yuntak.Core.Units;
using Yuntak.Formats.Answers;
using Yuntak.Formats.Exports;
using Yuntak.Formats.Intake;
using Yuntak.Formats.LabFiles;

namespace Yuntak.Compare;

/// <summary>Everything Yuntak says about a lab, as text.</summary>
internal static class Saying
{
    public static string Of(string standsYaml, string draftYaml)
    {
        var (stands, draft) = (Read(standsYaml), Read(draftYaml));
        var text = new StringBuilder();
        var lab = Assessment.Of(draft);
        text.AppendLine("== lab file").AppendLine(LabFile.ToYaml(draft));
        text.AppendLine("== check").AppendLine(JsonAnswers.Check(lab));
        foreach (var finding in lab.Findings)
        {
            text.AppendLine($"{finding.Rule.Id} {finding.Subject.Name}: {string.Join(" | ", finding.Fixes.Select(f => f.Label))}");
        }

        foreach (var host in lab.Hosts)
        {
            text.AppendLine(
                $"== {host.Host.Name}: {host.Fit}, spare {host.Memory.Spare.Bytes}, promised {host.Memory.Promised.Bytes}, vcpu {host.Processor.Vcpu}"
            );
            text.AppendLine(string.Join(' ', Enumerable.Range(0, 24).Select(h => $"{host.Processor.At(h):0.######}")));
            foreach (var pool in host.Pools)
            {
                text.AppendLine(
                    $"{pool.Pool.Name}: raw {pool.Room.Raw.Bytes} usable {pool.Room.Usable.Bytes} claimed {pool.Claimed.Value.Bytes} promised {pool.Promised.Bytes} {pool.Fit} loss {pool.Risk?.LossPerYear:G7}"
                );
            }
        }

        foreach (var guest in lab.Guests)
        {
            text.AppendLine($"== {guest.Guest.Name}").AppendLine(JsonAnswers.Size(guest));
        }

        text.AppendLine("== runbook").AppendLine(RunbookMarkdown.Of(RunbookBuilder.Build(stands, draft)));
        return text.Replace(Numbers.ThinSpace, " ").ToString();
    }

    private static Lab Read(string yaml)
    {
        var reading = LabFile.Read(yaml);
        return reading.Lab ?? throw new InvalidDataException(string.Join('\n', reading.Problems));
    }
}
