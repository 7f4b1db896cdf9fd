namespace Yuntak.Formats.Tests;

/// <summary>Tests that fill the memory of the process, or keep it busy: nothing runs beside them.</summary>
[CollectionDefinition(nameof(Alone), DisableParallelization = true)]
public sealed class Alone;
