using Cabida.Core.Motifs;
using Cabida.Core.Type;
using Area = NetTopologySuite.Geometries.Geometry;

namespace Cabida.Core.Tests.Motifs;

/// <summary>Motifs of plain shapes whose areas can be worked out by hand.</summary>
internal static class Shapes
{
    public static ShapePart Box(string id, double w, double h) =>
        new(id, PartPlace.Below, MotifLength.Scales(0), ShapeKind.Rectangle, MotifLength.Scales(w), MotifLength.Scales(h));

    public static ShapePart Of(ShapeKind kind, string id, double w, double h) => Box(id, w, h) with { Shape = kind };

    /// <summary>The part with its middle so far from the middle of another.</summary>
    public static T At<T>(this T part, string to, double right = 0, double up = 0)
        where T : Part =>
        part with
        {
            Place = PartPlace.Anchored,
            Anchor = new Anchor(to, Stand.Middle, Stand.Middle, MotifLength.Scales(right), MotifLength.Scales(up)),
        };

    public static Motif Motif(params Part[] parts) => new("m", RowAlignment.Centre, parts);

    public static Composition Compose(Motif motif, GroundShape? ground = null, IGraphics? graphics = null, InkCache? cache = null) =>
        Composition.Of(
            motif,
            TestMotifs.Named("HH"),
            new Composing(new BlockFace(), graphics ?? NoGraphics.Instance, ground ?? GroundShape.None, cache ?? new InkCache())
        );

    public static IReadOnlyList<FilmInk> Films(Motif motif, GroundShape? ground = null, IGraphics? graphics = null) =>
        Compose(motif, ground, graphics) is var c ? c.FilmsOf(c.PartsAt(1), 1) : [];

    public static Area Ink(params Part[] parts) => Compose(Motif(parts)).InkAt(1);
}
