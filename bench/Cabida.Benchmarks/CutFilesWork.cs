using System.Globalization;
using Cabida.Core.Cutting;
using Cabida.Core.Fitting;
using Cabida.Core.Geometry;
using Cabida.Core.Layout;
using Cabida.Core.Runs;
using Cabida.Core.Stock;
using Cabida.Core.Type;
using Cabida.Formats.Cutting;
using Cabida.Formats.Tests.Cutting;

namespace Cabida.Benchmarks;

/// <summary>
/// A first plan of names against fitting them; a load of them in all formats: how long it takes to write it and to read it back, what other
/// programs read; and the way with the blade up against always going to the nearest line.
/// </summary>
internal static class CutFilesWork
{
    private const int Names = 50;
    private const double ScissorsRoom = 5;
    private const int Rounds = 5;
    private const int Dots = 600;
    private const int Beginnings = 16;

    public static void Report()
    {
        First(5000);
        var (fit, plan, laid, fits) = First(0);
        var loads = laid.Loads.Count;
        Say($"{Names} names: fitted in {fit:0} ms, their first plan ({loads} loads) in {plan:0} ms, ratio {plan / fit:0.00}");

        var drawing = Drawing(laid.Loads[0], fits);
        Order(drawing);
        Files(drawing);
    }

    private static (double, double, LayPlan, IReadOnlyList<PieceFit>) First(int from)
    {
        var basis = MugRun.Of(new InkCache());
        List<PieceFit> fits = [];
        LayPlan? laid = null;
        var fitting = Medians.Time(() =>
            fits = [.. Enumerable.Range(from, Names).Select(n => PieceFit.Of(new Piece($"{n}", MugRun.Name(n)), basis))]
        );
        var planning = Medians.Time(() =>
            LayoutSearch.Run(
                [.. fits.Select(f => new LayItem(ItemId.Of(f.Piece.Id), Silhouette.Of(f.Ink, false, ScissorsRoom)))],
                [new LayPlace(Outlines.Rectangle(new Box(5, 5, 595, 595)))],
                new LayTerms(ScissorsRoom),
                p => laid = p,
                CancellationToken.None,
                0
            )
        );
        return (fitting, planning, laid!, fits);
    }

    private static CutDrawing Drawing(LaidLoad load, IReadOnlyList<PieceFit> fits)
    {
        var byId = fits.ToDictionary(f => ItemId.Of(f.Piece.Id));
        return new CutDrawing(
            "Names",
            600,
            600,
            [
                new CutLayer(
                    "Film",
                    "#203050",
                    [.. load.Items.Select(i => CutGroups.OfInk(byId[i.Id].Piece.Name, Outlines.Moved(byId[i.Id].Ink, i.At.Motion)))]
                ),
            ]
        );
    }

    private static void Order(CutDrawing drawing)
    {
        var lines = drawing.Lines.Select(l => (Points: l.Points(Tolerances.File), l.IsClosed)).ToList();
        IReadOnlyList<IReadOnlyList<PlanePoint>> ordered = [];
        var took = Medians.Time(() => ordered = [.. CuttingOrder.Of(lines).Select(l => l.Points)]);
        var (best, nearest) = (CuttingOrder.BladeUp(ordered), CuttingOrder.BladeUp(Nearest(lines)));
        Say($"{lines.Count} lines put in order in {took:0} ms: {best:0} mm with the blade up");
        Say($"by the nearest line {nearest:0}, ratio {best / nearest:0.00}");
    }

