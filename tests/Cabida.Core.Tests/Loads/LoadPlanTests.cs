using Cabida.Core.Geometry;
using Cabida.Core.Loads;
using CsCheck;

namespace Cabida.Core.Tests.Loads;

public class LoadPlanTests
{
    private static readonly Gen<LoadItem[]> Items = Gen.Select(Gen.Double[1, 320], Gen.Double[1, 320])
        .Array[0, 40]
        .Select(a => a.Select((s, i) => new LoadItem($"{i}", s.Item1, s.Item2)).ToArray());

    [Fact]
    public void Every_piece_has_one_place_inside_the_reach_or_is_named_too_large() =>
        Items.Sample(items =>
        {
            var plan = LoadPlan.Of(items, 290, 280, 5);
            var placed = plan.Loads.SelectMany(l => l.Placements).ToList();
            placed
                .Select(p => p.PieceId)
                .Concat(plan.TooLarge.Select(t => t.PieceId))
                .Order()
                .ShouldBe(items.Select(i => i.PieceId).Order());
            placed.ShouldAllBe(p => p.Box.MinX >= -1e-9 && p.Box.MinY >= -1e-9 && p.Box.MaxX <= 290 + 1e-9 && p.Box.MaxY <= 280 + 1e-9);
            plan.TooLarge.ShouldAllBe(t =>
                Math.Max(t.Width, t.Height) > 290 || Math.Min(t.Width, t.Height) > 280 || (t.Width > 280 && t.Height > 280)
            );
        });

    [Fact]
    public void Pieces_of_a_load_keep_the_scissors_room_from_one_another() =>
        Items.Sample(items =>
            LoadPlan
                .Of(items, 290, 280, 5)
                .Loads.All(load =>
                {
                    var boxes = load.Placements.Select(p => p.Box).ToList();
                    return boxes
                        .SelectMany((a, i) => boxes.Skip(i + 1).Select(b => (a, b)))
                        .All(p =>
                            Math.Max(Math.Max(p.a.MinX - p.b.MaxX, p.b.MinX - p.a.MaxX), Math.Max(p.a.MinY - p.b.MaxY, p.b.MinY - p.a.MaxY))
                            >= 5 - 1e-9
                        );
                })
        );

    [Fact]
    public void Four_pieces_make_two_rows_and_a_fifth_a_second_load()
    {
        var plan = LoadPlan.Of([.. Enumerable.Range(0, 5).Select(i => new LoadItem($"{i}", 100, 95))], 210, 200, 10);
        plan.Loads.Count.ShouldBe(2);
        plan.Loads[0].Used.ShouldBe(new Box(0, 0, 210, 200));
        plan.Loads[1].Placements.ShouldHaveSingleItem().Box.ShouldBe(new Box(0, 105, 100, 200));
    }

    [Fact]
    public void The_same_list_gives_the_same_loads_and_equal_heights_keep_its_order() =>
        Items.Sample(items =>
        {
            var (one, two) = (LoadPlan.Of(items, 290, 280, 5), LoadPlan.Of([.. items], 290, 280, 5));
            one.Loads.SelectMany(l => l.Placements).ShouldBe(two.Loads.SelectMany(l => l.Placements));
            var level = LoadPlan.Of([.. items.Select(i => i with { Width = 20, Height = 10 })], 290, 280, 5);
            level
                .Loads.SelectMany(l => l.Placements)
                .Select(p => int.Parse(p.PieceId, System.Globalization.CultureInfo.InvariantCulture))
                .ShouldBeInOrder();
        });

    [Fact]
    public void No_load_is_empty_and_none_could_have_been_spared_for_equal_pieces() =>
        Gen.Select(Gen.Int[1, 60], Gen.Double[20, 140], Gen.Double[20, 140])
            .Sample(
                (count, width, height) =>
                {
                    var plan = LoadPlan.Of([.. Enumerable.Range(0, count).Select(i => new LoadItem($"{i}", width, height))], 290, 280, 5);
                    plan.Loads.ShouldAllBe(l => l.Placements.Count > 0);
                    // Equal pieces stand in a grid: so many across, so many down.
                    var perLoad = (int)Math.Floor((290 + 5) / (width + 5)) * (int)Math.Floor((280 + 5) / (height + 5));
                    plan.Loads.Count.ShouldBe((int)Math.Ceiling((double)count / perLoad));
                }
            );

    [Fact]
    public void A_piece_too_wide_for_the_reach_is_turned()
    {
        var placed = LoadPlan.Of([new("a", 250, 40)], 200, 300, 5).Loads[0].Placements[0];
        placed.Turned.ShouldBeTrue();
        (placed.Box.Width, placed.Box.Height).ShouldBe((40, 250));
    }

    [Fact]
    public void Ink_comes_to_its_place_turned_or_not()
    {
        var ink = Outlines.Ring([new(3, 3), new(13, 3), new(3, 8)]);
        var placement = new Placement("a", new Box(20, 30, 30, 35), false, 0);
        Box.Of(LoadInk.Placed(ink, placement))!.Value.ShouldBe(placement.Box);
        Box.Of(LoadInk.Placed(ink, new Placement("a", new Box(0, 0, 5, 10), true, 0)))!.Value.ShouldBe(new Box(0, 0, 5, 10));
    }
}
