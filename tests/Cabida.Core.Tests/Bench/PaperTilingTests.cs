using Cabida.Core.Bench;
using Cabida.Core.Geometry;
using CsCheck;

namespace Cabida.Core.Tests.Bench;

public sealed class PaperTilingTests
{
    [Fact]
    public void The_way_up_that_takes_fewer_pages_is_taken()
    {
        // The example of calculations 6.15: upright 3 × 3, across 2 × 4.
        var tiling = PaperTiling.Of(new Box(0, 0, 450, 720), Paper.A4).Value;
        (tiling.IsAcross, tiling.Across, tiling.Down, tiling.Pages).ShouldBe((true, 2, 4, 8));
        PaperTiling.Of(new Box(0, 0, 190, 277), Paper.A4).Value.Pages.ShouldBe(1);
        PaperTiling.Of(new Box(0, 0, 190.1, 277), Paper.A4).Value.Pages.ShouldBe(2);
    }

    [Fact]
    public void Pages_cover_all_of_it_and_overlap_by_as_much_as_is_said() =>
        Gen.Select(Gen.Double[1, 900], Gen.Double[1, 900], Gen.Bool)
            .Sample(
                (w, h, letter) =>
                {
                    var content = new Box(-50, 20, -50 + w, 20 + h);
                    var tiling = PaperTiling.Of(content, letter ? Paper.Letter : Paper.A4).Value;
                    var pages = (
                        from row in Enumerable.Range(0, tiling.Down)
                        from column in Enumerable.Range(0, tiling.Across)
                        select tiling.PageBox(column, row)
                    ).ToList();
                    Box.Around(pages)!.Value.Grown(1e-6).Holds(content).ShouldBeTrue();
                    pages.ShouldAllBe(p => Math.Abs(p.Width - (tiling.PageWidth - 20)) < 1e-9);
                    for (var column = 1; column < tiling.Across; column++)
                    {
                        (tiling.PageBox(column - 1, 0).MaxX - tiling.PageBox(column, 0).MinX).ShouldBe(10, 1e-9);
                    }

                    for (var row = 1; row < tiling.Down; row++)
                    {
                        (tiling.PageBox(0, row).MaxY - tiling.PageBox(0, row - 1).MinY).ShouldBe(10, 1e-9);
                    }
                },
                iter: 300
            );

    [Fact]
    public void What_would_take_too_many_pages_is_refused() =>
        PaperTiling.Of(new Box(0, 0, 3000, 3000), Paper.A4).Problem.ShouldNotBeNull().ToString().ShouldContain("pages of A4");
}
