using System.Globalization;
using System.Text.Json.Nodes;
using Yuntak.Core.Base;
using Yuntak.Core.Units;

namespace Yuntak.Core.Shapes;

/// <summary>The sorts of values there are.</summary>
internal static class Codecs
{
    /// <summary>Text on one line.</summary>
    /// <param name="longest">The most characters.</param>
    public static Codec<string> Text(int longest = 1_000) => new TextCodec(longest, oneWord: false);

    /// <summary>Text without blanks in it.</summary>
    /// <param name="longest">The most characters.</param>
    public static Codec<string> OneWord(int longest) => new TextCodec(longest, oneWord: true);

    /// <summary>A name that people give.</summary>
    /// <param name="what">What is being named.</param>
    public static Codec<string> Name(string what) => new NameCodec(what);

    /// <summary>A whole number.</summary>
    public static Codec<int> Whole(int least, int most) => new WholeCodec<int>(least, most);

    /// <summary>A whole number that may be very large.</summary>
    public static Codec<long> Count(long most) => new WholeCodec<long>(0, most);

    /// <summary>A number.</summary>
    public static Codec<double> Number(double least, double most) =>
        new NumberCodec(least, most, 1, n => n.ToString(CultureInfo.InvariantCulture));

    /// <summary>A number that is said otherwise than it is written.</summary>
    public static Codec<double> Number(double least, double most, Func<double, string> say) => new NumberCodec(least, most, 1, say);

    /// <summary>A size.</summary>
    /// <param name="bare">What a bare letter means.</param>
    /// <param name="least">The least; nothing when left out.</param>
    public static Codec<ByteSize> Size(Prefixes bare, ByteSize least = default) => new SizeCodec(bare, least);

    /// <summary>A day.</summary>
    public static Codec<DateOnly> Day { get; } = new DayCodec();

    /// <summary>Yes or no.</summary>
    /// <param name="onOff">Whether it is said as on and off.</param>
    public static Codec<bool> Flag(bool onOff = false) => new FlagCodec(onOff);

    /// <summary>One of a few words.</summary>
    public static Codec<T> Word<T>(WordTable<T> words)
        where T : struct, Enum => new WordCodec<T>(words);

    private sealed class TextCodec(int longest, bool oneWord) : Codec<string>
    {
        public override string Expects =>
            oneWord ? $"one word without spaces, of at most {longest:#,##0} characters" : $"text of at most {longest:#,##0} characters";

        public override JsonNode Write(string value) => JsonValue.Create(value);

        public override bool TryRead(string text, out string value)
        {
            value = Names.Clean(text);
            return Within(value);
        }

        public override bool Within(string value) =>
            value.Length <= longest && !(oneWord && value.Any(char.IsWhiteSpace)) && value == Names.Clean(value);

        public override string Say(string value) => value;

        public override JsonObject Schema() => new() { ["type"] = "string", ["maxLength"] = longest };
    }

    private sealed class NameCodec(string what) : Codec<string>
    {
        public override string Expects => $"a name of at most {Names.LongestName} characters";

        public override JsonNode Write(string value) => JsonValue.Create(value);

        public override bool TryRead(string text, out string value)
        {
            value = Names.Clean(text);
            return Within(value);
        }

        public override bool Within(string value) => Names.Problem(value, what) is null && value == Names.Clean(value);

        public override string Say(string value) => value;

        public override JsonObject Schema() =>
            new()
            {
                ["type"] = "string",
                ["minLength"] = 1,
                ["maxLength"] = Names.LongestName,
            };

        public override string Wrong(string text) => Names.Problem(Names.Clean(text), what) ?? base.Wrong(text);
    }

    private sealed class WholeCodec<TNumber>(TNumber least, TNumber most) : Codec<TNumber>
        where TNumber : struct, System.Numerics.IBinaryInteger<TNumber>
    {
        public override string Expects => string.Create(CultureInfo.InvariantCulture, $"a whole number from {least:#,##0} to {most:#,##0}");

        public override JsonNode Write(TNumber value) => JsonValue.Create(long.CreateChecked(value));

        public override bool TryRead(string text, out TNumber value) =>
            TNumber.TryParse(text.Trim(), NumberStyles.None, CultureInfo.InvariantCulture, out value) && Within(value);

        public override bool Within(TNumber value) => value >= least && value <= most;

        public override string Say(TNumber value) => value.ToString() ?? "";

        public override JsonObject Schema() =>
            new()
            {
                ["type"] = "integer",
                ["minimum"] = long.CreateChecked(least),
                ["maximum"] = long.CreateChecked(most),
            };
    }

