using Cabida.Core.Measures;
using Cabida.Core.Wording;
using NetTopologySuite.Geometries;
using NetTopologySuite.Geometries.Prepared;
using NetTopologySuite.Geometries.Utilities;
using NetTopologySuite.Operation.Buffer;
using NetTopologySuite.Operation.Overlay;
using NetTopologySuite.Operation.OverlayNG;
using Area = NetTopologySuite.Geometries.Geometry;

namespace Cabida.Core.Geometry;

/// <summary>
/// The one way in which areas are joined, cut, grown and tested for touching. What comes from outside may cross itself, repeat
/// its edges or lie within a rounding of something else, so each operation is tried as it stands (OverlayNG, which snaps where
/// floating noding fails), then with its areas repaired, then on a grid; what none of these can do is <see cref="NotWorkableException"/>,
/// with its place. Each spends from the <see cref="Effort"/> before it begins.
/// </summary>
internal static class Overlay
{
    /// <summary>The grid of the last try, in parts of a millimetre: a ten-thousandth, as ink is told apart.</summary>
    private const double Grid = 10_000;

    /// <summary>More corners than this are no drawing of anything, in one operation.</summary>
    private const int MostPoints = 400_000;

    /// <summary>So few corners cannot cross so often that it costs much.</summary>
    private const int MostUncounted = 300;

    /// <summary>Steps for a corner in an overlay or a buffer.</summary>
    private const int StepsPerPoint = 60;

    /// <summary>Steps for a corner in a test of touching.</summary>
    private const int StepsPerTested = 6;

    /// <summary>Steps for a corner of two areas that are asked whether they meet.</summary>
    private const int StepsPerMet = 12;

    /// <summary>The union of areas; overlapping ones become one.</summary>
    public static Area Union(IReadOnlyList<Area> areas)
    {
        if (areas.Count == 0)
        {
            return Outlines.Empty;
        }

        return areas.Count == 1
            ? areas[0]
            : Tried(
                [.. areas.Select(OfOneKind)],
                a => OverlayNGRobust.Union(Outlines.Factory.BuildGeometry(a)),
                (a, grid) => UnaryUnionNG.Union(Outlines.Factory.BuildGeometry(a), grid)
            );
    }

    /// <summary>The union of areas that share edges and overlap nowhere: the edges between them are dropped, which is quick.</summary>
    public static Area Merged(IReadOnlyList<Area> faces)
    {
        Begin([.. faces], StepsPerTested);
        if (faces.Count == 0)
        {
            return Outlines.Empty;
        }

        // Where noding left edges that do not quite meet, what is merged crosses itself.
        return Attempt(() => CoverageUnion.Union(Outlines.Factory.BuildGeometry(faces))) is { IsValid: true } merged
            ? merged
            : Union(faces);
    }

    /// <summary>What lies in the first and not in the second.</summary>
    public static Area Difference(Area from, Area away) => Of(from, away, SpatialFunction.Difference);

    /// <summary>What lies in both.</summary>
    public static Area Intersection(Area a, Area b) => Of(a, b, SpatialFunction.Intersection);

    /// <summary>An area grown at every side, or shrunk when negative; a rough one in steps.</summary>
    public static Area Grown(Area area, double by, BufferParameters corners)
    {
        for (var (left, step) = (by, 0.0); ; left -= step)
        {
            (step, var arcs) = OffsetSteps.Next(area, left, Math.Abs(step), corners);
            var now = step;
            Effort.Spend(StepsPerPoint * arcs);
            area = Tried([area], a => BufferOp.Buffer(a[0], now, corners), (a, grid) => BufferOp.Buffer(OnGrid(a[0], grid), now, corners));
            if (step == left || area.IsEmpty)
            {
                return area;
            }
        }
    }

    /// <summary>An area whose outlines do not cross themselves or one another: as it is where it is sound, repaired where not.</summary>
    public static Area Sound(Area area)
    {
        Effort.Spend((long)StepsPerTested * area.NumPoints);
        return area.IsValid ? area : Repaired(area);
    }

    /// <summary>Lines cut at every place where they cross or touch.</summary>
    public static Area Noded(Area lines) => Tried([lines], l => OverlayNGRobust.Union(l[0]), (l, grid) => UnaryUnionNG.Union(l[0], grid));

    /// <summary>
    /// Whether two areas have a point in common. Asked of segments and points within alone: all that two areas can be to one another takes
    /// ten times as long to tell.
    /// </summary>
    public static bool Meet(Area a, Area b) =>
        a.EnvelopeInternal.Intersects(b.EnvelopeInternal)
        && Tested([a, b], g => PreparedGeometryFactory.Prepare(g[0]).Intersects(g[1]), StepsPerMet);

    /// <summary>Whether an area holds all of another, its edge counted in.</summary>
    public static bool Covers(Area area, Area other) => Tested([area, other], g => g[0].Covers(g[1]));

    /// <summary>The least distance between two areas.</summary>
    public static double Distance(Area a, Area b) => Tested([a, b], g => g[0].Distance(g[1]));

