using Cabida.Core.Pressing;
using Cabida.Core.Stock;
using CsCheck;

namespace Cabida.Core.Tests.Pressing;

public sealed class PressPlanTests
{
    private static readonly HeatBounds Anything = new("the goods", null, "", null);

    private static PressLayer Layer(string film, int from, int to, int seconds, int tack, int most, int face = 0, int second = 0) =>
        new(film, face, new HeatNeeds(from, to, seconds, tack, most, to, second));

    [Fact]
    public void Three_films_share_one_heat_and_each_gets_no_more_than_it_bears()
    {
        // The example of calculations 6.13: all in full would give A 37 s.
        PressLayer[] layers = [Layer("A", 155, 165, 15, 4, 30), Layer("B", 145, 155, 12, 4, 25), Layer("C", 150, 160, 10, 10, 20)];
        var plan = PressPlanning.Of(layers, Anything, []).Plan.ShouldNotBeNull();
        plan.Closings.Select(c => (c.Celsius, c.Seconds)).ShouldBe([(155, 4), (155, 4), (155, 10)]);
        new[] { 0, 1, 2 }.Select(plan.SecondsOf).ShouldBe([18, 14, 10]);
        plan.Changes.ShouldBe(0);
    }

    [Fact]
    public void The_plan_is_as_short_as_any_that_trying_everything_finds() =>
        Layers.Sample(
            layers =>
            {
                const double ceiling = 154;
                var brute = EveryPressPlan.Best(layers, ceiling);
                var plan = PressPlanning.Best(layers, ceiling);
                (plan is null).ShouldBe(brute is null);
                if (plan is not null)
                {
                    plan.Holds(ceiling).ShouldBeTrue();
                    (plan.Seconds, plan.Changes).ShouldBe(brute!.Value);
                }
            },
            iter: 200
        );

    [Fact]
    public void A_heat_may_be_moved_to_the_middle_and_the_plan_still_holds() =>
        Layers.Sample(
            layers =>
            {
                if (PressPlanning.Best([.. layers.Select(Wide)], 200) is { } plan)
                {
                    plan.Holds(200).ShouldBeTrue();
                }
            },
            iter: 200
        );

    /// <summary>A layer whose window is ten times as wide, so that there is a middle to move to.</summary>
    private static PressLayer Wide(PressLayer layer) =>
        layer with
        {
            Needs = layer.Needs with
            {
                From = 10 * (layer.Needs.From - 137),
                To = 10 * (layer.Needs.To - 136),
                MostHeat = 10 * (layer.Needs.MostHeat - 136),
            },
        };

    [Fact]
    public void The_other_face_is_pressed_in_the_better_order_and_counts_for_nothing_but_what_films_bear()
    {
        // The front bears little; pressed last it gets its own seconds alone.
        PressLayer[] layers = [Layer("front", 150, 160, 12, 4, 14), Layer("back", 150, 160, 10, 4, 40, face: 1)];
        var plan = PressPlanning.Of(layers, Anything, []).Plan.ShouldNotBeNull();
        plan.Layers.Select(l => l.Film).ShouldBe(["back", "front"]);
        plan.Seconds.ShouldBe(22);
        new[] { 0, 1 }.Select(plan.SettingSecondsOf).ShouldBe([10, 12]);
        new[] { 0, 1 }.Select(plan.SecondsOf).ShouldBe([22, 12]);
    }

    [Fact]
    public void A_second_press_is_made_unless_a_later_layer_is_one()
    {
        PressLayer lower = Layer("lower", 150, 160, 12, 4, 40, second: 3);
        var alone = PressPlanning.Of([lower], Anything, []).Plan!;
        alone.Closings.Select(c => (c.IsSecond, c.Seconds)).ShouldBe([(false, 12), (true, 3)]);
        var under = PressPlanning.Of([lower, Layer("upper", 150, 160, 8, 4, 40)], Anything, []).Plan!;
        under.Closings.Select(c => (c.Layer, c.IsSecond, c.Seconds)).ShouldBe([(0, false, 4), (1, false, 8)]);
    }

