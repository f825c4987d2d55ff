using Cabida.Core.Blanks;
using Cabida.Core.Checking;
using Cabida.Core.Findings;
using Cabida.Core.Fitting;
using Cabida.Core.Geometry;
using Cabida.Core.Measures;
using Cabida.Core.Motifs;
using Cabida.Core.Stock;
using Cabida.Core.Type;

namespace Cabida.Core.Tests.Fitting;

public class PieceFitTests
{
    [Fact]
    public void A_short_name_is_limited_by_height_and_centred_by_ink()
    {
        var fit = Fit("H");
        fit.State.ShouldBe(FitState.Fits);
        fit.Cautious!.Limits.ShouldBe([LimitKind.Rim, LimitKind.Base]);
        fit.Cautious.Left.Distance.ShouldBe(fit.Cautious.Right.Distance, 1e-6);
        fit.LetterHeight.ShouldBe(Sheet.Zone!.Height.Cautious.Millimetres, 1e-3);
    }

    [Fact]
    public void One_letter_height_makes_a_long_name_over_and_says_by_how_much()
    {
        // Nine blocks: 8 × 0.6 + 0.5 em wide, em = 30/0.7; the zone is 199.611 wide by the best values.
        var fit = Fit("HHHHHHHHH", letterHeight: 30);
        fit.State.ShouldBe(FitState.Over);
        fit.MayBeCut.ShouldBeFalse();
        var over = (5.3 * 30 / 0.7) - 199.611;
        var finding = Checked(fit).Findings.ShouldHaveSingleItem();
        finding.Rule.ShouldBe(Rule.OutsideZone);
        finding.Message.ToString().ShouldBe($"HHHHHHHHH is {over:0.0} mm wider than the zone.");
        fit.Nominal!.Left.Distance.ShouldBe(-over / 2, 1e-3);
        fit.LargestLetterHeight!.Value.ShouldBe(Sheet.Zone!.Width.Cautious.Millimetres / 5.3 * 0.7, 1e-3);
    }

    [Fact]
    public void Between_the_two_zones_it_is_snug()
    {
        var nominal = Sheet.Zone!.Width.Value.Millimetres / 5.3 * 0.7;
        var fit = Fit("HHHHHHHHH", letterHeight: nominal - 0.01);
        fit.State.ShouldBe(FitState.Snug);
        fit.MayBeCut.ShouldBeTrue();
        Checked(fit).Findings.ShouldHaveSingleItem().Severity.ShouldBe(Severity.Look);
    }

    [Fact]
    public void A_missing_character_stops_the_piece() =>
        Fit("HßH")
            .Noticed.ShouldContain(f =>
                f.Rule == Rule.MissingCharacters && f.Severity == Severity.Stop && f.Message.ToString().Contains("“ß”")
            );

    [Fact]
    public void A_name_without_ink_is_not_set() => Fit(" ").State.ShouldBe(FitState.NotSet);

    [Fact]
    public void A_thin_stroke_is_found_at_its_letter_with_figure_and_limit()
    {
        // At 2 mm the ring of o is 0.1 em = 0.286 mm strong.
        var thin = Checked(Fit("Hqo", letterHeight: 2, thinnest: "0.8"), "0.8").Findings.First(f => f.Rule == Rule.ThinStrokes);
        thin.Figure!.Value.ShouldBe(0.2 / 0.7, Tolerances.Check);
        thin.Limit.ShouldBe(0.8);
        thin.Message.ToString().ShouldContain(" in o");
        Checked(Fit("Hqo", thinnest: "0.8"), "0.8").Findings.ShouldNotContain(f => f.Rule == Rule.ThinStrokes);
    }

    [Fact]
    public void On_a_taper_the_bow_of_the_straight_line_is_stated()
    {
        var basis = Basis(TestBlanks.Tumbler("276", "219", "150"), null, "0");
        var fit = PieceFit.Of(new("1", "HHHH"), basis);
        var width = Box.Of(fit.Ink)!.Value.Width;
        var ring = basis.Wall!.RingAt(basis.Zone.MiddleHeight);
        fit.Bow!.By.Millimetres.ShouldBe(Math.Sqrt((ring * ring) + (width * width / 4)) - ring, 1e-9);
        Fit("HHHH").Bow.ShouldBeNull();
    }

    private static BlankSheet Sheet => BlankSheet.Of(TestBlanks.Mug());

    private static PieceFit Fit(string name, double? letterHeight = null, string thinnest = "0") =>
        PieceFit.Of(new("1", name), Basis(TestBlanks.Mug(), letterHeight, thinnest));

    private static CheckedFit Checked(PieceFit fit, string thinnest = "0") =>
        Checks.Of(fit, Basis(TestBlanks.Mug(), null, thinnest), new InkFactsCache());

    private static FitBasis Basis(Blank blank, double? letterHeight, string thinnest)
    {
        var sheet = BlankSheet.Of(blank);
        var film = new Film(
            "Film",
            "#000000",
            FilmPurpose.Stays,
            false,
            new(thinnest),
            TypedLength.Mm(300),
            TypedLength.Mm(300),
            new("", "", "", "", "")
        );
        return new FitBasis(
            TestMotifs.Single("{name}"),
            sheet.Wall,
            null,
            sheet.Zone!,
            film,
            letterHeight,
            new AtHand(new BlockFace(), new InkCache())
        );
    }
}
