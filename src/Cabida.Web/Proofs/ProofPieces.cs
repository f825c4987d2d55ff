using System.Globalization;
using Cabida.Core.Checking;
using Cabida.Core.Findings;
using Cabida.Core.Fitting;
using Cabida.Core.Geometry;
using Cabida.Core.Motifs;
using Cabida.Core.Pieces;
using Cabida.Core.Proofs;
using Cabida.Core.Runs;
using Cabida.Formats.Proofs;
using Cabida.Formats.Svg;
using Cabida.Store;
using Cabida.Web.Inks;
using Cabida.Web.Runs;
using Area = NetTopologySuite.Geometries.Geometry;

namespace Cabida.Web.Proofs;

/// <summary>Writes what goes out to the customer: all pieces of a run as they are now.</summary>
internal sealed class ProofSheets(
    Cabida.Store.Library library,
    FittedPieces fitted,
    WorkshopMark mark,
    DrawnInks drawn,
    InkFactsCache facts,
    TimeProvider clock
)
{
    /// <summary>The job of a run that lacks nothing, and its proof.</summary>
    public async Task<(Job Job, ProofSheet Sheet)> Of(ReadRun run, CancellationToken stop)
    {
        var job = (await library.Find(DocumentKinds.Job, run.Run.SetUp.JobId, stop))?.Document ?? new Job("", "", "");
        var (workshop, inks) = await mark.Read(stop);
        return (
            job,
            new ProofSheet(
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
                        return ProofPieces.OnPaper(fitted.Of(run, p), run, drawn, facts);
                    }),
                ]
            )
        );
    }
}

/// <summary>Pieces as the customer sees them, on a page or on paper.</summary>
internal static class ProofPieces
{
    /// <summary>A piece as it lies on paper: zones of two faces stand beside one another.</summary>
    public sealed record LaidPiece(IReadOnlyList<FilmInk> Films, IReadOnlyList<InkView> Inks, Area Zone)
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

    /// <summary>A piece as the customer sees it.</summary>
    public static ProofPieceView PieceOf(FittedPiece piece, LaidPiece laid, ReadRun run, InkFactsCache facts)
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

    /// <summary>A piece as it stands on a proof that goes out.</summary>
    public static ProofPiece OnPaper(FittedPiece piece, ReadRun run, DrawnInks inks, InkFactsCache cache)
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
        )
        {
            Id = fit.Piece.Id,
            Seen = view.Seen,
        };
    }
}
