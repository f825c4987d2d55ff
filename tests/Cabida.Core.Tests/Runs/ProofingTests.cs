using Cabida.Core.Blanks;
using Cabida.Core.Fitting;
using Cabida.Core.Geometry;
using Cabida.Core.Measures;
using Cabida.Core.Motifs;
using Cabida.Core.Proofs;
using Cabida.Core.Runs;
using Cabida.Core.Stock;

namespace Cabida.Core.Tests.Runs;

public class ProofingTests
{
    [Fact]
    public void An_approval_is_of_all_that_was_seen_not_of_a_name()
    {
        var approved = new Verdict(true, "", "abc", 3) { Seen = "seen" };
        Proofing.StateOf(approved, "seen", "abd", 9).ShouldBe(ProofState.Approved);
        Proofing.StateOf(approved, "other", "abc", 3).ShouldBe(ProofState.Voided);
        Proofing.StateOf(new Verdict(false, "with an h", "abc", 3), "seen", "xyz", 9).ShouldBe(ProofState.Corrected);
        Proofing.StateOf(null, "seen", "abc", 3).ShouldBe(ProofState.Open);
        // One from before all of it was taken is of the ink and the blank's revision.
        var old = new Verdict(true, "", "abc", 3);
        Proofing.StateOf(old, "seen", "abc", 3).ShouldBe(ProofState.Approved);
        Proofing.StateOf(old, "seen", "abd", 3).ShouldBe(ProofState.Voided);
        Proofing.StateOf(old, "seen", "abc", 4).ShouldBe(ProofState.Voided);
    }

    [Fact]
    public void What_the_customer_neither_sees_nor_gets_is_not_in_what_was_seen()
    {
        var film = new Film(
            "Navy",
            "#2b3f6b",
            FilmPurpose.Stays,
            false,
            TypedLength.Mm(0.8),
            TypedLength.Mm(300),
            TypedLength.Mm(300),
            new("", "", "", "", "")
        );
        var mug = TestBlanks.Mug() with
        {
            Material = new Material { Name = "enamel", Colour = "#ffffff" },
        };
        string Seen(Film f, Blank b, string id = "mug") => SeenHash.Of("ink", [f], id, b, BlankSheet.Of(b).Sizes[0]);
        var one = Seen(film, mug);
        Seen(
                film with
                {
                    Name = "Marine",
                    Note = "rack 3",
                    Width = TypedLength.Mm(500),
                    ThinnestStroke = TypedLength.Mm(1),
                    Settings = new("45", "", "", "", "2"),
                },
                mug
            )
            .ShouldBe(one);
        Seen(film, mug with { Name = "Mug, enamel", Note = "from the market", Tags = ["tin"], Retired = true }).ShouldBe(one);
        new[]
        {
            Seen(film with { Colour = "#b87333" }, mug),
            Seen(film with { Pattern = FilmPattern.Dots }, mug),
            Seen(film with { Material = FilmMaterial.HeatTransfer }, mug),
            Seen(film, mug with { Material = mug.Material with { Colour = "#000000" } }),
            Seen(film, mug, "another"),
            Seen(
                film,
                mug with
                {
                    Measured =
                    [
                        .. mug.Measured.Select(m =>
                            m.Dimension == DimensionKind.Height ? TestBlanks.Read(DimensionKind.Height, MeasuringTool.SteelRule, "104") : m
                        ),
                    ],
                }
            ),
        }
            .Append(one)
            .Distinct()
            .Count()
            .ShouldBe(7);
    }

    [Fact]
    public void What_became_of_a_piece_since_it_was_shown()
    {
        var shown = new ShownProof("2026-11-25 10:00", new Dictionary<string, string> { ["1"] = "abc" });
        Proofing.Since(shown, "1", "abc").ShouldBe(SinceShown.Same);
        Proofing.Since(shown, "1", "abd").ShouldBe(SinceShown.Changed);
        Proofing.Since(shown, "2", "abc").ShouldBe(SinceShown.New);
        Proofing.Since(null, "2", "abc").ShouldBe(SinceShown.Same);
    }

    [Fact]
    public void Ink_that_is_moved_grown_or_of_another_film_is_other_ink()
    {
        string Hash(double x, double w, string film = "a") =>
            InkHash.Of([new FilmInk(new FilmPly(film, 1), Outlines.Rectangle(new Box(x, 0, x + w, 5)))]);
        var one = Hash(0, 10);
        Hash(0, 10).ShouldBe(one);
        Hash(1e-9, 10).ShouldBe(one);
        new[] { Hash(0.001, 10), Hash(0, 10.001), Hash(0, 10, "b"), InkHash.Of([]) }.ShouldAllBe(h => h != one);
    }
}
