using Yuntak.Core.Figures;

namespace Yuntak.Core.Findings;

/// <summary>What a rule is called and what stands behind it.</summary>
/// <param name="Id">Its name in files, links and the rule book: «bench.memory-over».</param>
/// <param name="Severity">How bad it is.</param>
/// <param name="Station">Where it is settled.</param>
/// <param name="Says">The rule in one sentence, for the rule book.</param>
/// <param name="Because">Why it matters.</param>
/// <param name="Source">What stands behind it.</param>
public sealed record RuleInfo(string Id, Severity Severity, Station Station, string Says, string Because, Source Source)
{
    /// <summary>Its limits in figures; empty for a rule that is a matter of yes or no.</summary>
    public IReadOnlyList<RuleLimit> Limits { get; init; } = [];

    /// <summary>A finding of this rule.</summary>
    /// <param name="subject">What it is about.</param>
    /// <param name="title">One plain sentence.</param>
    /// <param name="text">The figures.</param>
    /// <param name="fixes">Changes that settle it, worked out only when somebody looks.</param>
    /// <param name="figure">The figure behind it.</param>
    public Finding On(Subject subject, string title, string text, Func<IEnumerable<Fix>>? fixes = null, IFigure? figure = null) =>
        new(this, subject, title, text, figure, fixes ?? (() => []));
}
