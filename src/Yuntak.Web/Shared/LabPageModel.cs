using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.Filters;
using Microsoft.AspNetCore.Mvc.RazorPages;
using Yuntak.Core.Base;
using Yuntak.Core.Edits;
using Yuntak.Core.Findings;
using Yuntak.Core.Labs;
using Yuntak.Data;

namespace Yuntak.Web.Shared;

/// <summary>What every page of the lab has: the desk, and one way to change the lab.</summary>
public abstract class LabPageModel(DeskService desks, LabStore store) : PageModel
{
    private const string RefusalKey = "refusal";
    private const int LongestRefusal = 600;
    private const int LongestAddress = 2_000;

    /// <summary>The desk.</summary>
    public Desk Desk { get; private set; } = null!;

    /// <summary>Why the last change was refused; null when it was not.</summary>
    public string? Refusal { get; protected set; }

    /// <summary>The station the page belongs to; null for pages beside the route.</summary>
    public virtual Station? Here => null;

    /// <summary>Whether the page shows what follows from the lab. The history and the lab file do without: they are the way out of a lab that cannot be worked out.</summary>
    public virtual bool NeedsSums => true;

    /// <summary>The revision the page was shown with; every form sends it.</summary>
    [BindProperty(Name = "based-on", SupportsGet = false)]
    public long BasedOn { get; set; }

    protected LabStore Store => store;

    public override async Task OnPageHandlerExecutionAsync(PageHandlerExecutingContext context, PageHandlerExecutionDelegate next)
    {
        HttpContext.Items[typeof(LabPageModel)] = this;
        Desk = await desks.LoadAsync(HttpContext.RequestAborted);
        Refusal = TempData[RefusalKey] as string;
        if (Desk.Trouble is not null && NeedsSums && HttpMethods.IsGet(Request.Method))
        {
            // What can be done now is to go back; that page needs no sums.
            context.Result = Redirect("/History");
            return;
        }

        if (HttpMethods.IsPost(Request.Method) && context.HandlerMethod is null)
        {
            // Nothing of this page answers to that form; the page itself needs what a visit brings along.
            context.Result = Redirect(SamePage());
            return;
        }

        if (HttpMethods.IsPost(Request.Method) && SentForm.Problem(context, ModelState) is { } problem)
        {
            TempData[RefusalKey] = problem;
            context.Result = Redirect(SamePage());
            return;
        }

        await next();
    }

    /// <summary>Takes the last change back.</summary>
    public Task<IActionResult> OnPostUndoAsync() => StepAsync(() => StandingUndo.UndoAsync(store, BasedOn, HttpContext.RequestAborted));

    /// <summary>Does again what was taken back.</summary>
    public Task<IActionResult> OnPostRedoAsync() => StepAsync(() => StandingUndo.RedoAsync(store, BasedOn, HttpContext.RequestAborted));

    /// <summary>Applies a fix of a finding.</summary>
    public Task<IActionResult> OnPostFixAsync(string finding, int fix) =>
        StepAsync(async () =>
        {
            // The fix is looked up in the assessment of what was shown, which is there already: nothing is assessed while the store holds its writer.
            var shown = await desks.AssessmentAsync(BasedOn, HttpContext.RequestAborted);
            var found = shown?.Findings.FirstOrDefault(f => f.Key == finding);
            var chosen = found is not null && fix >= 0 && fix < found.Fixes.Count ? found.Fixes[fix] : null;
            return chosen is null
                ? throw new Refused("That finding is settled already, or can no longer be settled this way.")
                : await store.CommitAsync(Pointer.Draft, BasedOn, chosen.Edit);
        });

    /// <summary>Changes the draft and comes back to the same page. A refusal is shown there; a clash leads to the page that shows both versions.</summary>
    protected Task<IActionResult> ChangeAsync(Edit edit, string? then = null) =>
        StepAsync(() => store.CommitAsync(Pointer.Draft, BasedOn, edit), then);

