namespace Yuntak.Bench;

/// <summary>The most a measurement may take on the machine it was promised for.</summary>
[AttributeUsage(AttributeTargets.Method)]
internal sealed class LimitAttribute(double milliseconds) : Attribute
{
    public double Milliseconds { get; } = milliseconds;
}
