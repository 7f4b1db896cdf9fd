using Yuntak.Core.Labs;

namespace Yuntak.Core.Edits;

/// <summary>One difference between two labs, about one host, pool or guest.</summary>
/// <param name="Kind">What sort of difference it is.</param>
/// <param name="Sentence">The difference in words.</param>
/// <param name="Host">The host it is about, or whose pool it is about.</param>
/// <param name="Guest">The guest it is about.</param>
/// <param name="Pool">The pool it is about.</param>
/// <param name="NeedsWork">Whether somebody has to do something for it; false for what is only planning, such as an assumed load.</param>
public sealed record LabChange(
    ChangeKind Kind,
    string Sentence,
    HostId? Host = null,
    GuestId? Guest = null,
    string? Pool = null,
    bool NeedsWork = true
);
