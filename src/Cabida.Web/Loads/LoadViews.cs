using Cabida.Core.Blanks;
using Cabida.Core.Fitting;
using Cabida.Core.Geometry;
using Cabida.Core.Measures;
using Cabida.Core.Stock;
using Cabida.Core.Wording;
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
/// <param name="BelowRim">From the rim or top edge to the top of its ink; null when the surface is not known.</param>
/// <param name="AboveBase">From the base or bottom edge to the bottom of its ink.</param>
internal sealed record BenchPiece(
    string Name, int? Load, FitState State, double Width, double Height, double LetterHeight, double? BelowRim, double? AboveBase);

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
    Phrase Place,
    bool IsRound,
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
            ground is null ? null : DrawingView.Of(Core.Drawings.FlatDrawing.Of(run.Laid!, run.Size!)),
            plan.All.FirstOrDefault(p => p.Fit.MayBeCut) is { } first ? PieceView.Of(first, run) : null,
            RoundToHandle(ground?.Wall, ground?.Zone), PlaceOf(run), ground?.Wall is not null,
            [.. plan.Loads.Select(l => new BenchLoad(l.Load.Number, l.FileName, l.Pieces.Count))],
            [.. plan.All.Where(p => !p.Fit.Ink.IsEmpty).Select(p => PieceOf(p, TopOf(ground!), loadOf))],
            plan.Held);
    }

    /// <summary>The height of the surface's top edge in the zone's coordinates.</summary>
    private static double? TopOf(RunGround ground) => ground.Wall?.Height.Value.Millimetres ?? ground.Panel?.Datums.Box.MaxY;

    private static double? RoundToHandle(Wall? wall, Zone? zone) => wall is null || zone is null || wall.Turn.Radians != 0
        ? null
        : (wall.GirthAt(zone.MiddleHeight).Value.Millimetres - (wall.Handle?.Value.Millimetres ?? 0)) / 2;

    /// <summary>From where to measure in, in the words of the blank's own zone.</summary>
    private static Phrase PlaceOf(ReadRun run)
    {
        if (run.Laid is not { Zone: { } zone } laid)
        {
            return Phrase.Empty;
        }

        var across = laid.Stands?.Across ?? 0;
        var aside = Math.Abs(across) < 0.05 ? Phrase.Empty : Phrase.Say($", {Length.Mm(Math.Abs(across))} to the {(across < 0 ? "left" : "right")} of it");
        if (laid.Wall is { } wall)
        {
            var opposite = wall.Handle is null ? "seam" : "handle";
            return RoundToHandle(wall, zone) is { } round
                ? Phrase.Say($"Middle of the ink on the line opposite the {opposite} ({Length.Mm(round)} round to either side). Measure each piece down from the rim.")
                : Phrase.Say($"Middle of the ink from the line opposite the {opposite}{aside}. Measure each piece down from the rim.");
        }

        if (laid.Panel is { } panel)
        {
            var from = laid.Spec.Place.From;
            return laid.Spec.Height.IsEmpty || from is Datum.Middle or Datum.Top or Datum.Bottom || !panel.Datums.Heights.TryGetValue(from, out var datum)
                ? Phrase.Say($"Middle of the ink on the middle line{aside}. Measure each piece down from the top edge.")
                : Datums.IsUpwards(from)
                    ? Phrase.Say($"Middle of the ink on the middle line{aside}; the zone begins {Length.Mm(zone.Nominal.Bounds.MinY - datum)} above the {Datums.Name(from)}.")
                    : Phrase.Say($"Middle of the ink on the middle line{aside}; the zone begins {Length.Mm(datum - zone.Nominal.Bounds.MaxY)} below the {Datums.Name(from)}.");
        }

        return Phrase.Say($"In the middle of the area that was measured; where that stands on the goods is not known.");
    }

    private static BenchPiece PieceOf(FittedPiece piece, double? top, Dictionary<string, int> loadOf)
    {
        var box = Box.Of(piece.Fit.Ink)!.Value;
        return new BenchPiece(
            piece.Fit.Piece.Name, loadOf.TryGetValue(piece.Fit.Piece.Id, out var load) ? load : null, piece.Fit.State,
            box.Width, box.Height, piece.Fit.LetterHeight, top - box.MaxY, top is null ? null : box.MinY);
    }
}

/// <summary>A load as the bench card lists it.</summary>
internal sealed record BenchLoad(int Number, string FileName, int Pieces);
