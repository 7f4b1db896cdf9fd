namespace Yuntak.Data;

/// <summary>The two pointers of a lab.</summary>
public enum Pointer
{
    /// <summary>What is planned.</summary>
    Draft,

    /// <summary>What stands.</summary>
    AsBuilt,
}
