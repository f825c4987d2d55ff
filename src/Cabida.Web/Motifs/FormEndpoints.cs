using System.Globalization;
using Cabida.Core.Geometry;
using Cabida.Core.Motifs;
using Cabida.Core.Type;
using Cabida.Formats.Svg;
using Cabida.Store;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Cabida.Web.Motifs;

/// <summary>Another form of a letter, with the whole word in it; one em being 100 high, y up.</summary>
/// <param name="Form">How it is asked for: a feature of the face, or a glyph of its table. Its scope is where it is chosen already.</param>
/// <param name="Name">What it is, in words.</param>
/// <param name="Path">The word with the form in its place.</param>
/// <param name="Box">The box of the word.</param>
/// <param name="LetterBox">The box of the letter itself.</param>
/// <param name="IsChosen">Whether it is chosen already.</param>
/// <param name="Uses">How many motifs of the library use it.</param>
internal sealed record LetterForm(Alternate Form, string Name, string Path, Box Box, Box LetterBox, bool IsChosen, int Uses);

/// <summary>The forms of a letter: as drawn, those of the face's features and named rows; what is used is in front.</summary>
internal sealed record LetterForms(
    string Letter,
    string Words,
    int Index,
    string Face,
    string FaceId,
    LetterForm AsDrawn,
    IReadOnlyList<LetterForm> Others
);

/// <summary>A glyph of a face's table; one em being 100 high, y up.</summary>
/// <param name="Glyph">Its number.</param>
/// <param name="Letter">The letter it stands for; empty where that is not known.</param>
/// <param name="Family">Its kind of form in the face; empty for a plain letter.</param>
/// <param name="Name">What it is, in words.</param>
/// <param name="How">How its letter is known.</param>
/// <param name="Path">Its outline.</param>
/// <param name="Box">The box of that.</param>
internal sealed record GlyphView(int Glyph, string Letter, string Family, string Name, GlyphKnown How, string Path, Box Box);

/// <summary>Some glyphs of a face.</summary>
/// <param name="From">The place of the first of them.</param>
/// <param name="All">How many there are of those asked for.</param>
/// <param name="Glyphs">They.</param>
internal sealed record GlyphPage(int From, int All, IReadOnlyList<GlyphView> Glyphs);

internal static class FormEndpoints
{
    private const double FormSize = 100;
    private const int MostOnPage = 240;

    public static void MapForms(this RouteGroupBuilder api)
    {
        api.MapGroup("/motifs")
            .WithTags("Motifs")
            .MapGet(
                "/{id}/parts/{partId}/letters/{index:int}",
                async Task<Results<Ok<LetterForms>, NotFound>> (
                    string id,
                    string partId,
                    int index,
                    Cabida.Store.Library library,
                    MotifViews views,
                    InkCache cache,
                    CancellationToken stop
                ) =>
                {
                    if (
                        await library.Find(DocumentKinds.Motif, id, stop) is not { Document: var motif }
                        || !views.Compose(motif, GroundShape.None).Lines.TryGetValue(new PartKey(partId), out var line)
                    )
                    {
                        return TypedResults.NotFound();
                    }

                    var starts = StringInfo.ParseCombiningCharacters(line.Text);
                    return index < 0 || index >= starts.Length
                        ? TypedResults.NotFound()
                        : TypedResults.Ok(await FormsOf(line, index, starts[index], library, cache, stop));
                }
            )
            .WithName("GetLetterForms");

        api.MapGroup("/typefaces")
            .WithTags("Stock")
            .MapGet(
                "/{id}/glyphs",
                Results<Ok<GlyphPage>, NotFound> (string id, string? letter, string? kind, int from, int count, ITypefaces faces) =>
                {
                    if (faces.Find(id) is not { } face)
                    {
                        return TypedResults.NotFound();
                    }

                    // Those of the letter, and what may be it: that says nothing of itself. All as the face has them.
                    var all = face
                        .Glyphs.Where(g => kind != "forms" || g.Known != GlyphKnown.Character)
                        .Where(g =>
                            string.IsNullOrEmpty(letter)
                            || g.Letter == letter
                            || (g.Known == GlyphKnown.Not && (g.Name.Length == 0 || g.CodePoint != 0))
                        )
                        .OrderBy(g => g.Letter != letter)
                        .ToList();
                    return TypedResults.Ok(
                        new GlyphPage(
                            from,
                            all.Count,
                            [.. all.Skip(Math.Max(0, from)).Take(Math.Clamp(count, 1, MostOnPage)).Select(g => ViewOf(g, face))]
                        )
                    );
                }
            )
            .WithName("ListGlyphs");
    }

