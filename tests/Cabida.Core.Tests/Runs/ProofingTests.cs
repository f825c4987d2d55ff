using Cabida.Core.Fitting;
using Cabida.Core.Geometry;
using Cabida.Core.Motifs;
using Cabida.Core.Proofs;
using Cabida.Core.Runs;

namespace Cabida.Core.Tests.Runs;

public class ProofingTests
{
    [Fact]
    public void An_approval_is_of_the_ink_and_the_blank_not_of_a_name()
    {
        var approved = new Verdict(true, "", "abc", 3);
        Proofing.StateOf(approved, "abc", 3).ShouldBe(ProofState.Approved);
        Proofing.StateOf(approved, "abd", 3).ShouldBe(ProofState.Voided);
        Proofing.StateOf(approved, "abc", 4).ShouldBe(ProofState.Voided);
        Proofing.StateOf(new Verdict(false, "with an h", "abc", 3), "xyz", 9).ShouldBe(ProofState.Corrected);
        Proofing.StateOf(null, "abc", 3).ShouldBe(ProofState.Open);
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
        string Hash(double x, double w, string film = "a") => InkHash.Of([new FilmInk(new FilmPly(film, 1), Outlines.Rectangle(new Box(x, 0, x + w, 5)))]);
        var one = Hash(0, 10);
        Hash(0, 10).ShouldBe(one);
        Hash(1e-9, 10).ShouldBe(one);
        new[] { Hash(0.001, 10), Hash(0, 10.001), Hash(0, 10, "b"), InkHash.Of([]) }.ShouldAllBe(h => h != one);
    }
}
