using Yuntak.Formats.Copies;
using Yuntak.Formats.Definitions;
using Yuntak.Formats.Intake;
using Yuntak.Formats.LabFiles;
using Yuntak.Formats.Wires;
using Yuntak.Tests;

namespace Yuntak.Formats.Tests;

/// <summary>Everything that reads texts of people and tools, by what it reads.</summary>
internal static class TextReaders
{
    /// <summary>The readers.</summary>
    public static readonly IReadOnlyDictionary<string, Action<string>> All = new Dictionary<string, Action<string>>
    {
        ["lab file"] = t => LabFile.Read(t),
        ["profiles"] = t => ProfileFile.Read(t),
        ["definition"] = t => DefinitionReader.Read(t),
        ["host"] = t => IntakeReader.Read(t),
        ["copies"] = t => CopyList.Read(t, Small.Lab(Small.Host("kiln")), "vault"),
        ["addresses"] = t => AddressIntake.Read(t),
    };
}
