namespace Yuntak.Core.Labs;

/// <summary>What the account of an onward copy may do at the far store.</summary>
public enum OnwardRights
{
    /// <summary>Add, and neither delete nor thin.</summary>
    Add,

    /// <summary>Add and thin.</summary>
    Thin,

    /// <summary>Everything.</summary>
    All,
}
