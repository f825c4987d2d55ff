using Cabida.Core.Blanks;
using Cabida.Core.Checking;
using Cabida.Core.Fitting;
using Cabida.Core.Geometry;
using Cabida.Core.Measures;
using Cabida.Core.Motifs;
using Cabida.Core.Runs;
using Cabida.Core.Stock;
using Cabida.Core.Tests.Geometry.Widths;
using Cabida.Core.Type;
using Cabida.Core.Waste;
using Cabida.Formats.Graphics;
using Cabida.Typography;
using Xunit.Abstractions;
using Area = NetTopologySuite.Geometries.Geometry;

namespace Cabida.Formats.Tests.Real;

/// <summary>
/// Whatever is looked for before cutting, on real icons and real faces: as vinyl and as a stencil, and each narrow place held against a
/// raster of 0.02 mm.
/// </summary>
public sealed class RealThingsTests(ITestOutputHelper output)
{
    private const double IconHeight = 25;
    private static readonly string[] Names =
    [
        "Agnieszka",
        "Bram",
        "Zoë-Marie",
        "Konstantinos",
        "Siân",
        "Łukasz",
        "Ọláyínká",
        "O’Rourke",
        "Thảo",
        "Bartholomew",
        "Ioanna",
        "Ødegård",
    ];

    private static readonly ShippedTypefaces Faces = new();

    [Fact]
    public void Every_icon_of_two_packages_is_checked_tied_and_weeded_as_vinyl_and_as_a_stencil()
    {
        var (looked, found, tied) = (0, 0, 0);
        foreach (var (name, of) in Icons())
        {
            foreach (var purpose in new[] { FilmPurpose.Stays, FilmPurpose.Loose })
            {
                var limits = FilmLimits.Of(Film(purpose));
                var ink = Fitted(of(false), purpose).Ink;
                var facts = new InkFacts(ink, limits);
                var places = facts.Strokes.Concat(facts.Gaps).ToList();
                places.ShouldAllBe(p => p.Width < Math.Max(limits.Stroke, limits.Gap) + 1e-6, name);
                places.ShouldAllBe(p => Box.Of(ink)!.Value.Grown(1).DistanceTo(p.At) == 0, name);
                facts.Specks.Concat(facts.Counters).ShouldAllBe(s => s.Area < limits.SpeckArea || s.Inscribed < limits.SpeckAcross, name);
                (looked, found) = (looked + 1, found + places.Count + facts.Specks.Count + facts.Counters.Count);
                if (purpose == FilmPurpose.Stays)
                {
                    // Whatever it is, its breaks keep clear, and its bits and its ink are all of the box.
                    var plan = WastePlan.Of([new([new InkWord([new InkUnit(ink)])])], WasteTerms.Of(WeedWays.Usual, purpose))!;
                    (plan.ClearanceTo(ink) ?? 1).ShouldBeGreaterThanOrEqualTo(1 - 1e-9, name);
                    var bits = WasteBits.Of(ink, purpose, [.. plan.Cells.Select(c => c.Area)]);
                    bits.Sum(b => b.Area).ShouldBe((plan.Box.Width * plan.Box.Height) - ink.Area, 1e-3 * ink.Area, name);
                }
                else if (facts.Loose.Count > 0)
                {
                    new InkFacts(Fitted(of(true), purpose).Ink, limits).Loose.ShouldBeEmpty(name);
                    tied++;
                }
            }
        }

        output.WriteLine($"{looked} looked at, {found} places, {tied} stencils tied");
        looked.ShouldBeGreaterThan(1000);
        tied.ShouldBeGreaterThan(50);
    }

    [Fact]
    public void Narrow_places_of_icons_are_those_that_a_raster_finds() =>
        Compared(
            Icons().Where((_, i) => i % 16 == 0).Select(i => (i.Name, Fitted(i.Of(false), FilmPurpose.Stays).Ink, Stroke: 1.0, Gap: 1.7))
        );