    /// <summary>From the corner always to the nearest beginning; what lies within another first.</summary>
    private static List<IReadOnlyList<PlanePoint>> Nearest(List<(IReadOnlyList<PlanePoint> Points, bool IsClosed)> lines)
    {
        var rings = lines.ConvertAll(l => Outlines.Ring([.. l.Points.SkipLast(1)]));
        var left = Enumerable.Range(0, lines.Count).ToList();
        var within = left.ConvertAll(i =>
            left.Where(j => j != i && rings[j].Area < rings[i].Area && rings[i].Contains(rings[j])).ToHashSet()
        );
        var result = new List<IReadOnlyList<PlanePoint>>();
        var at = default(PlanePoint);
        while (left.Count > 0)
        {
            var next = left.Where(i => !within[i].Overlaps(left))
                .SelectMany(i =>
                {
                    var count = lines[i].Points.Count - 1;
                    return Enumerable
                        .Range(0, Math.Min(Beginnings, count))
                        .Select(k => (Line: i, Start: k * count / Math.Min(Beginnings, count)));
                })
                .MinBy(s => at.To(lines[s.Line].Points[s.Start]));
            var points = lines[next.Line].Points;
            result.Add([.. points.Skip(next.Start).Concat(points.Skip(1).Take(next.Start))]);
            at = result[^1][^1];
            left.Remove(next.Line);
        }

        return result;
    }

    private static void Files(CutDrawing drawing)
    {
        var folder = Directory.CreateTempSubdirectory("cabida-bench-").FullName;
        var box = Box.Around(drawing.Lines.SelectMany(l => l.Points(Tolerances.File)).Select(p => new Box(p.X, p.Y, p.X, p.Y)))!.Value;
        Say($"the load measures {box.Width:0.000} × {box.Height:0.000}");
        foreach (
            var (format, units) in new[]
            {
                (CutFormat.Svg, SvgNumbers.Millimetres),
                (CutFormat.Svg, SvgNumbers.Per96),
                (CutFormat.Svg, SvgNumbers.Per90),
                (CutFormat.Svg, SvgNumbers.Per72),
                (CutFormat.Dxf, SvgNumbers.Millimetres),
                (CutFormat.DxfOld, SvgNumbers.Millimetres),
                (CutFormat.Hpgl, SvgNumbers.Millimetres),
                (CutFormat.Pdf, SvgNumbers.Millimetres),
            }
        )
        {
            WrittenCut file = WrittenCut.Of(drawing, format, units);
            var times = Enumerable.Range(0, Rounds).Select(_ => Medians.Time(() => file = WrittenCut.Of(drawing, format, units))).ToList();
            var path = Path.Combine(folder, $"{format}{units}{file.Ending}");
            File.WriteAllBytes(path, file.Bytes);
            var (width, height, by) = Read(path, format);
            Say(
                $"{format} {(format == CutFormat.Svg ? units.ToString() : "")}: written and read back in {Medians.Of(times):0} ms, "
                    + $"{file.Bytes.Length / 1000} kB, problem {file.Problem ?? "none"}; {by} reads {width:0.000} × {height:0.000}"
            );
        }

        Directory.Delete(folder, recursive: true);
    }

    /// <summary>What a program that is not ours makes of it: figures, or a raster of 600 dots to the inch.</summary>
    private static (double Width, double Height, string By) Read(string file, CutFormat format)
    {
        if (format is CutFormat.Dxf or CutFormat.DxfOld)
        {
            var lines = OtherPrograms.Dxf(file).Lines;
            return (lines.Max(l => l.Box[2]) - lines.Min(l => l.Box[0]), lines.Max(l => l.Box[3]) - lines.Min(l => l.Box[1]), "ezdxf");
        }

        var picture = Path.ChangeExtension(file, ".png");
        var dots = Dots.ToString(CultureInfo.InvariantCulture);
        var by = format switch
        {
            CutFormat.Svg => "rsvg-convert",
            CutFormat.Pdf => "pdftoppm",
            _ => "hp2xx",
        };
        OtherPrograms.Run(
            by,
            format switch
            {
                CutFormat.Svg => ["-d", dots, "-p", dots, "-b", "white", "-o", picture, file],
                CutFormat.Pdf => ["-png", "-r", dots, "-singlefile", file, Path.ChangeExtension(file, null)],
                _ => ["-q", "-t", "-m", "png", "-d", dots, "-f", picture, file],
            }
        );
        var dark = OtherPrograms.Dark(picture);
        return (dark.GetLength(1) * 25.4 / Dots, dark.GetLength(0) * 25.4 / Dots, by);
    }

    private static void Say(string said) => Console.WriteLine(said);
}
