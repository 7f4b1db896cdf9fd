using Yuntak.Core.Bench;
using Yuntak.Core.Figures;
using Yuntak.Core.Labs;

namespace Yuntak.Core.Findings;

/// <summary>Something Yuntak noticed.</summary>
public sealed class Finding
{
    private readonly Lazy<IReadOnlyList<Fix>> fixes;

    internal Finding(RuleInfo rule, Subject subject, string title, string text, IFigure? figure, Func<IEnumerable<Fix>> fixes)
    {
        Rule = rule;
        Subject = subject;
        Title = title;
        Text = text;
        Figure = figure;
        this.fixes = new(() => [.. fixes()]);
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

    /// <summary>Whether it is about a host, one of its pools, or a guest on it.</summary>
    public bool Concerns(Bench.HostAssessment host) =>
        Subject.Kind switch
        {
            SubjectKind.Host => Subject.Id == host.Host.Id.Value,
            SubjectKind.Pool => Subject.Id.StartsWith(host.Host.Id.Value + "/", StringComparison.Ordinal),
            _ => host.Guests.Any(g => g.Guest.Id.Value == Subject.Id),
        };

    /// <summary>What it is known by while it lasts: the rule and the subject.</summary>
    public string Key => $"{Rule.Id}@{Subject.Id}";
}
