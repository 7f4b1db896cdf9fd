using System.Text.Json;
using System.Text.Json.Nodes;
using System.Text.Json.Serialization;
using System.Text.Json.Serialization.Metadata;
using Yuntak.Core.Labs;

namespace Yuntak.Data;

/// <summary>
/// A lab as the JSON that is stored, with the version of its form. Every member of every record is written and must be there when it is read; a member nobody
/// knows is an error too, so that nothing is ever dropped or made up without a word. Older forms are brought up step by step.
/// </summary>
public static class LabJson
{
    /// <summary>
    /// The version written today: one more than there are steps. When a record of the model gets, loses or renames a member, add a step to
    /// <see cref="Upgrades"/>, and keep a database of the form before among the golden ones of the tests.
    /// </summary>
    public static int Version => 1 + Upgrades.Count;

    private static readonly JsonSerializerOptions Options = new()
    {
        Converters =
        {
            new ByteSizeConverter(),
            new ValueListConverterFactory(),
            new JsonStringEnumConverter(null, allowIntegerValues: false),
        },
        UnmappedMemberHandling = JsonUnmappedMemberHandling.Disallow,
        TypeInfoResolver = LabJsonContext.Default.WithAddedModifier(OnlyWhatARecordIsMadeOf),
    };

    /// <summary>The lab as compressed JSON of today's version.</summary>
    public static byte[] Write(Lab lab) => Compression.Pack(JsonSerializer.SerializeToUtf8Bytes(lab, Options));

    /// <summary>Reads a stored lab of this or an earlier version.</summary>
    /// <exception cref="NotSupportedException">It was written by a newer Yuntak.</exception>
    /// <exception cref="JsonException">It is damaged: a member is missing, unknown or no such value.</exception>
    public static Lab Read(byte[] content, int version)
    {
        if (version > Version)
        {
            throw new NotSupportedException(
                $"This data was written by a newer Yuntak (version {version} of the stored form; this one reads up to {Version}). Nothing was changed. Use the newer Yuntak."
            );
        }

        var plain = Compression.Unpack(content);
        var lab =
            version == Version
                ? JsonSerializer.Deserialize<Lab>(plain, Options)
                : Upgrades.From(version, JsonNode.Parse(plain)!.AsObject()).Deserialize<Lab>(Options);
        return lab ?? throw new JsonException("A stored lab is empty.");
    }

    /// <summary>Reads a stored lab, or null when it cannot be read, whatever is wrong with it.</summary>
    public static Lab? TryRead(byte[] content, int version)
    {
        try
        {
            return Read(content, version);
        }
        // Damage shows as whatever the first reader of a wrong byte makes of it: the unpacker, the parser, a step of an upgrade, a record's own check.
        catch (Exception e)
            when (e
                    is JsonException
                        or IOException
                        or InvalidDataException
                        or InvalidOperationException
                        or NotSupportedException
                        or ArgumentException
                        or FormatException
                        or OverflowException
                        or NullReferenceException
                        or Core.Base.Refused
            )
        {
            return null;
        }
    }

    /// <summary>A record is stored as what it is made of: the members its constructor takes, all of them, and nothing that follows from them.</summary>
    private static void OnlyWhatARecordIsMadeOf(JsonTypeInfo type)
    {
        if (type.Kind != JsonTypeInfoKind.Object)
        {
            return;
        }

        var made = type.Type.GetConstructors().MaxBy(c => c.GetParameters().Length)?.GetParameters().Select(p => p.Name).ToHashSet() ?? [];
        for (var n = type.Properties.Count - 1; n >= 0; n--)
        {
            if (made.Contains(type.Properties[n].Name))
            {
                type.Properties[n].IsRequired = true;
            }
            else
            {
                type.Properties.RemoveAt(n);
            }
        }
    }
}
