using Cabida.Core.Checking;
using Cabida.Core.Findings;
using Cabida.Core.Geometry;
using Cabida.Core.Measures;
using Cabida.Core.Stock;
using Cabida.Core.Tests.Geometry.Widths;
using NetTopologySuite.Geometries;
using Area = NetTopologySuite.Geometries.Geometry;

namespace Cabida.Core.Tests.Checking;

/// <summary>What is looked for in a film's ink, by what the film is for (calculations 6.1).</summary>
public class FilmRulesTests
{
    [Fact]
    public void Limits_that_were_not_typed_follow_from_the_thinnest_stroke_or_from_the_material()
    {
        var plain = FilmLimits.Of(Film());
        plain.Stroke.ShouldBe(1);
        plain.Gap.ShouldBe(0.6, 1e-9);
        plain.SpeckArea.ShouldBe(1.2, 1e-9);
        plain.SpeckAcross.ShouldBe(0.8, 1e-9);
        plain.Tie.ShouldBe(2, 1e-9);
        FilmLimits.Of(Film() with { ThinnestStroke = TypedLength.Empty, Material = FilmMaterial.Card }).Stroke.ShouldBe(1.2);
        var typed = Film() with
        {
            NarrowestGap = new TypedLength("1/64", LengthUnit.Inch),
            SmallestArea = "0.002 in²",
            SmallestAcross = TypedLength.Mm(0.5),
        };
        FilmLimits.Of(typed).Gap.ShouldBe(25.4 / 64, 1e-9);
        FilmLimits.Of(typed).SpeckArea.ShouldBe(0.002 * 645.16, 1e-9);
        FilmLimits.Of(typed).SpeckAcross.ShouldBe(0.5);
    }

    [Fact]
    public void A_mask_needs_half_as_much_again_since_paint_creeps()
    {
        var ink = Bar(0, 0, 40, 1.2);
        Facts(ink, Film()).Strokes.ShouldBeEmpty();
        Facts(ink, Film(FilmPurpose.PulledOff)).Strokes.ShouldHaveSingleItem().Width.ShouldBe(1.2, 0.02);
        Look(new ThinStrokes(), ink, Film(FilmPurpose.PulledOff))
            .Single()
            .Message.ToString()
            .ShouldContain(
                "a stroke of 1.20 mm; this film weeds cleanly from 1.00 mm, and as a mask it needs 1.50 mm, since paint creeps."
            );
    }

    [Fact]
    public void Of_a_stencil_the_web_between_openings_is_looked_at_and_its_islands_fall_out()
    {
        // Two openings 0.7 apart, one with an island, and a slit of 0.5.
        var ink = Outlines.Join([Bar(0, 0, 10, 10), Bar(10.7, 0, 20.7, 10).Difference(Bar(13, 3, 17, 7)), Bar(30, 0, 30.5, 10)]);
        var facts = Facts(ink, Film(FilmPurpose.Loose));
        facts.Strokes.ShouldHaveSingleItem().Width.ShouldBe(0.7, 0.02);
        facts.Gaps.ShouldHaveSingleItem().Width.ShouldBe(0.5, 0.02);
        var loose = Look(new LooseParts(), ink, Film(FilmPurpose.Loose)).ShouldHaveSingleItem();
        loose.Severity.ShouldBe(Severity.Stop);
        loose.Message.ToString().ShouldEndWith("an island of 4.0 mm × 4.0 mm would fall out of this stencil.");
        // The same ink of a film that stays has a stroke and no web.
        Facts(ink, Film()).Strokes.ShouldHaveSingleItem().Width.ShouldBe(0.5, 0.02);
        Facts(ink, Film()).Gaps.ShouldBeEmpty();
        Facts(ink, Film()).Loose.ShouldBeEmpty();
    }

