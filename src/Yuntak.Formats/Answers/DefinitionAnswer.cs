using System.Text.Json.Nodes;
using Yuntak.Core.Profiles;
using Yuntak.Formats.Definitions;

namespace Yuntak.Formats.Answers;

/// <summary>What <c>intake --on HOST --json</c> answers; sizes in bytes.</summary>
public static class DefinitionAnswer
{
    /// <summary>The answer.</summary>
    public static string Of(DefinitionReading reading) =>
        JsonAnswers.Text(
            new JsonObject
            {
                ["sort"] = reading.Sort,
                ["guests"] = new JsonArray([
                    .. reading.Guests.Select(g => new JsonObject
                    {
                        ["name"] = g.Name,
                        ["kind"] = ProfileWords.Kinds.Word(g.Kind),
                        ["profile"] = g.Wants[0].ProfileId,
                        ["image"] = g.Image,
                        ["vcpu"] = g.Overrides.Vcpu,
                        ["memoryBytes"] = g.Overrides.Memory?.Bytes,
                        ["systemDiskBytes"] = g.Overrides.SystemDisk?.Bytes,
                        ["bulkBytes"] = g.Overrides.Bulk?.Bytes,
                        ["ports"] = new JsonArray([.. g.Ports.Select(p => JsonValue.Create(p))]),
                        ["folders"] = new JsonArray([
                            .. g.Folders.Select(f => new JsonObject
                            {
                                ["host"] = f.HostPath,
                                ["container"] = f.ContainerPath,
                                ["readOnly"] = f.ReadOnly,
                            }),
                        ]),
                        ["networks"] = new JsonArray([.. g.Networks.Select(n => JsonValue.Create(n))]),
                        ["variables"] = new JsonArray([.. g.Variables.Select(v => JsonValue.Create(v))]),
                        ["nodes"] = new JsonArray([.. g.Nodes.Select(n => JsonValue.Create(n))]),
                        ["restart"] = g.Restart,
                    }),
                ]),
                ["lines"] = new JsonArray([
                    .. reading.Lines.Select(l => new JsonObject
                    {
                        ["line"] = l.Line,
                        ["text"] = l.Text,
                        ["read"] = l.Read,
                    }),
                ]),
            }
        );
}
