using Cabida.Core.Blanks;
using Cabida.Core.Checking;
using Cabida.Core.Findings;
using Cabida.Core.Fitting;
using Cabida.Core.Geometry;
using Cabida.Core.Measures;
using Cabida.Core.Motifs;
using Cabida.Core.Runs;
using Cabida.Core.Stock;
using Cabida.Core.Waste;

namespace Cabida.Core.Tests.Checking;

public class ChecksTests
{
    internal static readonly Box Zone = new(-50, -20, 50, 20);

    [Fact]
    public void The_most_serious_findings_come_first()
    {
        var findings = Checks.Looked(Piece("HßH", new Box(-60, -10, 60, 10), Outlines.Rectangle(new Box(-60, 0, 60, 0.5)))).Findings;
        findings.Select(f => f.Rule).ShouldBe([Rule.MissingCharacters, Rule.OutsideZone, Rule.ThinStrokes]);
        findings.Select(f => f.Severity).ShouldBe([Severity.Stop, Severity.Stop, Severity.Look]);
    }

    [Fact]
    public void Too_wide_and_too_high_are_said_apart_each_with_its_figure()
    {
        var findings = new OutsideZone().Look(Piece("Bo", new Box(-53, -20.5, 53, 21))).ToList();
        findings.Select(f => f.Message.ToString()).ShouldBe(["Bo is 6.0 mm wider than the zone.", "Bo is 1.5 mm higher than the zone."]);
        findings[1].Places.ShouldBe([new PlanePoint(0, 21)]);
        findings[0].Figure!.Value.ShouldBe(-3, 1e-9);
    }

    [Fact]
    public void Ink_that_is_off_its_middle_counts_only_the_side_it_stands_out_at() =>
        new OutsideZone()
            .Look(Piece("Bo", new Box(-20, -5, 54, 5)))
            .ShouldHaveSingleItem()
            .Message.ToString()
            .ShouldBe("Bo is 4.0 mm wider than the zone.");

    [Fact]
    public void Inside_nothing_is_said() => new OutsideZone().Look(Piece("Bo", Zone)).ShouldBeEmpty();

    [Fact]
    public void Missing_letters_are_named_once_each()
    {
        Checks
            .Looked(Piece("ßaß", Zone))
            .Findings.ShouldHaveSingleItem()
            .Message.ToString()
            .ShouldBe("Block has no “ß”. Choose a typeface that has it, or spell the name another way.");
        Checks.Looked(Piece("aa", Zone)).Findings.ShouldBeEmpty();
    }

    internal static CheckedFit Piece(string name, Box ink, NetTopologySuite.Geometries.Geometry? cut = null, Film? of = null)
    {
        var composition = TestMotifs.Compose(TestMotifs.Single("{name}"), name);
        var rooms = Rooms.InRectangle(ink, ZoneShape.Rectangle(Zone));
        var film = of ?? TestFilms.Plain(0.8);
        var area = cut ?? Outlines.Rectangle(ink);
        return new CheckedFit(
            new PieceFit
            {
                Piece = new Piece(name, name),
                State = FitStates.Of(rooms, rooms),
                Place = new FitPlace(1, 0, default),
                Zone = new Zone(ZoneShape.Rectangle(Zone), ZoneShape.Rectangle(Zone), Sure(Zone.Width), Sure(Zone.Height), 0, []),
                Parts = composition.PartsAt(1),
                Ink = area,
                Cautious = rooms,
                Nominal = rooms,
                Noticed = [.. LineFindings.Of(composition, composition.PartsAt(1))],
            },
            [new CheckedFilm(film, new FilmPly("", 1), new InkFacts(area, FilmLimits.Of(film)))]
        );
    }

    [Fact]
    public void Facts_of_ink_tell_strokes_gaps_and_counters_and_are_made_once_for_the_same_ink_and_limits()
    {
        var film = Piece("H", Zone).Films[0].Film;
        // Two plates 0.5 apart and a bar of 0.6 beside them; the second plate has a hole of 3 × 3.
        var ink = Outlines.Union([
            Outlines.Rectangle(new Box(0, 0, 10, 10)),
            Overlay.Difference(Outlines.Rectangle(new Box(10.5, 0, 20, 10)), Outlines.Rectangle(new Box(13, 3, 16, 6))),
            Outlines.Rectangle(new Box(24, 0, 24.6, 10)),
        ]);
        var cache = new InkFactsCache();
        var limits = FilmLimits.Of(film);
        var facts = cache.Of("ink", ink, limits);
        facts.Strokes.ShouldHaveSingleItem().Width.ShouldBe(0.6, 0.02);
        facts.Thinnest!.Value.Width.ShouldBe(0.6, 0.02);
        // Waste comes out from 0.6 of the thinnest stroke, 0.48: the gap of 0.5 is wide enough.
        facts.Gaps.ShouldBeEmpty();
        facts.Parts.Count().ShouldBe(3);
        facts.Weeding.ShouldBe(new Weeding(2, 0, ink.Length, 9));
        cache.Of("ink", ink, limits).ShouldBeSameAs(facts);
        var gap = cache.Of("ink", ink, limits with { Gap = 0.6 }).Gaps.ShouldHaveSingleItem();
        gap.Width.ShouldBe(0.5, 0.02);
        gap.At.X.ShouldBe(10.25, 0.01);
        cache.Of("ink", ink, limits with { Purpose = FilmPurpose.PulledOff }).Weeding.Bits.ShouldBe(3);
    }

    private static Dimension Sure(double mm) => new(Length.Mm(mm), Length.Zero);
}
