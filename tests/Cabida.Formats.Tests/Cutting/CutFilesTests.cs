using System.Globalization;
using System.Text;
using Cabida.Core.Cutting;
using Cabida.Core.Geometry;
using Cabida.Core.Stock;
using Cabida.Core.Type;
using Cabida.Formats.Cutting;
using Cabida.Typography;
using Area = NetTopologySuite.Geometries.Geometry;

namespace Cabida.Formats.Tests.Cutting;

/// <summary>Cut files of all formats, read back by our readers and opened by programs that are not ours.</summary>
public sealed class CutFilesTests : IDisposable
{
    private const double Width = 180;
    private const double Height = 110;

    /// <summary>Points of a raster to the millimetre, by dots to the inch.</summary>
    private const int Dots = 254;

    private static readonly ShippedTypefaces Faces = new();
    private readonly string folder = Directory.CreateTempSubdirectory("cabida-cut-").FullName;

    public void Dispose() => Directory.Delete(folder, recursive: true);

    private static Area Name(string name, string faceId, double capitals, double x, double y)
    {
        var face = Faces.Find(faceId)!;
        return Outlines.Placed(
            new LetteringLine(name, face, LineSetting.Plain, new InkCache()).InkAt(capitals / face.CapitalHeight),
            1,
            x,
            y
        );
    }

    /// <summary>Script, slabs, a ring with a ring in it.</summary>
    private static (string, Area)[] Inks =>
        [
            ("Agnieszka", Name("Agnieszka", "kaushan-script", 16, 12, 70)),
            ("Ø&8", Name("Ø&8", "zilla-slab", 18, 20, 14)),
            (
                "rings",
                Outlines.Without(
                    Outlines.Factory.CreatePoint(new NetTopologySuite.Geometries.Coordinate(140, 40)).Buffer(24, 32),
                    Outlines.Without(
                        Outlines.Factory.CreatePoint(new NetTopologySuite.Geometries.Coordinate(140, 40)).Buffer(18, 32),
                        Outlines.Factory.CreatePoint(new NetTopologySuite.Geometries.Coordinate(143, 41)).Buffer(7, 32)
                    )
                )
            ),
        ];

    private static CutDrawing Inked => TestCuts.Of(Width, Height, Inks);

    private static CutDrawing Whole =>
        TestCuts.Of(
            Width,
            Height,
            Inks,
            CutGroups.OfWaste(
                new Box(4, 4, 176, 106),
                [
                    [new(4, 60), new(50.25, 61.5), new(176, 60)],
                ]
            ),
            CutGroups.OfMark(new PlanePoint(170, 100), 6, 0)
        );

    private string Written(CutDrawing drawing, CutFormat format, SvgNumbers units = SvgNumbers.Millimetres)
    {
        var file = WrittenCut.Of(drawing, format, units);
        file.Problem.ShouldBeNull();
        var path = Path.Combine(folder, $"{Guid.NewGuid():N}{file.Ending}");
        File.WriteAllBytes(path, file.Bytes);
        return path;
    }

    [Theory]
    [InlineData(CutFormat.Svg, SvgNumbers.Millimetres)]
    [InlineData(CutFormat.Svg, SvgNumbers.Per96)]
    [InlineData(CutFormat.Svg, SvgNumbers.Per90)]
    [InlineData(CutFormat.Svg, SvgNumbers.Per72)]
    [InlineData(CutFormat.Dxf, SvgNumbers.Millimetres)]
    [InlineData(CutFormat.DxfOld, SvgNumbers.Millimetres)]
    [InlineData(CutFormat.Hpgl, SvgNumbers.Millimetres)]
    [InlineData(CutFormat.Pdf, SvgNumbers.Millimetres)]
    public void Every_format_comes_back_as_it_was_written(CutFormat format, SvgNumbers units)
    {
        var file = WrittenCut.Of(Whole, format, units);
        file.Problem.ShouldBeNull();
        // By the ink itself, not by what was written of it.
        var (rings, box) = (Inks.Sum(i => Outlines.RingsOf(i.Item2).Count()), new Box(4, 4, 176, 106));
        file.Read.Outlines.ShouldBe(rings + 1);
        file.Read.Lines.Count.ShouldBe(rings + 4);
        var off = format == CutFormat.Hpgl ? 0.05 : 0.03;
        var used = file.Read.Used!.Value;
        new[] { used.MinX - box.MinX, used.MinY - box.MinY, used.MaxX - box.MaxX, used.MaxY - box.MaxY }
            .Max(Math.Abs)
            .ShouldBeLessThan(off);
        var length =
            Inks.Sum(i => i.Item2.Length) + (2 * (172 + 102)) + Outlines.Line([new(4, 60), new(50.25, 61.5), new(176, 60)]).Length + 12;
        file.Read.Length.ShouldBe(length, 0.002 * length);
    }

