using Yuntak.Core.Base;

namespace Yuntak.Core.Keeping;

/// <summary>The words for what runs in a night.</summary>
public static class KeepingWords
{
    /// <summary>What runs in a night.</summary>
    public static readonly WordTable<NightKind> Kinds = new(
        (NightKind.Copying, "copying", "copying"),
        (NightKind.Thinning, "thinning", "thinning"),
        (NightKind.Tidying, "tidying", "tidying"),
        (NightKind.Checking, "check-reading", "check-reading"),
        (NightKind.Onward, "onward", "onward copy"),
        (NightKind.Scrub, "scrub", "scrub")
    );
}
