using System.Buffers.Binary;
using System.Text;
using Cabida.Core.Geometry;
using Cabida.Core.Type;

namespace Cabida.Typography.Tests;

public sealed class TypefaceFileTests : IDisposable
{
    private readonly ShippedTypefaces faces = new();

    public void Dispose() => faces.Dispose();

    private static byte[] Shipped(string name)
    {
        using var stream = typeof(ShippedTypefaces).Assembly.GetManifestResourceStream(name)!;
        using var memory = new MemoryStream();
        stream.CopyTo(memory);
        return memory.ToArray();
    }

    [Fact]
    public void A_file_tells_its_name_and_its_licence()
    {
        var face = TypefaceFile.Read("garamond.ttf", Shipped("EBGaramond-SemiBold.ttf")).Value.ShouldHaveSingleItem();
        face.Name.ShouldContain("Garamond");
        face.Licence.ShouldContain("Open Font License");
    }

    [Fact]
    public void Both_faces_of_a_collection_can_be_set()
    {
        var collection = Collection(Shipped("Pacifico.ttf"), Shipped("ZillaSlab-Bold.ttf"));
        var read = TypefaceFile.Read("two.ttc", collection).Value;
        read.Count.ShouldBe(2);
        using var second = new OpenTypeface(new TypefaceInfo("z", read[1].Name, "slab"), "1", collection, 1);
        Box Of(ITypeface face) => new LetteringLine("Zoë", face, LineSetting.Plain, new InkCache()).BoxAt(10)!.Value;
        Of(second).ShouldBe(Of(faces.Find("zilla-slab")!));
    }

    [Fact]
    public void A_damaged_file_and_one_without_outlines_are_refused_with_the_reason()
    {
        var whole = Shipped("Pacifico.ttf");
        string Why(byte[] file) => TypefaceFile.Read("a.ttf", file).Problem.ShouldNotBeNull().ToString();
        Why([]).ShouldContain("it is empty");
        Why(Encoding.ASCII.GetBytes("this is a letter, not a typeface")).ShouldContain("is no typeface");
        Why(whole[..(whole.Length / 2)]).ShouldContain("shorter than it says");
        // Renamed, its table of outlines is none.
        var bare = (byte[])whole.Clone();
        bare.AsSpan().IndexOf("glyf"u8).ShouldBeGreaterThan(0);
        "XXXX"u8.CopyTo(bare.AsSpan(bare.AsSpan().IndexOf("glyf"u8)));
        Why(bare).ShouldContain("no outlines");
        // Zeros where the glyphs should be.
        var empty = (byte[])whole.Clone();
        var entry = empty.AsSpan().IndexOf("glyf"u8);
        empty
            .AsSpan(
                (int)BinaryPrimitives.ReadUInt32BigEndian(empty.AsSpan(entry + 8)),
                (int)BinaryPrimitives.ReadUInt32BigEndian(empty.AsSpan(entry + 12))
            )
            .Clear();
        Why(empty).ShouldContain("cannot be drawn");
    }

    [Fact]
    public void Other_forms_of_a_letter_change_its_drawing_and_nothing_else_is_offered()
    {
        var garamond = faces.Find("eb-garamond")!;
        var forms = garamond.FormsOf("Queen", 0);
        forms.Count.ShouldBeGreaterThan(0);
        var plain = garamond.Shape("Queen", []).Glyphs.Select(g => g.Glyph).ToList();
        forms.ShouldAllBe(f => !garamond.Shape("Queen", new[] { f }).Glyphs.Select(g => g.Glyph).SequenceEqual(plain));
        garamond.Features.ShouldContain(forms[0].Tag);
        // A ligature can be taken apart for one place.
        garamond
            .Shape("fi", [])
            .Glyphs.Count.ShouldBeLessThan(garamond.Shape("fi", new[] { new FeatureUse("liga", 0, 0, 2) }).Glyphs.Count + 1);
    }

    /// <summary>Two files as one collection: a header, and every table's place moved behind it.</summary>
    private static byte[] Collection(params byte[][] files)
    {
        using var memory = new MemoryStream();
        var header = 12 + (4 * files.Length);
        var start = header;
        memory.Write("ttcf"u8);
        memory.Write([0, 1, 0, 0, 0, 0, 0, (byte)files.Length]);
        foreach (var file in files)
        {
            var at = new byte[4];
            BinaryPrimitives.WriteUInt32BigEndian(at, (uint)start);
            memory.Write(at);
            start += file.Length;
        }

        start = header;
        foreach (var file in files)
        {
            var moved = (byte[])file.Clone();
            for (var t = 0; t < BinaryPrimitives.ReadUInt16BigEndian(file.AsSpan(4)); t++)
            {
                var place = moved.AsSpan(12 + (16 * t) + 8, 4);
                BinaryPrimitives.WriteUInt32BigEndian(place, BinaryPrimitives.ReadUInt32BigEndian(place) + (uint)start);
            }

            memory.Write(moved);
            start += file.Length;
        }

        return memory.ToArray();
    }
}