    /// <summary>
    /// The forms of the letter of a line that starts at a place, each in the whole line, those that are used recently and often in
    /// front.
    /// </summary>
    internal static async Task<LetterForms> FormsOf(
        LetteringLine line,
        int index,
        int start,
        Cabida.Store.Library library,
        InkCache cache,
        CancellationToken stop
    )
    {
        var letter = line.LetterOf(start);
        bool IsOfFace(Alternate a, LetteringPart p) => (a.FaceId.Length > 0 ? a.FaceId : p.TypefaceId) == line.Face.Info.Id;
        var used = (await library.All(DocumentKinds.Motif, stop))
            .SelectMany(m =>
                m.Document.AllParts.OfType<LetteringPart>()
                    .SelectMany(p => p.Alternates.Where(a => IsOfFace(a, p)))
                    .Select(a => (Motif: m.Id, m.ChangedAt, Form: KeyOf(a)))
                    .Distinct()
            )
            .GroupBy(u => u.Form)
            .ToDictionary(g => g.Key, g => (Uses: g.Count(), Last: g.Max(u => u.ChangedAt)));
        // What was chosen elsewhere stays while this letter's forms are tried; what is chosen for it is what the line has now.
        var others = line.Setting.Alternates.Where(a => !IsFor(a, letter, line.Text, index)).ToList();
        var now = SvgPath.Of(new FormedLine(line, FormSize, LineForm.Plain, cache).Ink, Tolerances.File);
        LetterForm Form(Alternate? form)
        {
            var set = new LetteringLine(
                line.Text,
                line.Face,
                line.Setting with
                {
                    Alternates = form is null ? others : [.. others, form],
                },
                cache
            );
            var formed = new FormedLine(set, FormSize, LineForm.Plain, cache);
            var path = SvgPath.Of(formed.Ink, Tolerances.File);
            return new LetterForm(
                form ?? new Alternate(AlternateScope.Place, letter, line.Text, index, "", 0),
                form?.InWords ?? FormWords.Of("", 0),
                path,
                formed.Box ?? default,
                formed.BoxOfLetter(start) ?? formed.Box ?? default,
                path == now,
                form is null ? 0 : used.GetValueOrDefault(KeyOf(form)).Uses
            );
        }

        var byFeature = line
            .Face.FormsOf(line.Text, start)
            .Select(f => new Alternate(AlternateScope.Place, letter, line.Text, index, f.Tag, f.Value))
            .ToList();
        var drawn = byFeature.Select(f => Form(f)).ToList();
        var seen = drawn.Select(f => f.Path).ToHashSet(StringComparer.Ordinal);
        // Rows of the face that no feature leads to, or that one leads to only elsewhere.
        drawn.AddRange(
            line.Face.Glyphs.Where(g => g.Letter == letter && g.Known is GlyphKnown.ByName or GlyphKnown.ByLikeness)
                .Select(g =>
                    Form(
                        new Alternate(AlternateScope.Place, letter, line.Text, index, "", 0)
                        {
                            Glyph = (int)g.Glyph,
                            Family = g.Family,
                            FaceId = line.Face.Info.Id,
                        }
                    )
                )
                .Where(f => seen.Add(f.Path))
        );
        var asDrawn = Form(null);
        return new LetterForms(
            letter,
            line.Text,
            index,
            line.Face.Info.Name,
            line.Face.Info.Id,
            asDrawn,
            [
                .. drawn
                    .Where(f => f.Path != asDrawn.Path)
                    .OrderByDescending(f => used.TryGetValue(KeyOf(f.Form), out var u) ? u.Last : DateTime.MinValue)
                    .ThenByDescending(f => f.Uses),
            ]
        );
    }

    /// <summary>What tells a form from others of its face, whichever letter it is for: a row, or a feature.</summary>
    private static (string Feature, int Value, string Family, int Glyph) KeyOf(Alternate a) =>
        a.Feature.Length > 0 ? (a.Feature, a.Value, "", 0)
        : a.Family.Length > 0 ? ("", 0, a.Family, 0)
        : ("", 0, "", a.Glyph);

    private static bool IsFor(Alternate a, string letter, string words, int index) =>
        a.Scope switch
        {
            AlternateScope.Place => a.Words == words && a.Index == index,
            AlternateScope.Letter => a.Letter == letter,
            _ => a.Scope == AlternateScope.Face,
        };

    /// <summary>
    /// What a glyph is that stands for no one letter: letters drawn together, accents over one another, or what the face calls it.
    /// </summary>
    private static string Called(string name) =>
        name.Split('.')[0].Split('_') is { Length: > 1 } letters && letters.All(l => l.Length is 1 or > 3)
            ? $"{string.Join(' ', letters)} together"
        : name.Length == 0 ? "unnamed"
        : name.Length > 8 && name.StartsWith("uni", StringComparison.Ordinal) ? "accents together"
        : name;

    private static GlyphView ViewOf(GlyphForm glyph, ITypeface face)
    {
        var ink = Outlines.Moved(
            Outlines.FromContours(face.Outline(glyph.Glyph), Tolerances.File / FormSize, Tolerances.InkTurn),
            Motion.Scale(FormSize, FormSize)
        );
        var words =
            glyph.Known == GlyphKnown.Character ? "plain"
            : glyph.Family.Length > 0 ? FormWords.OfFamily(glyph.Family)
            : Called(glyph.Name);
        return new GlyphView(
            (int)glyph.Glyph,
            glyph.Letter,
            glyph.Family,
            words,
            glyph.Known,
            SvgPath.Of(ink, Tolerances.File),
            Box.Of(ink) ?? default
        );
    }
}
