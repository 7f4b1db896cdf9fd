namespace Yuntak.Core.Base;

/// <summary>The words for what is known to be so, known not to be so, or not known.</summary>
public static class KnownWords
{
    /// <summary>«on» or «off»; null when nobody knows.</summary>
    public static string? OnOff(this bool? known) =>
        known is null ? null
        : known.Value ? "on"
        : "off";

    /// <summary>«yes» or «no»; null when nobody knows.</summary>
    public static string? YesNo(this bool? known) => known?.YesNo();

    /// <summary>«yes» or «no».</summary>
    public static string YesNo(this bool known) => known ? "yes" : "no";
}
