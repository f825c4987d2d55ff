using Cabida.Core.Motifs;
using Cabida.Core.Type;

namespace Cabida.Typography.Tests;

public sealed class GlyphTableTests : IDisposable
{
    private readonly ShippedTypefaces faces = new();
    private readonly InkCache cache = new();

    public void Dispose() => faces.Dispose();

    [Fact]
    public void Forms_are_known_by_their_names_and_gathered_by_kind()
    {
        var lobster = faces.Find("lobster")!;
        var tails = lobster.Glyphs.Where(g => g.Family == "end").ToList();
        string.Concat(tails.Select(g => g.Letter)).ShouldStartWith("aá");
        foreach (var letter in "adeghijklmnostuxy")
        {
            tails.ShouldContain(g => g.Letter == letter.ToString());
        }

        tails.ShouldAllBe(g => g.Known == GlyphKnown.ByName);
        FormWords.OfFamily("end").ShouldBe("with tail");
        // No glyph is in the table twice, and every plain letter is in it.
        lobster.Glyphs.DistinctBy(g => g.Glyph).Count().ShouldBe(lobster.Glyphs.Count);
        "abcXYZ09&".ShouldAllBe(c => lobster.Glyphs.Any(g => g.Known == GlyphKnown.Character && g.Letter == c.ToString()));
    }

    [Fact]
    public void At_least_six_shipped_scripts_have_swashes_or_tails_for_ten_letters() =>
        faces
            .All.Where(f =>
                f.Script.Length == 0 && f.Kind.Contains("script", StringComparison.Ordinal)
                || f.Kind.Contains("swashes", StringComparison.Ordinal)
            )
            .Count(f =>
                faces
                    .Find(f.Id)!
                    .Glyphs.Where(g =>
                        g.Letter is [>= 'A' and <= 'z']
                        && g.Family.Length > 0
                        && (
                            FormWords.IsTail(g.Family) || FormWords.IsSwash(g.Family) || g.Family.StartsWith("ss", StringComparison.Ordinal)
                        )
                    )
                    .Select(g => g.Letter)
                    .Distinct()
                    .Count() >= 10
            )
            .ShouldBeGreaterThanOrEqualTo(6);

    [Fact]
    public void What_a_glyph_looks_like_is_the_letter_it_is_named_for_or_nothing()
    {
        var (right, wrong, total) = (0, new List<string>(), 0);
        foreach (
            var id in new[]
            {
                "great-vibes",
                "dancing-script",
                "corinthia",
                "lobster",
                "pacifico",
                "eb-garamond",
                "zilla-slab",
                "birthstone",
            }
        )
        {
            var face = faces.Find(id)!;
            var like = new GlyphLikeness(
                ((OpenTypeface)face).Outlines,
                face.Glyphs.Where(g =>
                        g.Known == GlyphKnown.Character && g.Letter is [>= '0' and <= 'z'] && char.IsAsciiLetterOrDigit(g.Letter[0])
                    )
                    .Select(g => (g.Letter, (ushort)g.Glyph))
            );
            foreach (
                var glyph in face.Glyphs.Where(g =>
                    g.Known == GlyphKnown.ByName
                    && g.Letter is [>= 'A' and <= 'z']
                    && char.IsAsciiLetter(g.Letter[0])
                    && (FormWords.IsTail(g.Family) || g.Family is "alt" or "salt" || g.Family.StartsWith("ss", StringComparison.Ordinal))
                )
            )
            {
                total++;
                var found = like.Of((ushort)glyph.Glyph);
                right += found == glyph.Letter ? 1 : 0;
                if (found.Length > 0 && found != glyph.Letter && !string.Equals(found, glyph.Letter, StringComparison.OrdinalIgnoreCase))
                {
                    wrong.Add($"{id} {glyph.Name} → {found}");
                }
            }
        }

        // Much of what is drawn anew is like nothing; what is named is nearly always right.
        right.ShouldBeGreaterThan(total / 3);
        wrong.Count.ShouldBeLessThan(right / 6, string.Join(", ", wrong));
    }

    [Theory]
    [InlineData("lobster", "Lena", 3, "end")]
    [InlineData("great-vibes", "Marte", 4, "fina")]
    public void A_glyph_of_the_table_stands_in_its_line_with_the_kerning_of_the_face(string id, string name, int index, string family)
    {
        var face = faces.Find(id)!;
        var form = face.Glyphs.First(g => g.Letter == name[index..(index + 1)] && g.Family == family);
        var plain = face.Shape(name, []);
        var set = face.Shape(name, [], [new GlyphUse(form.Glyph, index, index + 1)]);
        set.Glyphs.Select(g => g.Index).ShouldBe(plain.Glyphs.Select(g => g.Index));
        set.Glyphs[index].Glyph.ShouldBe(form.Glyph);
        set.Glyphs.Take(index).Select(g => g.Glyph).ShouldBe(plain.Glyphs.Take(index).Select(g => g.Glyph));
        // What the face does by its feature it does by the glyph.
        if (face.Features.Contains(family))
        {
            face.Shape(name, [new FeatureUse(family, 1, index, index + 1)]).Glyphs.ShouldBe(set.Glyphs);
        }
    }

    [Fact]
    public void A_rule_gives_the_last_letter_of_every_name_its_tail_and_says_where_there_is_none()
    {
        var script = faces.Find("corinthia")!;
        var rule = new Alternate(AlternateScope.Last, "a", "", 0, "", 0)
        {
            FaceId = "corinthia",
            Family = "fina",
            Glyph = (int)script.Glyphs.First(g => g.Letter == "a" && g.Family == "fina").Glyph,
        };
        foreach (
            var (name, tail) in new[]
            {
                ("Lena", true),
                ("Tom", true),
                ("Anne", true),
                ("Bob", false),
                ("Rosa & Ida", true),
                ("Ann 7", false),
            }
        )
        {
            var (text, names) = Fields.FillAndFind("{name}", new Dictionary<string, string> { ["name"] = name });
            var line = new LetteringLine(
                text,
                script,
                LineSetting.Plain with
                {
                    Alternates = LetterRules.On([rule], text, names, script),
                },
                cache
            );
            line.Unmet.Count.ShouldBe(tail ? 0 : 1, name);
            line.InkAt(10).EqualsExact(new LetteringLine(text, script, LineSetting.Plain, cache).InkAt(10)).ShouldBe(!tail, name);
        }
    }

    [Fact]
    public void An_arabic_letter_of_the_table_still_joins_its_neighbours()
    {
        var face = faces.Find("aref-ruqaa")!;
        var plain = face.Shape("بيت", []).Glyphs;
        var other = face.Glyphs.First(g => g.Known == GlyphKnown.Character && g.Letter == "ن");
        var set = face.Shape("بيت", [], [new GlyphUse(other.Glyph, 1, 2)]).Glyphs.Where(g => face.Outline(g.Glyph).Count > 0).ToList();
        set.ShouldContain(g => g.Glyph == other.Glyph);
        set.Count(g => plain.Any(p => p.Glyph == g.Glyph)).ShouldBeGreaterThanOrEqualTo(2);
    }
}
