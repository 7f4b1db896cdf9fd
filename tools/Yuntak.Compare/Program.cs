using CsCheck;
using Yuntak.Compare;
using Yuntak.Core.Shapes;
using Yuntak.Formats.LabFiles;
using Yuntak.Tests;

// Holds what Yuntak says of many labs today against what it said before a change of the code:
//   make DIR     writes 300 pairs of labs, what stands and what is planned, as lab files
//   say DIR OUT  says everything about each of them: findings, figures, budgets, steps
//   pools FILE   says room, odds and warnings of 300 random pools, of one size and of several
// Two folders made by «say» are then compared with diff -r. They are large and belong outside the repository.
switch (args)
{
    case ["make", var folder]:
        Directory.CreateDirectory(folder);
        for (var n = 0; n < 300; n++)
        {
            var pair = Changes.AnyPair.Generate(new PCG((uint)n, (ulong)(n + 1)), null, out _);
            File.WriteAllText(Path.Combine(folder, $"{n:D3}-stands.yaml"), LabFile.ToYaml(pair.Stands));
            File.WriteAllText(Path.Combine(folder, $"{n:D3}-draft.yaml"), LabFile.ToYaml(pair.Draft));
        }

        return 0;
    case ["say", var folder, var into]:
        Directory.CreateDirectory(into);
        foreach (var draft in Directory.EnumerateFiles(folder, "*-draft.yaml").Order(StringComparer.Ordinal))
        {
            var name = Path.GetFileName(draft).Replace("-draft.yaml", "", StringComparison.Ordinal);
            var stands = Path.Combine(folder, $"{name}-stands.yaml");
            File.WriteAllText(Path.Combine(into, $"{name}.txt"), Saying.Of(File.ReadAllText(stands), File.ReadAllText(draft)));
        }

        return 0;
    case ["pools", var into]:
        File.WriteAllText(into, PoolSaying.OfMany());
        return 0;
    default:
        Console.Error.WriteLine("make DIR, say DIR OUT, or pools FILE");
        return 2;
}
