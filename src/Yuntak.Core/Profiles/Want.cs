using Yuntak.Core.Base;

namespace Yuntak.Core.Profiles;

/// <summary>A service somebody asks for and how much of it.</summary>
/// <param name="ProfileId">Which profile it follows.</param>
/// <param name="Load">What was said about the load; what is left out follows the profile's defaults.</param>
public sealed record Want(string ProfileId, ValueList<LoadValue> Load = default);
