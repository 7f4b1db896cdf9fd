using Microsoft.AspNetCore.Mvc;
using Yuntak.Core.Findings;
using Yuntak.Data;
using Yuntak.Formats.Intake;
using Yuntak.Web.Shared;

namespace Yuntak.Web.Pages.Kit;

/// <summary>The hosts, and reading a new one from its own tools.</summary>
[RequestSizeLimit(YuntakApp.LongestRequest)]
public sealed class IndexModel(DeskService desks, LabStore store, ReadingStore readings) : LabPageModel(desks, store)
{
    /// <summary>The longest pasted text that is sent back when it could not be read.</summary>
    private const int LongestEcho = 200_000;

    public override Station? Here => Station.Kit;

    public string? Pasted { get; private set; }

    public IReadOnlyList<string> Problems { get; private set; } = [];

    public void OnGet() { }

    public async Task<IActionResult> OnPostReadAsync(IFormFile? file, string? text)
    {
        var content = text ?? "";
        if (file is { Length: > 0 })
        {
            await using var stream = file.OpenReadStream();
            var uploaded = TextDecoder.Read(stream, out var problem);
            if (problem is not null)
            {
                Pasted = Echo(text);
                Problems = [$"{file.FileName}: {problem}"];
                return Page();
            }

            content = string.IsNullOrWhiteSpace(content) ? uploaded : content + "\n" + uploaded;
        }

        var reading = IntakeReader.Read(content);
        if (!reading.HasAnything)
        {
            Pasted = Echo(text);
            Problems = [.. reading.Problems];
            return Page();
        }

        return Redirect($"/Kit/Reading/{await readings.KeepAsync(content)}");
    }

    private static string? Echo(string? text) => text is { Length: > LongestEcho } ? text[..LongestEcho] : text;
}
