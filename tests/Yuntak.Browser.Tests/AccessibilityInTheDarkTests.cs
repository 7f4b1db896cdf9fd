namespace Yuntak.Browser.Tests;

/// <summary>Every page by night, on a phone. A class of its own, so that it runs beside the other.</summary>
public sealed class AccessibilityInTheDarkTests() : AccessibilityTests(width: 390, dark: true);