    [Fact]
    public void Narrow_places_of_names_in_all_faces_are_those_that_a_raster_finds() =>
        Compared(
            Faces.All.Select(
                (face, i) =>
                {
                    // Each face with another name, at capitals of 6, 12 and 30 in turn.
                    var (name, high) = (Names[i % Names.Length], new[] { 6.0, 12, 30 }[i % 3]);
                    var set = Faces.Find(face.Id)!;
                    var line = new LetteringLine(name[..(high > 20 ? 2 : 4)], set, LineSetting.Plain, new InkCache());
                    return (
                        $"{face.Id} {name} {high}",
                        line.InkAt(high / set.CapitalHeight),
                        Stroke: high < 10 ? 0.5 : 1,
                        Gap: high < 10 ? 0.3 : 0.6
                    );
                }
            )
        );

    private void Compared(IEnumerable<(string Name, Area Ink, double Stroke, double Gap)> things)
    {
        var (found, missed, invented) = (0, new List<string>(), new List<string>());
        foreach (var (name, ink, stroke, gap) in things)
        {
            foreach (var outside in new[] { false, true })
            {
                var by = RasterComparison.Narrow(ink, outside ? gap : stroke, outside);
                found += by.Found;
                missed.AddRange(by.Missed.Select(m => $"{name} {(outside ? "gap" : "stroke")} {m}"));
                invented.AddRange(by.Invented.Select(m => $"{name} {(outside ? "gap" : "stroke")} {m}"));
            }
        }

        output.WriteLine($"{found} found, {missed.Count} missed, {invented.Count} invented");
        output.WriteLine(string.Join('\n', missed.Concat(invented).Take(40)));
        found.ShouldBeGreaterThan(5);
        missed.Count.ShouldBeLessThanOrEqualTo(found / 100, string.Join('\n', missed.Take(20)));
        invented.Count.ShouldBeLessThanOrEqualTo(found / 50, string.Join('\n', invented.Take(20)));
    }

    /// <summary>The icons of both packages, each as a motif of it 25 mm high, tied or not.</summary>
    private static IEnumerable<(string Name, Func<bool, FitBasis> Of)> Icons()
    {
        foreach (var file in Files())
        {
            var outlines = new GraphicOutlines(Path.GetFileName(file), GraphicFile.Read("icon.svg", File.ReadAllBytes(file)).Value.Pieces);
            yield return (outlines.Id, tied => BasisOf(outlines, tied));
        }
    }

    private static FitBasis BasisOf(GraphicOutlines outlines, bool tied)
    {
        var part = new GraphicPart("icon", PartPlace.Below, MotifLength.Stays(0), "icon", GraphicSize.Height, MotifLength.Stays(IconHeight))
        {
            OutlinesId = outlines.Id,
            Tied = tied,
        };
        var zone = ZoneShape.Rectangle(new Box(-100, -100, 100, 100), LimitKind.Size);
        var side = new Dimension(Length.Mm(200), Length.Zero);
        return new FitBasis(
            new Motif("icon", RowAlignment.Centre, [part]),
            null,
            null,
            new Zone(zone, zone, side, side, 0, []),
            Film(FilmPurpose.Stays),
            null,
            new AtHand(Faces, new One(outlines), new InkCache())
        );
    }

    private static PieceFit Fitted(FitBasis basis, FilmPurpose purpose) =>
        PieceFit.Of(new Piece("p", "Icon"), basis with { Film = Film(purpose) });

    private static List<string> Files()
    {
        var root = AppContext.BaseDirectory;
        while (!Directory.Exists(Path.Combine(root, "web", "node_modules")))
        {
            root = Path.GetDirectoryName(root) ?? throw new DirectoryNotFoundException("The front end's packages are not installed.");
        }

        var modules = Path.Combine(root, "web", "node_modules");
        return
        [
            .. new[] { Path.Combine(modules, "feather-icons", "dist", "icons"), Path.Combine(modules, "zondicons") }
                .SelectMany(f => Directory.EnumerateFiles(f, "*.svg"))
                .Order(StringComparer.Ordinal),
        ];
    }

    private static Film Film(FilmPurpose purpose) =>
        new("Film", "#000000", purpose, false, TypedLength.Mm(1), TypedLength.Mm(300), TypedLength.Mm(300), new("", "", "", "", ""));

    private sealed record One(GraphicOutlines Outlines) : IGraphics
    {
        public GraphicOutlines? Find(string outlinesId) => outlinesId == Outlines.Id ? Outlines : null;
    }
}
