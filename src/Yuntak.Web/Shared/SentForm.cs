using System.Reflection;
using Microsoft.AspNetCore.Mvc.Filters;
using Microsoft.AspNetCore.Mvc.ModelBinding;
using Microsoft.AspNetCore.Mvc.RazorPages.Infrastructure;
using Yuntak.Core.Base;

namespace Yuntak.Web.Shared;

/// <summary>
/// Looks at a form before a page reads it: that what the page needs is there, once, of the right sort and not longer than anything people type. No page of Yuntak's
/// sends anything else, so this is for what programs send.
/// </summary>
internal static class SentForm
{
    /// <summary>The most characters of a field that is no text to be read.</summary>
    private const int Longest = 4_000;

    /// <summary>The fields whose text is read as a file would be.</summary>
    private static readonly HashSet<string> Texts = new(StringComparer.Ordinal) { "text", "disks", "folders", "needs", "key-places" };

    /// <summary>What is wrong with what was sent, in words; null when nothing is.</summary>
    public static string? Problem(PageHandlerExecutingContext context, ModelStateDictionary state)
    {
        var form = context.HttpContext.Request.HasFormContentType ? context.HttpContext.Request.Form : null;
        foreach (var field in form ?? (IEnumerable<KeyValuePair<string, Microsoft.Extensions.Primitives.StringValues>>)[])
        {
            if (!Texts.Contains(field.Key) && field.Value.Any(v => v?.Length > Longest))
            {
                return $"«{Names.Short(Names.Clean(field.Key))}» is longer than {Longest:#,##0} characters. Nothing was changed.";
            }
        }

        foreach (var parameter in context.HandlerMethod?.Parameters ?? [])
        {
            var name = parameter.BindingInfo?.BinderModelName ?? parameter.Name;
            if (form?[name].Count > 1 && !parameter.ParameterType.IsArray && parameter.ParameterType != typeof(bool))
            {
                return $"«{name}» came more than once. Nothing was changed; load the page again.";
            }

            // A list of things chosen names each of them.
            if (
                parameter.ParameterType.IsArray
                && context.HandlerArguments.TryGetValue(parameter.Name, out var given)
                && given is Array list
                && list.Cast<object?>().Any(item => item is null or "")
                && new NullabilityInfoContext().Create(((HandlerParameterDescriptor)parameter).ParameterInfo).ElementType?.WriteState
                    == NullabilityState.NotNull
            )
            {
                return $"The form was not whole: a «{name}» in it is empty. Nothing was changed; load the page again.";
            }

            // Nothing typed is no wrong value; a page decides what it means.
            var wrong =
                state.TryGetValue(name, out var entry)
                && entry is { ValidationState: ModelValidationState.Invalid, AttemptedValue.Length: > 0 };
            if (wrong || Missing(context, parameter))
            {
                return $"The form was not whole: «{name}» is missing or no such value. Nothing was changed; load the page again.";
            }
        }

        return null;
    }

    private static bool Missing(PageHandlerExecutingContext context, HandlerParameterDescriptor parameter) =>
        !parameter.ParameterType.IsValueType
        && (!context.HandlerArguments.TryGetValue(parameter.Name, out var value) || value is null)
        && new NullabilityInfoContext().Create(((HandlerParameterDescriptor)parameter).ParameterInfo).WriteState
            == NullabilityState.NotNull;
}
