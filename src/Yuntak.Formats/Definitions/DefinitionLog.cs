using Yuntak.Core.Labs;

namespace Yuntak.Formats.Definitions;

/// <summary>Collects guests and what became of each line.</summary>
internal sealed class DefinitionLog(string sort)
{
    private readonly List<Guest> guests = [];
    private readonly List<DefinitionLine> lines = [];
    private int untold;

    /// <summary>Whether no more guests are kept.</summary>
    public bool IsFull => guests.Count == DefinitionReading.MostGuests;

    public void Read(int line, string text) => Add(new DefinitionLine(line, text));

    public void Left(int line, string text) => Add(new DefinitionLine(line, text, Read: false));

    /// <summary>Keeps a guest; false, with a word about it, when it may not be kept.</summary>
    public bool Keep(Guest guest, int line)
    {
        if (IsFull)
        {
            Left(line, $"more than {DefinitionReading.MostGuests} guests; this and the rest were left out");
            return false;
        }

        if (GuestShapes.Guest.Problems(guest).FirstOrDefault() is { } problem)
        {
            Left(line, $"{guest.Name}: {problem.Sentence}");
            return false;
        }

        guests.Add(guest);
        return true;
    }

    public DefinitionReading ToReading()
    {
        if (untold > 0)
        {
            lines.Add(new DefinitionLine(0, $"{untold} more lines like these", Read: false));
        }

        // The sort keeps the order of what stands on one line.
        return new DefinitionReading(sort, guests, [.. lines.OrderBy(l => l.Line == 0 ? int.MaxValue : l.Line)]);
    }

    private void Add(DefinitionLine line)
    {
        if (lines.Count < DefinitionReading.MostLines)
        {
            lines.Add(line);
        }
        else
        {
            untold++;
        }
    }
}
