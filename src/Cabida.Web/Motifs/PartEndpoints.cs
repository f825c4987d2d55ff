using Cabida.Core.Motifs;
using Cabida.Core.Type;
using Cabida.Store;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Cabida.Web.Motifs;

/// <summary>A part as it is before anything of it was changed, by what it is called in a list of what can be added.</summary>
internal sealed record FreshPart(string Name, Part Part);

internal static class PartEndpoints
{
    public static void MapParts(this RouteGroupBuilder api)
    {
        var motifs = api.MapGroup("/motifs").WithTags("Motifs");
        motifs
            .MapGet("/fresh-parts", Ok<List<FreshPart>> (ITypefaces faces) => TypedResults.Ok(Fresh(faces.All[0].Id)))
            .WithName("ListFreshParts");

        motifs
            .MapGet(
                "/{id}/fit",
                async Task<Results<Ok<MotifFit>, NotFound>> (
                    string id,
                    Cabida.Store.Library library,
                    MotifViews views,
                    CancellationToken stop
                ) =>
                    await library.Find(DocumentKinds.Motif, id, stop) is { } stored
                        ? TypedResults.Ok(await views.FitOf(stored.Document, stop))
                        : TypedResults.NotFound()
            )
            .WithName("GetMotifFit");
    }

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
                (
                    "a frame along the ground’s edge",
                    Shape(ShapeKind.GroundFrame, 40, 25) with
                    {
                        Inset = MotifLength.Stays(2),
                        Band = MotifLength.Stays(1),
                        GroundHoles = false,
                    }
                ),
            }.Select(s => new FreshPart(s.Name, s.Part)),
            new("a backing", new BackingPart("", PartPlace.Below, gap, [], MotifLength.Stays(2), true)),
            new("a mat", new MatPart("", PartPlace.Below, gap, 1)),
            new("a graphic", new GraphicPart("", PartPlace.Below, gap, "", GraphicSize.Width, Mm(30))),
            new("a group", new GroupPart("", PartPlace.Below, gap, [], RowAlignment.Centre)),
        ];
    }
}
