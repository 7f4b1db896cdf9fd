using System.Text;
using Yuntak.Core.Base;
using Yuntak.Core.Labs;
using Yuntak.Core.Wires;

namespace Yuntak.Formats.Wires;

/// <summary>The folders a host exports by address (exports(5)); those by account are named in comments.</summary>
public static class ExportsFile
{
    /// <summary>The file of a host, a guest or a box, by its name.</summary>
    public static string Of(HouseWires wires, string exporter)
    {
        var text = new StringBuilder();
        foreach (var share in wires.Lab.Shares.Where(s => ShareSums.ExporterName(wires.Lab, s) == exporter))
        {
            text.Append(
                share.Protocol == ShareProtocol.Addresses
                    ? ExportsLine.Of(wires, share)
                    : $"# {Names.Clean(share.Name)}: by account, for {(share.Allow.Count == 0 ? "nobody yet" : string.Join(", ", share.Allow))}"
            );
            text.Append('\n');
        }

        return text.ToString();
    }
}
