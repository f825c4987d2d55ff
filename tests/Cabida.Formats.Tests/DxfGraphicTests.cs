using System.Text;
using Cabida.Core.Geometry;
using Cabida.Core.Motifs;
using Cabida.Formats.Graphics;

namespace Cabida.Formats.Tests;

/// <summary>Files written by another program (ezdxf 0.18), beside the tests.</summary>
public class DxfGraphicTests
{
    private static ReadGraphic Read(string file) =>
        GraphicFile.Read(file, File.ReadAllBytes(Path.Combine(AppContext.BaseDirectory, "Drawings", file))).Value;

    private static double Area(GraphicPiece p) => Outlines.FromContours(p.Closed, 0.001, 0.02, evenOdd: true).Area;

    [Fact]
    public void A_plate_of_lines_and_arcs_is_joined_with_its_holes_and_its_blocks_in_place()
    {
        var read = Read("plate.dxf");
        (read.SizeStated, read.PerUnit).ShouldBe((true, 1));
        var plate = read.Pieces.ShouldHaveSingleItem();
        plate.Colour.ShouldBe("#ff0000");
        var rounded = (100 * 50) - ((4 - Math.PI) * 100);
        // Diamonds of 8 across (32 in area), at 1, 1.5 and 2 times their size.
        Area(plate).ShouldBe(rounded - (Math.PI * 9) - (Math.PI * 8) - (32 * (1 + 2.25 + 4)), 0.05);
        plate.Closed.Count.ShouldBe(1 + 2 + 3);
        plate.Closed[0].Segments.ShouldContain(s => s is CubicTo);
        string.Join(' ', read.Notes).ShouldContain("layers that are switched off");
        string.Join(' ', read.Notes).ShouldContain("text");
    }

    [Fact]
    public void Bulges_and_splines_stay_curves_and_what_does_not_close_is_open()
    {
        var read = Read("curves.dxf");
        read.PerUnit.ShouldBe(25.4);
        var circle = read.Pieces[0];
        Area(circle).ShouldBe(Math.PI * 25.4 * 25.4, 0.05);
        // The spline's span ends where its last control point lies; a line closes it.
        var arch = read.Pieces[1].Closed.ShouldHaveSingleItem();
        arch.Segments.Count(s => s is CubicTo).ShouldBe(2);
        Area(read.Pieces[1]).ShouldBeInRange(2 * 1.0 * 645.16, 2 * 1.4 * 645.16);
        read.Pieces[2].Open.ShouldHaveSingleItem().Segments[^1].End.ShouldBe(new PlanePoint(7 * 25.4, 25.4));
    }

    [Fact]
    public void An_old_file_without_a_unit_is_read_and_its_sizes_are_offered()
    {
        var read = Read("old.dxf");
        read.SizeStated.ShouldBeFalse();
        read.Others.Select(o => o.PerUnit).ShouldBe([1, 25.4, 10, 1000]);
        var plate = read.Pieces.ShouldHaveSingleItem();
        // A slot of a square of 10 with two half discs of radius 5 taken from 40 × 20.
        Area(plate).ShouldBe(800 - (100 + (Math.PI * 25)), 0.05);
    }

    [Theory]
    [InlineData("0\nSECTION\n2\nHEADER\n9\n$ACADVER\n1\nXY99\n0\nENDSEC\n0\nSECTION\n2\nENTITIES\n0\nENDSEC\n0\nEOF\n", "version “XY99”")]
    [InlineData("0\nSECTION\n2\nENTITIES\n0\nENDSEC\n0\nEOF\n", "nothing that can be cut")]
    [InlineData("0\nSECTION\n2\nENTITIES\nLINE\n8\n", "damaged in line 5")]
    [InlineData("0\nSECTION\n2\nHEADER\n0\nENDSEC\n0\nEOF\n", "no section of entities")]
    [InlineData("0\nSECTION\n2\nENTITIES\n0\nTEXT\n1\nHello\n0\nENDSEC\n0\nEOF\n", "only text")]
    [InlineData("0\nSECTION\n2\nENTITIES\n0\nLINE\n10\n0\n20\n0\n11\n1e999\n21\n0\n0\nENDSEC\n0\nEOF\n", "no finite numbers")]
    public void A_file_that_cannot_be_used_says_why(string dxf, string reason) =>
        GraphicFile.Read("a.dxf", Encoding.UTF8.GetBytes(dxf)).Problem.ShouldNotBeNull().ToString().ShouldContain(reason);

    [Fact]
    public void Blocks_within_themselves_end()
    {
        const string Dxf =
            "0\nSECTION\n2\nBLOCKS\n0\nBLOCK\n2\nA\n10\n0\n20\n0\n0\nCIRCLE\n10\n0\n20\n0\n40\n5\n0\nINSERT\n2\nA\n10\n9\n20\n0\n0\nENDBLK\n0\nENDSEC\n0\nSECTION\n2\nENTITIES\n0\nINSERT\n2\nA\n10\n0\n20\n0\n0\nENDSEC\n0\nEOF\n";
        var read = GraphicFile.Read("a.dxf", Encoding.UTF8.GetBytes(Dxf)).Value;
        read.Pieces.Count.ShouldBeInRange(2, 40);
        string.Join(' ', read.Notes).ShouldContain("without end");
    }
}