    [Fact]
    public void The_inside_of_a_V_is_no_gap_but_a_slit_is()
    {
        var plate = Bar(0, 0, 20, 20);
        Facts(plate.Difference(Outlines.Ring([new(9, 20), new(11, 20), new(10, 10)])), Film()).Gaps.ShouldBeEmpty();
        Facts(plate.Difference(Bar(9.8, 10, 10.2, 20)), Film()).Gaps.ShouldHaveSingleItem().Width.ShouldBe(0.4, 0.02);
    }

    [Fact]
    public void Of_one_piece_all_parts_but_the_largest_are_loose()
    {
        var ink = Outlines.Join([Bar(0, 0, 40, 40).Difference(Bar(5, 5, 35, 35)), Bar(10, 10, 20, 14), Bar(22, 10, 30, 14)]);
        new InkFacts(ink, FilmLimits.Of(Film()), onePiece: true).Loose.Select(l => l.Outline.Area).ShouldBe([40, 32]);
        new InkFacts(ink, FilmLimits.Of(Film())).Loose.ShouldBeEmpty();
    }

    [Fact]
    public void A_dot_is_told_once_and_a_thin_line_is_no_dot()
    {
        var ink = Outlines.Join([Bar(0, 0, 20, 20), Disc(0.45, 25, 5), Bar(30, 0, 30.7, 20)]);
        var facts = Facts(ink, Film());
        facts.Specks.ShouldHaveSingleItem().Inscribed.ShouldBe(0.9, 0.02);
        facts.Strokes.ShouldHaveSingleItem().At.X.ShouldBe(30.35, 0.01);
        // Across it is enough, by its area it is not: 0.64 mm² of 1.2.
        var said = Look(new Specks(), ink, Film()).ShouldHaveSingleItem();
        said.Figure!.Value.ShouldBe(0.9, 0.01);
        said.Limit!.Value.ShouldBe(2 * Math.Sqrt(1.2 / Math.PI), 1e-9);
    }

    [Fact]
    public void A_counter_is_judged_by_area_and_by_its_inscribed_circle_without_the_ink_in_it()
    {
        var plate = Bar(0, 0, 40, 20);
        // Long but narrow; round and large enough; a ring of waste about an island.
        var ink = Outlines.Join([
            plate.Difference(Bar(2, 2, 12, 2.7)).Difference(Disc(0.7, 20, 10)).Difference(Disc(3, 30, 10)),
            Disc(2.7, 30, 10),
        ]);
        var counters = Facts(ink, Film()).Counters;
        counters.Count.ShouldBe(2);
        counters.ShouldContain(c => Math.Abs(c.Inscribed - 0.7) < 0.02 && Math.Abs(c.Area - 7) < 0.01);
        counters.ShouldContain(c => Math.Abs(c.Inscribed - 0.3) < 0.02 && Math.Abs(c.Area - (Math.PI * (9 - 7.29))) < 0.05);
    }

    [Fact]
    public void Specks_and_counters_are_as_a_raster_finds_them()
    {
        var random = new Random(14);
        var ink = Outlines.Join([
            .. Enumerable
                .Range(0, 60)
                .Select(i =>
                {
                    var (x, y, size) = (4.0 * (i % 10), 4.0 * (i / 10), 0.3 + random.NextDouble());
                    Area dot = random.Next(2) == 0 ? Disc(size / 2, x, y) : Bar(x, y, x + size, y + (size * (0.5 + random.NextDouble())));
                    return random.Next(2) == 0 ? dot : Bar(x - 1.4, y - 1.4, x + 1.8, y + 1.8).Difference(dot);
                }),
        ]);
        var facts = Facts(ink, Film() with { ThinnestStroke = TypedLength.Mm(0.9) });
        foreach (var (holes, told) in new[] { (false, facts.Specks), (true, facts.Counters) })
        {
            var raster = new Raster(ink, 0.5, background: holes);
            var (labels, count) = raster.Label(i => raster[i]);
            // The field around the ink is no counter.
            var field = holes ? labels[0] : 0;
            var found = Enumerable
                .Range(1, count)
                .Where(l => l != field)
                .ToDictionary(
                    l => l,
                    l =>
                        labels
                            .Select((label, i) => (label, i))
                            .Where(p => p.label == l)
                            .Aggregate((Pixels: 0, Deepest: 0), (sum, p) => (sum.Pixels + 1, Math.Max(sum.Deepest, raster.Depth[p.i])))
                );
            foreach (var (label, (pixels, deepest)) in found)
            {
                var (area, across) = (pixels * Raster.Pitch * Raster.Pitch, 2 * ((Math.Sqrt(deepest) - 0.5) * Raster.Pitch));
                var isTold = told.Any(t => raster.IndexOf(t.At) is { } at && labels[at] == label);
                var (byArea, byAcross) = (area - (1.2 * 0.81), across - (0.8 * 0.9));
                if (Math.Min(byArea, byAcross) < -0.04)
                {
                    isTold.ShouldBeTrue($"{area} {across}");
                }
                else if (Math.Min(byArea, byAcross) > 0.04)
                {
                    isTold.ShouldBeFalse($"{area} {across}");
                }
            }
        }
    }