    [Fact]
    public void A_file_that_is_not_what_was_meant_is_not_given_out()
    {
        var read = CutDxfReader.Read(CutDxf.Write(Whole, DxfForm.R2000));
        WrittenCut.WhatIsWrong(Whole, read, CutFormat.Dxf).ShouldBeNull();
        WrittenCut.WhatIsWrong(Whole, read with { Lines = [.. read.Lines.Skip(1)] }, CutFormat.Dxf)!.ShouldContain("outlines");
        ReadCut Scaled(double by) =>
            read with
            {
                Lines = [.. read.Lines.Select(l => l with { Points = [.. l.Points.Select(p => new PlanePoint(p.X * by, p.Y * by))] })],
            };
        WrittenCut.WhatIsWrong(Whole, Scaled(25.4 / 72), CutFormat.Dxf)!.ShouldContain("measures");
        WrittenCut.WhatIsWrong(Whole, Scaled(1.0003), CutFormat.Dxf)!.ShouldContain("measures");
        WrittenCut.WhatIsWrong(Whole, read with { Width = 90, Height = 55 }, CutFormat.Svg)!.ShouldContain("sheet");
        Should.Throw<FormatException>(() => CutDxfReader.Read(CutDxf.Write(Whole, DxfForm.R2000)[..4000]));
        Should.Throw<FormatException>(() => CutHpglReader.Read("IN;SP1;PU0,0;AA10,10,90;"));
        var pdf = CutPdf.Write([Whole]);
        Should.Throw<FormatException>(() => CutPdfReader.Read([.. pdf.Take(200), 32, .. pdf.Skip(200)]));
    }

    [Theory]
    [InlineData(CutFormat.Dxf, "AC1015", 4)]
    [InlineData(CutFormat.DxfOld, "AC1009", 0)]
    public void Another_program_finds_no_fault_in_a_dxf_and_measures_the_same(CutFormat format, string version, int unit)
    {
        var layers = new[] { "Navy vinyl", "Łódź / cream; 2", "navy VINYL", "" };
        var drawing = Inked with { Layers = [.. layers.Select((name, i) => Inked.Layers[0] with { Film = name })] };
        var read = OtherPrograms.Dxf(Written(drawing, format));
        read.Version.ShouldBe(version);
        read.Unit.ShouldBe(unit);
        var rings = Inks.SelectMany(i => Outlines.RingsOf(i.Item2)).ToList();
        var byLayer = read.Lines.GroupBy(l => l.Layer).ToList();
        byLayer.Count.ShouldBe(layers.Length);
        byLayer[0].Key.ShouldBe(format == CutFormat.Dxf ? "Navy vinyl" : "NAVY_VINYL");
        byLayer[1].Key.ShouldBe(format == CutFormat.Dxf ? "Lodz _ cream_ 2" : "LODZ___CREAM__2");
        foreach (var layer in byLayer)
        {
            var lines = layer.ToList();
            lines.Count.ShouldBe(rings.Count);
            foreach (var (line, ring) in lines.Zip(rings))
            {
                var (box, area) = (Box.Of(ring)!.Value, Math.Abs(NetTopologySuite.Algorithm.Area.OfRingSigned(ring.Coordinates)));
                line.Box.Zip([box.MinX, box.MinY, box.MaxX, box.MaxY]).ShouldAllBe(p => Math.Abs(p.First - p.Second) < 0.02);
                // An outline that lies 0.02 off all along has so much more or less area.
                Math.Abs(line.Area).ShouldBe(area, 0.02 * ring.Length);
            }
        }
    }

    [Fact]
    public void Other_programs_draw_the_same_of_svg_pdf_and_hpgl()
    {
        var svg = Drawn(Written(Inked, CutFormat.Svg));
        foreach (var units in new[] { SvgNumbers.Per96, SvgNumbers.Per90, SvgNumbers.Per72 })
        {
            Apart(svg, Drawn(Written(Inked, CutFormat.Svg, units))).ShouldBeLessThanOrEqualTo(1);
        }

        // The ink fills what the drawing says, to half a point at either side.
        var box = Box.Around(Inks.Select(i => Box.Of(i.Item2)!.Value))!.Value;
        (svg.GetLength(1) / 10.0).ShouldBe(box.Width, 0.11);
        (svg.GetLength(0) / 10.0).ShouldBe(box.Height, 0.11);

        var pdf = Written(Inked, CutFormat.Pdf);
        var size = OtherPrograms.Run("pdfinfo", pdf).Split('\n').Single(l => l.StartsWith("Page size", StringComparison.Ordinal));
        var points = size.Split(' ', StringSplitOptions.RemoveEmptyEntries)
            .Where(w => char.IsDigit(w[0]))
            .Select(w => double.Parse(w, CultureInfo.InvariantCulture))
            .ToArray();
        (points[0] * 25.4 / 72).ShouldBe(Width, 0.02);
        (points[1] * 25.4 / 72).ShouldBe(Height, 0.02);
        OtherPrograms.Run("pdftoppm", "-png", "-r", $"{Dots}", "-singlefile", pdf, Path.ChangeExtension(pdf, null));
        Apart(svg, OtherPrograms.Dark(Path.ChangeExtension(pdf, ".png"))).ShouldBeLessThanOrEqualTo(1);

        var hpgl = Written(Inked, CutFormat.Hpgl);
        var plotted = Path.ChangeExtension(hpgl, ".png");
        OtherPrograms.Run("hp2xx", "-q", "-t", "-m", "png", "-d", $"{Dots}", "-f", plotted, hpgl);
        // It draws outlines: so is the SVG then, with a line as thick.
        var outlined = Written(Inked, CutFormat.Svg);
        var text = File.ReadAllText(outlined)
            .Replace("fill=\"#112233\"", "fill=\"none\" stroke=\"#000\" stroke-width=\"0.1\"", StringComparison.Ordinal);
        File.WriteAllText(outlined, text);
        Apart(Drawn(outlined), OtherPrograms.Dark(plotted)).ShouldBeLessThanOrEqualTo(2);
    }

