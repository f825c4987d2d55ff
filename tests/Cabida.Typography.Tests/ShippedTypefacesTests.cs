using Cabida.Core.Geometry;
using Cabida.Core.Type;

namespace Cabida.Typography.Tests;

public sealed class ShippedTypefacesTests : IDisposable
{
    private readonly ShippedTypefaces faces = new();
    private readonly InkCache cache = new();

    public static TheoryData<string> Ids
    {
        get
        {
            using var faces = new ShippedTypefaces();
            return [.. faces.All.Select(f => f.Id)];
        }
    }

    public void Dispose() => faces.Dispose();

    [Fact]
    public void At_least_eight_kinds_ship() => faces.All.Select(f => f.Kind).Distinct().Count().ShouldBeGreaterThanOrEqualTo(8);

    [Theory]
    [MemberData(nameof(Ids))]
    public void Each_ships_with_an_open_licence(string id)
    {
        var licence = ShippedTypefaces.LicenceOf(id).ShouldNotBeNull();
        licence.Length.ShouldBeGreaterThan(500);
        licence.ShouldContain("SIL Open Font License", Case.Insensitive);
    }

    [Theory]
    [MemberData(nameof(Ids))]
    public void Each_sets_a_name_into_valid_outlines_of_the_asked_capital_height(string id)
    {
        var face = faces.Find(id)!;
        var size = 40 / face.CapitalHeight;
        var capital = new LetteringLine("H", face, LineSetting.Plain, cache).BoxAt(size)!.Value;
        capital.MaxY.ShouldBe(40, 0.02);
        var line = new LetteringLine(face.Info.Sample.Length > 0 ? face.Info.Sample : "Zoë-Marie", face, LineSetting.Plain, cache);
        line.Missing.ShouldBeEmpty();
        var ink = line.InkAt(size);
        ink.IsValid.ShouldBeTrue();
        Box.Of(ink)!.Value.Width.ShouldBe(line.BoxAt(size)!.Value.Width, 1e-6);
    }

    [Fact]
    public void Script_letters_that_flow_together_become_one_outline()
    {
        var ink = new LetteringLine("lemon", faces.Find("pacifico")!, LineSetting.Plain, cache).InkAt(50);
        Outlines.PolygonsOf(ink).Count().ShouldBe(1);
        Outlines.PolygonsOf(new LetteringLine("lemon", faces.Find("archivo")!, LineSetting.Plain, cache).InkAt(50)).Count().ShouldBe(5);
    }

    [Fact]
    public void A_stencil_face_has_no_islands() =>
        Outlines
            .PolygonsOf(new LetteringLine("ABDOPQR", faces.Find("saira-stencil")!, LineSetting.Plain, cache).InkAt(50))
            .ShouldAllBe(p => p.NumInteriorRings == 0);

    [Fact]
    public void What_a_face_lacks_is_told_at_the_letter_it_belongs_to()
    {
        faces.Find("pacifico")!.Shape("Aβ中", []).Missing.ShouldBe([1, 2]);
        faces.Find("sacramento")!.Shape("Ọlá", []).Missing.ShouldBe([0]);
    }

    [Fact]
    public void Spacing_moves_letters_apart_by_its_share_of_the_em()
    {
        double Wide(double spacing) =>
            new LetteringLine("HHH", faces.Find("archivo")!, LineSetting.Plain with { Spacing = spacing }, cache).BoxAt(1)!.Value.Width;
        (Wide(0.1) - Wide(0)).ShouldBe(0.2, 1e-6);
    }

    [Fact]
    public void Kerning_of_the_face_is_used() =>
        faces
            .Find("eb-garamond")!
            .Shape("AV", [])
            .Advance.ShouldBeLessThan(
                faces.Find("eb-garamond")!.Shape("A", []).Advance + faces.Find("eb-garamond")!.Shape("V", []).Advance
            );
}
