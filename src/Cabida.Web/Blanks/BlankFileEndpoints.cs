using Cabida.Core.Blanks;
using Cabida.Core.Documents;
using Cabida.Core.Wording;
using Cabida.Formats.Blanks;
using Cabida.Store;
using Cabida.Web.Library;
using Cabida.Web.Serving;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Cabida.Web.Blanks;

/// <summary>Blanks that were brought in from a file.</summary>
/// <param name="Ids">Those that are on the shelf now.</param>
/// <param name="Names">What they are called.</param>
/// <param name="Refused">Those that could not be taken, and why.</param>
internal sealed record BroughtIn(IReadOnlyList<string> Ids, IReadOnlyList<string> Names, IReadOnlyList<Phrase> Refused);

internal static class BlankFileEndpoints
{
    public static void MapBlankFiles(this RouteGroupBuilder api)
    {
        var blanks = api.MapGroup("/blanks").WithTags("Shelf");
        blanks
            .MapGet("/file", async Task<FileContentHttpResult> (Cabida.Store.Library library, CancellationToken stop) =>
                File((await library.All(DocumentKinds.Blank, stop)).Where(b => b.Document.JobId is null).Select(b => b.Document), "shelf")
            )
            .WithName("GetShelfFile");

        blanks
            .MapGet(
                "/{id}/file",
                async Task<Results<FileContentHttpResult, NotFound>> (string id, Cabida.Store.Library library, CancellationToken stop) =>
                    await library.Find(DocumentKinds.Blank, id, stop) is { } blank
                        ? File([blank.Document], blank.Document.Name)
                        : TypedResults.NotFound()
            )
            .WithName("GetBlankFile");

        blanks
            .MapPost(
                "/file",
                async Task<Results<Ok<BroughtIn>, ProblemHttpResult>> (
                    HttpRequest request,
                    Cabida.Store.Library library,
                    IViews<Blank, BlankView> views,
                    Listings listings,
                    CancellationToken stop
                ) =>
                {
                    var read = BlankFile.Read(await Body.Read(request, stop));
                    if (read.Problem is { } problem)
                    {
                        return Body.Unusable(problem, "This file cannot be brought in");
                    }

                    var (ids, names, refused) = (new List<string>(), new List<string>(), new List<Phrase>());
                    foreach (var blank in read.Value)
                    {
                        var taken = DocumentGate.ProblemsOf(blank) is [var wrong, ..]
                            ? Outcome<BlankView>.Fail(Phrase.Say($"{wrong.Fields[0]}: {wrong.Message}"))
                            : await listings.Try(() => library.AddShown(DocumentKinds.Blank, blank, views, stop), stop);
                        if (taken.Problem is { } why)
                        {
                            var called = blank.Name is { Length: > 0 and <= DocumentGate.LongestName } name
                                ? name
                                : "A blank without a name";
                            refused.Add(Phrase.Say($"{called:strong} cannot be taken. {why}"));
                            continue;
                        }

                        ids.Add(taken.Value.Id);
                        names.Add(blank.Name);
                    }

                    return ids.Count == 0 && refused.Count > 0
                        ? Body.Unusable(refused.Aggregate((a, b) => a.Then(b)), "This file cannot be brought in")
                        : TypedResults.Ok(new BroughtIn(ids, names, refused));
                }
            )
            .WithName("BringInBlanks");
    }

    private static FileContentHttpResult File(IEnumerable<Blank> blanks, string name)
    {
        var plain = string.Concat(name.ToLowerInvariant().Select(c => char.IsLetterOrDigit(c) ? c : '-'));
        return TypedResults.File(BlankFile.Write(blanks), "application/json", $"cabida-blank-{plain}.json");
    }
}
