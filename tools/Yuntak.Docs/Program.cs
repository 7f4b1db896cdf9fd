using Yuntak.Formats.Exports;
using Yuntak.Formats.LabFiles;

// Writes what docs/ says about the lab file, the schema and the table at the end of its page, and the rule book.
if (args.Length != 1)
{
    Console.Error.WriteLine("Say where docs/ is.");
    return 2;
}

File.WriteAllText(Path.Combine(args[0], "lab-file.schema.json"), LabFileDocs.Schema());
var page = Path.Combine(args[0], "lab-file.md");
File.WriteAllText(page, LabFileDocs.Page(File.ReadAllText(page)));
File.WriteAllText(Path.Combine(args[0], "rule-book.md"), RuleBookMarkdown.Page());
return 0;
