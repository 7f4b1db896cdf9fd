using AngleSharp.Dom;
using AngleSharp.Html.Dom;
using AngleSharp.Html.Parser;
using Microsoft.AspNetCore.Builder;
using Yuntak.Web.Starting;

namespace Yuntak.Web.Tests.Http;

/// <summary>The real application on a port of its own, and a visitor who reads pages and sends forms as a browser does.</summary>
public sealed class Site : IAsyncLifetime
{
    private static readonly HtmlParser Parser = new();
    private readonly TempFolder folder = new();
    private WebApplication app = null!;

    public HttpClient Client { get; private set; } = null!;

    public IServiceProvider Services => app.Services;

    public bool Demo { get; init; } = true;

    /// <summary>Data that is there already; a folder of its own when left out.</summary>
    public string? Data { get; init; }

    public async ValueTask InitializeAsync()
    {
        string[] where = ["--urls", "http://127.0.0.1:0", "--data", Data ?? folder.File("data")];
        app = YuntakApp.Build(Demo ? [.. where, "--demo"] : where)!;
        await app.StartAsync();
        Client = new HttpClient(new HttpClientHandler { AllowAutoRedirect = true }) { BaseAddress = new Uri(app.Urls.Single()) };
    }

    public async ValueTask DisposeAsync()
    {
        Client.Dispose();
        await app.DisposeAsync();
        folder.Dispose();
    }

    public async Task<IHtmlDocument> Get(string path)
    {
        var response = await Client.GetAsync(path);
        response.IsSuccessStatusCode.ShouldBeTrue($"{path}: {response.StatusCode}");
        return Parser.ParseDocument(await response.Content.ReadAsStringAsync());
    }

    /// <summary>Sends the form that holds the button or field, with some fields changed.</summary>
    public async Task<IHtmlDocument> Send(IParentNode page, string selector, params (string Name, string Value)[] fields)
    {
        var element = page.QuerySelector(selector).ShouldNotBeNull($"nothing on the page is {selector}");
        var form = (IHtmlFormElement)(element as IHtmlFormElement ?? element.Closest("form")!);
        var values = Fields(form, element).Where(f => fields.All(n => n.Name != f.Key)).ToList();
        // Of a field given twice the last counts, but for boxes that may be ticked together.
        values.AddRange(
            fields
                .Where((f, n) => f.Name is "disk" or "guests" || fields.Skip(n + 1).All(later => later.Name != f.Name))
                .Select(f => KeyValuePair.Create(f.Name, f.Value))
        );
        var action = element.GetAttribute("formaction") ?? form.GetAttribute("action")!;
        var response = await Client.PostAsync(action, new FormUrlEncodedContent(values));
        return Parser.ParseDocument(await response.Content.ReadAsStringAsync());
    }

    /// <summary>Uploads a file with the form on a page.</summary>
    public async Task<IHtmlDocument> Upload(IParentNode page, string selector, HttpContent file, string name)
    {
        var form = (IHtmlFormElement)page.QuerySelector(selector)!.Closest("form")!;
        using var body = new MultipartFormDataContent();
        foreach (var (key, value) in Fields(form, null))
        {
            body.Add(new StringContent(value), key);
        }

        body.Add(file, form.QuerySelectorAll<IHtmlInputElement>("[type=file]").Single().Name!, name);
        var response = await Client.PostAsync(form.GetAttribute("action"), body);
        return Parser.ParseDocument(await response.Content.ReadAsStringAsync());
    }

    private static IEnumerable<KeyValuePair<string, string>> Fields(IHtmlFormElement form, IElement? pressed)
    {
        foreach (var field in form.QuerySelectorAll("input, select, textarea, button"))
        {
            var value = field switch
            {
                IHtmlInputElement { Type: "checkbox" or "radio", IsChecked: false } => null,
                IHtmlInputElement { Type: "file" } => null,
                IHtmlInputElement input => input.Value,
                IHtmlSelectElement select => select.Value,
                IHtmlTextAreaElement area => area.Value,
                IHtmlButtonElement button when button == pressed && button.Name is { Length: > 0 } => button.Value,
                _ => null,
            };
            if (value is not null && field.GetAttribute("name") is { Length: > 0 } name)
            {
                yield return KeyValuePair.Create(name, value);
            }
        }
    }
}
