using System.Text;
using Yuntak.Core.Labs;

namespace Yuntak.Core.Wires;

/// <summary>A line of the list of folders exported by address (exports(5)).</summary>
public static class ExportsLine
{
    /// <summary>The line of a share: its folder, then each who may with what they may. Blanks and marks in the folder are written as octal codes, so that it stays one word.</summary>
    public static string Of(HouseWires wires, NetworkShare share)
    {
        var options = $"({(share.ReadOnly ? "ro" : "rw")},sync,no_subtree_check,root_squash)";
        var clients = ShareSums.Clients(wires, share).Select(c => c + options).ToList();
        return clients.Count == 0 ? $"# {Octal(share.From.Path)}: nobody may yet" : $"{Octal(share.From.Path)} {string.Join(' ', clients)}";
    }

    /// <summary>A path as files with words between blanks take it (exports(5), fstab(5)): every blank, quote, hash, backslash and control character as its octal code.</summary>
    public static string Octal(string path)
    {
        var text = new StringBuilder();
        foreach (var part in Encoding.UTF8.GetBytes(path))
        {
            if (part is > 32 and < 127 && (char)part is not ('\\' or '#' or '"' or '\''))
            {
                text.Append((char)part);
            }
            else
            {
                text.Append('\\').Append(Convert.ToString(part, 8).PadLeft(3, '0'));
            }
        }

        return text.ToString();
    }
}
