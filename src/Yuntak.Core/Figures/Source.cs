namespace Yuntak.Core.Figures;

/// <summary>What stands behind a rule or a sum.</summary>
/// <param name="Text">A short reference people can follow.</param>
public sealed record Source(string Text)
{
    /// <summary>What practitioners commonly do; nothing published behind it.</summary>
    public static readonly Source CommonPractice = new("common practice");

    /// <summary>Written down from memory; treat with care.</summary>
    public static readonly Source FromMemory = new("from memory, unchecked");

    /// <summary>Follows from adding up; nothing to cite.</summary>
    public static readonly Source Arithmetic = new("arithmetic");
}
