using System.Globalization;
using Cabida.Core.Documents;
using Cabida.Store;
using Cabida.Web.Past;
using Cabida.Web.Typefaces;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.AspNetCore.Mvc;

namespace Cabida.Web.Safekeeping;

/// <summary>An archive that came in, held against the library.</summary>
/// <param name="Id">The name it lies under.</param>
/// <param name="LastChange">When the library that it was written of was changed last.</param>
/// <param name="Suits">Whether the library has nothing in it, so that the archive can become it, with all of its past.</param>
/// <param name="Documents">Its documents.</param>
internal sealed record ArchiveView(string Id, DateTime? LastChange, bool Suits, IReadOnlyList<ArchivedDocument> Documents);

/// <summary>What of an archive is wanted.</summary>
/// <param name="Whole">All of it, with all of its past, into a library that has nothing in it.</param>
/// <param name="Documents">Else which documents, with all that belongs to them.</param>
internal sealed record ArchiveWanted(bool Whole, IReadOnlyList<ArchiveChoice> Documents);

/// <summary>The library as one file, and out of one.</summary>
internal static class ArchiveEndpoints
{
    public static void MapArchives(this RouteGroupBuilder api)
    {
        var archives = api.MapGroup("/archives").WithTags("Safekeeping");
        archives
            .MapGet(
                "/whole",
                async Task<FileStreamHttpResult> (ArchiveDesk desk, CabidaContext db, TimeProvider clock, CancellationToken stop) =>
                {
                    var paper = desk.Paper();
                    await new ArchiveWriter(db).Write(paper, stop);
                    paper.Position = 0;
                    var day = clock.GetLocalNow().ToString("yyyy-MM-dd", CultureInfo.InvariantCulture);
                    return TypedResults.File(paper, "application/zip", $"cabida-{day}.zip");
                }
            )
            .WithName("WriteArchive");

        archives
            .MapPost("", async Task<Ok<ArchiveView>> (HttpRequest request, ArchiveDesk desk, CabidaContext db, CancellationToken stop) =>
            {
                var id = await desk.Put(request.Body, stop);
                using var archive = desk.Find(id)!;
                return TypedResults.Ok(await ViewOf(id, archive, db, stop));
            })
            .WithName("PutArchive")
            .WithMetadata(new RequestSizeLimitAttribute(ArchiveDesk.MostBytes));

        archives
            .MapGet(
                "/{id}",
                async Task<Results<Ok<ArchiveView>, ProblemHttpResult>> (
                    string id,
                    ArchiveDesk desk,
                    CabidaContext db,
                    CancellationToken stop
                ) =>
                {
                    using var archive = desk.Find(id);
                    return archive is null ? Gone() : TypedResults.Ok(await ViewOf(id, archive, db, stop));
                }
            )
            .WithName("GetArchive");

        archives
            .MapGet(
                "/{id}/{kind}/{document}",
                async Task<Results<Ok<Differences>, NotFound, ProblemHttpResult>> (
                    string id,
                    string kind,
                    string document,
                    ArchiveDesk desk,
                    IEnumerable<IPastOf> kinds,
                    CancellationToken stop
                ) =>
                {
                    using var archive = desk.Find(id);
                    return archive is null ? Gone()
                        : kinds.FirstOrDefault(k => k.Kind.Kind == kind) is { } of
                        && await of.AgainstArchive(archive, document, stop) is { } differences
                            ? TypedResults.Ok(differences)
                        : TypedResults.NotFound();
                }
            )
            .WithName("GetArchiveDifferences");

        archives
            .MapPost(
                "/{id}/bring",
                async Task<Results<Ok<ArchiveBrought>, ProblemHttpResult>> (
                    string id,
                    ArchiveWanted wanted,
                    ArchiveDesk desk,
                    CabidaContext db,
                    AddedTypefaces typefaces,
                    LibraryTypefaces faces,
                    Copying copying,
                    TimeProvider clock,
                    CancellationToken stop
                ) =>
                {
                    using var archive = desk.Find(id);
                    if (archive is null)
                    {
                        return Gone();
                    }

                    ArchiveBrought brought;
                    if (wanted.Whole)
                    {
                        if (!await ArchiveWhole.Suits(db, stop))
                        {
                            return TypedResults.Problem(
                                "There is something in this library. Choose what of the archive is wanted, or bring it into an empty one.",
                                statusCode: StatusCodes.Status409Conflict,
                                title: "Not empty"
                            );
                        }

                        await ArchiveWhole.Bring(db, archive, ArchiveDesk.ProblemOf, stop);
                        brought = new ArchiveBrought(archive.Documents.Count(), 0, 0);
                    }
                    else
                    {
                        await copying.MakeIfChanged(CopyOccasion.Restore, stop);
                        brought = await new ArchiveIntake(db, clock).Bring(archive, wanted.Documents, ArchiveDesk.ProblemOf, stop);
                    }

                    await faces.Reload(typefaces, stop);
                    return TypedResults.Ok(brought);
                }
            )
            .WithName("BringArchive");
    }

    private static async Task<ArchiveView> ViewOf(string id, Archive archive, CabidaContext db, CancellationToken stop) =>
        new(id, archive.Manifest.LastChange, await ArchiveWhole.Suits(db, stop), await new ArchiveComparison(db).Of(archive, stop));

    private static ProblemHttpResult Gone() =>
        TypedResults.Problem(
            "This archive does not lie here any more: it is kept for a day. Choose its file again.",
            statusCode: StatusCodes.Status404NotFound,
            title: "Not here any more"
        );
}
