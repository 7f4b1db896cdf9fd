using System.Collections.Concurrent;
using System.Runtime.CompilerServices;
using System.Text.Encodings.Web;
using Microsoft.AspNetCore.Html;
using Yuntak.Core.Shapes;

namespace Yuntak.Web.Drawing;

/// <summary>
/// Keeps drawings for as long as what they were made from is kept: revisions never change, so neither do the drawings of their hosts. They go with the revision.
/// </summary>
/// <typeparam name="T">What is drawn.</typeparam>
internal sealed class Drawn<T>
    where T : class
{
    private readonly ConditionalWeakTable<T, ConcurrentDictionary<string, IHtmlContent>> kept = [];

    /// <summary>The drawing, made when it is asked for first.</summary>
    /// <param name="of">What is drawn; known by reference.</param>
    /// <param name="how">What else it depends on.</param>
    /// <param name="draw">Draws it.</param>
    public IHtmlContent Of(T of, string how, Func<IHtmlContent> draw) =>
        kept.GetOrCreateValue(of)
            .GetOrAdd(
                how,
                _ =>
                {
                    using var text = new StringWriter();
                    draw().WriteTo(text, HtmlEncoder.Default);
                    return new HtmlString(text.ToString());
                }
            );
}
