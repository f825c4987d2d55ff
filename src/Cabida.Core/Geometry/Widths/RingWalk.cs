namespace Cabida.Core.Geometry;

/// <summary>A place on a ring.</summary>
/// <param name="U">Which; see <see cref="RingWalk"/>.</param>
/// <param name="At">Where it is.</param>
/// <param name="Inward">The unit normal there to the side of the disc.</param>
/// <param name="IsCorner">Whether it is a corner into which no disc comes.</param>
internal readonly record struct RingPlace(double U, PlanePoint At, PlanePoint Inward, bool IsCorner = false)
{
    /// <summary>The middle of a disc that touches it.</summary>
    public PlanePoint Middle(double radius) => new(At.X + (radius * Inward.X), At.Y + (radius * Inward.Y));
}

/// <summary>
/// One ring of a boundary as a disc rolls along it on one side: along every edge, and round every corner that points to the disc. A place
/// is a number: its whole part tells the element, which is twice the number of the edge for the corner before it and one more for the
/// edge itself; what is left of it, how far along.
/// </summary>
internal readonly struct RingWalk
{
    /// <summary>A disc needs to be rolled round corners sharper than this.</summary>
    private const double Sharp = SegmentGrid.Sharp;

    private readonly SegmentGrid grid;
    private readonly int first;
    private readonly int count;
    private readonly double side;

    /// <summary>A walk.</summary>
    /// <param name="grid">The boundary.</param>
    /// <param name="ring">Which ring of it.</param>
    /// <param name="outside">Whether the disc rolls outside the area rather than within it.</param>
    public RingWalk(SegmentGrid grid, int ring, bool outside)
    {
        (this.grid, Ring, side) = (grid, ring, outside ? -1 : 1);
        (first, count, _) = grid.Rings[ring];
    }

    /// <summary>Whether the disc rolls outside the area.</summary>
    public bool IsOutside => side < 0;

    /// <summary>The number of the ring.</summary>
    public int Ring { get; }

    /// <summary>The place after the last, which is the first again.</summary>
    public double End => 2 * count;

    /// <summary>The place at a share of a segment of this ring.</summary>
    public double PlaceOf(int segment, double share) => (2 * (segment - first)) + 1 + share;

    /// <summary>A place on the boundary and the unit normal there to the side of the disc.</summary>
    /// <param name="u">The place; any whole number of rounds more or less is the same.</param>
    public (PlanePoint At, PlanePoint Inward) Place(double u)
    {
        u -= End * Math.Floor(u / End);
        var element = Math.Min((int)u, (2 * count) - 1);
        ref readonly var edge = ref grid.Segments[first + (element / 2)];
        var n = edge.Inward;
        if (element % 2 == 1)
        {
            return (edge.A.Towards(edge.B, u - element), new PlanePoint(side * n.X, side * n.Y));
        }

        // Round the corner: the normal of the edge before, turned on towards this one's.
        var turn = edge.Turn;
        var back = side * turn < 0 ? -turn * (1 - (u - element)) : 0;
        var (sin, cos) = Math.SinCos(back);
        return (edge.A, new PlanePoint(side * ((n.X * cos) - (n.Y * sin)), side * ((n.X * sin) + (n.Y * cos))));
    }

    /// <summary>
    /// Places all along the ring in order, at most a step apart, half of one from a corner, and 15° apart round corners and curves.
    /// </summary>
    /// <param name="step">The greatest distance between two.</param>
    /// <param name="places">Where they are put; what it held is dropped.</param>
    public void Places(double step, List<RingPlace> places)
    {
        places.Clear();
        var (next, turned) = (step / 2, 0.0);
        for (var k = 0; k < count; k++)
        {
            ref readonly var edge = ref grid.Segments[first + k];
            var turn = side * edge.Turn;
            if (turn > Sharp)
            {
                Add(places, 2 * k, isCorner: true);
                (next, turned) = (step / 2, 0);
            }
            else if (turn < -Sharp)
            {
                var steps = (int)Math.Ceiling(-turn / Sharp);
                for (var i = 0; i < steps; i++)
                {
                    Add(places, (2 * k) + ((i + 0.5) / steps), isCorner: false);
                }

                (next, turned) = (step / 2, 0);
            }

            turned += Math.Abs(turn);
            next = turned >= Sharp ? Math.Min(next, edge.Length / 2) : next;
            if (next < edge.Length)
            {
                var n = edge.Inward;
                n = new(side * n.X, side * n.Y);
                for (; next < edge.Length; next += step)
                {
                    var share = next / edge.Length;
                    places.Add(new RingPlace((2 * k) + 1 + share, edge.A.Towards(edge.B, share), n));
                }

                turned = 0;
            }

            next -= edge.Length;
        }
    }

    private void Add(List<RingPlace> places, double u, bool isCorner)
    {
        var (at, n) = Place(u);
        places.Add(new RingPlace(u, at, n, isCorner));
    }

    /// <summary>The way along the ring from its first corner to a place.</summary>
    public double Along(double u)
    {
        var rounds = Math.Floor(u / End);
        u -= End * rounds;
        var element = Math.Min((int)u, (2 * count) - 1);
        ref readonly var edge = ref grid.Segments[first + (element / 2)];
        return (rounds * grid.RingLengths[Ring]) + edge.Start + (element % 2 == 1 ? (u - element) * edge.Length : 0);
    }
}
