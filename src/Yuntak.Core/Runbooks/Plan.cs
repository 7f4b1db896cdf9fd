using Yuntak.Core.Bench;
using Yuntak.Core.Labs;

namespace Yuntak.Core.Runbooks;

/// <summary>What a runbook is worked out from.</summary>
/// <param name="AsBuilt">What stands.</param>
/// <param name="Draft">What is planned.</param>
/// <param name="Assessment">The assessment of the draft.</param>
internal sealed record Plan(Lab AsBuilt, Lab Draft, Assessment Assessment);
