using Cabida.Core.Geometry;
using Cabida.Core.Stock;
using Cabida.Formats.Svg;
using Cabida.Web.Blanks;
using Cabida.Web.Runs;

namespace Cabida.Web.Loads;

/// <summary>A piece on a load; millimetres from the reach's lower left, y up.</summary>
internal sealed record LoadPieceView(string PieceId, string Name, string InkPath, Box Box, bool Turned);

/// <summary>A load with what its file measured when it was read back.</summary>
internal sealed record LoadView(int Number, string FileName, IReadOnlyList<LoadPieceView> Pieces, Box Used, int Outlines, double FileWidth, double FileHeight);

/// <summary>The loads of a run.</summary>
internal sealed record LoadsView(
    IReadOnlyList<Lack> Lacks,
    double ReachWidth,
    double ReachHeight,
    double ScissorsRoom,
    bool Mirrored,
    string Film,
    string Colour,
    string Cutter,
    IReadOnlyList<LoadView> Loads,
    IReadOnlyList<HeldBack> Held)
{
    public static LoadsView Of(PlannedRun plan) => new(
        plan.Lacks, plan.ReachWidth, plan.ReachHeight, plan.ScissorsRoom, plan.Mirrored,
        plan.Run.Film?.Name ?? "", plan.Run.Film?.Colour ?? "", plan.Run.Cutter?.Name ?? "",
        [.. plan.Loads.Select(l => ViewOf(plan, l))], plan.Held);

    private static LoadView ViewOf(PlannedRun plan, PlannedLoad load)
    {
        var measured = CutFile.Of(plan, load).Measured;
        return new LoadView(
            load.Load.Number,
            load.FileName,
            [.. load.Pieces.Select(p => new LoadPieceView(p.Piece.Fit.Piece.Id, p.Piece.Fit.Piece.Name, SvgPath.Of(p.Ink, Tolerances.File), p.Box, p.Turned))],
            Box.Around(load.Pieces.Select(p => p.Box))!.Value,
            measured.Outlines, measured.Width, measured.Height);
    }
}

/// <summary>A piece as the bench needs it, measured from the blank's own edges.</summary>
/// <param name="Name">Its name.</param>
/// <param name="Load">The load it is on; null when it is held back.</param>
/// <param name="State">How it stands to the zone.</param>
/// <param name="Width">The width of its ink.</param>
/// <param name="Height">The height of its ink.</param>
/// <param name="LetterHeight">The height of its capitals.</param>
/// <param name="BelowRim">From the rim to the top of its ink, on the front line.</param>
/// <param name="AboveBase">From the base to the bottom of its ink, on the front line.</param>
internal sealed record BenchPiece(
    string Name, int? Load, Core.Fitting.FitState State, double Width, double Height, double LetterHeight, double BelowRim, double AboveBase);

/// <summary>The card that goes to the bench.</summary>
internal sealed record BenchView(
    IReadOnlyList<Lack> Lacks,
    string Blank,
    string Motif,
    Film? Film,
    string Cutter,
    bool Mirrored,
    DrawingView? Flat,
    PieceView? First,
    double? ToHandle,
    IReadOnlyList<BenchLoad> Loads,
    IReadOnlyList<BenchPiece> Pieces,
    IReadOnlyList<HeldBack> Held)
{
    public static BenchView Of(PlannedRun plan)
    {
        var run = plan.Run;
        var loadOf = plan.Loads.SelectMany(l => l.Pieces.Select(p => (p.Piece.Fit.Piece.Id, l.Load.Number))).ToDictionary(p => p.Id, p => p.Number, StringComparer.Ordinal);
        var ground = run.Ground;
        return new BenchView(
            plan.Lacks, run.Blank?.Name ?? "", run.Motif?.Name ?? "", run.Film, run.Cutter?.Name ?? "", plan.Mirrored,
            ground is null ? null : DrawingView.Of(Core.Drawings.FlatDrawing.Of(ground.Wall, ground.Zone)),
            plan.All.FirstOrDefault(p => p.Fit.MayBeCut) is { } first ? PieceView.Of(first, run) : null,
            ground is null ? null : (ground.Wall.GirthAt(ground.Zone.MiddleHeight).Value.Millimetres - (ground.Wall.Handle?.Value.Millimetres ?? 0)) / 2,
            [.. plan.Loads.Select(l => new BenchLoad(l.Load.Number, l.FileName, l.Pieces.Count))],
            [.. plan.All.Where(p => !p.Fit.Ink.IsEmpty).Select(p => PieceOf(p, ground!.Wall.Height.Value.Millimetres, loadOf))],
            plan.Held);
    }

    private static BenchPiece PieceOf(FittedPiece piece, double wallHeight, Dictionary<string, int> loadOf)
    {
        var box = Box.Of(piece.Fit.Ink)!.Value;
        return new BenchPiece(
            piece.Fit.Piece.Name, loadOf.TryGetValue(piece.Fit.Piece.Id, out var load) ? load : null, piece.Fit.State,
            box.Width, box.Height, piece.Fit.LetterHeight, wallHeight - box.MaxY, box.MinY);
    }
}

/// <summary>A load as the bench card lists it.</summary>
internal sealed record BenchLoad(int Number, string FileName, int Pieces);
