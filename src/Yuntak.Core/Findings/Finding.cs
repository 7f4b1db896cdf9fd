using Yuntak.Core.Base;
using Yuntak.Core.Bench;
using Yuntak.Core.Figures;
using Yuntak.Core.Labs;

namespace Yuntak.Core.Findings;

/// <summary>Something Yuntak noticed.</summary>
public sealed class Finding
{
    private readonly Once<IReadOnlyList<Fix>> fixes;

    internal Finding(RuleInfo rule, Subject subject, string title, string text, IFigure? figure, Func<IEnumerable<Fix>> fixes)
    {
        Rule = rule;
        Subject = subject;
        Title = title;
        Text = text;
        Figure = figure;
        this.fixes = new(() => Offered(fixes));
    }

    /// <summary>The rule that noticed it.</summary>
    public RuleInfo Rule { get; }

    /// <summary>How bad it is.</summary>
    public Severity Severity => Rule.Severity;

    /// <summary>What it is about.</summary>
    public Subject Subject { get; }

    /// <summary>One plain sentence.</summary>
    public string Title { get; }

    /// <summary>The figures.</summary>
    public string Text { get; }

    /// <summary>The figure behind it, if there is one.</summary>
    public IFigure? Figure { get; }

    /// <summary>Changes that settle it.</summary>
    public IReadOnlyList<Fix> Fixes => fixes.Value;

    /// <summary>Whether it is about a host, one of its pools, or a guest on it or inside one on it.</summary>
    public bool Concerns(Bench.HostAssessment host) =>
        Subject.Kind switch
        {
            SubjectKind.Host => Subject.Id == host.Host.Id.Value,
            SubjectKind.Pool => Subject.Id.StartsWith(Uri.EscapeDataString(host.Host.Id.Value) + "/", StringComparison.Ordinal),
            SubjectKind.Lab => false,
            SubjectKind.Guest => host.AllGuests.Any(g => g.Guest.Id.Value == Subject.Id),
        };

    /// <summary>Which it is among those of one rule about one subject, from 0.</summary>
    public int Ordinal { get; private init; }

    /// <summary>What it is known by while it lasts: the rule, the subject, and which it is among several of both. No two of a lab share one.</summary>
    public string Key => $"{Rule.Id}@{Subject.Kind.ToString().ToLowerInvariant()}:{Subject.Id}{(Ordinal > 0 ? $"#{Ordinal}" : "")}";

    /// <summary>A change that cannot be worked out is not offered; the finding stands all the same.</summary>
    private static IReadOnlyList<Fix> Offered(Func<IEnumerable<Fix>> fixes)
    {
        try
        {
            return [.. fixes()];
        }
        catch (Exception e) when (e is not (OutOfMemoryException or OperationCanceledException))
        {
            return [];
        }
    }

    /// <summary>The same finding, as one of several of its rule about its subject.</summary>
    internal Finding At(int ordinal) =>
        ordinal == Ordinal ? this : new(Rule, Subject, Title, Text, Figure, () => Fixes) { Ordinal = ordinal };
}
