using Yuntak.Core.Base;

namespace Yuntak.Core.Shapes;

/// <summary>A member with a single value, as a form sees it: a text that is read, or nothing.</summary>
/// <typeparam name="T">The record.</typeparam>
/// <param name="name">Its name in files and forms.</param>
/// <param name="member">The member of the record it stands for.</param>
/// <param name="label">What people call it.</param>
public abstract class Scalar<T>(string name, string member, string label) : Field<T>(name, member, label)
{
    /// <summary>The value as it is typed; empty when there is none.</summary>
    public abstract string Typed(T record);

    /// <summary>The record with what was typed; nothing typed is no value.</summary>
    /// <exception cref="Refused">It is no such value or outside its limits.</exception>
    public abstract T Set(T record, string typed);
}
