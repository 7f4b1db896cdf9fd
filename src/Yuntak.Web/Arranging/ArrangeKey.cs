using Yuntak.Core.Arranging;

namespace Yuntak.Web.Arranging;

/// <summary>What an arrangement is about: two who ask the same of the same lab are given the same one.</summary>
/// <param name="Draft">The revision of the plan.</param>
/// <param name="AsBuilt">The revision of what stands.</param>
/// <param name="Ask">What is asked.</param>
public sealed record ArrangeKey(long Draft, long AsBuilt, ArrangeAsk Ask);
