namespace Yuntak.Core.Arranging;

/// <summary>What is preferred once everything has its place and as little as can be has moved.</summary>
public enum Prefer
{
    /// <summary>As few hosts powered as can be: it saves energy.</summary>
    FewHosts,

    /// <summary>As even a spread as can be: the fullest host is as little full as can be.</summary>
    Even,
}
