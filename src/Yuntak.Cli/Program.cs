using System.CommandLine;
using System.Text;
using Yuntak.Cli;

Console.OutputEncoding = new UTF8Encoding(encoderShouldEmitUTF8Identifier: false);
var root = new RootCommand("Yuntak on the command line: the same sums as on screen, without a browser.")
{
    IntakeCommand.Make(),
    CheckCommand.Make(),
    RunbookCommand.Make(),
    ExportCommand.Make(),
};
return root.Parse(args).Invoke();