    /// <summary>Changes the draft from a form: a refusal shows the form again with all that was typed.</summary>
    protected async Task<IActionResult> ChangeFromFormAsync(Edit edit, string then)
    {
        try
        {
            return await store.CommitAsync(Pointer.Draft, BasedOn, edit) is CommitResult.Stale stale ? Clash(stale) : Redirect(then);
        }
        catch (Refused refused)
        {
            Refusal = refused.Message;
            return Page();
        }
    }

    /// <summary>Changes what stands, as it is now, and comes back: by which host or guest is there already, or is to be built after all.</summary>
    protected Task<IActionResult> StandAsync(Func<Lab, Edit> edit, string then) =>
        StepAsync(
            async () =>
            {
                // The draft may have been changed a moment ago, by the same form.
                var draft = (await store.HeadAsync(Pointer.Draft)).Lab;
                return await store.CommitAsync(Pointer.AsBuilt, (await store.HeadAsync(Pointer.AsBuilt)).Revision, edit(draft));
            },
            then,
            stale => $"Somebody changed what stands meanwhile: {stale.Theirs.Sentence}. Try once more."
        );

    /// <summary>Lets stand what a form has just brought into the draft; does nothing where the form was refused or clashed.</summary>
    /// <param name="result">What became of the form.</param>
    /// <param name="went">Where a form that was kept leads.</param>
    /// <param name="edit">The change of what stands, from the draft as it is then.</param>
    /// <param name="then">Where to go; where the form led when left out.</param>
    protected Task<IActionResult> StandTooAsync(IActionResult result, string went, Func<Lab, Edit> edit, string? then = null) =>
        result is RedirectResult { Url: { } url } && url == went ? StandAsync(edit, then ?? went) : Task.FromResult(result);

    /// <summary>Carries a step out and comes back. A refusal is shown on the page that follows.</summary>
    /// <param name="step">The step.</param>
    /// <param name="then">Where to go; the same page when left out.</param>
    /// <param name="whenStale">Says in words what became of a step based on an old revision; without it the person chooses on a page of its own.</param>
    protected Task<IActionResult> StepAsync(
        Func<Task<CommitResult>> step,
        string? then = null,
        Func<CommitResult.Stale, string>? whenStale = null
    ) =>
        RefusedAsync(
            async () =>
            {
                if (await step() is not CommitResult.Stale stale)
                {
                    return null;
                }

                if (whenStale is null)
                {
                    return Clash(stale);
                }

                TempData[RefusalKey] = Short(whenStale(stale));
                return null;
            },
            then
        );

    /// <summary>Does something that is no change of the lab and comes back to the same page. A refusal is shown there.</summary>
    protected Task<IActionResult> KeepAsync(Func<Task> step) =>
        RefusedAsync(
            async () =>
            {
                await step();
                return null;
            },
            null
        );

    private async Task<IActionResult> RefusedAsync(Func<Task<IActionResult?>> step, string? then)
    {
        try
        {
            if (await step() is { } elsewhere)
            {
                return elsewhere;
            }
        }
        catch (Refused refused)
        {
            TempData[RefusalKey] = Short(refused.Message);
        }

        return Redirect(then is { Length: <= LongestAddress } ? then : SamePage());
    }

    private RedirectResult Clash(CommitResult.Stale stale) => Redirect($"/Clash/{stale.MineRevision}");

    /// <summary>The page as it was, without the handler's name; without its query when that is longer than a browser would send again.</summary>
    private string SamePage()
    {
        var query = QueryString.Create(Request.Query.Where(q => q.Key != "handler")).ToUriComponent();
        return Request.Path.ToUriComponent() + (query.Length <= LongestAddress ? query : "");
    }

    /// <summary>A refusal as a cookie can carry it to the next page.</summary>
    private static string Short(string text) => text.Length > LongestRefusal ? text[..LongestRefusal] + "…" : text;
}
