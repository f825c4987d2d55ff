using Cabida.Core.Cutting;
using Cabida.Core.Geometry;
using Cabida.Core.Stock;
using Cabida.Formats.Cutting;

namespace Cabida.StandIns;

/// <summary>
/// What the cutter stand-in makes of a file. HPGL is cut as it comes; an SVG is put in order first, and its numbers are taken for what the
/// program is set to, whatever width the file states: that is how many programs do it.
/// </summary>
public static class LoadReading
{
    private const double ChordError = 0.01;

    /// <summary>The lines of a file in the order in which they are cut; millimetres.</summary>
    /// <param name="format"><c>svg</c> or <c>hpgl</c>.</param>
    /// <param name="content">The file.</param>
    /// <param name="numbers">What the numbers of an SVG are taken for.</param>
    /// <exception cref="FormatException">It cannot be read.</exception>
    public static IReadOnlyList<IReadOnlyList<PlanePoint>> Lines(string format, string content, SvgNumbers numbers) =>
        format switch
        {
            "hpgl" => [.. CutHpglReader.Read(content).Lines.Select(l => l.Points)],
            "svg" => OfSvg(CutSvgMeasure.Of(content), numbers),
            _ => throw new FormatException($"“{format}” is none of SVG and HPGL."),
        };

    private static IReadOnlyList<IReadOnlyList<PlanePoint>> OfSvg(CutSvgMeasure svg, SvgNumbers numbers)
    {
        var taken = svg.UnitsPerMillimetre / CutSvg.PerMillimetre(numbers);
        var lines = svg.Lines().Lines;
        IReadOnlyList<PlanePoint> Taken(ReadLine line) =>
            [.. Outlines.Thinned(line.Points, ChordError).Select(p => new PlanePoint(p.X * taken, p.Y * taken))];
        return [.. CuttingOrder.Of([.. lines.Select(l => (Taken(l), l.IsClosed))]).Select(l => l.Points)];
    }
}