    [Fact]
    public void A_plan_is_one_pdf_with_a_page_a_load_and_a_spot_colour_a_film()
    {
        var other = new CutDrawing("second", 300, 200, [Inked.Layers[0] with { Film = "Crème & brûlée", Colour = "#f4e6c2" }]);
        var file = Path.Combine(folder, "plan.pdf");
        File.WriteAllBytes(file, CutPdf.Write([Inked, other]));
        var read = CutPdfReader.Read(File.ReadAllBytes(file));
        read.Select(r => (Math.Round(r.Width!.Value, 2), Math.Round(r.Height!.Value, 2))).ShouldBe([(Width, Height), (300, 200)]);
        WrittenCut.WhatIsWrong(other, read[1], CutFormat.Pdf).ShouldBeNull();
        OtherPrograms.Run("pdfinfo", file).ShouldContain("Pages:           2");
        Encoding.Latin1.GetString(File.ReadAllBytes(file)).ShouldContain("/Separation /Cr#C3#A8me#20#26#20br#C3#BBl#C3#A9e");
    }

    [Fact]
    public void The_size_guard_says_what_a_wrong_assumption_would_show() =>
        SizeGuard
            .Of(292, SvgNumbers.Millimetres)
            .Select(g => (g.TakenFor, Math.Round(g.Width, 2)))
            .ShouldBe([(SvgNumbers.Millimetres, 292), (SvgNumbers.Per96, 77.26), (SvgNumbers.Per90, 82.41), (SvgNumbers.Per72, 103.01)]);

    [Fact]
    public void Hpgl_cuts_inner_outlines_first_and_writes_what_a_knife_asks_for()
    {
        var read = CutHpglReader.Read(CutHpgl.Write(Inked));
        var areas = read.Lines.Select(l => Outlines.Ring([.. l.Points.SkipLast(1)])).ToList();
        for (var i = 0; i < areas.Count; i++)
        {
            areas.Skip(i + 1).ShouldAllBe(later => !areas[i].Contains(later));
        }

        var knife = CutHpglReader.Read(CutHpgl.Write(Inked, new DragKnife(0.25, 0.5)));
        knife.Lines.Count.ShouldBe(read.Lines.Count);
        knife.Length.ShouldBeGreaterThan(read.Length + (0.4 * read.Lines.Count));
        WrittenCut.Of(Inked, CutFormat.Hpgl, knife: new DragKnife(0.25, 0.5)).Problem.ShouldBeNull();
    }

    private static bool[,] Drawn(string svg)
    {
        var picture = Path.ChangeExtension(svg, ".png");
        OtherPrograms.Run("rsvg-convert", "-d", $"{Dots}", "-p", $"{Dots}", "-b", "white", "-o", picture, svg);
        return OtherPrograms.Dark(picture);
    }

    /// <summary>How far any dark point of either picture lies from a dark one of the other, in points; over 5 is told as 6.</summary>
    private static int Apart(bool[,] a, bool[,] b)
    {
        const int far = 5;
        var (dy, dx) = ((b.GetLength(0) - a.GetLength(0)) / 2, (b.GetLength(1) - a.GetLength(1)) / 2);
        return Math.Max(OneWay(a, b, dy, dx), OneWay(b, a, -dy, -dx));

        static int OneWay(bool[,] from, bool[,] to, int dy, int dx)
        {
            var most = 0;
            for (var y = 0; y < from.GetLength(0); y++)
            {
                for (var x = 0; x < from.GetLength(1); x++)
                {
                    while (from[y, x] && most <= far && !Near(to, y + dy, x + dx, most))
                    {
                        most++;
                    }
                }
            }

            return most;
        }

        static bool Near(bool[,] picture, int y, int x, int within)
        {
            for (var v = Math.Max(0, y - within); v <= Math.Min(picture.GetLength(0) - 1, y + within); v++)
            {
                for (var u = Math.Max(0, x - within); u <= Math.Min(picture.GetLength(1) - 1, x + within); u++)
                {
                    if (picture[v, u])
                    {
                        return true;
                    }
                }
            }

            return false;
        }
    }
}
