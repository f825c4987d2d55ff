using Cabida.Core.Blanks;
using Cabida.Formats.Blanks;
using Cabida.Store;
using Cabida.Web.Serving;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Cabida.Web.Blanks;

/// <summary>Blanks that were brought in from a file.</summary>
internal sealed record BroughtIn(IReadOnlyList<string> Ids, IReadOnlyList<string> Names);

internal static class BlankFileEndpoints
{
    public static void MapBlankFiles(this RouteGroupBuilder api)
    {
        var blanks = api.MapGroup("/blanks").WithTags("Shelf");
        blanks.MapGet("/file", async Task<FileContentHttpResult> (Cabida.Store.Library library, CancellationToken stop) =>
            File((await library.All(DocumentKinds.Blank, stop)).Where(b => b.Document.JobId is null).Select(b => b.Document), "shelf")).WithName("GetShelfFile");

        blanks.MapGet("/{id}/file", async Task<Results<FileContentHttpResult, NotFound>> (string id, Cabida.Store.Library library, CancellationToken stop) =>
            await library.Find(DocumentKinds.Blank, id, stop) is { } blank ? File([blank.Document], blank.Document.Name) : TypedResults.NotFound()).WithName("GetBlankFile");

        blanks.MapPost("/file", async Task<Results<Ok<BroughtIn>, ProblemHttpResult>> (HttpRequest request, Cabida.Store.Library library, CancellationToken stop) =>
        {
            var read = BlankFile.Read(await Body.Read(request, stop));
            if (read.Problem is { } problem)
            {
                return Body.Unusable(problem, "This file cannot be brought in");
            }

            var (ids, names) = (new List<string>(), new List<string>());
            foreach (var blank in read.Value)
            {
                var stored = await library.Add(DocumentKinds.Blank, blank, stop: stop);
                ids.Add(stored.Id);
                names.Add(blank.Name);
            }

            return TypedResults.Ok(new BroughtIn(ids, names));
        }).WithName("BringInBlanks");
    }

    private static FileContentHttpResult File(IEnumerable<Blank> blanks, string name)
    {
        var plain = string.Concat(name.ToLowerInvariant().Select(c => char.IsLetterOrDigit(c) ? c : '-'));
        return TypedResults.File(BlankFile.Write(blanks), "application/json", $"cabida-blank-{plain}.json");
    }
}
