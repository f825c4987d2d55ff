using NetTopologySuite.Geometries;
using Area = NetTopologySuite.Geometries.Geometry;

namespace Cabida.Core.Geometry;

/// <summary>An area that stands somewhere.</summary>
/// <param name="Rings">Its rings.</param>
/// <param name="X">How far right it stands.</param>
/// <param name="Y">How far up.</param>
internal readonly record struct StandingRings(RingSet Rings, double X, double Y);

/// <summary>
/// Areas joined into closed outlines by how each two of them meet: which stretches of which rings follow one another, so that the joined
/// outline is drawn at any size in one pass. What meets in a way that is left to an overlay, or three at one place, is overlaid.
/// </summary>
internal sealed class JoinedRings
{
    private const int BytesPerPiece = 80;
    private const int BytesPerCorner = 40;

    private readonly IReadOnlyList<StandingRings> standing;
    private readonly List<Polygon> polygons = [];

    /// <summary>Joins areas.</summary>
    /// <param name="standing">The areas; none is empty.</param>
    /// <param name="meeting">How two of them meet, the first before the second; asked of those whose boxes meet.</param>
    public JoinedRings(IReadOnlyList<StandingRings> standing, Func<int, int, Meeting> meeting)
    {
        this.standing = standing;
        List<Envelope> boxes = [.. standing.Select(s => s.Rings.Box!.Value.Moved(s.X, s.Y).ToEnvelope())];
        List<PartsMeeting> meetings =
        [
            .. Clusters.Meeting(boxes).Select(p => new PartsMeeting(p.I, p.J, meeting(p.I, p.J))).Where(m => !m.How.IsNone),
        ];
        var groups = Clusters.Of(standing.Count, meetings.Select(m => (m.First, m.Second)));
        foreach (var group in groups)
        {
            polygons.AddRange(
                group.Count == 1 ? Whole(group[0])
                : RingTrace.Of(standing, [.. meetings.Where(m => group.Contains(m.First))], group) is { } traced ? traced
                : [new Polygon([], Overlaid(group))]
            );
        }
    }

    /// <summary>How many groups were left to an overlay.</summary>
    public int Overlays => polygons.Count(p => p.Overlaid is not null);

    /// <summary>About how many bytes it holds besides the rings.</summary>
    public long Bytes =>
        200 + polygons.Sum(p => (BytesPerCorner * (long)(p.Overlaid?.NumPoints ?? 0)) + p.Rings.Sum(r => BytesPerPiece * (long)r.Count));

    /// <summary>The joined outline, scaled about the origin and moved.</summary>
    public Area At(double scale, double x, double y)
    {
        var drawn = new List<NetTopologySuite.Geometries.Polygon>(polygons.Count);
        foreach (var polygon in polygons)
        {
            if (polygon.Overlaid is { } area)
            {
                drawn.AddRange(Outlines.PolygonsOf(Outlines.Placed(area, scale, x, y)));
                continue;
            }

            var holes = new LinearRing[polygon.Rings.Count - 1];
            for (var i = 0; i < holes.Length; i++)
            {
                holes[i] = Drawn(polygon.Rings[i + 1], scale, x, y);
            }

            drawn.Add(Outlines.Factory.CreatePolygon(Drawn(polygon.Rings[0], scale, x, y), holes));
        }

        return Outlines.Together(drawn);
    }

    private IEnumerable<Polygon> Whole(int part)
    {
        var rings = standing[part].Rings.Rings;
        for (int first = 0, next; first < rings.Count; first = next)
        {
            for (next = first + 1; next < rings.Count && rings[next].IsHole; next++) { }

            yield return new Polygon([
                .. Enumerable
                    .Range(first, next - first)
                    .Select(r => (IReadOnlyList<Stretch>)[new Stretch(part, r, null, 0, rings[r].Count)]),
            ]);
        }
    }

    private Area Overlaid(List<int> group) =>
        Overlay.Union([.. group.Select(i => Outlines.Placed(standing[i].Rings.Area, 1, standing[i].X, standing[i].Y))]);

    private LinearRing Drawn(IReadOnlyList<Stretch> stretches, double scale, double x, double y)
    {
        var count = 1;
        foreach (var s in stretches)
        {
            count += s.Corners + (s.From is null ? 0 : 1);
        }

        var (to, at) = (new Coordinate[count], 0);
        foreach (var s in stretches)
        {
            var (rings, dx, dy) = standing[s.Part];
            var ring = rings.Rings[s.Ring];
            if (s.From is { } from)
            {
                to[at++] = new Coordinate((scale * from.X) + x, (scale * from.Y) + y);
            }

            for (int n = 0, i = s.First; n < s.Corners; n++, i = i + 1 < ring.Count ? i + 1 : 0)
            {
                to[at++] = new Coordinate((scale * (ring.X[i] + dx)) + x, (scale * (ring.Y[i] + dy)) + y);
            }
        }

        to[at] = to[0].Copy();
        return Outlines.Factory.CreateLinearRing(to);
    }

    /// <summary>A polygon: its shell and its holes, or the outcome of an overlay.</summary>
    internal sealed record Polygon(IReadOnlyList<IReadOnlyList<Stretch>> Rings, Area? Overlaid = null);
}

/// <summary>How two areas of several meet.</summary>
/// <param name="First">The one.</param>
/// <param name="Second">The other.</param>
/// <param name="How">How they meet.</param>
internal readonly record struct PartsMeeting(int First, int Second, Meeting How);

/// <summary>Corners of a ring that follow one another.</summary>
/// <param name="Part">Whose ring.</param>
/// <param name="Ring">Which.</param>
/// <param name="From">The crossing it begins at; null for a whole ring.</param>
/// <param name="First">Its first corner.</param>
/// <param name="Corners">How many corners.</param>
internal readonly record struct Stretch(int Part, int Ring, PlanePoint? From, int First, int Corners);
