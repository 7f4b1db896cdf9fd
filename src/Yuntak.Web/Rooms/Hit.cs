namespace Yuntak.Web.Rooms;

/// <summary>One thing a search found.</summary>
/// <param name="Kind">What it is.</param>
/// <param name="Name">What it is called.</param>
/// <param name="What">What it is, in a few words.</param>
/// <param name="Link">Where it is.</param>
public sealed record Hit(HitKind Kind, string Name, string What, string Link);
