using System.Globalization;
using Cabida.Core.Cutting;
using Cabida.Core.Geometry;
using Cabida.Core.Waste;
using Cabida.Formats.Cutting;

namespace Cabida.Web.Loads;

/// <summary>A load as it is cut, read back before any file of it is given out.</summary>
/// <param name="Drawing">What is cut.</param>
/// <param name="Measured">What it measures as SVG.</param>
/// <param name="Problem">Set when what was read back is not what was computed; no file must be used then.</param>
internal sealed record CutFile(CutDrawing Drawing, CutSvgMeasure Measured, string? Problem)
{
    /// <summary>A file's curves may lie this far from the computed outline: the file's tolerance and the ink's.</summary>
    private const double Allowed = Tolerances.File + Tolerances.Ink;

    /// <summary>Points are written to three decimals, across and up.</summary>
    private const double Rounded = 0.001;

    /// <summary>Beyond the reach a file may go by what its numbers are rounded by.</summary>
    private const double MostBeyond = 2 * SoundCurves.Beyond;

    public static CutFile Of(PlannedRun plan, PlannedLoad load)
    {
        var title = string.Create(
            CultureInfo.InvariantCulture,
            $"{plan.Job.Name}, {plan.Run.Run.Name}: load {load.Load.Number} of {plan.Loads.Count}, "
                + $"{load.Film.Name}{(load.Film.Mirrored ? ", mirrored" : "")}"
        );
        var drawing = new CutDrawing(
            title,
            load.ReachWidth,
            load.ReachHeight,
            [
                new CutLayer(
                    load.Film.Name,
                    load.Film.Colour,
                    [
                        .. load.Pieces.Select(p => CutGroups.OfInk(p.Piece.Fit.Piece.Name, p.Ink)),
                        .. load.Weeds.Plans.Select(p => CutGroups.OfWaste(p.Box, BreaksOf(p))),
                    ]
                ),
            ]
        );
        var measured = CutSvgMeasure.Of(CutSvg.Write(drawing));
        var wrong = load
            .Pieces.Where((p, i) => i >= measured.Pieces.Count || Apart(p.Box, measured.Pieces[i], load.ReachHeight) > Allowed)
            .ToList();
        return new CutFile(
            drawing,
            measured,
            wrong.Count > 0
                    ? $"Read back, {string.Join(", ", wrong.Select(w => w.Piece.Fit.Piece.Name))} did not measure what was computed."
                : measured.Crossing > 0 ? FormattableString.Invariant($"Read back, {measured.Crossing} outlines cross themselves.")
                : measured.Beyond > MostBeyond
                    ? FormattableString.Invariant($"Read back, it reaches {measured.Beyond:0.000} mm beyond what the cutter reaches.")
                : WrongWaste(load, measured)
        );
    }

    private static IReadOnlyList<IReadOnlyList<PlanePoint>> BreaksOf(WastePlan plan) =>
        [.. plan.Breaks.Select(b => (IReadOnlyList<PlanePoint>)[.. b.Line.Coordinates.Select(c => new PlanePoint(c.X, c.Y))])];

    /// <summary>What is wrong in the cuts through waste, read back: missing, elsewhere, or nearer to the ink than planned.</summary>
    private static string? WrongWaste(PlannedLoad load, CutSvgMeasure measured)
    {
        var wanted = load.Weeds.Plans.SelectMany(p => BreaksOf(p).Prepend(p.Box.Corners)).ToList();
        var off = wanted
            .Where(
                (line, i) =>
                    i >= measured.Waste.Count
                    || line.Count != measured.Waste[i].Points.Count
                    || line.Zip(measured.Waste[i].Points)
                        .Any(p => p.First.To(p.Second with { Y = load.ReachHeight - p.Second.Y }) > Rounded)
            )
            .Count();
        if (off > 0 || measured.Waste.Count != wanted.Count)
        {
            return FormattableString.Invariant($"Read back, {Math.Max(off, 1)} cuts through waste are not where they were planned.");
        }

        // Against the ink of the file itself, not against what it was written from.
        return measured.NearestWaste is { } near && load.Weeds.Nearest is { } planned && near < planned - Allowed
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
