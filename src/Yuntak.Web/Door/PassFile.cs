using System.Security.Cryptography;
using System.Text.Json;
using Microsoft.AspNetCore.Identity;
using Yuntak.Core.Base;
using Yuntak.Data;

namespace Yuntak.Web.Door;

/// <summary>
/// The pass phrase of a data folder, hashed with the framework's password hasher, and a stamp that every browser signed in carries: another stamp signs all of them
/// out. The file is read again when it changes, so that <c>./yuntak pass</c> works while Yuntak runs. A file that cannot be read opens for nobody.
/// </summary>
/// <param name="folder">The data folder.</param>
public sealed class PassFile(string folder)
{
    /// <summary>The fewest characters of a phrase.</summary>
    public const int Shortest = 12;

    /// <summary>The most characters of a phrase.</summary>
    public const int Longest = 256;

    private const int FewestDifferent = 5;
    private static readonly PasswordHasher<PassFile> Hasher = new();
    private readonly string file = Path.Combine(folder, "pass");
    private readonly Lock gate = new();
    private (DateTime Written, Stored? Pass) read = (DateTime.MinValue, null);

    /// <summary>Whether a phrase is set. A file that cannot be read counts as one nobody knows.</summary>
    public bool IsSet => Current is not null;

    /// <summary>Whether the file is there but cannot be read.</summary>
    public bool IsDamaged => Current is { Hash: "" };

    /// <summary>What browsers that are signed in carry; null when no phrase is set.</summary>
    public string? Stamp => Current?.Stamp;

    /// <summary>What is wrong with a phrase; null when nothing is.</summary>
    public static string? Problem(string? phrase) =>
        phrase is null || phrase.Trim().Length < Shortest
            ? $"A pass phrase has {Shortest} characters or more; four words that you remember do well."
        : phrase.Length > Longest ? $"A pass phrase has {Longest} characters at most."
        : phrase.Distinct().Count() < FewestDifferent ? "That is too easily guessed: it is the same few characters again and again."
        : null;

    /// <summary>Sets another phrase and signs everybody out.</summary>
    /// <exception cref="Refused">It is too short or too long.</exception>
    public void Set(string phrase)
    {
        if (Problem(phrase) is { } problem)
        {
            throw new Refused(problem);
        }

        Write(Made(phrase), first: false);
    }

    /// <summary>Sets the first phrase. Of several at once one is set, and the others are told.</summary>
    /// <exception cref="Refused">It is too short or too long, or one was set meanwhile.</exception>
    public void SetFirst(string phrase)
    {
        if (Problem(phrase) is { } problem)
        {
            throw new Refused(problem);
        }

        try
        {
            Write(Made(phrase), first: true);
        }
        catch (IOException e) when (File.Exists(file))
        {
            throw new Refused("Somebody set a pass phrase a moment ago; yours was not set. Sign in with that one.", e);
        }
    }

    /// <summary>Where the phrase is kept.</summary>
    public string Place => file;

    /// <summary>Whether this is the phrase.</summary>
    public bool Opens(string? phrase) =>
        phrase is { Length: > 0 and <= Longest }
        && Current is { Hash.Length: > 0 } set
        && Hasher.VerifyHashedPassword(this, set.Hash, phrase) != PasswordVerificationResult.Failed;

    /// <summary>Signs every browser out.</summary>
    /// <exception cref="Refused">No phrase is set.</exception>
    public void SignOutEverywhere() =>
        Write((Current ?? throw new Refused("No pass phrase is set, so nobody is signed in.")) with { Stamp = NewStamp() }, first: false);

    private Stored? Current
    {
        get
        {
            lock (gate)
            {
                var written = Path.Exists(file) ? File.GetLastWriteTimeUtc(file) : DateTime.MinValue;
                if (written != read.Written)
                {
                    read = (written, written == DateTime.MinValue ? null : Read());
                }

                return read.Pass;
            }
        }
    }

    private Stored Read()
    {
        try
        {
            return
                JsonSerializer.Deserialize<Stored>(File.ReadAllText(file)) is { Hash.Length: > 0, Stamp.Length: > 0 } pass
                && Convert.FromBase64String(pass.Hash).Length > 0
                ? pass
                : Nobody;
        }
        catch (Exception e) when (e is JsonException or FormatException or IOException or UnauthorizedAccessException)
        {
            return Nobody;
        }
    }

    private static Stored Nobody => new("", NewStamp());

    private static string NewStamp() => Convert.ToHexStringLower(RandomNumberGenerator.GetBytes(16));

    private Stored Made(string phrase) => new(Hasher.HashPassword(this, phrase), NewStamp());

    /// <exception cref="IOException">It is the first, and one is there already.</exception>
    private void Write(Stored pass, bool first)
    {
        lock (gate)
        {
            if (first && Path.Exists(file))
            {
                throw new IOException("A phrase is set already.");
            }

            // Under a name of its own: another process may be setting one too.
            var fresh = $"{file}.{Guid.NewGuid():N}.new";
            using (var written = DataFolder.NewOwnFile(fresh))
            {
                JsonSerializer.Serialize(written, pass);
                written.Flush(flushToDisk: true);
            }

            try
            {
                File.Move(fresh, file, overwrite: !first);
            }
            finally
            {
                File.Delete(fresh);
            }

            read = (File.GetLastWriteTimeUtc(file), pass);
        }
    }

    private sealed record Stored(string Hash, string Stamp);
}
