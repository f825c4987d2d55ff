using Cabida.Core.Blanks;
using Cabida.Core.Drawings;
using Cabida.Core.Geometry;
using Cabida.Core.Measures;
using Cabida.Formats.Proofs;
using SkiaSharp;
using UglyToad.PdfPig;

namespace Cabida.Formats.Tests.Proofs;

public class ProofPdfTests
{
    [Fact]
    public void Every_name_can_be_read_and_every_piece_is_drawn_at_the_stated_scale()
    {
        string[] names = ["Agnieszka", "Ελένη", "Phương", "Ọláyínká", "O’Rourke"];
        using var pdf = PdfDocument.Open(ProofPdf.Write(Sheet(names)));
        var page = pdf.GetPages().ShouldHaveSingleItem();
        page.Width.ShouldBe(210 * 72 / 25.4, 0.5);
        var text = string.Concat(page.Letters.Select(l => l.Value));
        foreach (var name in names)
        {
            text.ShouldContain(name);
        }

        text.ShouldContain("Lantern Yard Workshop");
        text.ShouldContain("asked: with an h");
        text.ShouldContain("changed");
        text.ShouldContain("All at 1 : 2.5");
        // A zone 180 wide stands 72 wide; the ink in it, 120 by 20, 48 by 8.
        var sizes = page
            .Paths.Select(p => p.GetBoundingRectangle())
            .Where(b => b is not null)
            .Select(b => (Width: b!.Value.Width * 25.4 / 72, Height: b.Value.Height * 25.4 / 72))
            .ToList();
        sizes.ShouldContain(s => Math.Abs(s.Width - 72) < 0.1 && Math.Abs(s.Height - 24) < 0.1);
        sizes.Count(s => Math.Abs(s.Width - 48) < 0.1 && Math.Abs(s.Height - 8) < 0.1).ShouldBe(names.Length);
    }

    [Fact]
    public void What_cannot_be_made_is_not_offered_to_be_ticked()
    {
        using var pdf = PdfDocument.Open(ProofPdf.Write(Sheet(["Ada", "Bram", "Ioanna", "Siân", "Zoë"])));
        var page = pdf.GetPages().Single();
        // A place to tick is a square of 3; the fourth piece lacks a letter and has none.
        page.Paths.Select(p => p.GetBoundingRectangle())
            .Count(b => b is { } r && Math.Abs((r.Width * 25.4 / 72) - 3) < 0.05 && Math.Abs((r.Height * 25.4 / 72) - 3) < 0.05)
            .ShouldBe(4);
        var text = string.Concat(page.Letters.Select(l => l.Value));
        text.ShouldContain("not ready: nothing to tick");
        text.ShouldContain("It lacks a letter.");
    }

    [Fact]
    public void Letters_of_a_word_stand_as_far_apart_as_they_are_wide()
    {
        using var pdf = PdfDocument.Open(ProofPdf.Write(Sheet(["Konstantinos"])));
        var letters = pdf.GetPages().Single().Letters;
        var pairs = letters
            .Zip(letters.Skip(1))
            .Where(p =>
                Math.Abs(p.First.StartBaseLine.Y - p.Second.StartBaseLine.Y) < 0.01
                && p.Second.StartBaseLine.X > p.First.StartBaseLine.X
                && char.IsLetter(p.First.Value[0])
                && char.IsLetter(p.Second.Value[0])
            )
            .ToList();
        pairs.Count.ShouldBeGreaterThan(60);
        // A word drawn in letters rounded to whole points looks torn; a tenth of a point is seen by nobody.
        pairs.Max(p => Math.Abs(p.Second.StartBaseLine.X - p.First.StartBaseLine.X - p.First.Width)).ShouldBeLessThan(0.1);
    }

    [Fact]
    public void Many_pieces_go_over_several_pages_and_none_is_left_out()
    {
        var names = Enumerable.Range(0, 60).Select(i => $"Volunteer{(char)('A' + (i / 26))}{(char)('a' + (i % 26))}").ToArray();
        using var pdf = PdfDocument.Open(ProofPdf.Write(Sheet(names)));
        pdf.NumberOfPages.ShouldBeGreaterThan(2);
        var text = string.Concat(pdf.GetPages().SelectMany(p => p.Letters).Select(l => l.Value));
        names.ShouldAllBe(n => text.Contains(n));
    }

    [Fact]
    public void Outlines_finer_than_paper_shows_do_not_make_the_file_larger()
    {
        int Size(int corners)
        {
            var disc = Outlines.Factory.CreatePolygon([
                .. Enumerable
                    .Range(0, corners + 1)
                    .Select(i => 2 * Math.PI * (i % corners) / corners)
                    .Select(a => new NetTopologySuite.Geometries.Coordinate(25 * Math.Cos(a), 30 + (25 * Math.Sin(a)))),
            ]);
            var sheet = Sheet(["Bram", "Ioanna"]);
            return ProofPdf
                .Write(sheet with { Pieces = [.. sheet.Pieces.Select(p => p with { Inks = [new ColouredInk(disc, "#2b3f6b")] })] })
                .Length;
        }

        ((double)Size(40_000)).ShouldBeLessThan(Size(400) * 1.1);
        Size(400).ShouldBeGreaterThan(Size(8));
    }

    [Fact]
    public void A_picture_shows_goods_and_ink_in_their_colours_and_is_as_large_as_asked()
    {
        Dimension Sure(double mm) => new(Length.Mm(mm), Length.Zero);
        var wall = new Wall(null, Sure(257), Sure(94), Length.Zero, Sure(42));
        var zone = Zone.Of(wall, Length.Mm(10), Length.Mm(12), Length.Mm(8)).Value;
        var ink = SeenDrawing.Seen(wall, Outlines.Rectangle(new Box(-20, 30, 20, 60)), 0);
        using var picture = SKBitmap.Decode(
            ShopPicture.Png(SeenDrawing.Blank(wall, zone, 0), "#ffcc00", [new ColouredInk(ink, "#102030")], isRound: false, 500)
        );
        (picture.Width, picture.Height).ShouldBe((500, 500));
        picture.GetPixel(3, 3).ShouldBe(SKColors.White);
        var seen = new HashSet<SKColor>(picture.Pixels);
        seen.ShouldContain(new SKColor(0xff, 0xcc, 0x00));
        seen.ShouldContain(new SKColor(0x10, 0x20, 0x30));
    }

    private static ProofSheet Sheet(string[] names)
    {
        var zone = Outlines.Rectangle(new Box(-90, 0, 90, 60));
        return new ProofSheet(
            "Lantern Yard Workshop",
            "at the old lamp shed",
            [new ColouredInk(Outlines.Rectangle(new Box(0, 0, 20, 10)), "#000000")],
            "Crew day: Crew mugs",
            "Fernhollow Tramway Museum",
            "25 November 2026",
            "#f4f1ea",
            [
                .. names.Select(
                    (n, i) =>
                        new ProofPiece(
                            n,
                            "120.0 × 20.0 mm",
                            i == 3 ? "It lacks a letter." : null,
                            i == 1 ? "asked: with an h" : "",
                            i == 2 ? "changed" : "",
                            [new ColouredInk(Outlines.Rectangle(new Box(-60, 20, 60, 40)), "#2b3f6b")],
                            zone
                        )
                ),
            ]
        );
    }
}
