using Cabida.Core.Wording;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Cabida.Web.Serving;

/// <summary>Files that are sent as they are.</summary>
internal static class Body
{
    /// <summary>All bytes of a request.</summary>
    public static async Task<byte[]> Read(HttpRequest request, CancellationToken stop)
    {
        using var memory = new MemoryStream((int)Math.Min(request.ContentLength ?? 0, int.MaxValue));
        await request.Body.CopyToAsync(memory, stop);
        // Where the length was told the buffer is just that long, and need not be copied.
        return memory.TryGetBuffer(out var whole) && whole.Count == whole.Array!.Length ? whole.Array : memory.ToArray();
    }

    /// <summary>An answer that says why a file cannot be used.</summary>
    public static ProblemHttpResult Unusable(Phrase why, string title) =>
        TypedResults.Problem(why.ToString(), statusCode: StatusCodes.Status422UnprocessableEntity, title: title);
}
