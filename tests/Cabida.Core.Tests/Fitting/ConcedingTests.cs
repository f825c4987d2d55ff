using Cabida.Core.Blanks;
using Cabida.Core.Findings;
using Cabida.Core.Fitting;
using Cabida.Core.Geometry;
using Cabida.Core.Measures;
using Cabida.Core.Motifs;
using Cabida.Core.Runs;
using Cabida.Core.Stock;
using Cabida.Core.Type;

namespace Cabida.Core.Tests.Fitting;

/// <summary>Blocks 0.5 em wide on 0.6 em: n of them are (0.6·n − 0.1) em wide, an em being the letter height over 0.7.</summary>
public class ConcedingTests
{
    private static readonly Concession CloseUp = new(ConcessionKind.CloseUp) { Percent = 8 };
    private static readonly Concession Smaller = new(ConcessionKind.Smaller) { Percent = 30 };

    [Fact]
    public void Closing_up_goes_as_far_as_it_must_and_no_further()
    {
        // 10 letters at 14: 5.9 em of 20 = 118 in 112; 9 gaps closed by c em each: c = 6/180 = 3.33 %, in tenths 3.4.
        var fit = Fit("HHHHHHHHHH", 14, 112, [CloseUp, Smaller]);
        fit.Concessions.ShouldHaveSingleItem().Message.ToString().ShouldBe("closed up 3.4 %");
        fit.State.ShouldBe(FitState.Fits);
        fit.LetterHeight.ShouldBe(14, 1e-9);
        fit.Ink.EnvelopeInternal.Width.ShouldBe(118 - (9 * 0.034 * 20), 1e-3);
    }

    [Fact]
    public void What_does_not_suffice_is_taken_back_when_the_next_does_alone()
    {
        // Closed up by 8 % it is 103.6 wide, too much for 60; on two lines it is 58 wide without.
        var fit = Fit("HHHHH HHHH", 14, 60, [CloseUp, new(ConcessionKind.TwoLines)]);
        fit.Concessions.Select(c => c.Kind).ShouldBe([ConcessionKind.TwoLines]);
        fit.Ink.EnvelopeInternal.Width.ShouldBe(58, 1e-3);
        fit.Ink.EnvelopeInternal.Height.ShouldBe(14 + 3.5 + 14, 1e-3);
        fit.LetterHeight.ShouldBe(14, 1e-9);
    }

    [Fact]
    public void Both_are_stated_when_both_are_needed_and_the_order_is_the_makers()
    {
        // 118 in 100: closed up by 8 % 103.6; the rest by being 3.5 % smaller.
        var both = Fit("HHHHHHHHHH", 14, 100, [CloseUp, Smaller]);
        both.Concessions.Select(c => c.Message.ToString()).ShouldBe(["closed up 8.0 %", "3.5 % smaller"]);
        Fit("HHHHHHHHHH", 14, 100, [Smaller, CloseUp]).Concessions.Select(c => c.Kind).ShouldBe([ConcessionKind.Smaller]);
    }

    [Fact]
    public void The_best_break_is_the_most_even_one() =>
        Fit("HHHH HH-HHHH HH", 14, 96, [new(ConcessionKind.TwoLines)])
            .Parts[0]
            .Body.Inner.Select(p => p.Line!.Line.Text)
            .ShouldBe(["HHHH HH-", "HHHH HH"]);

    [Fact]
    public void The_margin_that_is_short_gives_no_more_than_is_needed_and_the_name_stays_on_its_line()
    {
        var zone = Margined(new SideInsets(8, 8, 10, 10));
        var basis = Basis(14, 104, [new(ConcessionKind.Margin) { LeastMargin = TypedLength.Mm(4) }]) with
        {
            Zone = zone,
            Margins = new MarginSteps(new SideInsets(8, 8, 10, 10), Margined),
        };
        // Nine letters are 106 wide in 104: a millimetre at each side. Ten would be 118, which is more than may be given.
        var fit = PieceFit.Of(new("1", "HHHHHHHHH"), basis);
        fit.Concessions.ShouldHaveSingleItem().Message.ToString().ShouldBe("margin 7.0 mm left and right");
        fit.Place.At.ShouldBe(zone.Cautious.Datum);
        PieceFit.Of(new("1", "HHHHHHHHHH"), basis).Concessions.ShouldBeEmpty();

        // Moved to the right by 3 eight letters, 94 wide, are short at the right side alone: by 47 + 3 + 60 − 112 they are not; by 6 they
        // are by 1.
        var moved = PieceFit.Of(new("1", "HHHHHHHH") { Own = new Overrides { Right = TypedLength.Mm(6) } }, basis);
        moved.Concessions.ShouldHaveSingleItem().Message.ToString().ShouldBe("margin 7.0 mm right");
        moved.Place.At.X.ShouldBe(zone.Cautious.Datum.X + 6, 1e-9);
    }

    /// <summary>A board of 120 × 80 with margins.</summary>
    private static Zone Margined(SideInsets by)
    {
        var shape = ZoneShape.Rectangle(new Box(by.Left, by.Bottom, 120 - by.Right, 80 - by.Top));
        var first = new PlanePoint(60, 40);
        return Basis(14, 104, []).Zone with { Nominal = ZoneShape.Of(shape.Outline, first), Cautious = ZoneShape.Of(shape.Outline, first) };
    }

