using System.Text.Json.Nodes;
using Yuntak.Core.Addresses;
using Yuntak.Core.Base;
using Yuntak.Core.Shapes;

namespace Yuntak.Core.Labs;

/// <summary>The sorts of values there are on networks. All are texts that are held to their form at every door.</summary>
internal static class WireCodecs
{
    /// <summary>An address.</summary>
    public static readonly Codec<string> Address = new Formed(
        "an address such as 10.40.7.20 or fd12:3456:789a::20",
        text => IpText.TryRead(text, out var address) ? address.ToString() : null
    );

    /// <summary>An address something answers at; «*» for all.</summary>
    public static readonly Codec<string> Listening = new Formed(
        "an address such as 10.40.7.20, or * for all,",
        text =>
            text == "*" ? text
            : IpText.TryRead(text, out var address) ? address.ToString()
            : null
    );

    /// <summary>The addresses of a network.</summary>
    public static readonly Codec<string> Prefix = new Formed(
        "a prefix such as 10.40.7.0/24",
        text => Addresses.Prefix.TryRead(text, out var prefix) ? prefix.ToString() : null,
        text => Addresses.Prefix.Around(text) is { } meant ? $"; «{meant}» is the prefix it lies in" : ""
    );

    /// <summary>Addresses from one to another.</summary>
    public static readonly Codec<string> Range = new Formed(
        "addresses from one to another, such as 10.40.7.100-10.40.7.199,",
        text => AddressRange.TryRead(text, out _) ? string.Concat(text.Where(c => !char.IsWhiteSpace(c))) : null
    );

    /// <summary>A hardware address of one device.</summary>
    public static readonly Codec<string> Mac = new Formed(
        "a hardware address such as 02:59:4b:00:00:1e",
        text => MacText.TryRead(text, out var mac) && MacText.IsUnicast(mac) ? mac : null
    );

    /// <summary>A host name of one part (RFC 1123, 2.1): letters, digits and hyphens.</summary>
    public static readonly Codec<string> HostName = new Formed(
        "a name of letters, digits and hyphens",
        text => IsLabel(text) ? text.ToLowerInvariant() : null
    );

    /// <summary>A full name: host names with dots between them.</summary>
    public static readonly Codec<string> FullName = new Formed(
        "a name such as home.arpa",
        text => text.Length <= 253 && text.Split('.').All(IsLabel) ? text.ToLowerInvariant() : null
    );

    /// <summary>A folder: an absolute path on one line.</summary>
    public static readonly Codec<string> Folder = new Formed(
        "a folder that begins with a slash, such as /srv/films,",
        text => text.StartsWith('/') && text.Length <= 400 && !text.Split('/').Contains("..") ? text : null
    );

    /// <summary>What the kernel calls a port or a bridge: at most 15 characters.</summary>
    public static readonly Codec<string> Device = new Formed(
        "a name as the kernel has them, of at most 15 letters, digits, dots and hyphens,",
        text => text.Length is > 0 and <= 15 && text.All(c => char.IsAsciiLetterOrDigit(c) || c is '-' or '.' or '_') ? text : null
    );

    /// <summary>Who may use a share: an address, a prefix, a name or an account; one word without marks that mean something to a file of exports.</summary>
    public static readonly Codec<string> Client = new Formed(
        "an address, a prefix, or a name without blanks and brackets",
        text =>
            text.Length is > 0 and <= 100 && text.All(c => char.IsLetterOrDigit(c) || c is '-' or '.' or '_' or ':' or '/' or '@')
                ? text
                : null
    );

    /// <summary>A text of a certain form, kept in one way of writing it.</summary>
    /// <param name="expects">What belongs here.</param>
    /// <param name="written">The text as it is kept; null when it is of another form.</param>
    internal static Codec<string> FormedAs(string expects, Func<string, string?> written) => new Formed(expects, written);

    private static bool IsLabel(string text) =>
        text.Length is > 0 and <= 63 && text.All(c => char.IsAsciiLetterOrDigit(c) || c == '-') && text[0] != '-' && text[^1] != '-';

    /// <summary>A text of a certain form, kept in one way of writing it.</summary>
    /// <param name="expects">What belongs here.</param>
    /// <param name="written">The text as it is kept; null when it is of another form.</param>
    /// <param name="meant">What may have been meant instead, for the message.</param>
    private sealed class Formed(string expects, Func<string, string?> written, Func<string, string>? meant = null) : Codec<string>
    {
        public override string Expects => expects;

        public override JsonNode Write(string value) => JsonValue.Create(value);

        public override bool TryRead(string text, out string value)
        {
            var clean = Names.Clean(text);
            value = written(clean) ?? "";
            return value.Length > 0;
        }

        public override bool Within(string value) => value == Names.Clean(value) && written(value) == value;

        public override string Say(string value) => value;

        public override JsonObject Schema() => new() { ["type"] = "string", ["maxLength"] = 400 };

        public override string Wrong(string text) => base.Wrong(text) + (meant?.Invoke(text) ?? "");
    }
}
