namespace Yuntak.Browser.Tests;

/// <summary>Every page by day, on a wide window. A class of its own, so that it runs beside the other.</summary>
public sealed class AccessibilityInTheLightTests() : AccessibilityTests(width: 1280, dark: false);
