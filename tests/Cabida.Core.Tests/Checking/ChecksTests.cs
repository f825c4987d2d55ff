using Cabida.Core.Blanks;
using Cabida.Core.Checking;
using Cabida.Core.Fitting;
using Cabida.Core.Geometry;
using Cabida.Core.Measures;
using Cabida.Core.Stock;

namespace Cabida.Core.Tests.Checking;

public class ChecksTests
{
    private static readonly Box Zone = new(-50, -20, 50, 20);

    [Fact]
    public void The_most_serious_findings_come_first()
    {
        var findings = Checks.Of(Piece("HßH", new Box(-60, -10, 60, 10), thin: [new ThinPart(ThinKind.Neck, new(0, 0), 0.5, 3)]));
        findings.Select(f => f.Rule).ShouldBe([Rule.MissingCharacters, Rule.OutsideZone, Rule.ThinStrokes]);
        findings.Select(f => f.Severity).ShouldBe([Severity.Stop, Severity.Stop, Severity.Look]);
    }

    [Fact]
    public void Too_wide_and_too_high_are_said_apart_each_with_its_figure()
    {
        var findings = new OutsideZone().Look(Piece("Bo", new Box(-53, -20.5, 53, 21))).ToList();
        findings.Select(f => f.Message.ToString()).ShouldBe(["Bo is 6.0 mm wider than the zone.", "Bo is 1.5 mm higher than the zone."]);
        findings[1].Place.ShouldBe(new PlanePoint(0, 21));
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
        new MissingCharacters()
            .Look(Piece("ßaß", Zone))
            .ShouldHaveSingleItem()
            .Message.ToString()
            .ShouldBe("Block has no “ß”. Choose a typeface that has it, or spell the name another way.");
        new MissingCharacters().Look(Piece("aa", Zone)).ShouldBeEmpty();
    }

    [Fact]
    public void Of_many_thin_places_the_thinnest_are_shown()
    {
        var thin = Enumerable.Range(1, 20).Select(i => new ThinPart(ThinKind.Neck, new(0, 0), i / 40.0, 2)).Reverse().ToList();
        var shown = new ThinStrokes().Look(Piece("H", Zone, thin: thin)).ToList();
        shown.Count.ShouldBe(6);
        shown[0].Figure.ShouldBe(1 / 40.0);
        shown.Select(f => f.Figure).ShouldBeInOrder();
    }

    [Theory]
    [InlineData(ThinKind.Neck, "A stroke of 0.50 mm")]
    [InlineData(ThinKind.Tip, "A tip of 0.50 mm")]
    [InlineData(ThinKind.Throughout, "A stroke of 0.50 mm")]
    public void A_thin_place_is_said_with_its_letter_length_and_limit(ThinKind kind, string begins)
    {
        var words = new ThinStrokes().Look(Piece("H", Zone, thin: [new ThinPart(kind, new(0, 0), 0.5, 3)])).Single().Message.ToString();
        words.ShouldStartWith(begins);
        words.ShouldContain("in H, 3.0 mm long; this film weeds cleanly from 0.80 mm");
    }

    private static CheckedPiece Piece(string name, Box ink, IReadOnlyList<ThinPart>? thin = null)
    {
        var composition = TestMotifs.Compose(TestMotifs.Single("{name}"), name);
        var rooms = Rooms.InRectangle(ink, ZoneShape.Rectangle(Zone));
        var film = new Film(
            "Film",
            "#000000",
            FilmPurpose.Stays,
            false,
            TypedLength.Mm(0.8),
            TypedLength.Mm(300),
            TypedLength.Mm(300),
            new("", "", "", "", "")
        );
        return new CheckedPiece(
            name,
            composition,
            composition.PartsAt(1),
            Outlines.Rectangle(ink),
            rooms,
            rooms,
            [new CheckedFilm(film, thin ?? [])]
        );
    }
}
