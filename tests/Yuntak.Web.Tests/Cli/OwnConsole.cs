using System.Text;

namespace Yuntak.Web.Tests.Cli;

/// <summary>A console of its own for each call that is made within this process: what one writes, others that run at the same time do not see.</summary>
internal sealed class OwnConsole : TextWriter
{
    private readonly TextWriter otherwise;
    private readonly AsyncLocal<StringWriter?> own = new();

    private OwnConsole(TextWriter otherwise) => this.otherwise = otherwise;

    /// <summary>The console's ordinary line.</summary>
    public static OwnConsole Out { get; } = Take(Console.Out, Console.SetOut);

    /// <summary>The line for what went wrong.</summary>
    public static OwnConsole Error { get; } = Take(Console.Error, Console.SetError);

    /// <inheritdoc/>
    public override Encoding Encoding => otherwise.Encoding;

    private TextWriter Current => own.Value ?? otherwise;

    /// <summary>From now on, what is written here and in what is begun from here is kept apart.</summary>
    public StringWriter Begin() => own.Value = new StringWriter();

    /// <inheritdoc/>
    public override void Write(char value) => Current.Write(value);

    /// <inheritdoc/>
    public override void Write(string? value) => Current.Write(value);

    /// <inheritdoc/>
    public override void Write(char[] buffer, int index, int count) => Current.Write(buffer, index, count);

    /// <inheritdoc/>
    public override void Flush() => Current.Flush();

    private static OwnConsole Take(TextWriter now, Action<TextWriter> set)
    {
        var console = new OwnConsole(now);
        set(console);
        return console;
    }
}
