namespace Yuntak.Web.Rooms;

/// <summary>A picture of a page for the documentation, made from the demo.</summary>
/// <param name="Name">The name of its file, without an ending.</param>
/// <param name="Width">How wide the window is, in CSS pixels.</param>
/// <param name="Height">How high the window is, in CSS pixels.</param>
/// <param name="Dark">Whether the page is dark.</param>
public sealed record Picture(string Name, int Width = 1280, int Height = 800, bool Dark = false);
