using System.Globalization;
using Cabida.Core.Checking;
using Cabida.Core.Findings;
using Cabida.Core.Fitting;
using Cabida.Core.Geometry;
using Cabida.Core.Motifs;
using Cabida.Core.Pieces;
using Cabida.Core.Proofs;
using Cabida.Core.Runs;
using Cabida.Core.Stock;
using Cabida.Core.Wording;
using Cabida.Formats;
using Cabida.Formats.Proofs;
using Cabida.Formats.Svg;
using Cabida.Store;
using Cabida.Web.Inks;
using Cabida.Web.Runs;
using Microsoft.AspNetCore.Http.HttpResults;
using Area = NetTopologySuite.Geometries.Geometry;

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
                                [.. fitted.Page(run, from, count, stop).Select(p => PieceOf(p, LaidPiece.Of(p, run, inks), run, facts))]
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
                    FittedPieces fitted,
                    Cabida.Store.Library library,
                    WorkshopMark mark,
                    DrawnInks drawn,
                    InkFactsCache facts,
                    TimeProvider clock,
                    CancellationToken stop
                ) =>
                {
                    if (await reader.Find(id, stop) is not { Basis: not null } run)
                    {
                        return TypedResults.NotFound();
                    }

                    var job = (await library.Find(DocumentKinds.Job, run.Run.SetUp.JobId, stop))?.Document ?? new Job("", "", "");
                    var (workshop, inks) = await mark.Read(stop);
                    var sheet = new ProofSheet(
                        workshop.Name,
                        workshop.Contact,
                        inks,
                        $"{job.Name}: {run.Run.Name}",
                        string.Join(", ", new[] { job.Customer, run.Blank?.Name ?? "" }.Where(s => s.Length > 0)),
                        clock.GetLocalNow().ToString("d MMMM yyyy", CultureInfo.InvariantCulture),
                        run.Blank?.Material.SeenAgainst ?? "",
                        [
                            .. run.Run.Pieces.Select(p =>
                            {
                                stop.ThrowIfCancellationRequested();
                                return OnPaper(fitted.Of(run, p), run, drawn, facts);
                            }),
                        ]
                    );
                    return TypedResults.File(
                        ProofPdf.Write(sheet),
                        "application/pdf",
                        FileNames.Safe($"{job.Name} {run.Run.Name} proof") + ".pdf"
                    );
                }
            )
            .WithName("GetProofPdf");

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

    /// <summary>A piece as it lies on paper: zones of two faces stand beside one another.</summary>
    private sealed record LaidPiece(IReadOnlyList<FilmInk> Films, IReadOnlyList<InkView> Inks, Area Zone)
    {
        public static LaidPiece Of(FittedPiece piece, ReadRun run, DrawnInks inks)
        {
            var on = run.SurfaceOf(piece.Fit.Piece);
            var faces = ReadFace.Of(on);
            var beside = ReadFace.Beside(faces);
            Motion Of(string side) => beside[Math.Max(0, faces.ToList().FindIndex(f => f.Sides.Contains(side)))];
            IReadOnlyList<FilmInk> films =
                faces.Count == 1
                    ? [.. piece.Films]
                    : [.. piece.Fit.Films, .. piece.Sides.SelectMany(s => s.Films.Select(f => f.Moved(Of(s.Side.Side.Id))))];
            return new LaidPiece(
                films,
                faces.Count == 1 ? inks.Of(piece, run) : [.. films.Select(f => InkView.Of(f, on.Basis.FilmOf(f.Film.FilmId)))],
                Outlines.Union([
                    piece.Fit.Zone.Cautious.Outline,
                    .. piece.Sides.Select(s => Outlines.Moved(s.Fit.Zone.Cautious.Outline, on.MotionOf(s.Side).Then(Of(s.Side.Side.Id)))),
                ])
            );
        }
    }

    private static ProofPieceView PieceOf(FittedPiece piece, LaidPiece laid, ReadRun run, InkFactsCache facts)
    {
        var (fit, verdict) = (piece.Fit, run.Run.Verdicts.Of(piece.Fit.Piece));
        var (zone, seen) = (laid.Zone, SeenNow.HashOf(piece, run));
        return new ProofPieceView(
            fit.Piece.Id,
            fit.Piece.Name,
            fit.Piece.Copies,
            laid.Inks,
            [.. SizesOf(piece, run)],
            Box.Around(laid.Films.Select(f => f.Box).OfType<Box>()),
            Box.Of(zone)!.Value,
            SvgPath.Of(zone, Tolerances.File),
            fit.LetterHeight,
            [.. fit.Concessions.Select(c => c.Message)],
            SeenNow.StateOf(run, piece, seen),
            verdict?.Words ?? "",
            Proofing.Since(run.Run.Verdicts.Shown, fit.Piece.Id, seen),
            seen,
            CheckedPiece.MayBeCut(run, piece, facts)
        );
    }

    /// <summary>How large the ink of each side is: on a wall as a tape on it would say.</summary>
    private static IEnumerable<Box> SizesOf(FittedPiece piece, ReadRun run)
    {
        var on = run.SurfaceOf(piece.Fit.Piece);
        return piece
            .Fits.Zip(on.Sides.Select(s => s.Basis.Wall).Prepend(on.Basis.Wall), (fit, wall) =>
                wall is not null && WallExtent.Of(fit.Ink, wall) is { } extent
                    ? new Box(0, extent.Low, extent.Width, extent.High)
                    : Box.Of(fit.Ink)
            )
            .OfType<Box>();
    }

    /// <summary>Why a piece is not offered to the customer: what stops it, or that nothing of it can be set.</summary>
    private static string WhyNot(CheckedPiece piece) =>
        piece.Findings.FirstOrDefault(f => f.Severity == Severity.Stop)?.Message.ToString() ?? "Nothing of it can be set yet.";

    private static ProofPiece OnPaper(FittedPiece piece, ReadRun run, DrawnInks inks, InkFactsCache cache)
    {
        var laid = LaidPiece.Of(piece, run, inks);
        var (fit, view) = (piece.Fit, PieceOf(piece, laid, run, cache));
        var facts = new List<string>();
        facts.AddRange(view.Sizes.Select(box => string.Create(CultureInfo.InvariantCulture, $"{box.Width:0.0} × {box.Height:0.0} mm")));
        facts.AddRange(fit.Piece.Copies > 1 ? [$"{fit.Piece.Copies} of it"] : []);
        facts.AddRange(fit.Concessions.Select(c => c.Message.ToString()));
        return new ProofPiece(
            fit.Piece.Name,
            string.Join(", ", facts),
            view.MayBeCut ? null : WhyNot(CheckedPiece.Of(run, piece, cache)),
            view.State switch
            {
                ProofState.Approved => "approved",
                ProofState.Corrected => $"asked: {view.Words}",
                ProofState.Voided => "was approved; changed since",
                _ => "",
            },
            view.Since switch
            {
                SinceShown.New => "new",
                SinceShown.Changed => "changed",
                _ => "",
            },
            [.. laid.Films.Select(f => new ColouredInk(f.Ink, run.SurfaceOf(fit.Piece).Basis.FilmOf(f.Film.FilmId).Colour))],
            laid.Zone
        );
    }
}
