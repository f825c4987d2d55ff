using Cabida.Core.Blanks;
using Cabida.Core.Fitting;
using Cabida.Core.Geometry;
using Cabida.Core.Measures;
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
        Fit("HHHH HH-HHHH HH", 14, 96, [new(ConcessionKind.TwoLines)]).Parts[0].Body.Inner.Select(p => p.Line!.Line.Text).ShouldBe(["HHHH HH-", "HHHH HH"]);

    [Fact]
    public void Margins_shrink_only_where_they_may()
    {
        ZoneShape Of(double margin) => ZoneShape.Rectangle(new Box(margin, 0, 120 - margin, 60));
        Zone ZoneOf(double margin) => Ground(14, 104, []).Zone with { Nominal = Of(margin), Cautious = Of(margin) };
        var margins = new MarginSteps([.. Enumerable.Range(1, 16).Select(i => 8 - (i * 0.5))], i => ZoneOf(8 - ((i + 1) * 0.5)));
        var ground = Ground(14, 104, [new(ConcessionKind.Margin) { LeastMargin = TypedLength.Mm(4) }]) with { Zone = ZoneOf(8), Margins = margins };
        // 106 in 104 asks for a margin of 7; 118 would ask for 1, which is less than may be.
        PieceFit.Of(new("1", "HHHHHHHHH"), ground).Concessions.ShouldHaveSingleItem().Message.ToString().ShouldBe("margin 7.0 mm");
        PieceFit.Of(new("1", "HHHHHHHHHH"), ground).Concessions.ShouldBeEmpty();
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
        var piece = new Piece("1", "HHHHH HHHHH") { Own = new Overrides { TwoLines = "HHHHH\nHHHHH", Right = TypedLength.Mm(3), LetterHeight = TypedLength.Mm(10) } };
        var fit = PieceFit.Of(piece, Ground(14, 60, [CloseUp]));
        fit.LetterHeight.ShouldBe(10, 1e-9);
        fit.Place.At.X.ShouldBe(3, 1e-9);
        fit.Concessions.ShouldBeEmpty();
        var larger = Ground(14, 60, [CloseUp]);
        larger = larger with { Motif = larger.Motif with { Parts = [TestMotifs.Line("a", "{name}", 25), TestMotifs.Line("b", "HH", 5)] } };
        PieceFit.Of(piece, larger).Parts[0].Body.Inner.Count.ShouldBe(2);
    }

    [Fact]
    public void Where_the_letters_have_gone_that_were_set_by_hand_it_says_so_and_does_not_guess()
    {
        var own = new Overrides { TwoLines = "Anna\nMaria", Letters = [new("a", new Alternate(AlternateScope.Place, "a", "Anna Maria", 3, "salt", 1))] };
        var kept = PieceFit.Of(new Piece("1", "Anna Maria") { Own = own with { TwoLines = "" } }, Ground(14, 300, []));
        kept.Findings.ShouldBeEmpty();
        var renamed = PieceFit.Of(new Piece("1", "Anna Marit") { Own = own }, Ground(14, 300, []));
        renamed.Findings.Where(f => f.Rule == Cabida.Core.Checking.Rule.OverrideLost).Select(f => f.Message.ToString()).ShouldBe([
            "The two lines set by hand, “Anna / Maria”, are not what the name says now, Anna Marit. It stands as the set has it.",
            "The other form of a was chosen in “Anna Maria”, which the line no longer says. It stands as the set has it."]);
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
        double Width(Overrides by, int of) => PieceFit.Of(new Piece("1", name) { Own = by }, Ground(14, 300, [])).Parts[0].Body.Inner[of].Box.Width;
        Width(own, line).ShouldBeGreaterThan(Width(plain, line) + 1);
        Width(own, 1 - line).ShouldBe(Width(plain, 1 - line), 1e-9);
    }

    private static PieceFit Fit(string name, double height, double width, IReadOnlyList<Concession> concessions) => PieceFit.Of(new("1", name), Ground(height, width, concessions));

    private static RunGround Ground(double height, double width, IReadOnlyList<Concession> concessions)
    {
        var shape = ZoneShape.Rectangle(new Box(-width / 2, -30, width / 2, 30));
        Dimension Sure(double mm) => new(Length.Mm(mm), Length.Zero);
        var film = new Film("Film", "#000000", FilmPurpose.Stays, false, TypedLength.Mm(0.1), TypedLength.Mm(300), TypedLength.Mm(300), new("", "", "", "", ""));
        return new RunGround(TestMotifs.Single("{name}"), null, null, new Zone(shape, shape, Sure(width), Sure(60), 0, []), film, height, new BlockFace(), new InkCache()) { Concessions = concessions };
    }
}
