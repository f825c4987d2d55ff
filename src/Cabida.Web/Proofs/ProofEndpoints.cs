using Cabida.Core.Checking;
using Cabida.Core.Findings;
using Cabida.Core.Geometry;
using Cabida.Core.Proofs;
using Cabida.Core.Stock;
using Cabida.Core.Wording;
using Cabida.Formats;
using Cabida.Formats.Proofs;
using Cabida.Formats.Svg;
using Cabida.Web.Inks;
using Cabida.Web.Runs;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Cabida.Web.Proofs;

/// <summary>A piece as the customer sees it; <c>Sizes</c> are the boxes round the ink of its sides.</summary>
internal sealed record ProofPieceView(
    string Id,
    string Name,
    int Copies,
    IReadOnlyList<InkView> Inks,
    IReadOnlyList<Box> Sizes,
    Box? InkBox,
    Box ZoneBox,
    string ZonePath,
    double LetterHeight,
    IReadOnlyList<Phrase> Concessions,
    ProofState State,
    string Words,
    SinceShown Since,
    string Seen,
    bool MayBeCut
);

/// <summary>Some of the pieces, in the list's order.</summary>
internal sealed record ProofPage(int From, int Of, IReadOnlyList<ProofPieceView> Pieces);

/// <summary>What stands over the set as the customer sees it.</summary>
/// <param name="Lacks">What is lacking before it can be shown.</param>
/// <param name="Workshop">Whose it is.</param>
/// <param name="Mark">Their mark.</param>
/// <param name="MarkBox">The box of the mark.</param>
/// <param name="Shown">When it was shown last; empty before.</param>
/// <param name="Gone">Names of pieces that were shown and are no longer in the list.</param>
/// <param name="Goods">What artwork is seen against.</param>
/// <param name="Facing">How far the blank is turned for its first side to face the reader; degrees. Null for what is not turned.</param>
internal sealed record ProofView(
    IReadOnlyList<Finding> Lacks,
    Workshop Workshop,
    IReadOnlyList<string> Mark,
    Box? MarkBox,
    string Shown,
    int Gone,
    GoodsView Goods,
    double? Facing
);

internal static class ProofEndpoints
{
    public static void MapProofs(this RouteGroupBuilder api)
    {
        var runs = api.MapGroup("/runs/{id}").WithTags("Proofs");
        runs.MapGet(
                "/proof",
                async Task<Results<Ok<ProofView>, NotFound>> (string id, RunReader reader, WorkshopMark mark, CancellationToken stop) =>
                {
                    if (await reader.Find(id, stop) is not { } run)
                    {
                        return TypedResults.NotFound();
                    }

                    var (workshop, inks) = await mark.Read(stop);
                    var shown = run.Run.Verdicts.Shown;
                    return TypedResults.Ok(
                        new ProofView(
                            run.Lacks,
                            workshop,
                            [.. inks.Select(i => SvgPath.Of(i.Ink, Tolerances.File))],
                            Box.Around(inks.Select(i => Box.Of(i.Ink)).OfType<Box>()),
                            shown?.On ?? "",
                            shown?.Shown.Keys.Count(k => run.Run.Pieces.All(p => p.Id != k)) ?? 0,
                            GoodsView.Of(run.Blank?.Material),
                            run.Surface?.Wall?.Turn.Degrees
                        )
                    );
                }
            )
            .WithName("GetProof");

        runs.MapGet(
                "/proof/pieces",
                async Task<Results<Ok<ProofPage>, NotFound>> (
                    string id,
                    int from,
                    int count,
                    RunReader reader,
                    FittedPieces fitted,
                    DrawnInks inks,
                    InkFactsCache facts,
                    CancellationToken stop
                ) =>
                    await reader.Find(id, stop) is { Basis: not null } run
                        ? TypedResults.Ok(
                            new ProofPage(
                                from,
                                run.Run.Pieces.Count,
                                [
                                    .. fitted
                                        .Page(run, from, count, stop)
                                        .Select(p => ProofPieces.PieceOf(p, ProofPieces.LaidPiece.Of(p, run, inks), run, facts)),
                                ]
                            )
                        )
                        : TypedResults.NotFound()
            )
            .WithName("GetProofPieces");

        runs.MapGet(
                "/proof.pdf",
                async Task<Results<FileContentHttpResult, NotFound>> (
                    string id,
                    RunReader reader,
                    ProofSheets sheets,
                    CancellationToken stop
                ) =>
                {
                    if (await reader.Find(id, stop) is not { Basis: not null } run)
                    {
                        return TypedResults.NotFound();
                    }

                    var (job, sheet) = await sheets.Of(run, stop);
                    return TypedResults.File(
                        ProofPdf.Write(sheet),
                        "application/pdf",
                        FileNames.Safe($"{job.Name} {run.Run.Name} proof") + ".pdf"
                    );
                }
            )
            .WithName("GetProofPdf");

        runs.MapGet(
                "/proof.html",
                async Task<Results<FileContentHttpResult, NotFound>> (
                    string id,
                    RunReader reader,
                    ProofSheets sheets,
                    CancellationToken stop
                ) =>
                {
                    if (await reader.Find(id, stop) is not { Basis: not null } run)
                    {
                        return TypedResults.NotFound();
                    }

                    var (job, sheet) = await sheets.Of(run, stop);
                    return TypedResults.File(
                        ProofHtml.Write(sheet, id),
                        "text/html",
                        FileNames.Safe($"{job.Name} {run.Run.Name} proof") + ".html"
                    );
                }
            )
            .WithName("GetProofHtml");

        runs.MapGet(
                "/picture.png",
                async Task<Results<FileContentHttpResult, NotFound>> (
                    string id,
                    string? name,
                    int? size,
                    double? turn,
                    RunReader reader,
                    FittedPieces fitted,
                    CancellationToken stop
                ) =>
                {
                    if (await reader.Find(id, stop) is not { Basis: { } basis } run)
                    {
                        return TypedResults.NotFound();
                    }

                    // A sample name of its own is set as the first piece is, without what was done for that by hand.
                    var first = run.Run.Pieces[0];
                    var piece = run.Run.Pieces.FirstOrDefault(p => p.Name == name)
                        ?? (string.IsNullOrWhiteSpace(name) ? first : first.WithoutOwn() with { Id = "sample", Name = name.Trim() });
                    var on = run.SurfaceOf(piece);
                    var seen = PieceOnGoods.Of(fitted.Of(run, piece), on, turn ?? on.Wall?.Turn.Degrees ?? 0);
                    var inks = seen.Films.Select(i => new ColouredInk(i.Ink, basis.FilmOf(i.Film.FilmId).Colour));
                    return TypedResults.File(
                        ShopPicture.Png(seen.Goods, run.Blank?.Material.SeenAgainst ?? "", [.. inks], seen.CanTurn, size ?? 1200),
                        "image/png",
                        FileNames.Safe($"{run.Run.Name} {piece.Name}") + ".png"
                    );
                }
            )
            .WithName("GetShopPicture");
    }
}
