using System.Globalization;
using Cabida.Core.Geometry;
using Cabida.Core.Motifs;
using Cabida.Core.Type;
using Cabida.Formats.Svg;
using Cabida.Store;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Cabida.Web.Motifs;

/// <summary>A part as it is before anything of it was changed, by what it is called in a list of what can be added.</summary>
internal sealed record FreshPart(string Name, Part Part);

/// <summary>Another form of a letter, with the whole word in it; one em being 100 high, y up.</summary>
/// <param name="Feature">The typeface's tag for it.</param>
/// <param name="Value">Which of several under that tag; 0 for switching a usual form off.</param>
/// <param name="Name">What the tag means, in words.</param>
/// <param name="Path">The word with the form in its place.</param>
/// <param name="Box">The box of the word.</param>
/// <param name="LetterBox">The box of the letter itself.</param>
/// <param name="Chosen">Where it is chosen already; null where it is not.</param>
internal sealed record LetterForm(string Feature, int Value, string Name, string Path, Box Box, Box LetterBox, AlternateScope? Chosen);

/// <summary>The forms of a letter.</summary>
internal sealed record LetterForms(string Letter, string Words, int Index, string Face, LetterForm AsDrawn, IReadOnlyList<LetterForm> Others);

internal static class PartEndpoints
{
    private const double FormSize = 100;

    public static void MapParts(this RouteGroupBuilder api)
    {
        var motifs = api.MapGroup("/motifs").WithTags("Motifs");
        motifs.MapGet("/fresh-parts", Ok<List<FreshPart>> (ITypefaces faces) => TypedResults.Ok(Fresh(faces.All[0].Id))).WithName("ListFreshParts");

        motifs.MapGet("/{id}/fit", async Task<Results<Ok<MotifFit>, NotFound>> (string id, Cabida.Store.Library library, MotifViews views, CancellationToken stop) =>
            await library.Find(DocumentKinds.Motif, id, stop) is { } stored ? TypedResults.Ok(await views.FitOf(stored.Document, stop)) : TypedResults.NotFound()).WithName("GetMotifFit");

        motifs.MapGet("/{id}/parts/{partId}/letters/{index:int}", async Task<Results<Ok<LetterForms>, NotFound>> (
            string id, string partId, int index, Cabida.Store.Library library, MotifViews views, InkCache cache, CancellationToken stop) =>
        {
            if (await library.Find(DocumentKinds.Motif, id, stop) is not { Document: var motif } || motif.AllParts.FirstOrDefault(p => p.Id == partId) is not LetteringPart part
                || !views.Compose(motif, GroundShape.None).Lines.TryGetValue(partId, out var line))
            {
                return TypedResults.NotFound();
            }

            var starts = StringInfo.ParseCombiningCharacters(line.Text);
            return index < 0 || index >= starts.Length ? TypedResults.NotFound() : TypedResults.Ok(FormsOf(part, line, index, starts[index], cache));
        }).WithName("GetLetterForms");
    }

    /// <summary>The forms of the letter of a line that starts at a place, each in the whole line.</summary>
    internal static LetterForms FormsOf(LetteringPart part, LetteringLine line, int index, int start, InkCache cache)
    {
        var letter = line.LetterOf(start);
        // What was chosen elsewhere stays while this letter's forms are tried.
        var others = part.Alternates.Where(a => !IsFor(a, letter, line.Text, index)).ToList();
        LetterForm Form(string feature, int value)
        {
            var tried = feature.Length == 0 ? others : [.. others, new Alternate(AlternateScope.Place, letter, line.Text, index, feature, value)];
            var set = new LetteringLine(line.Text, line.Face, new LineSetting(part.Spacing / 1000, part.WordSpacing / 1000, part.Pairs, tried), cache);
            var formed = new FormedLine(set, FormSize, LineForm.Plain, cache);
            var chosen = part.Alternates.Where(a => a.Feature == feature && a.Value == value && IsFor(a, letter, line.Text, index)).Select(a => (AlternateScope?)a.Scope).FirstOrDefault();
            return new LetterForm(feature, value, NameOf(feature, value), SvgPath.Of(formed.Ink, Tolerances.File), formed.Box ?? default, formed.BoxOfLetter(start) ?? formed.Box ?? default, chosen);
        }

        return new LetterForms(letter, line.Text, index, line.Face.Info.Name, Form("", 0), [.. line.Face.FormsOf(line.Text, start).Select(f => Form(f.Tag, f.Value))]);
    }