    [Fact]
    public void A_line_that_was_traced_on_both_sides_would_be_cut_twice()
    {
        // A plate with a slit of 0.03 and 5 long, and a hairline of 0.04.
        var ink = Outlines.Join([Bar(0, 0, 20, 10).Difference(Bar(5, 5, 10, 5.03)), Bar(30, 0, 30.04, 8)]);
        var doubled = Look(new DoubledCuts(), ink, Film()).ShouldHaveSingleItem();
        doubled.Places.Count.ShouldBe(1);
        doubled.Figure!.Value.ShouldBe(0.04, 0.005);
        Look(new DoubledCuts(), Bar(0, 0, 0.04, 1.5), Film()).ShouldBeEmpty();
    }

    [Fact]
    public void What_no_cutter_reaches_is_told_whichever_way_it_is_turned_and_on_the_largest_carrier()
    {
        var cutter = new Cutter("Bench", TypedLength.Mm(290), TypedLength.Mm(600));
        IEnumerable<Finding> Of(double width, double height) =>
            new BeyondReach().Look(Piece(Bar(0, 0, width, height), Film() with { Length = TypedLength.Mm(500) }) with { Cutter = cutter });
        Of(280, 499).ShouldBeEmpty();
        Of(499, 280).ShouldBeEmpty();
        Of(280, 501).ShouldHaveSingleItem().Severity.ShouldBe(Severity.Told);
        Of(295, 295)
            .ShouldHaveSingleItem()
            .Message.ToString()
            .ShouldContain("295.0 mm × 295.0 mm of Film is larger than what the cutter reaches");
        var carrier = new Carrier("long", "Long", TypedLength.Mm(300), TypedLength.Mm(620), TypedLength.Mm(290), TypedLength.Mm(600));
        (
            cutter with
            {
                ReachLength = TypedLength.Mm(100),
                Carriers = [carrier with { Id = "short", ReachLength = TypedLength.Mm(100) }, carrier],
            }
        )
            .ReachOf(Film() with { Length = TypedLength.Mm(500) })!
            .Value.Height.ShouldBe(500);
    }

    private static InkFacts Facts(Area ink, Film film) => new(ink, FilmLimits.Of(film));

    private static List<Finding> Look(ICheck check, Area ink, Film film) => [.. check.Look(Piece(ink, film))];

    private static CheckedFit Piece(Area ink, Film film) => ChecksTests.Piece("H", ChecksTests.Zone, ink, film);

    private static Film Film(FilmPurpose purpose = FilmPurpose.Stays) => TestFilms.Plain(1, purpose);

    private static Polygon Bar(double left, double bottom, double right, double top) =>
        Outlines.Rectangle(new Box(left, bottom, right, top));

    private static Area Disc(double r, double x, double y) => Outlines.Factory.CreatePoint(new Coordinate(x, y)).Buffer(r, 96);
}
