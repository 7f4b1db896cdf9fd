using Yuntak.Core.Base;
using Yuntak.Core.Shapes;
using Yuntak.Formats.Intake;

namespace Yuntak.Formats.LabFiles;

/// <summary>The version at the top of every file.</summary>
internal static class FileVersion
{
    /// <summary>Notes a problem when it is missing or not the one that is read.</summary>
    public static void Check(MapReader top, string key, int version)
    {
        if (top.Text(key, needed: true) is { } text && text != version.ToString(System.Globalization.CultureInfo.InvariantCulture))
        {
            top.Note(key, $"this Yuntak reads version {version}, the file says {Names.Short(text)}");
        }
    }
}