    private static bool IsFor(Alternate a, string letter, string words, int index) => a.Scope switch
    {
        AlternateScope.Place => a.Words == words && a.Index == index,
        AlternateScope.Letter => a.Letter == letter,
        _ => true,
    };

    /// <summary>What a registered OpenType feature is, in words; others by their tag.</summary>
    private static string NameOf(string tag, int value) => tag switch
    {
        "" => "as the face draws it",
        "liga" or "clig" or "calt" when value == 0 => tag == "calt" ? "without its contextual form" : "without the ligature",
        "salt" or "aalt" => value > 1 ? $"alternate {value}" : "alternate",
        "swsh" or "cswh" => value > 1 ? $"swash {value}" : "swash",
        "titl" => "titling",
        "hist" => "historical",
        "dlig" or "hlig" => "rarer ligature",
        "fina" or "falt" => "terminal form",
        "init" => "initial form",
        "medi" => "medial form",
        "isol" => "isolated form",
        "smcp" or "c2sc" => "small capital",
        "ornm" => "ornament",
        "onum" => "old-style figure",
        "lnum" => "lining figure",
        ['s', 's', .. var n] when int.TryParse(n, out var number) => $"stylistic set {number}",
        ['c', 'v', .. var n] when int.TryParse(n, out var number) => value > 1 ? $"variant {number}, {value}" : $"variant {number}",
        _ => tag,
    };

    private static List<FreshPart> Fresh(string typeface)
    {
        var gap = MotifLength.Scales(4);
        static MotifLength Mm(double mm) => MotifLength.Scales(mm);
        ShapePart Shape(ShapeKind kind, double w, double h) => new("", PartPlace.Below, gap, kind, Mm(w), Mm(h));
        return
        [
            new("a line", new LetteringPart("", PartPlace.Below, gap, "New line", typeface, LetteringSize.CapitalHeight, Mm(8), 0)),
            new("a bar", new RulePart("", PartPlace.Below, gap, RuleSpan.FillsRow, Mm(10), Mm(1))),
            .. new (string Name, ShapePart Part)[]
            {
                ("a rectangle", Shape(ShapeKind.Rectangle, 40, 25)),
                ("a rounded rectangle", Shape(ShapeKind.Rounded, 40, 25)),
                ("an oval", Shape(ShapeKind.Oval, 40, 25)),
                ("a ring", Shape(ShapeKind.Ring, 40, 40)),
                ("a border", Shape(ShapeKind.Border, 60, 40)),
                ("a polygon", Shape(ShapeKind.Polygon, 30, 30) with { Count = 6 }),
                ("a star", Shape(ShapeKind.Star, 20, 20)),
                ("a heart", Shape(ShapeKind.Heart, 20, 18)),
                ("a tag with a hole", Shape(ShapeKind.Tag, 70, 35) with { CornerSize = Mm(8) }),
                ("a corner piece", Shape(ShapeKind.Corner, 20, 20)),
                ("dots", Shape(ShapeKind.Dots, 2, 2)),
                ("the outline of the ground", Shape(ShapeKind.GroundOutline, 40, 25) with { Inset = MotifLength.Stays(2) }),
                ("a frame along the ground’s edge", Shape(ShapeKind.GroundFrame, 40, 25) with { Inset = MotifLength.Stays(2), Band = MotifLength.Stays(1), GroundHoles = false }),
            }.Select(s => new FreshPart(s.Name, s.Part)),
            new("a backing", new BackingPart("", PartPlace.Below, gap, [], MotifLength.Stays(2), true)),
            new("a mat", new MatPart("", PartPlace.Below, gap, 1)),
            new("a graphic", new GraphicPart("", PartPlace.Below, gap, "", GraphicSize.Width, Mm(30))),
            new("a group", new GroupPart("", PartPlace.Below, gap, [], RowAlignment.Centre)),
        ];
    }
}
