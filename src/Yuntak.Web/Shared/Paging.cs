using Yuntak.Core.Labs;

namespace Yuntak.Web.Shared;

/// <summary>A long list shown part by part, so that a page stays quick to read and to send however large the lab is. A household's fits on one.</summary>
/// <param name="Count">How many there are.</param>
/// <param name="Size">The most shown at once.</param>
/// <param name="Part">Which part is shown, from 1; 0 for all.</param>
/// <param name="What">What is counted: «guests».</param>
public sealed record Paging(int Count, int Size, int Part, string What)
{
    private const int HostsAtOnce = 12;

    /// <summary>How many parts there are.</summary>
    public int Parts => Math.Max(1, (Count + Size - 1) / Size);

    /// <summary>How many come before this part.</summary>
    public int Skipped => Part == 0 ? 0 : (Part - 1) * Size;

    /// <summary>The last that is shown, counted from 1.</summary>
    public int Last => Part == 0 ? Count : Math.Min(Count, Skipped + Size);

    /// <summary>The part that was asked for, or the nearest there is.</summary>
    public static Paging Of(int count, int size, int? asked, string what)
    {
        var whole = new Paging(count, size, 1, what);
        return whole with { Part = Math.Clamp(asked ?? 1, 0, whole.Parts) };
    }

    /// <summary>Hosts, twelve at once unless said otherwise: the part asked for, else the one with the host that the page has open.</summary>
    public static Paging OfHosts(Lab lab, int? asked, HttpRequest request, int atOnce = HostsAtOnce)
    {
        var parts = Of(lab.Hosts.Count, atOnce, asked, "hosts");
        return asked is null && request.Query["host"].ToString() is { Length: > 0 } host
            ? parts.At(lab.Hosts.ToList().FindIndex(h => h.Id.Value == host))
            : parts;
    }

    /// <summary>The part that holds an item.</summary>
    /// <param name="index">Its place in the list; less than 0 when it is not in it.</param>
    public Paging At(int index) => index < 0 ? this : this with { Part = (index / Size) + 1 };

    /// <summary>Those of a list that are shown.</summary>
    public IEnumerable<T> Of<T>(IEnumerable<T> all) => all.Skip(Skipped).Take(Last - Skipped);
}
