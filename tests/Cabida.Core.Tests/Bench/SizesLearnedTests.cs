using Cabida.Core.Bench;
using Cabida.Core.Runs;
using CsCheck;

namespace Cabida.Core.Tests.Bench;

public class SizesLearnedTests
{
    [Fact]
    public void Three_pieces_four_thousandths_narrow_tell_what_the_next_becomes()
    {
        var factor = SizeFactor.Of([(200, 199.2), (100, 99.6), (150, 149.4)]);
        factor.By.ShouldBe(0.996, 1e-9);
        factor.IsSure.ShouldBeTrue();
        factor.Expected(183.3).ShouldBe(182.57, 0.01);
        SizeFactor.Of([(200, 199.2), (100, 99.6)]).Expected(183.3).ShouldBe(183.3);
    }

    [Fact]
    public void What_chance_explains_is_not_learned()
    {
        var chance = SizeFactor.Of([(100, 100.3), (100, 99.6), (100, 100.2), (100, 100.0)]);
        chance.IsSure.ShouldBeFalse();
        chance.Expected(100).ShouldBe(100);
    }

    [Fact]
    public void A_slip_of_the_comma_and_what_was_not_measured_count_for_nothing()
    {
        SizeFactor.Counts(183.3, 18.3).ShouldBeFalse();
        SizeFactor.Counts(0, 10).ShouldBeFalse();
        var factor = SizeFactor.Of([(200, 199.2), (100, 99.6), (150, 149.4), (183.3, 18.3), (120, 0)]);
        (factor.By, factor.Entries).ShouldBe((SizeFactor.Of([(200, 199.2), (100, 99.6), (150, 149.4)]).By, 3));
    }

    [Fact]
    public void Only_what_the_same_cutter_cut_from_the_same_film_counts()
    {
        SizeMade Made(string of, string cutter, string film, double by) => new(of, of, cutter, film, 100, 50, 100 * by, 0);
        var made = new[] { Made("1", "c", "f", 0.99), Made("2", "c", "f", 0.99), Made("3", "c", "f", 0.99), Made("4", "c", "g", 1.05) };
        SizesLearned.Of(made, "c", "f").Width.By.ShouldBe(0.99, 1e-9);
        SizesLearned.Of(made, "c", "f").Height.Entries.ShouldBe(0);
        SizesLearned.Of(made, "other", "f").IsSure.ShouldBeFalse();
    }

    [Fact]
    public void No_other_factor_leaves_less() =>
        Gen.Select(Gen.Double[20, 300], Gen.Double[0.95, 1.05])
            .Array[3, 10]
            .Sample(of =>
            {
                var sizes = of.Select(o => (Asked: o.Item1, Real: o.Item1 * o.Item2)).ToList();
                var by = SizeFactor.Of(sizes).By;
                double Left(double f) => sizes.Sum(s => Math.Pow(s.Real - (f * s.Asked), 2));
                Left(by).ShouldBeLessThanOrEqualTo(Left(by + 1e-4));
                Left(by).ShouldBeLessThanOrEqualTo(Left(by - 1e-4));
            });

    [Fact]
    public void A_size_that_is_noted_again_replaces_what_was_noted_and_nothing_typed_takes_it_out()
    {
        var first = new MeasuredPiece("a", 0, Cabida.Core.Measures.TypedLength.Mm(10), Cabida.Core.Measures.TypedLength.Empty);
        var making = Making.None.Measuring(first).Measuring(first with { Side = 1 }).Measuring(first with { Width = first.Height });
        making.Measured.ShouldBe([first with { Side = 1 }]);
    }
}