    [Fact]
    public void Films_that_exclude_each_other_are_named_with_what_would_mend_it()
    {
        PressLayer[] layers = [Layer("Foil", 130, 140, 8, 4, 16), Layer("Cream", 130, 165, 10, 4, 30), Layer("Flock", 155, 165, 15, 5, 40)];
        var conflict = PressPlanning.Of(layers, Anything, [Layer("Suede", 130, 140, 8, 4, 40)]).Conflict.ShouldNotBeNull();
        conflict.Films.ShouldBe(["Foil", "Flock"]);
        conflict.Why.ToString().ShouldBe("Foil bears 140 °C, and Flock, pressed after it, sets from 155 °C.");
        var mends = string.Join(' ', conflict.Mends.Select(m => m.ToString()));
        mends.ShouldContain("In another order it can be done, in");
        mends.ShouldContain("Take Suede instead of Flock.");
        mends.ShouldNotContain("instead of Foil");
    }

    [Fact]
    public void What_gets_too_many_seconds_is_told_with_how_many_it_would_be()
    {
        PressLayer[] layers = [Layer("A", 150, 160, 15, 15, 30), Layer("B", 150, 160, 12, 12, 25), Layer("C", 150, 160, 10, 10, 20)];
        var conflict = PressPlanning.Of(layers, Anything, []).Conflict.ShouldNotBeNull();
        conflict.Why.ToString().ShouldBe("A bears 30 s, and with B and C pressed after it gets 37 s at the least.");
    }

    [Theory]
    [InlineData(120.0, null, "Cream sets from 150 °C, and nylon bears 120 °C: less than any way to press it.")]
    [InlineData(null, 140.0, "Cream sets from 150 °C, and Iron reaches 140 °C.")]
    public void Goods_or_a_press_that_exclude_a_film_are_named(double? goods, double? press, string said) =>
        PressPlanning
            .Of([Layer("Cream", 150, 160, 12, 4, 30)], new HeatBounds("nylon", goods, "Iron", press), [])
            .Conflict.ShouldNotBeNull()
            .Why.ToString()
            .ShouldBe(said);

    [Fact]
    public void Nothing_is_planned_of_nothing_and_too_many_layers_are_refused()
    {
        PressPlanning.Of([], Anything, []).Plan.ShouldNotBeNull().Closings.ShouldBeEmpty();
        var many = Enumerable.Range(0, 9).Select(i => Layer($"{i}", 150, 160, 12, 4, 600)).ToList();
        Should.Throw<Cabida.Core.Wording.TooMuchWorkException>(() => PressPlanning.Of(many, Anything, []));
        var most = many.Take(8)
            .Select((l, i) => l with { Needs = l.Needs with { From = 140 + (2 * i), To = 150 + (2 * i), MostHeat = 180 } });
        PressPlanning.Of([.. most], Anything, []).Plan.ShouldNotBeNull().Holds(double.PositiveInfinity).ShouldBeTrue();
    }

    private static readonly Gen<PressLayer[]> Layers = Gen.Select(
            Gen.Int[150, 153],
            Gen.Int[0, 2],
            Gen.Int[1, 3],
            Gen.Int[1, 3],
            Gen.Int[3, 10],
            Gen.Int[0, 3],
            Gen.Select(Gen.Int[0, 1], Gen.Int[0, 3])
        )
        .Select(
            (from, wide, seconds, tack, most, bears, last) =>
                new PressLayer(
                    "",
                    last.Item1,
                    new HeatNeeds(
                        from,
                        from + wide,
                        seconds,
                        Math.Min(tack, seconds),
                        most,
                        from + wide + bears - 1,
                        Math.Max(0, last.Item2 - 1)
                    )
                )
        )
        .Array[1, 4]
        .Select(layers => layers.Select((l, i) => l with { Film = $"{i}" }).ToArray());
}