    /// <summary>A test whether an area holds all of another, for many others; its edge counted in.</summary>
    public static Func<Area, bool> Covering(Area area)
    {
        var prepared = PreparedGeometryFactory.Prepare(area);
        return other => Tested([other], g => prepared.Covers(g[0]));
    }

    private static Area Of(Area a, Area b, SpatialFunction what)
    {
        if (a.IsEmpty || b.IsEmpty || !a.EnvelopeInternal.Intersects(b.EnvelopeInternal))
        {
            return what == SpatialFunction.Difference ? a : Outlines.Empty;
        }

        return Tried(
            [OfOneKind(a), OfOneKind(b)],
            g => OverlayNGRobust.Overlay(g[0], g[1], what),
            (g, grid) => OverlayNG.Overlay(g[0], g[1], what, grid)
        );
    }

    /// <summary>
    /// What an earlier operation left may hold lines and points where areas only touched; beside areas they count for nothing.
    /// </summary>
    private static Area OfOneKind(Area area) =>
        area.OgcGeometryType == OgcGeometryType.GeometryCollection ? Outlines.Factory.BuildGeometry([.. Outlines.PolygonsOf(area)]) : area;

    private static Area Tried(Area[] areas, Func<Area[], Area> work, Func<Area[], PrecisionModel, Area> onGrid)
    {
        Begin(areas, StepsPerPoint);
        Untangled(areas);
        if (Attempt(() => work(areas)) is { } plain)
        {
            return plain;
        }

        var repaired = areas.Select(Repaired).ToArray();
        return Attempt(() => work(repaired)) ?? Attempt(() => onGrid(repaired, new PrecisionModel(Grid))) ?? throw Unworkable(areas);
    }

    private static T Tested<T>(Area[] areas, Func<Area[], T> test, int each = StepsPerTested)
        where T : struct
    {
        Begin(areas, each);
        T? Asked(Area[] of)
        {
            try
            {
                return test(of);
            }
            catch (Exception fault) when (IsOfGeometry(fault))
            {
                return null;
            }
        }

        return Asked(areas) ?? Asked([.. areas.Select(Repaired)]) ?? throw Unworkable(areas);
    }

    private static void Begin(Area[] areas, int each)
    {
        var points = 0L;
        foreach (var area in areas)
        {
            points += area.NumPoints;
            if (!IsFinite(area.EnvelopeInternal))
            {
                throw new NotWorkableException(Phrase.Say($"An outline has a place that is no number."));
            }
        }

        if (points > MostPoints)
        {
            throw new NotWorkableException(Phrase.Say($"The outlines have {points} corners; {MostPoints} can be worked with at once."));
        }

        Effort.Spend(each * points);
    }

    /// <summary>What is large enough to cross itself or another very often is looked at before it is begun.</summary>
    private static void Untangled(Area[] areas)
    {
        if (
            areas.Sum(a => (long)a.NumPoints) > MostUncounted
            && Crossings
                .Of([.. areas.SelectMany(Outlines.RingsOf).Select(r => r.Coordinates)], Crossings.MostOverlaid)
                .MoreThan(Crossings.MostOverlaid)
        )
        {
            throw new NotWorkableException(
                Phrase.Say(
                    $"Outlines cross one another more than {Crossings.MostOverlaid:#,0} times. Nothing can be cut so; leave one of "
                        + $"them out, or draw it anew."
                )
            );
        }
    }

    private static bool IsFinite(Envelope e) =>
        e.IsNull || (double.IsFinite(e.MinX) && double.IsFinite(e.MaxX) && double.IsFinite(e.MinY) && double.IsFinite(e.MaxY));

    private static Area? Attempt(Func<Area> work)
    {
        try
        {
            return work();
        }
        catch (Exception fault) when (IsOfGeometry(fault))
        {
            return null;
        }
    }

    private static Area Repaired(Area area)
    {
        try
        {
            return area is IPolygonal ? GeometryFixer.Fix(area) : area;
        }
        catch (Exception fault) when (IsOfGeometry(fault))
        {
            throw Unworkable([area], fault);
        }
    }

    private static Area OnGrid(Area area, PrecisionModel grid) => NetTopologySuite.Precision.GeometryPrecisionReducer.Reduce(area, grid);

    /// <summary>
    /// What the geometry library throws where noding or labelling fails; never what says that a program is wrong with memory or a cancelled
    /// work.
    /// </summary>
    private static bool IsOfGeometry(Exception fault) =>
        fault is TopologyException or ArgumentException or InvalidOperationException or NullReferenceException or IndexOutOfRangeException;

    private static NotWorkableException Unworkable(Area[] areas, Exception? cause = null)
    {
        var middle = areas[0].EnvelopeInternal.Centre;
        return new NotWorkableException(
            Phrase.Say(
                $"Outlines about {Length.Mm(middle?.X ?? 0)} across and {Length.Mm(middle?.Y ?? 0)} up cross themselves so that "
                    + $"they cannot be joined or cut. Mend them there, or leave them out."
            ),
            cause
        );
    }
}
