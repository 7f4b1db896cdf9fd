using System.Text;
using Yuntak.Core.Kit;
using Yuntak.Data;
using Yuntak.Formats.Intake;

namespace Yuntak.Web.Shared;

/// <summary>Takes in the texts people give of a host, keeps them, and remembers what was read from the last few.</summary>
public sealed class ReadingDesk(ReadingStore store)
{
    private readonly Recent<long, HostReading> known = new(8);

    /// <summary>Reads a pasted text, an upload, or both.</summary>
    /// <returns>What was read, and the key it is kept under; no key when nothing could be read.</returns>
    public async Task<(long? Key, HostReading Reading)> TakeInAsync(string? text, IFormFile? file, CancellationToken cancel)
    {
        List<Stream> parts = [];
        if (!string.IsNullOrWhiteSpace(text))
        {
            parts.Add(new MemoryStream(Encoding.UTF8.GetBytes(text)));
        }

        if (file is { Length: > 0 })
        {
            await using var look = file.OpenReadStream();
            TextDecoder.Open(look, out var problem);
            if (problem is not null)
            {
                return (null, new HostReading(null, null, [], [new PartReading(KitParts.Other, 0, [$"{file.FileName}: {problem}"])]));
            }

            parts.Add(file.OpenReadStream());
        }

        // One byte more than is read, so that the reader sees that the text goes on.
        var packed = await ReadingStore.Packed(parts, IntakeLimits.LongestText.Bytes + 1, cancel);
        foreach (var part in parts)
        {
            await part.DisposeAsync();
        }

        var reading = Read(packed);
        if (!reading.HasAnything)
        {
            return (null, reading);
        }

        var key = await store.KeepAsync(packed, cancel);
        return (key, known.Keep(key, reading));
    }

    /// <summary>What was read from the text of that key; null when there is none.</summary>
    public async Task<HostReading?> FindAsync(long key, CancellationToken cancel = default)
    {
        if (known.TryFind(key, out var reading))
        {
            return reading;
        }

        if (await store.FindAsync(key, cancel) is not { } packed)
        {
            return null;
        }

        reading = Read(packed);
        return known.Keep(key, reading);
    }

    private static HostReading Read(byte[] packed)
    {
        using var stream = ReadingStore.Open(packed);
        return IntakeReader.Read(stream);
    }
}
