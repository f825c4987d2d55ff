using System.Xml.Linq;
using Cabida.Core.Cutting;
using Cabida.Core.Geometry;
using Cabida.Core.Type;
using Cabida.Formats.Cutting;
using Cabida.Typography;

namespace Cabida.Formats.Tests;

public sealed class CutSvgTests : IDisposable
{
    private readonly ShippedTypefaces faces = new();

    public void Dispose() => faces.Dispose();

    [Theory]
    [InlineData("kaushan-script", 38.2)]
    [InlineData("sacramento", 12)]
    [InlineData("zilla-slab", 150)]
    public void A_file_read_back_measures_what_was_computed(string faceId, double capitals)
    {
        var face = faces.Find(faceId)!;
        var ink = Outlines.Placed(
            new LetteringLine("Konstantinos", face, LineSetting.Plain, new InkCache()).InkAt(capitals / face.CapitalHeight),
            1,
            40,
            60
        );
        var box = Box.Of(ink)!.Value;
        var read = CutSvgMeasure.Of(CutSvg.Write(TestCuts.Of(900, 300, [("Konstantinos", ink)])));
        (read.Width, read.Height).ShouldBe((900, 300));
        var back = read.Used!.Value;
        back.MinX.ShouldBe(box.MinX, 0.03);
        back.MaxX.ShouldBe(box.MaxX, 0.03);
        back.MinY.ShouldBe(300 - box.MaxY, 0.03);
        back.MaxY.ShouldBe(300 - box.MinY, 0.03);
        read.Outlines.ShouldBe(Outlines.RingsOf(ink).Count());
    }

    [Fact]
    public void Names_with_markup_and_control_characters_are_kept_from_harming_the_file()
    {
        var square = Outlines.Rectangle(new Box(0, 0, 10, 10));
        var svg = CutSvg.Write(TestCuts.Of(20, 20, [("\"</path>\"", square)]) with { Title = "<job> & \u0001" });
        var root = XDocument.Parse(svg).Root!;
        root.Descendants().Count(e => e.Name.LocalName == "path").ShouldBe(1);
        root.Attribute("viewBox")!.Value.ShouldBe("0 0 20 20");
        root.Attribute("width")!.Value.ShouldBe("20mm");
    }

    [Fact]
    public void File_names_tell_job_run_load_film_and_mirror()
    {
        FileNames
            .OfLoad("Fernhollow order", "Crew mugs", 1, 2, "Navy vinyl", "")
            .ShouldBe("fernhollow-order_crew-mugs_load-1-of-2_navy-vinyl");
        FileNames.OfLoad("Łódź / ../x", "  ", 2, 2, "Flex", "mirrored").ShouldBe("łódź-x_unnamed_load-2-of-2_flex_mirrored");
        FileNames.OfLoad(new string('a', 300), "r", 1, 1, "f", "").Length.ShouldBeLessThan(80);
    }

    [Theory]
    [InlineData("<svg", "Not XML")]
    [InlineData("<svg width='10' height='10mm' viewBox='0 0 10 10'/>", "not in millimetres")]
    [InlineData("<svg width='10mm' height='10mm'/>", "No view box")]
    [InlineData("<svg width='10mm' height='10mm' viewBox='0 0 10 10'><path d='M0 0L5 5'/></svg>", "not closed")]
    [InlineData("<svg width='10mm' height='10mm' viewBox='0 0 10 10'><path d='M0 0A5 5 0 0 0 1 1Z'/></svg>", "not expected")]
    public void What_could_be_misread_is_refused(string svg, string says) =>
        Should.Throw<FormatException>(() => CutSvgMeasure.Of(svg)).Message.ShouldContain(says);

    [Fact]
    public void A_view_box_in_other_units_is_brought_to_millimetres() =>
        CutSvgMeasure
            .Of("<svg width='20mm' height='20mm' viewBox='0 0 200 200'><path d='M10 10L110 10L110 60Z'/></svg>")
            .Used.ShouldBe(new Box(1, 1, 11, 6));

    [Fact]
    public void Cuts_through_waste_are_open_lines_of_their_own_and_come_back_as_they_were_written()
    {
        var square = Outlines.Rectangle(new Box(5, 5, 15, 15));
        IReadOnlyList<PlanePoint> way = [new(20, 0), new(19.5, 8.25), new(20, 20)];
        var svg = CutSvg.Write(TestCuts.Of(60, 40, [("a", square)], CutGroups.OfWaste(new Box(0, 0, 40, 20), [way])));
        var read = CutSvgMeasure.Of(svg);
        // What is cut of ink is as it was without them.
        read.Outlines.ShouldBe(1);
        read.Pieces.ShouldBe([new Box(5, 25, 15, 35)]);
        read.Waste.Select(w => w.Closed).ShouldBe([true, false]);
        read.Waste[0].Points.ShouldBe([new(0, 40), new(40, 40), new(40, 20), new(0, 20)]);
        read.Waste[1].Points.ShouldBe(way.Select(p => p with { Y = 40 - p.Y }));
        read.NearestWaste!.Value.ShouldBe(new NetTopologySuite.Geometries.Coordinate(15, 8).Distance(new(19.5, 8)), 0.05);
        read.Used.ShouldBe(new Box(0, 20, 40, 40));
        read.Beyond.ShouldBe(0);
        CutSvgMeasure
            .Of(CutSvg.Write(TestCuts.Of(30, 40, [("a", square)], CutGroups.OfWaste(new Box(0, 0, 40, 20), []))))
            .Beyond.ShouldBe(10);
        // An open line among what is filled is still refused.
        Should.Throw<FormatException>(() => CutSvgMeasure.Of(svg.Replace("fill=\"none\"", "fill=\"#000000\"", StringComparison.Ordinal)));
    }
}
