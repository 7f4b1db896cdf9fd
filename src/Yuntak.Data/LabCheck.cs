using Yuntak.Core.Base;
using Yuntak.Core.Labs;

namespace Yuntak.Data;

/// <summary>Looks at a lab before it is kept.</summary>
/// <param name="before">The lab as it is.</param>
/// <param name="after">The lab as it would be.</param>
/// <exception cref="Refused">It cannot be worked out; the words are for the person.</exception>
public delegate void LabCheck(Lab before, Lab after);
