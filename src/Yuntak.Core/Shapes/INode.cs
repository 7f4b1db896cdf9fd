using Yuntak.Core.Base;

namespace Yuntak.Core.Shapes;

/// <summary>A place in a file somebody hands in: a single value, a list, or names with values. What kind of file it is does not matter here.</summary>
public interface INode
{
    /// <summary>The line it stands on, counted from 1.</summary>
    int Line { get; }

    /// <summary>Whether nothing stands there.</summary>
    bool IsNull { get; }

    /// <summary>The text of a single value; null when it is none.</summary>
    string? Text { get; }

    /// <summary>The items of a list; null when it is none.</summary>
    IReadOnlyList<INode>? Items { get; }

    /// <summary>Names with the lines they stand on and their values; null when there are none.</summary>
    IReadOnlyList<(string Name, int Line, INode Value)>? Members { get; }
}
