using Cabida.Core.Geometry;
using Cabida.Core.Motifs;

namespace Cabida.Formats.Svg;

/// <summary>
/// Ink as path data for the screen. Curves are fitted once to each piece of ink as it was drawn, and kept; what is only moved is only
/// written anew. Bounded.
/// </summary>
public sealed class InkPaths
{
    private const long Budget = 64L << 20;
    private const long TextBudget = 32L << 20;
    private const int BytesPerSegment = 120;

    private readonly Kept<(string Key, double Tolerance), Fitted> kept = new(Budget, f =>
        200 + f.Contours.Sum(c => BytesPerSegment * (1L + c.Segments.Count))
    );

    /// <summary>Paths as they were written; a part and the layer it is in are the same ink in the same place.</summary>
    private readonly Kept<(string Key, Motion At), string> texts = new(TextBudget, t => 200 + (2L * t.Length));

    /// <summary>The path of ink in its place; y up.</summary>
    public string Of(FilmInk ink)
    {
        ArgumentNullException.ThrowIfNull(ink);
        return string.Concat(ink.Pieces.Select(Of));
    }

    /// <summary>The path of a piece of ink in its place; y up.</summary>
    public string Of(PlacedInk piece)
    {
        ArgumentNullException.ThrowIfNull(piece);
        string Written() => SvgPath.Of(FittedTo(piece).Contours.Select(c => c.Moved(piece.Motion)), null);
        return piece.Key.Length == 0 ? Written() : texts.Get((piece.Key, piece.Motion), Written);
    }

    /// <summary>About how thick the strokes of ink are: twice its area by the length of its outline; zero for none.</summary>
    public double WeightOf(IEnumerable<FilmInk> ink)
    {
        ArgumentNullException.ThrowIfNull(ink);
        var (area, length) = (0.0, 0.0);
        foreach (var piece in ink.SelectMany(i => i.Pieces))
        {
            var (scale, fitted) = (ScaleOf(piece.Motion), FittedTo(piece));
            (area, length) = (area + (fitted.Area * scale * scale), length + (fitted.Length * scale));
        }

        return length > 0 ? 2 * area / length : 0;
    }

    private Fitted FittedTo(PlacedInk piece)
    {
        var tolerance = Tolerances.File / ScaleOf(piece.Motion);
        Fitted Fit() =>
            new([.. Outlines.RingsOf(piece.Area).Select(r => CurveFitting.Drawn(r, tolerance))], piece.Area.Area, piece.Area.Length);
        return piece.Key.Length == 0 ? Fit() : kept.Get((piece.Key, tolerance), Fit);
    }

    private static double ScaleOf(Motion m) => Math.Max(Math.Sqrt(Math.Abs((m.A * m.E) - (m.B * m.D))), 1e-9);

    private sealed record Fitted(IReadOnlyList<Contour> Contours, double Area, double Length);
}
