using System.Globalization;
using System.Text;
using Cabida.Core.Checking;
using Cabida.Core.Findings;
using Cabida.Core.Geometry;
using Cabida.Core.Motifs;
using Cabida.Core.Pieces;
using Cabida.Core.Type;
using Cabida.Core.Wording;
using Cabida.Store;
using Cabida.Web.Blanks;
using Cabida.Web.Motifs;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Cabida.Web.Runs;

/// <summary>What the pieces of a run stand on.</summary>
/// <param name="Lacks">What is lacking before anything can be set.</param>
/// <param name="Pieces">How many pieces there are.</param>
/// <param name="Goods">What artwork is seen against.</param>
/// <param name="Faces">Its faces that artwork is on, each looked at closely; none while something is lacking.</param>
internal sealed record FitGroundView(IReadOnlyList<Finding> Lacks, int Pieces, GoodsView Goods, IReadOnlyList<FaceView> Faces);

/// <summary>A face of a thing as the board shows it.</summary>
/// <param name="Key">A word that tells it apart.</param>
/// <param name="Name">What it is called.</param>
/// <param name="IsWall">Whether it goes round.</param>
/// <param name="Flat">It laid flat.</param>
/// <param name="ZoneBox">The box round the cautious zones on it.</param>
/// <param name="Sides">The sides on it; the first has no id.</param>
/// <param name="Sums">Where the figures of its first zone come from.</param>
internal sealed record FaceView(
    string Key,
    string Name,
    bool IsWall,
    DrawingView Flat,
    Box ZoneBox,
    IReadOnlyList<string> Sides,
    IReadOnlyList<Phrase> Sums
)
{
    public static FaceView Of(ReadFace face) =>
        new(face.Key, face.Name, face.IsWall, DrawingView.Of(face.Flat), face.ZoneBox, face.Sides, face.Sums);
}

/// <summary>Some of the pieces of a run, in the list's order.</summary>
internal sealed record PiecePage(int From, int Of, IReadOnlyList<PieceView> Pieces);

internal static class FitEndpoints
{
    public static void MapFits(this RouteGroupBuilder api)
    {
        var runs = api.MapGroup("/runs/{id}").WithTags("Runs");
        runs.MapGet(
                "/ground",
                async Task<Results<Ok<FitGroundView>, NotFound>> (string id, string? size, RunReader reader, CancellationToken stop) =>
                {
                    if (await reader.Find(id, stop) is not { } run)
                    {
                        return TypedResults.NotFound();
                    }

                    var on = run.Surface is null ? null : run.SurfaceOf(size ?? "");
                    return TypedResults.Ok(
                        new FitGroundView(
                            run.Lacks,
                            run.Run.Pieces.Count,
                            GoodsView.Of(run.Blank?.Material),
                            on is null ? [] : [.. ReadFace.Of(on).Select(FaceView.Of)]
                        )
                    );
                }
            )
            .WithName("GetGround");

        runs.MapGet(
                "/pieces",
                async Task<Results<Ok<PiecePage>, NotFound>> (
                    string id,
                    int from,
                    int count,
                    RunReader reader,
                    PiecePages pages,
                    CancellationToken stop
                ) =>
                    await reader.Find(id, stop) is { Basis: not null } run
                        ? TypedResults.Ok(new PiecePage(from, run.Run.Pieces.Count, await pages.Of(run, from, count, stop)))
                        : TypedResults.NotFound()
            )
            .WithName("GetPieces");

        runs.MapGet(
                "/set",
                async Task<Results<Ok<RunSet>, NotFound>> (
                    string id,
                    RunReader reader,
                    FittedPieces fitted,
                    InkFactsCache facts,
                    CancellationToken stop
                ) =>
                {
                    if (await reader.Find(id, stop) is not { Basis: not null } run)
                    {
                        return TypedResults.NotFound();
                    }

                    // A few names are fitted at once; a long list is work of its own, and here is what it has come to.
                    var pieces = fitted.SoFar(run, stop).Select(p => CheckedPiece.Of(run, p, facts)).ToList();
                    return TypedResults.Ok(RunSet.Of(run, pieces));
                }
            )
            .WithName("GetSet");

        runs.MapGet(
                "/pieces/{pieceId}/letters/{index:int}",
                async Task<Results<Ok<LetterForms>, NotFound>> (
                    string id,
                    string pieceId,
                    int index,
                    string? side,
                    RunReader reader,
                    Cabida.Store.Library library,
                    InkCache cache,
                    CancellationToken stop
                ) =>
                {
                    if (
                        await reader.Find(id, stop) is not { Basis: not null } run
                        || run.Run.Pieces.FirstOrDefault(p => p.Id == pieceId) is not { } piece
                        || (
                            string.IsNullOrEmpty(side)
                                ? run.SurfaceOf(piece).Basis
                                : run.SurfaceOf(piece).Sides.FirstOrDefault(s => s.Side.Id == side)?.Basis
                        )
                            is not { } basis
                        || NameLine.Of(piece, basis) is not { } name
                        || index < 0
                        || index >= name.Letters.Count
                        || basis.Motif.AllParts.OfType<LetteringPart>().First(p => p.Id == name.PartId) is not { } part
                        || piece.OwnOn(side ?? "") is not { } own
                        || basis.Faces.Find(own.TypefaceId.Length > 0 ? own.TypefaceId : part.TypefaceId) is not { } face
                    )
                    {
                        return TypedResults.NotFound();
                    }

                    var with = part with
                    {
                        Alternates = [.. part.Alternates, .. own.Letters.Where(l => l.PartId == part.Id).Select(l => l.Form)],
                    };
                    var words = name.Words.Normalize(NormalizationForm.FormC);
                    var alternates = LetterRules.On(with.Alternates, words, [(0, words.Length)], face);
                    // As the piece itself is set: with the face that stands in for lacking letters.
                    var set = part.OwnFaceOnly ? face : Fallbacks.For(face, words, basis.Faces);
                    var setting = new LineSetting(part.Spacing / 1000, part.WordSpacing / 1000, part.Pairs, alternates);
                    var line = new LetteringLine(words, set, setting, cache);
                    return TypedResults.Ok(
                        await FormEndpoints.FormsOf(
                            line,
                            index,
                            StringInfo.ParseCombiningCharacters(line.Text)[index],
                            library,
                            cache,
                            stop
                        )
                    );
                }
            )
            .WithName("GetPieceLetter");

        runs.MapPost(
                "/fitting",
                async Task<Results<Ok<FitProgress>, NotFound>> (
                    string id,
                    RunReader reader,
                    FitWork work,
                    Works works,
                    CancellationToken stop
                ) =>
                    await reader.Find(id, stop) is { Basis: not null } run
                        ? TypedResults.Ok(await work.Ask(run, works, stop))
                        : TypedResults.NotFound()
            )
            .WithName("FitAll");

        runs.MapDelete("/fitting/{workId:long}", async (string id, long workId, FitWork work, Works works, CancellationToken stop) =>
            {
                await work.Stop(workId, works, stop);
                return TypedResults.NoContent();
            })
            .WithName("StopFitting");

        // Progress as it comes, name by name, for as long as the work goes on.
        runs.MapGet("/fitting/{workId:long}", (string id, long workId, FitWork work, Works works, CancellationToken stop) =>
                TypedResults.ServerSentEvents(work.Follow(workId, works, stop), "progress")
            )
            .ExcludeFromDescription();
    }
}
