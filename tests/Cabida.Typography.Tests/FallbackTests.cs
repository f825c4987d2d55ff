using Cabida.Core.Type;

namespace Cabida.Typography.Tests;

public sealed class FallbackTests : IDisposable
{
    private readonly ShippedTypefaces faces = new();

    public void Dispose() => faces.Dispose();

    [Theory]
    [InlineData("محمد", "Arabic")]
    [InlineData("שרה", "Hebrew")]
    [InlineData("प्रिया", "Devanagari")]
    [InlineData("রিয়া", "Bengali")]
    [InlineData("สมชาย", "Thai")]
    [InlineData("ნინო", "Georgian")]
    [InlineData("Արամ", "Armenian")]
    [InlineData("ゆうき", "Japanese")]
    [InlineData("李小龙", "Chinese")]
    [InlineData("민준", "Korean")]
    public void Any_name_of_a_list_can_be_set_in_the_face_like_the_one_chosen(string name, string script)
    {
        foreach (var id in new[] { "pacifico", "eb-garamond", "oswald", "comfortaa" })
        {
            var face = faces.Find(id)!;
            var with = Fallbacks.For(face, name, faces).ShouldBeOfType<FallbackFace>();
            with.Instead.Info.Script.ShouldBe(script, id);
            with.Shape(name, [], []).Missing.ShouldBeEmpty();
            // It goes by the name and the height of the face that was chosen.
            (with.Info.Id, with.CapitalHeight).ShouldBe((id, face.CapitalHeight));
        }
    }

    [Fact]
    public void Of_several_the_one_whose_strokes_and_kind_are_like_it_stands_in()
    {
        string For(string id, string name) => ((FallbackFace)Fallbacks.For(faces.Find(id)!, name, faces)).Instead.Info.Id;
        For("eb-garamond", "שרה").ShouldBe("frank-ruhl-libre");
        For("archivo", "שרה").ShouldBe("heebo");
        For("fredoka", "प्रिया").ShouldBe("baloo-2");
        // Cyrillic is in faces of its own design before it is in those of large scripts.
        faces.All.First(f => f.Id == For("graduate", "Ольга")).Script.ShouldBe("");
    }

    [Fact]
    public void Words_are_of_one_face_each_and_follow_one_another_as_the_line_runs()
    {
        var face = (FallbackFace)Fallbacks.For(faces.Find("sacramento")!, "Anna Ọláyínká Bo", faces);
        var line = face.Shape("Anna Ọláyínká Bo", [], []);
        line.Missing.ShouldBeEmpty();
        line.Glyphs.Select(g => g.X).ShouldBe(line.Glyphs.Select(g => g.X).Order());
        var other = line
            .Glyphs.GroupBy(g => g.Glyph >= FallbackFace.Other)
            .ToDictionary(g => g.Key, g => (Min: g.Min(x => x.Index), Max: g.Max(x => x.Index)));
        other[true].ShouldBe((5, 13));
        // Alone, the words that it has are set as ever.
        face.Shape("Anna Bo", [], []).ShouldBe(faces.Find("sacramento")!.Shape("Anna Bo", []), new Same());
        // From right to left the first word stands at the right.
        var hebrew = (FallbackFace)Fallbacks.For(faces.Find("archivo")!, "שרה לוי", faces);
        var set = hebrew.Shape("שרה לוי", [], []);
        set.Glyphs[0].Index.ShouldBeGreaterThan(set.Glyphs[^1].Index);
    }

    [Fact]
    public void Words_of_two_scripts_stand_in_two_faces_and_a_word_that_none_has_takes_none_with_it()
    {
        var face = faces.Find("corinthia")!;
        ShapedLine Set(string text) => Fallbacks.For(face, text, faces).ShouldBeOfType<FallbackFace>().Shape(text, [], []);
        foreach (var name in new[] { "प्रिया দাস", "Lena שרה দাস", "ゆうき 김", "محمد दास", "민준 Ольга Bo ใจดี" })
        {
            var line = Set(name);
            line.Missing.ShouldBeEmpty(name);
            // Each word is what it is alone, as high, somewhere along the line.
            foreach (var word in name.Split(' '))
            {
                var start = name.IndexOf(word, StringComparison.Ordinal);
                var set = line.Glyphs.Where(g => g.Index >= start && g.Index < start + word.Length).ToList();
                var by = (FallbackFace)Fallbacks.For(face, name, faces);
                set.ShouldNotBeEmpty();
                set.Select(g => g.Glyph / FallbackFace.Other).Distinct().ShouldHaveSingleItem();
                set.SelectMany(g => by.Outline(g.Glyph)).ShouldNotBeEmpty();
            }
        }

        var rune = Set("ᚠᚢ दास");
        rune.Missing.ShouldBe([0, 1]);
        rune.Glyphs.ShouldContain(g => g.Glyph >= FallbackFace.Other && g.Index >= 3);
    }

    [Fact]
    public void What_no_face_has_stays_lacking()
    {
        var face = faces.Find("archivo")!;
        Fallbacks.For(face, "ᚠᚢᚦ", faces).ShouldBeSameAs(face);
        Fallbacks.For(face, "Zoë", faces).ShouldBeSameAs(face);
    }

    [Fact]
    public void There_are_thirty_faces_of_the_kinds_that_are_asked_for_and_they_stay_small()
    {
        faces.All.Count(f => f.Script.Length == 0).ShouldBeGreaterThanOrEqualTo(30);
        foreach (
            var kind in new[]
            {
                "brush",
                "upright script",
                "fine script",
                "script with swashes",
                "bold display",
                "western",
                "college",
                "rounded",
                "typewriter",
                "hand-printed",
                "stencil",
                "slab",
                "condensed",
                "serif",
            }
        )
        {
            faces.All.ShouldContain(f => f.Kind == kind);
        }

        typeof(ShippedTypefaces)
            .Assembly.GetManifestResourceNames()
            .Where(n => n.EndsWith(".ttf", StringComparison.Ordinal))
            .Sum(n => typeof(ShippedTypefaces).Assembly.GetManifestResourceStream(n)!.Length)
            .ShouldBeLessThan(60_000_000);
    }

    private sealed class Same : IEqualityComparer<ShapedLine>
    {
        public bool Equals(ShapedLine? x, ShapedLine? y) => x!.Glyphs.SequenceEqual(y!.Glyphs) && x.Advance == y.Advance;

        public int GetHashCode(ShapedLine obj) => 0;
    }
}
