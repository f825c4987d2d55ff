using System.Globalization;
using Cabida.Core.Cutting;
using Cabida.Core.Geometry;
using Cabida.Core.Loads;
using Cabida.Core.Plans;
using Cabida.Core.Stock;
using Cabida.Core.Waste;
using Cabida.Formats.Cutting;

namespace Cabida.Web.Plans;

/// <summary>A load as it is cut, read back before any file of it is given out.</summary>
/// <param name="Drawing">What is cut, at true size.</param>
/// <param name="Written">It as it is written for this cutter and carrier, so that what comes out is of true size.</param>
/// <param name="Knife">What its knife asks for, written into HPGL; null where the cutter sees to it.</param>
/// <param name="Measured">What it measures as SVG at true size.</param>
/// <param name="Problem">Set when what was read back is not what was computed; no file must be used then.</param>
internal sealed record CutFile(CutDrawing Drawing, CutDrawing Written, DragKnife? Knife, CutSvgMeasure Measured, string? Problem)
{
    /// <summary>A file's curves may lie this far from the computed outline: the file's tolerance and the ink's.</summary>
    private const double Allowed = Tolerances.File + Tolerances.Ink;

    /// <summary>Points are written to three decimals, across and up.</summary>
    private const double Rounded = 0.001;

    /// <summary>Beyond the reach a file may go by what its numbers are rounded by.</summary>
    private const double MostBeyond = 2 * SoundCurves.Beyond;

    public static CutFile Of(LaidPlan plan, CutLoad load)
    {
        var (film, cutter) = (plan.Read.Film!, plan.Read.Cutter!);
        var (width, height) = load.Sheet;
        var mirrored = load.Mirroring switch
        {
            Mirroring.All => ", mirrored",
            Mirroring.Some => ", partly mirrored",
            _ => "",
        };
        var title = string.Create(
            CultureInfo.InvariantCulture,
            $"{plan.Read.Name}: load {load.Number} of {plan.Loads.Count}, {film.Name}{mirrored}"
        );
        var drawing = new CutDrawing(
            title,
            width,
            height,
            [
                new CutLayer(
                    film.Name,
                    film.Colour,
                    [
                        .. load.Pieces.Select(p => CutGroups.OfInk(NameOf(p), p.Ink)),
                        .. load.Weeds.Plans.Select(p => CutGroups.OfWaste(p.Box, BreaksOf(p))),
                        .. load.Pieces.SelectMany(p => p.MarkCuts),
                    ]
                ),
            ]
        );
        var measured = CutSvgMeasure.Of(CutSvg.Write(drawing));
        return new CutFile(
            drawing,
            AsWritten(drawing, PlanPlaces.CarrierOf(plan.Read.Plan, cutter)?.Proved ?? cutter.Rollers.Proved),
            DragKnife.Of(cutter.Blade),
            measured,
            Wrong(load, measured, height)
        );
    }

    /// <summary>It as a file in a format, read back and compared.</summary>
    public WrittenCut As(WantedFile wanted) => WrittenCut.Of(Written, wanted.Format, wanted.Units, Knife);

    /// <summary>How long the blade takes, in the best order that is found; with what its knife asks for.</summary>
    public CutTime Time(CutterPace pace)
    {
        var ways = CuttingOrder.Of([.. Drawing.Lines.Select(l => (l.Points(Tolerances.File), l.IsClosed))]);
        var closed = Drawing.Lines.Select(l => l.IsClosed).ToList();
        return CutTime.Of(
            ways.Select(w => Knife is { } knife ? BladeWay.Of(w.Points, closed[w.Line], knife) : w.Points),
            new CutSpeeds(pace.Cutting, pace.Up, pace.Acceleration)
        );
    }

    private static CutDrawing AsWritten(CutDrawing drawing, ProvingSquare proved)
    {
        var truth = CutterTruth.Of(proved);
        if (truth.IsTrue)
        {
            return drawing;
        }

        // The sheet is as large as what is written.
        var written = truth.WrittenOn(drawing.Width, drawing.Height);
        var sheet = written.Of(new Box(0, 0, drawing.Width, drawing.Height));
        return drawing.Moved(written) with { Width = sheet.Width, Height = sheet.Height };
    }

    private static string NameOf(CutPlacement piece) =>
        piece.Thing.Section is { } section
            ? string.Create(CultureInfo.InvariantCulture, $"{piece.Thing.Name}, section {section.Number}")
            : piece.Thing.Name;

    private static IReadOnlyList<IReadOnlyList<PlanePoint>> BreaksOf(WastePlan plan) =>
        [.. plan.Breaks.Select(b => (IReadOnlyList<PlanePoint>)[.. b.Line.Coordinates.Select(c => new PlanePoint(c.X, c.Y))])];

    private static string? Wrong(CutLoad load, CutSvgMeasure measured, double top)
    {
        var wrong = load
            .Pieces.Where((p, i) => i >= measured.Pieces.Count || Apart(p.Box, measured.Pieces[i], top) > Allowed)
            .Select(NameOf)
            .ToList();
        return wrong.Count > 0 ? $"Read back, {string.Join(", ", wrong)} did not measure what was computed."
            : measured.Crossing > 0 ? FormattableString.Invariant($"Read back, {measured.Crossing} outlines cross themselves.")
            : measured.Beyond > MostBeyond
                ? FormattableString.Invariant($"Read back, it reaches {measured.Beyond:0.000} mm beyond what the cutter reaches.")
            : WrongWaste(load, measured, top);
    }

    /// <summary>What is wrong in the cuts through waste, read back: missing, elsewhere, or nearer to the ink than planned.</summary>
    private static string? WrongWaste(CutLoad load, CutSvgMeasure measured, double top)
    {
        var wanted = load
            .Weeds.Plans.SelectMany(p => BreaksOf(p).Prepend(p.Box.Corners))
            .Concat(load.Pieces.SelectMany(p => p.MarkCuts).SelectMany(m => m.Lines).Select(l => l.Points(Rounded)))
            .ToList();
        var off = wanted
            .Where(
                (line, i) =>
                    i >= measured.Waste.Count
                    || line.Count != measured.Waste[i].Points.Count
                    || line.Zip(measured.Waste[i].Points).Any(p => p.First.To(p.Second with { Y = top - p.Second.Y }) > Rounded)
            )
            .Count();
        if (off > 0 || measured.Waste.Count != wanted.Count)
        {
            return FormattableString.Invariant($"Read back, {Math.Max(off, 1)} cuts through waste are not where they were planned.");
        }

        // Against the ink of the file itself, not against what it was written from.
        var hasMarks = load.Pieces.Any(p => p.Marks.Count > 0);
        var least = hasMarks ? Math.Min(load.Weeds.Nearest ?? double.MaxValue, Parting.MarkClear) : load.Weeds.Nearest;
        return measured.NearestWaste is { } near && least is { } planned && near < planned - Allowed
            ? FormattableString.Invariant($"Read back, a break comes {near:0.00} mm near to the ink instead of {planned:0.00} mm.")
            : null;
    }

    private static double Apart(Box computed, Box read, double top) =>
        new[]
        {
            computed.MinX - read.MinX,
            computed.MaxX - read.MaxX,
            top - computed.MaxY - read.MinY,
            top - computed.MinY - read.MaxY,
        }.Max(Math.Abs);
}
