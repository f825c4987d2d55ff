using Cabida.Core.Geometry;
using Cabida.Core.Motifs;
using Cabida.Core.Tracing;

namespace Cabida.Core.Tests.Motifs;

public class GraphicTraceTests
{
    private static readonly (byte R, byte G, byte B) Paper = (250, 248, 240),
        Navy = (30, 40, 90),
        Red = (200, 40, 30);

    [Fact]
    public void A_disc_is_followed_to_a_fraction_of_a_pixel_and_specks_are_dropped()
    {
        var picture = Picture(200, 160, (x, y) =>
            Math.Sqrt(((x - 90) * (x - 90)) + ((y - 80) * (y - 80))) < 50 || (x is > 180 and < 182 && y is > 20 and < 22) ? Navy : Paper
        );
        var piece = GraphicTrace.Of(picture, new GraphicTraceChoice(1, 0.5, false, 12)).Value.ShouldHaveSingleItem();
        var area = Outlines.FromContours(piece.Closed, 0.05, 0.1, evenOdd: true);
        piece.Closed.ShouldHaveSingleItem().Segments.ShouldContain(s => s is CubicTo);
        area.Area.ShouldBe(Math.PI * 2500, 12);
        area.Centroid.X.ShouldBe(90, 0.1);
        // y is turned up.
        area.Centroid.Y.ShouldBe(80, 0.1);
    }

    [Fact]
    public void Flat_colours_become_a_piece_each_without_the_background()
    {
        var picture = Picture(120, 80, (x, y) => x is > 10 and < 50 && y is > 10 and < 70 ? Navy
            : x is > 70 and < 110 && y is > 30 and < 50 ? Red
            : Paper);
        var pieces = GraphicTrace.Of(picture, new GraphicTraceChoice(3, 0.5, true, 4)).Value;
        pieces.Select(p => p.Colour).ShouldBe(["#1e285a", "#c8281e"]);
        Outlines.FromContours(pieces[0].Closed, 0.05, 0.1, evenOdd: true).Area.ShouldBe(40 * 60, 12);
        GraphicTrace.Of(picture, new GraphicTraceChoice(3, 0.5, false, 4)).Value.Count.ShouldBe(3);
        // More colours than there are find no more.
        GraphicTrace.Of(picture, new GraphicTraceChoice(8, 0.5, true, 4)).Value.Count.ShouldBe(2);
    }

    [Theory]
    [InlineData(1)]
    [InlineData(4)]
    public void A_picture_of_a_single_colour_is_refused(int colours) =>
        GraphicTrace
            .Of(Picture(40, 30, (_, _) => Navy), new GraphicTraceChoice(colours, 0.5, true, 4))
            .Problem!.ToString()
            .ShouldContain("single colour");

    [Fact]
    public void A_threshold_that_nothing_passes_says_so() =>
        GraphicTrace
            .Of(Picture(40, 30, (x, _) => x < 20 ? Paper : ((byte)200, (byte)200, (byte)200)), new GraphicTraceChoice(1, 0.1, true, 4))
            .Problem!.ToString()
            .ShouldContain("Raise it");

    [Fact]
    public void White_art_on_a_clear_ground_is_art_by_opacity_and_by_colour()
    {
        (byte, byte, byte) white = (255, 255, 255);
        bool Disc(double x, double y) => Math.Sqrt(((x - 60) * (x - 60)) + ((y - 40) * (y - 40))) < 30;
        ColourPicture Clear(Func<double, double, (byte, byte, byte)> of, Func<double, double, bool> there) =>
            Picture(120, 80, of) with
            {
                Opacity = [.. Enumerable.Range(0, 120 * 80).Select(i => there((i % 120) + 0.5, (i / 120) + 0.5) ? (byte)255 : (byte)0)],
            };
        var art = Clear((_, _) => white, Disc);
        foreach (
            var choice in new[]
            {
                new GraphicTraceChoice(1, 0.5, true, 4) { ByOpacity = true },
                new GraphicTraceChoice(3, 0.5, true, 4),
            }
        )
        {
            var piece = GraphicTrace.Of(art, choice).Value.ShouldHaveSingleItem();
            piece.Colour.ShouldBe("#ffffff");
            Outlines.FromContours(piece.Closed, 0.05, 0.1, evenOdd: true).Area.ShouldBe(Math.PI * 900, 8);
        }

        // A colour that reaches the border is no background where the ground is clear; one that is drawn all over is.
        var two = Clear((x, _) => x < 60 ? Navy : white, (x, y) => Disc(x, y) || y > 75);
        GraphicTrace.Of(two, new GraphicTraceChoice(3, 0.5, true, 4)).Value.Select(p => p.Colour).Order().ShouldBe(["#1e285a", "#ffffff"]);
        GraphicTrace.Of(art, new GraphicTraceChoice(1, 0.5, true, 4)).Problem!.ToString().ShouldContain("Follow what is not clear");
        GraphicTrace
            .Of(Picture(40, 30, (_, _) => Navy), new GraphicTraceChoice(1, 0.5, true, 4) { ByOpacity = true })
            .Problem!.ToString()
            .ShouldContain("Nothing in the picture is clear");
    }

    private static ColourPicture Picture(int width, int height, Func<double, double, (byte R, byte G, byte B)> of)
    {
        var pixels = new byte[3 * width * height];
        for (var y = 0; y < height; y++)
        {
            for (var x = 0; x < width; x++)
            {
                (pixels[3 * ((y * width) + x)], pixels[(3 * ((y * width) + x)) + 1], pixels[(3 * ((y * width) + x)) + 2]) = of(
                    x + 0.5,
                    y + 0.5
                );
            }
        }

        return new ColourPicture(width, height, pixels);
    }
}