    private sealed class NumberCodec(double least, double most, double scale, Func<double, string> say) : Codec<double>
    {
        public override string Expects =>
            most >= double.MaxValue
                ? "a number"
                : string.Create(CultureInfo.InvariantCulture, $"a number from {least:#,##0.######} to {most:#,##0.######}");

        // What is no number has no JSON; its word is enough for the sentence that refuses it.
        public override JsonNode Write(double value) =>
            double.IsFinite(value * scale)
                ? JsonValue.Create(value * scale)
                : JsonValue.Create(value.ToString(CultureInfo.InvariantCulture));

        public override bool TryRead(string text, out double value) =>
            double.TryParse(
                text,
                NumberStyles.AllowLeadingWhite
                    | NumberStyles.AllowTrailingWhite
                    | NumberStyles.AllowLeadingSign
                    | NumberStyles.AllowDecimalPoint
                    | NumberStyles.AllowExponent,
                CultureInfo.InvariantCulture,
                out value
            ) && Within(value);

        public override bool Within(double value) => value >= least && value <= most;

        public override string Say(double value) => say(value);

        public override JsonObject Schema()
        {
            var schema = new JsonObject { ["type"] = "number" };
            if (most < double.MaxValue)
            {
                schema["minimum"] = least;
                schema["maximum"] = most;
            }

            return schema;
        }
    }

    private sealed class SizeCodec(Prefixes bare, ByteSize least) : Codec<ByteSize>
    {
        public override string Expects =>
            least > ByteSize.Zero
                ? $"a size such as «4 GiB» or «500 GB», from {least.ToExactString()} on,"
                : "a size such as «4 GiB» or «500 GB»";

        public override JsonNode Write(ByteSize value) => JsonValue.Create(value.ToExactString());

        public override bool TryRead(string text, out ByteSize value) => ByteSize.TryParse(text, bare, out value) && Within(value);

        public override bool Within(ByteSize value) => value >= least && value <= ByteSize.LargestEntered;

        public override string Say(ByteSize value) => bare == Prefixes.Decimal ? value.ToDecimalString() : value.ToString();

        public override JsonObject Schema() => new() { ["$ref"] = "#/definitions/size" };
    }

    private sealed class DayCodec : Codec<DateOnly>
    {
        private static readonly DateOnly First = new(1970, 1, 1);
        private static readonly DateOnly Last = new(2199, 12, 31);

        public override string Expects => "a day such as 2026-03-14";

        public override JsonNode Write(DateOnly value) => JsonValue.Create(value.ToString("O"));

        public override bool TryRead(string text, out DateOnly value) =>
            DateOnly.TryParseExact(text.Trim(), "O", out value) && Within(value);

        public override bool Within(DateOnly value) => value >= First && value <= Last;

        public override string Say(DateOnly value) => value.ToString("O");

        public override JsonObject Schema() => new() { ["type"] = "string", ["format"] = "date" };
    }

    private sealed class FlagCodec(bool onOff) : Codec<bool>
    {
        public override string Expects => "true or false";

        public override JsonNode Write(bool value) => JsonValue.Create(value);

        public override bool TryRead(string text, out bool value)
        {
            var word = text.Trim().ToLowerInvariant();
            value = word is "true" or "yes";
            return value || word is "false" or "no";
        }

        public override bool Within(bool value) => true;

        public override string Say(bool value) => onOff ? ((bool?)value).OnOff()! : value.YesNo();

        public override JsonObject Schema() => new() { ["type"] = "boolean" };
    }

    private sealed class WordCodec<TWord>(WordTable<TWord> words) : Codec<TWord>
        where TWord : struct, Enum
    {
        public override string Expects => $"one of {string.Join(", ", words.Known)}";

        public override JsonNode Write(TWord value) => JsonValue.Create(words.Word(value));

        public override bool TryRead(string text, out TWord value) => words.TryRead(text, out value);

        public override bool Within(TWord value) => words.Values.Contains(value);

        public override string Say(TWord value) => words.Display(value);

        public override JsonObject Schema() => new() { ["enum"] = new JsonArray([.. words.Known.Select(w => (JsonNode)w)]) };
    }
}
