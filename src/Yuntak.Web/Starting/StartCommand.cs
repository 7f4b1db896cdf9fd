using System.CommandLine;
using System.CommandLine.Parsing;
using Yuntak.Core.Base;

namespace Yuntak.Web.Starting;

/// <summary>
/// The options of <c>start</c> and <c>demo</c>. What is not said there is taken from variables such as <c>YUNTAK_DATA</c>; no others count, so that a variable
/// meant for another program never opens a door.
/// </summary>
public static class StartCommand
{
    private static readonly Option<bool> Demo = Flag("--demo", "Fresh demo data, in a folder of its own.");
    private static readonly Option<string?> Urls = Text("--urls", "Where to listen, such as http://127.0.0.1:5480 or http://*:5480.");
    private static readonly Option<bool> Open = Flag("--open", "Let whoever reaches it in without a pass phrase.");
    private static readonly Option<string?> Hosts = Text("--hosts", "More names it may be reached by, with commas between.");
    private static readonly Option<bool> Tls = Flag("--tls", "Pages over TLS only, with a certificate of its own.");
    private static readonly Option<string?> Certificate = Text("--certificate", "A certificate with its key, as PEM or PKCS #12.");
    private static readonly Option<bool> Recover = Flag(
        "--recover",
        "Go on from what can still be read of damaged data; the damaged files are kept."
    );

    /// <summary>The folder with the data.</summary>
    public static readonly Option<string?> Data = Text("--data", "The folder with the data.");

    /// <summary>Reads what was typed.</summary>
    /// <exception cref="Refused">Something makes no sense.</exception>
    public static StartOptions Read(IReadOnlyList<string> typed)
    {
        var command = new Command("start") { Demo, Data, Urls, Open, Hosts, Tls, Certificate, Recover };
        command.TreatUnmatchedTokensAsErrors = true;
        var parsed = command.Parse(typed);
        RefuseErrors(parsed);
        var demo = parsed.GetValue(Demo);
        var certificate = parsed.GetValue(Certificate);
        var tls = parsed.GetValue(Tls) || certificate is not null;
        return new StartOptions(
            demo,
            Folder(parsed, demo),
            ListenAddress.ReadAll(parsed.GetValue(Urls) ?? StartOptions.DefaultUrl, tls),
            parsed.GetValue(Open),
            [
                .. (parsed.GetValue(Hosts) ?? "")
                    .Split([',', ';', ' '], StringSplitOptions.RemoveEmptyEntries)
                    .Select(Door.HostNames.Checked),
            ],
            tls,
            certificate,
            parsed.GetValue(Recover)
        );
    }

    /// <summary>The data folder that was named, or the usual one.</summary>
    /// <exception cref="Refused">It is named with nothing.</exception>
    public static string Folder(ParseResult parsed, bool demo = false) =>
        parsed.GetValue(Data) is not { } named ? DataPlaces.Usual(demo)
        : string.IsNullOrWhiteSpace(named) || named.Contains('\0', StringComparison.Ordinal)
            ? throw new Refused("--data names the folder with the data; nothing stands behind it.")
        : Path.GetFullPath(named);

    /// <summary>Refuses what could not be understood.</summary>
    public static void RefuseErrors(ParseResult parsed)
    {
        if (parsed.Errors.Count > 0)
        {
            // What was typed may hold codes that make a terminal do things.
            throw new Refused(string.Join(' ', parsed.Errors.Select(e => Names.Clean(e.Message))) + " ./yuntak help lists the calls.");
        }
    }

    private static Option<bool> Flag(string name, string about) =>
        new(name)
        {
            Description = about,
            Arity = ArgumentArity.Zero,
            DefaultValueFactory = _ => Variable(name) is "1" or "true" or "yes",
        };

    private static Option<string?> Text(string name, string about) =>
        new(name) { Description = about, DefaultValueFactory = _ => Variable(name) };

    private static string? Variable(string name) =>
        Environment.GetEnvironmentVariable(StartOptions.Prefix + name[2..].ToUpperInvariant()) is { Length: > 0 } set ? set : null;
}
