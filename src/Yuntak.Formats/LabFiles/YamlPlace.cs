using YamlDotNet.Core;
using YamlDotNet.RepresentationModel;
using Yuntak.Core.Base;
using Yuntak.Core.Shapes;

namespace Yuntak.Formats.LabFiles;

/// <summary>A place in a YAML or JSON file.</summary>
internal sealed class YamlPlace(YamlNode node) : INode
{
    public int Line => (int)node.Start.Line;

    public bool IsNull => node is YamlScalarNode { Style: ScalarStyle.Plain, Value: null or "" or "null" or "~" };

    public string? Text => (node as YamlScalarNode)?.Value is { } value ? Names.Clean(value) : null;

    public IReadOnlyList<INode>? Items => node is YamlSequenceNode list ? [.. list.Children.Select(c => new YamlPlace(c))] : null;

    public IReadOnlyList<(string Name, int Line, INode Value)>? Members =>
        node is YamlMappingNode map
            ? [.. map.Children.Select(c => ((c.Key as YamlScalarNode)?.Value ?? "", (int)c.Key.Start.Line, (INode)new YamlPlace(c.Value)))]
            : null;
}
