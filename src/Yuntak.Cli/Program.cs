using System.CommandLine;
using System.Text;
using Yuntak.Cli;
using Yuntak.Core.Runbooks;

Console.OutputEncoding = new UTF8Encoding(encoderShouldEmitUTF8Identifier: false);
var root = new RootCommand("Yuntak on the command line: the same sums as on screen, without a browser.")
{
    IntakeCommand.Make(),
    CheckCommand.Make(),
    SizeCommand.Make(),
    RunbookCommand.Make(),
    RehearseCommand.Make(),
    ArrangeCommand.Make(),
    DevicesCommand.Make(),
    WiresCommand.Make(),
    RetentionCommand.Make(),
    KeepingCommand.Make(),
    ExportCommand.Make(),
    PoolCommand.MakePool(),
    PoolCommand.MakeLayouts(),
};
var parsed = root.Parse(args);
if (parsed.Errors.Count == 0)
{
    try
    {
        return parsed.Invoke(new InvocationConfiguration { EnableDefaultExceptionHandler = false });
    }
    catch (Exception e) when (e is not OutOfMemoryException)
    {
        Shared.Refuse([$"Something went wrong in Yuntak itself ({e.GetType().Name}: {e.Message}). No file was changed."], json: false);
        return Shared.CouldNotRead;
    }
}

// 1 means «a stop was found», so a call that could not be understood ends like a file that could not be read.
Shared.Refuse([.. parsed.Errors.Select(e => e.Message), "./yuntak help lists the calls."], json: false);
return Shared.CouldNotRead;
