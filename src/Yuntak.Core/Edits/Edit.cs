using Yuntak.Core.Base;
using Yuntak.Core.Labs;

namespace Yuntak.Core.Edits;

/// <summary>A named change of a lab: takes one, answers the changed one and the change in words. It never alters what it was given.</summary>
/// <exception cref="Refused">The change makes no sense for this lab; the message says why, in words for the person.</exception>
public delegate Changed Edit(Lab lab);