    [Fact]
    public void A_mug_gives_the_side_that_is_short_and_keeps_the_front()
    {
        var laid = BlankSheet.Of(TestBlanks.Mug()).Sizes[0].Zones[0];
        var spec = laid.Spec with { Margins = laid.Spec.Margins with { Right = TypedLength.Mm(2) } };
        var wider = BlankSheet.Of(TestBlanks.Mug() with { Zones = [spec] }).Sizes[0].Zones[0].ZoneInPlaceOf(laid)!;
        var before = laid.Zone!;
        wider.Cautious.Datum.ShouldBe(before.Cautious.Datum);
        wider.Cautious.Bounds.MinX.ShouldBe(before.Cautious.Bounds.MinX, 1e-6);
        wider.Cautious.Bounds.MaxX.ShouldBe(before.Cautious.Bounds.MaxX + 6, 1e-6);
    }

    [Fact]
    public void A_piece_that_fits_nothing_is_over_and_nothing_is_conceded_for_it()
    {
        var fit = Fit("HHHHHHHHHHHHHHHHHHHHHH", 14, 60, [CloseUp, Smaller]);
        fit.State.ShouldBe(FitState.Over);
        fit.Concessions.ShouldBeEmpty();
        Fit("HHHH", 14, 60, [CloseUp, Smaller]).Concessions.ShouldBeEmpty();
    }

    [Fact]
    public void By_hand_goes_before_concessions_and_stays_when_the_motif_changes()
    {
        var piece = new Piece("1", "HHHHH HHHHH")
        {
            Own = new Overrides
            {
                TwoLines = "HHHHH\nHHHHH",
                Right = TypedLength.Mm(3),
                LetterHeight = TypedLength.Mm(10),
            },
        };
        var fit = PieceFit.Of(piece, Basis(14, 60, [CloseUp]));
        fit.LetterHeight.ShouldBe(10, 1e-9);
        fit.Place.At.X.ShouldBe(3, 1e-9);
        fit.Concessions.ShouldBeEmpty();
        var larger = Basis(14, 60, [CloseUp]);
        larger = larger with { Motif = larger.Motif with { Parts = [TestMotifs.Line("a", "{name}", 25), TestMotifs.Line("b", "HH", 5)] } };
        PieceFit.Of(piece, larger).Parts[0].Body.Inner.Count.ShouldBe(2);
    }

    [Fact]
    public void Where_the_letters_have_gone_that_were_set_by_hand_it_says_so_and_does_not_guess()
    {
        var own = new Overrides
        {
            TwoLines = "Anna\nMaria",
            Letters = [new("a", new Alternate(AlternateScope.Place, "a", "Anna Maria", 3, "salt", 1))],
        };
        var kept = PieceFit.Of(new Piece("1", "Anna Maria") { Own = own with { TwoLines = "" } }, Basis(14, 300, []));
        kept.Noticed.ShouldBeEmpty();
        var renamed = PieceFit.Of(new Piece("1", "Anna Marit") { Own = own }, Basis(14, 300, []));
        renamed
            .Noticed.Where(f => f.Rule == Rule.OverrideLost)
            .Select(f => f.Message.ToString())
            .ShouldBe([
                "The two lines set by hand, “Anna / Maria”, are not what the name says now, Anna Marit. It stands as the set has it.",
                "The other form of a was chosen in “Anna Maria”, which the line no longer says. It stands as the set has it.",
            ]);
        renamed.Parts[0].Line!.Line.Text.ShouldBe("Anna Marit");
    }

    [Theory]
    [InlineData("Hana Masa", "Hana\nMasa", 3, 0)]
    [InlineData("Hana Masa", "Hana\nMasa", 8, 1)]
    [InlineData("Ana-Masa", "Ana-\nMasa", 5, 1)]
    public void A_letter_in_another_form_keeps_it_on_the_line_it_comes_to_stand_on(string name, string broken, int index, int line)
    {
        var plain = new Overrides { TwoLines = broken };
        var own = plain with { Letters = [new("a", new Alternate(AlternateScope.Place, "a", name, index, "salt", 1))] };
        double Width(Overrides by, int of) =>
            PieceFit.Of(new Piece("1", name) { Own = by }, Basis(14, 300, [])).Parts[0].Body.Inner[of].Box.Width;
        Width(own, line).ShouldBeGreaterThan(Width(plain, line) + 1);
        Width(own, 1 - line).ShouldBe(Width(plain, 1 - line), 1e-9);
    }

    private static PieceFit Fit(string name, double height, double width, IReadOnlyList<Concession> concessions) =>
        PieceFit.Of(new("1", name), Basis(height, width, concessions));

    private static FitBasis Basis(double height, double width, IReadOnlyList<Concession> concessions)
    {
        var shape = ZoneShape.Rectangle(new Box(-width / 2, -30, width / 2, 30));
        Dimension Sure(double mm) => new(Length.Mm(mm), Length.Zero);
        var film = new Film(
            "Film",
            "#000000",
            FilmPurpose.Stays,
            false,
            TypedLength.Mm(0.1),
            TypedLength.Mm(300),
            TypedLength.Mm(300),
            new("", "", "", "", "")
        );
        return new FitBasis(
            TestMotifs.Single("{name}"),
            null,
            null,
            new Zone(shape, shape, Sure(width), Sure(60), 0, []),
            film,
            height,
            new AtHand(new BlockFace(), new InkCache())
        )
        {
            Concessions = concessions,
        };
    }
}
