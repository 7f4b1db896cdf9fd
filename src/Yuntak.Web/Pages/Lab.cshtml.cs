using System.Security.Cryptography.X509Certificates;
using Microsoft.AspNetCore.Mvc;
using Yuntak.Core.Base;
using Yuntak.Core.Edits;
using Yuntak.Core.Labs;
using Yuntak.Core.Runbooks;
using Yuntak.Core.Shapes;
using Yuntak.Core.Units;
using Yuntak.Data;
using Yuntak.Formats.Intake;
using Yuntak.Formats.LabFiles;
using Yuntak.Web.Door;
using Yuntak.Web.Shared;
using Yuntak.Web.Starting;

namespace Yuntak.Web.Pages;

/// <summary>The lab as a whole: its name, its assumptions, its file.</summary>
[RequestSizeLimit(YuntakApp.LongestRequest)]
public sealed class LabModel(DeskService desks, LabStore store, OwnAddress address, IServiceProvider services) : LabPageModel(desks, store)
{
    public override bool NeedsSums => false;

    /// <summary>How Yuntak is started so that others in the house reach it.</summary>
    public const string ForOthers = "./yuntak start --urls http://*:5480 --tls";

    /// <summary>Where a phone in the house finds this; null when only this machine does.</summary>
    public string? ForTheHouse => address.ForTheHouse;

    /// <summary>What a browser shows of the certificate; null when there is none.</summary>
    public string? Fingerprint => services.GetService<X509Certificate2>() is { } certificate ? Certificates.Fingerprint(certificate) : null;

    public SettingsForm Form { get; private set; } = null!;

    public string? Pasted { get; private set; }

    public IReadOnlyList<string> Problems { get; private set; } = [];

    public void OnGet() => Form = SettingsForm.Of(Desk.Lab);

    public async Task<IActionResult> OnPostSettingsAsync(
        string? name,
        string? gain,
        [FromForm(Name = "host-base")] string? hostBase,
        [FromForm(Name = "cache-rule")] string? rule,
        [FromForm(Name = "cache-cap")] string? cap,
        [FromForm(Name = "batch-times")] string? batch,
        [FromForm(Name = "energy-price")] string? energy,
        string? currency
    )
    {
        Form = new SettingsForm(name ?? "", gain ?? "", hostBase ?? "", rule ?? "", cap ?? "", batch ?? "", energy ?? "", currency ?? "");
        return await ChangeFromFormAsync(
            lab => new Changed(
                LabEdits.Rename(Form.Name)(LabEdits.Settings(Form.Parse(lab.Settings))(lab).Lab).Lab,
                "name and assumptions changed"
            ),
            "/Lab"
        );
    }

    public async Task<IActionResult> OnPostReadAsync(IFormFile? file, string? text, string? stands)
    {
        Form = SettingsForm.Of(Desk.Lab);
        // A large text is not sent back to where it came from.
        Pasted = text?.Length <= HandedIn.LongestEcho ? text : null;
        var (content, problem) = await HandedIn.ReadAsync(file, text);
        if (content is null)
        {
            Problems = [problem!];
            return Page();
        }

        var reading = LabFile.Read(content);
        if (reading.Lab is null)
        {
            Problems = [.. reading.Problems.Select(p => p.ToString())];
            return Page();
        }

        var marked = stands == "all" ? Standing.AllMarked(reading.Lab) : reading.Lab;
        var result = await ChangeFromFormAsync(LabEdits.Replace(Standing.Unmarked(marked)), "/Bench");
        return Standing.MarksAny(marked) ? await StandTooAsync(result, "/Bench", _ => Standing.TakeMarked(marked)) : result;
    }

    /// <summary>What was typed about the lab.</summary>
    public sealed record SettingsForm(
        string Name,
        string Gain,
        string HostBase,
        string CacheRule,
        string CacheCap,
        string BatchTimes,
        string EnergyPrice,
        string Currency
    )
    {
        public static SettingsForm Of(Lab lab) =>
            new(
                lab.Name,
                Numbers.Short(lab.Settings.SecondThreadGain * 100),
                lab.Settings.HostBase.ToExactString(),
                LabWords.CacheRules.Word(lab.Settings.ReadCacheRule),
                lab.Settings.ReadCacheCap.ToExactString(),
                Numbers.Short(lab.Settings.BatchTimes),
                lab.Settings.EnergyPrice.ToString("0.####", System.Globalization.CultureInfo.InvariantCulture),
                lab.Settings.Currency
            );

        /// <exception cref="Refused">Something typed is not a number or size.</exception>
        public LabSettings Parse(LabSettings before)
        {
            if (!Numbers.TryParse(Gain, out var gain) || gain > 100)
            {
                throw new Refused($"What a second thread adds is a percentage from 0 to 100, not «{Gain}».");
            }

            if (Names.Clean(Currency) is not { Length: > 0 and <= 12 } money || money.Any(char.IsWhiteSpace))
            {
                throw new Refused($"The currency is one word of at most 12 characters, not «{Names.Short(Currency)}».");
            }

            return before with
            {
                SecondThreadGain = gain / 100,
                HostBase = Typed.Size(HostBase, "Memory a host keeps"),
                ReadCacheRule = LabWords.CacheRules.Read(CacheRule, "Read cache"),
                ReadCacheCap = Typed.Size(CacheCap, "The cap"),
                BatchTimes =
                    Numbers.TryParse(BatchTimes, out var times) && times is >= 1 and <= 1000
                        ? times
                        : throw new Refused(
                            $"How many times as likely disks of one batch fail is a number from 1 to 1,000, not «{BatchTimes}»."
                        ),
                EnergyPrice =
                    Numbers.TryParse(EnergyPrice, out var price) && price is >= 0 and <= 1_000_000
                        ? price
                        : throw new Refused($"The price of a kilowatt-hour is a number, not «{Names.Short(EnergyPrice)}»."),
                Currency = money,
            };
        }
    }
}
