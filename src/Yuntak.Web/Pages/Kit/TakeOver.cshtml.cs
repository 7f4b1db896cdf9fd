using Microsoft.AspNetCore.Mvc;
using Yuntak.Core.Base;
using Yuntak.Core.Edits;
using Yuntak.Core.Findings;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Runbooks;
using Yuntak.Core.Units;
using Yuntak.Core.Wants;
using Yuntak.Data;
using Yuntak.Formats.Definitions;
using Yuntak.Web.Shared;

namespace Yuntak.Web.Pages.Kit;

/// <summary>Takes over the guests that run on a host already: typed, from a list, from their definitions, or by what ran when the host was read.</summary>
public sealed class TakeOverModel(DeskService desks, LabStore store) : LabPageModel(desks, store)
{
    public override Station? Here => Station.Kit;

    public Host Host { get; private set; } = null!;

    /// <summary>Whether the host stands; then what is taken over stands too, unless somebody says otherwise.</summary>
    public bool Stands => Desk.AsBuilt.Lab.Host(Host.Id) is not null;

    /// <summary>What ran when the host was read, looks like a guest, and is not taken over yet.</summary>
    public IReadOnlyList<Running> Found { get; private set; } = [];

    /// <summary>What was read of a definition; null before anything was.</summary>
    public DefinitionReading? Reading { get; private set; }

    /// <summary>The definition as it was handed in.</summary>
    public string Text { get; private set; } = "";

    public string? Problem { get; private set; }

    /// <summary>The guests on it, in the lab's order.</summary>
    public IEnumerable<Guest> OnIt => Desk.Lab.Guests.Where(g => Desk.Lab.HostOf(g)?.Id == Host.Id);

    public IActionResult OnGet(string id) => Find(id) ? Page() : NotFound();

    /// <summary>Reads a definition and shows what is in it.</summary>
    public async Task<IActionResult> OnPostReadAsync(string id, IFormFile? file, string? text)
    {
        if (!Find(id))
        {
            return NotFound();
        }

        (var read, Problem) = await HandedIn.ReadAsync(file, text);
        Text = read ?? text ?? "";
        Reading = read is null ? null : DefinitionReader.Read(read, Path.GetFileNameWithoutExtension(file?.FileName));
        return Page();
    }

    /// <summary>Takes over those that were chosen of a definition.</summary>
    public Task<IActionResult> OnPostTakeAsync(string id, string text, int[] guest, string? stands)
    {
        if (!Find(id))
        {
            return Task.FromResult<IActionResult>(NotFound());
        }

        (Text, Reading) = (text, DefinitionReader.Read(text));
        return TakeAsync([.. Reading.Guests.Where((_, n) => guest.Contains(n))], stands != "no");
    }

    /// <summary>Takes over one that was typed in.</summary>
    public Task<IActionResult> OnPostOneAsync(
        string id,
        string? name,
        string? kind,
        string? memory,
        string? processors,
        string? disk,
        string? profile
    )
    {
        if (!Find(id))
        {
            return Task.FromResult<IActionResult>(NotFound());
        }

        return TakeAsync(lab =>
        {
            var packaged = ProfileWords.Kinds.Read(kind, "Kind");
            var called = Names.Checked(name, "guest");
            return new Guest(
                new GuestId("new"),
                called,
                packaged,
                [new Want(string.IsNullOrEmpty(profile) ? ProfileGuess.Of(called, packaged, []) : profile)],
                new SizeOverrides(
                    Typed.OptionalWhole(processors, "Processors", 1, 4096),
                    Typed.OptionalSize(memory, "Memory"),
                    Typed.OptionalSize(disk, "Disk"),
                    ByteSize.Zero
                ),
                Folders: packaged == GuestKind.AppStack ? [AppStacks.DefaultFolder(called)] : []
            );
        });
    }

    /// <summary>Takes over what ran when the host was read, under the names that were given.</summary>
    public Task<IActionResult> OnPostFoundAsync(string id, string[] group)
    {
        if (!Find(id))
        {
            return Task.FromResult<IActionResult>(NotFound());
        }

        List<Guest> guests = [];
        foreach (var running in Found.Where(r => group.Contains(r.Group)))
        {
            var name = Names.Clean(Request.Form[$"name:{running.Group}"].ToString());
            var kind = ProfileWords.Kinds.TryRead(Request.Form[$"kind:{running.Group}"].ToString(), out var said)
                ? said
                : running.Kind!.Value;
            var called = name.Length == 0 ? running.Name : name;
            // A container takes what it takes; a machine was given at least what it has ever taken.
            var memory = running.Peak is { } peak && peak > running.Memory ? peak : running.Memory;
            guests.Add(
                new Guest(
                    new GuestId("new"),
                    called,
                    kind,
                    [new Want(ProfileGuess.Of(called, kind, []))],
                    new SizeOverrides(null, memory > ByteSize.Zero ? memory.RoundUpTo(ByteSize.FromMiB(64)) : null, null, ByteSize.Zero),
                    Folders: kind == GuestKind.AppStack ? [AppStacks.DefaultFolder(called)] : []
                )
            );
        }

        return TakeAsync(guests, stands: true);
    }

    private Task<IActionResult> TakeAsync(Func<Lab, Guest> guest) =>
        TakeAsync(lab => TakeOverEdits.Take(Host.Id, [guest(lab)], Stands)(lab), stands: true);

    private Task<IActionResult> TakeAsync(IReadOnlyList<Guest> guests, bool stands) =>
        TakeAsync(TakeOverEdits.Take(Host.Id, guests, stands && Stands), stands);

    private async Task<IActionResult> TakeAsync(Edit edit, bool stands)
    {
        var there = Desk.Lab.Guests.Select(g => g.Id).ToHashSet();
        var back = Address(Host.Id.Value);
        var result = await ChangeFromFormAsync(edit, back);
        return stands && Stands
            ? await StandTooAsync(
                result,
                back,
                draft =>
                    Standing.TakeGuests(
                        draft,
                        [.. draft.Guests.Where(g => !there.Contains(g.Id) && draft.HostOf(g)?.Id == Host.Id).Select(g => g.Id)]
                    )
            )
            : result;
    }

    private static string Address(string id) => $"/Kit/TakeOver/{Uri.EscapeDataString(id)}";

    private bool Find(string id)
    {
        if (Desk.Lab.Host(new HostId(id)) is not { } host)
        {
            return false;
        }

        Host = host;
        var names = Desk.Lab.Guests.Select(g => g.Name).ToHashSet(StringComparer.OrdinalIgnoreCase);
        Found = [.. host.Hardware.Runs.Where(r => r.Kind is not null && !names.Contains(r.Name))];
        return true;
    }
}
