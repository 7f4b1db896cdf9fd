using System.CommandLine;
using Microsoft.Data.Sqlite;
using Yuntak.Core.Base;
using Yuntak.Data.Opening;
using Yuntak.Web.Door;

namespace Yuntak.Web.Starting;

/// <summary>What the application does besides serving pages: <c>backup FILE</c>, <c>restore FILE</c> and <c>pass</c>.</summary>
internal static class Verbs
{
    private const int Refused = 2;

    /// <summary>Whether the first word asks for one of them.</summary>
    public static bool Knows(string[] args) => args is ["backup" or "restore" or "pass", ..];

    /// <summary>Carries one out.</summary>
    /// <returns>0, or 2 when it could not be done; the reason is on standard error.</returns>
    public static int Run(string[] args)
    {
        try
        {
            Console.WriteLine(
                args[0] switch
                {
                    "backup" => TakeBackup(args[1..]),
                    "restore" => Restore(args[1..]),
                    _ => SetPass(args[1..]),
                }
            );
            return 0;
        }
        catch (Refused refused)
        {
            Console.Error.WriteLine(Names.Clean(refused.Message));
        }
        catch (Exception e)
            when (e is IOException or UnauthorizedAccessException or ArgumentException or NotSupportedException or SqliteException)
        {
            Console.Error.WriteLine(Trouble.Words(e) ?? e.Message);
        }

        return Refused;
    }

    private static string TakeBackup(string[] args)
    {
        var (file, folder) = FileAndFolder("backup", args);
        Backup.Take(folder, file);
        return $"All data of {folder} is in {file}. To bring it back:  ./yuntak restore {Path.GetFileName(file)} --data FOLDER";
    }

    private static string Restore(string[] args)
    {
        var (file, folder) = FileAndFolder("restore", args);
        using var taken =
            FolderLock.Take(folder)
            ?? throw new Refused($"A Yuntak is running on {folder}. Stop it first, or name another folder with --data.");
        Backup.Restore(file, folder);
        return $"{file} is back in {folder}. Start Yuntak on it:  ./yuntak start --data {folder}";
    }

    private static (string File, string Folder) FileAndFolder(string verb, string[] args)
    {
        var file = new Argument<string>("FILE");
        var parsed = new Command(verb) { file, StartCommand.Data }.Parse(args);
        StartCommand.RefuseErrors(parsed);
        var named = parsed.GetValue(file);
        return string.IsNullOrWhiteSpace(named)
            ? throw new Refused("Name the file.")
            : (Path.GetFullPath(named), StartCommand.Folder(parsed));
    }

    private static string SetPass(string[] args)
    {
        var everywhere = new Option<bool>("--sign-out") { Arity = ArgumentArity.Zero };
        var parsed = new Command("pass") { everywhere, StartCommand.Data }.Parse(args);
        StartCommand.RefuseErrors(parsed);
        var folder = StartCommand.Folder(parsed);
        Directory.CreateDirectory(folder, Yuntak.Data.DataFolder.OwnFolder);
        var pass = new PassFile(folder);
        if (parsed.GetValue(everywhere))
        {
            pass.SignOutEverywhere();
            return "Everybody is signed out.";
        }

        pass.Set(Ask());
        return "The pass phrase is set, and everybody is signed out. A Yuntak that runs asks for the new one from now on.";
    }

    /// <summary>The phrase: typed twice without being shown, or one line of standard input.</summary>
    private static string Ask()
    {
        if (Console.IsInputRedirected)
        {
            return Console.In.ReadLine() ?? "";
        }

        var first = Hidden("The new pass phrase, 12 characters or more: ");
        return Hidden("Once more: ") == first ? first : throw new Refused("The two are not the same. Nothing was changed.");
    }

    private static string Hidden(string ask)
    {
        Console.Error.Write(ask);
        var typed = new System.Text.StringBuilder();
        for (var key = Console.ReadKey(intercept: true); key.Key != ConsoleKey.Enter; key = Console.ReadKey(intercept: true))
        {
            if (key.Key == ConsoleKey.Backspace && typed.Length > 0)
            {
                typed.Length--;
            }
            else if (!char.IsControl(key.KeyChar))
            {
                typed.Append(key.KeyChar);
            }
        }

        Console.Error.WriteLine();
        return typed.ToString();
    }
}
