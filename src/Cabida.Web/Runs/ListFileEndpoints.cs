using Cabida.Core.Lists;
using Cabida.Core.Motifs;
using Cabida.Core.Wording;
using Cabida.Formats.Lists;
using Cabida.Store;
using Cabida.Web.Serving;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.AspNetCore.Mvc;

namespace Cabida.Web.Runs;

/// <summary>A list read from a file, to be looked at before it is taken.</summary>
/// <param name="Sheets">The sheets of a spreadsheet.</param>
/// <param name="Reading">How it was read.</param>
/// <param name="Encodings">The encodings that can be chosen; none for a spreadsheet.</param>
/// <param name="Rows">How many rows it has.</param>
/// <param name="Head">The first of them.</param>
/// <param name="Columns">What its columns are taken for.</param>
/// <param name="Typed">All of it, as it would be typed.</param>
/// <param name="Notes">What was noticed on the way.</param>
internal sealed record ListFileView(
    IReadOnlyList<string> Sheets,
    ListFileReading Reading,
    IReadOnlyList<string> Encodings,
    int Rows,
    IReadOnlyList<IReadOnlyList<string>> Head,
    ListColumns Columns,
    string Typed,
    IReadOnlyList<Phrase> Notes
);

internal static class ListFileEndpoints
{
    private const int HeadRows = 8;

    /// <summary>A little more than a list may have, so that the reason can be told.</summary>
    private const long MostBytes = 40_000_000;

    public static void MapListFiles(this RouteGroupBuilder api) =>
        api.MapPost(
                "/runs/{id}/list-file",
                async Task<Results<Ok<ListFileView>, NotFound, ProblemHttpResult>> (
                    string id,
                    string name,
                    string? sheet,
                    string? separator,
                    string? encoding,
                    HttpRequest request,
                    Cabida.Store.Library library,
                    CancellationToken stop
                ) =>
                {
                    if (await library.Find(DocumentKinds.Run, id, stop) is not { Document: var run })
                    {
                        return TypedResults.NotFound();
                    }

                    var read = ListFile.Read(
                        name,
                        await Body.Read(request, stop),
                        new ListFileReading(sheet ?? "", separator ?? "", encoding ?? "")
                    );
                    if (read.Problem is { } problem)
                    {
                        return Body.Unusable(problem, "This list cannot be used");
                    }

                    var list = read.Value;
                    var motif = run.SetUp.Motif is { } pin ? await library.At(DocumentKinds.Motif, pin.Id, pin.Revision, stop) : null;
                    return TypedResults.Ok(
                        new ListFileView(
                            list.Sheets,
                            list.Reading,
                            list.Sheets.Count > 0 ? [] : TextEncoding.All,
                            list.Rows.Count,
                            [.. list.Rows.Take(HeadRows)],
                            ListColumns.Guess(list.Rows, [.. (motif is null ? [] : Fields.In(motif)).Append(NameList.Size)]),
                            ListRows.Typed(list.Rows),
                            list.Notes
                        )
                    );
                }
            )
            .WithTags("Runs")
            .WithName("ReadListFile")
            .WithMetadata(new RequestSizeLimitAttribute(MostBytes));
}
