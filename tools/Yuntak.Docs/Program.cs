using Yuntak.Formats.LabFiles;

// Writes what docs/ says about the lab file: the schema, and the table at the end of its page.
if (args.Length != 1)
{
    Console.Error.WriteLine("Say where docs/ is.");
    return 2;
}

File.WriteAllText(Path.Combine(args[0], "lab-file.schema.json"), LabFileDocs.Schema());
var page = Path.Combine(args[0], "lab-file.md");
File.WriteAllText(page, LabFileDocs.Page(File.ReadAllText(page)));
return 0;
