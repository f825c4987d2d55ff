using Cabida.Core.Wording;
using NetTopologySuite.Algorithm;
using NetTopologySuite.Geometries;
using NetTopologySuite.Index.Strtree;
using NetTopologySuite.Operation.Polygonize;
using Area = NetTopologySuite.Geometries.Geometry;

namespace Cabida.Core.Geometry;

/// <summary>
/// The area that closed rings enclose, round which they wind at least once, or an odd number of times (as typefaces and open vector
/// formats define filling). Rings are taken in groups whose boxes touch. Where none of a group cross, each is an edge of the area or
/// none, and stays as it is; otherwise all edges are noded and each face between them is kept or left. What crosses itself more often
/// than any drawing does is refused before it is begun.
/// </summary>
internal static class RingFill
{
    /// <summary>Faces smaller than this share of the whole box come from rounding, not from drawing.</summary>
    private const double SliverShare = 1e-10;

    public static Area Of(IReadOnlyList<IReadOnlyList<PlanePoint>> rings, bool evenOdd = false)
    {
        List<Coordinate[]> closed = [.. rings.Select(r => (Coordinate[])[.. r.Select(p => p.ToCoordinate()), r[0].ToCoordinate()])];
        List<Envelope> boxes = [.. closed.Select(BoxOf)];
        var polygons = Clusters
            .Of(boxes, (_, _) => true)
            .SelectMany(group => OfGroup([.. group.Select(i => closed[i])], w => evenOdd ? w % 2 != 0 : w != 0))
            .ToList();
        // Groups lie apart by their boxes, so none of their areas touch.
        return Outlines.Together(polygons);
    }

    private static IEnumerable<Polygon> OfGroup(List<Coordinate[]> rings, Func<int, bool> filled) =>
        Crossings.Of(rings) switch
        {
            { None: true } => Nested(rings, filled),
            var tangled when tangled.MoreThan(Crossings.MostCrossed) => throw TooTangled(),
            _ => Outlines.PolygonsOf(Noded(rings, filled)),
        };

    /// <summary>
    /// Rings that cross nowhere: one is an edge where what lies just inside it is filled and what lies just outside is not, or the
    /// other way round.
    /// </summary>
    private static IEnumerable<Polygon> Nested(List<Coordinate[]> rings, Func<int, bool> filled)
    {
        var windings = new Windings(rings);
        var (shells, holes) = (new List<LinearRing>(), new List<LinearRing>());
        for (var i = 0; i < rings.Count; i++)
        {
            var outside = windings.At(rings[i][0], without: i);
            var left = Orientation.IsCCW(rings[i]);
            var within = filled(outside + (left ? 1 : -1));
            if (within != filled(outside) && Math.Abs(NetTopologySuite.Algorithm.Area.OfRingSigned(rings[i])) > 0)
            {
                // Run round as overlays leave them: what is filled lies to the right.
                (within ? shells : holes).Add(Outlines.Factory.CreateLinearRing(within == left ? [.. rings[i].Reverse()] : rings[i]));
            }
        }

        if (holes.Count == 0)
        {
            return shells.Select(s => Outlines.Factory.CreatePolygon(s));
        }

        var tree = new STRtree<int>();
        for (var i = 0; i < shells.Count; i++)
        {
            tree.Insert(shells[i].EnvelopeInternal, i);
        }

        var of = holes.ToLookup(h =>
            tree.Query(h.EnvelopeInternal)
                .Where(s =>
                    shells[s].EnvelopeInternal.Contains(h.EnvelopeInternal)
                    && PointLocation.IsInRing(h.CoordinateSequence.GetCoordinate(0), shells[s].CoordinateSequence)
                )
                .MinBy(s => shells[s].EnvelopeInternal.Area)
        );
        return shells.Select((s, i) => Outlines.Factory.CreatePolygon(s, [.. of[i]]));
    }

    private static Area Noded(List<Coordinate[]> rings, Func<int, bool> filled)
    {
        var lines = Outlines.Factory.CreateMultiLineString([.. rings.Select(Outlines.Factory.CreateLineString)]);
        var polygonizer = new Polygonizer();
        polygonizer.Add(Overlay.Noded(lines));
        var sliver = SliverShare * Math.Max(lines.EnvelopeInternal.Area, double.Epsilon);
        var windings = new Windings(rings);
        List<Area> faces = [.. polygonizer.GetPolygons().Where(f => f.Area > sliver && filled(windings.At(f.InteriorPoint.Coordinate)))];
        return Overlay.Merged(faces);
    }

    private static Envelope BoxOf(Coordinate[] ring)
    {
        var box = new Envelope();
        foreach (var corner in ring)
        {
            box.ExpandToInclude(corner);
        }

        return box;
    }

    private static NotWorkableException TooTangled() =>
        new(
            Phrase.Say(
                $"An outline crosses itself more than {Crossings.MostCrossed:#,0} times. Nothing can be cut so; leave it out, or "
                    + $"draw it anew."
            )
        );
}
