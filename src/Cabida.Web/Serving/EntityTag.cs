using System.Globalization;
using Microsoft.Net.Http.Headers;

namespace Cabida.Web.Serving;

/// <summary>The revision of a document as an entity tag (RFC 9110, 8.8.3 and 13.1.1): <c>"17"</c>, quoted, compared strongly.</summary>
internal static class EntityTag
{
    /// <summary>Puts the revision of what is answered on the answer.</summary>
    public static void Put(HttpContext http, int revision) => http.Response.Headers.ETag = Of(revision);

    /// <summary>A revision as a tag.</summary>
    public static string Of(int revision) => string.Create(CultureInfo.InvariantCulture, $"\"{revision}\"");

    /// <summary>What a request says of the revision it was made from.</summary>
    /// <param name="Revisions">The revisions it may stand at; null for any (<c>*</c>).</param>
    internal sealed record Condition(IReadOnlyList<int>? Revisions)
    {
        /// <summary>The revision to hold a change to: of several the one that there is now.</summary>
        public int? MadeFrom(int now) =>
            Revisions is null ? now
            : Revisions.Contains(now) ? now
            : Revisions.Count > 0 ? Revisions[0]
            : 0;
    }

    /// <summary>Reads <c>If-Match</c>; null when there is none, or when it is none.</summary>
    public static Condition? Read(HttpRequest request)
    {
        var header = request.Headers.IfMatch;
        if (header.Count == 0 || !EntityTagHeaderValue.TryParseStrictList([.. header.OfType<string>()], out var tags))
        {
            return null;
        }

        return tags.Any(t => t == EntityTagHeaderValue.Any)
            ? new Condition(null)
            : new Condition([
                .. tags.Where(t => !t.IsWeak)
                    .Select(t =>
                        int.TryParse(t.Tag.AsSpan().Trim('"'), NumberStyles.None, CultureInfo.InvariantCulture, out var n) ? n : 0
                    ),
            ]);
    }
}
