namespace Cabida.Core.Layout;

/// <summary>A shape in its place: corners and discs where they lie, and its edges in squares once another asks for them.</summary>
internal sealed class PosedShape
{
    /// <summary>With fewer corners all edges are looked at.</summary>
    private const int FewCorners = 12;
    private const int MostSquares = 10;

    /// <summary>Where discs lie that only fill up a row of them.</summary>
    private const float Nowhere = 1e9f;

    private int[] squareStarts = [];
    private int[] squareEdges = [];
    private int across;
    private int up;
    private bool isSorted;

    public PosedShape(LayShape shape)
    {
        Shape = shape;
        var corners = shape.CornerCount;
        (Xs, Ys) = (new double[corners], new double[corners]);
        (PoleXs, PoleYs) = (new float[shape.PoleRadii.Length], new float[shape.PoleRadii.Length]);
        Array.Fill(PoleXs, Nowhere);
        Next = new int[corners];
        RingStarts = new int[shape.Rings.Length + 1];
        for (var r = 0; r < shape.Rings.Length; r++)
        {
            var (from, length) = (RingStarts[r], shape.Rings[r].Length);
            RingStarts[r + 1] = from + length;
            for (var i = 0; i < length; i++)
            {
                Next[from + i] = from + ((i + 1) % length);
            }
        }
    }

    public LayShape Shape { get; }

    public double[] Xs { get; }

    public double[] Ys { get; }

    /// <summary>The corner at the other end of the edge that begins at a corner.</summary>
    public int[] Next { get; }

    public int[] RingStarts { get; }

    /// <summary>Where its discs lie, filled up as <see cref="LayShape.PoleRadii"/> are.</summary>
    public float[] PoleXs { get; }

    public float[] PoleYs { get; }

    public double MinX { get; private set; }

    public double MinY { get; private set; }

    public double MaxX { get; private set; }

    public double MaxY { get; private set; }

    /// <summary>Puts it somewhere.</summary>
    public void Pose(double sin, double cos, double x, double y)
    {
        var at = 0;
        var (minX, minY, maxX, maxY) = (double.MaxValue, double.MaxValue, double.MinValue, double.MinValue);
        foreach (var ring in Shape.Rings)
        {
            foreach (var p in ring)
            {
                var (px, py) = ((cos * p.X) - (sin * p.Y) + x, (sin * p.X) + (cos * p.Y) + y);
                (Xs[at], Ys[at]) = (px, py);
                at++;
                minX = Math.Min(minX, px);
                maxX = Math.Max(maxX, px);
                minY = Math.Min(minY, py);
                maxY = Math.Max(maxY, py);
            }
        }

        for (var i = 0; i < Shape.Poles.Length; i++)
        {
            var p = Shape.Poles[i].Middle;
            (PoleXs[i], PoleYs[i]) = ((float)((cos * p.X) - (sin * p.Y) + x), (float)((sin * p.X) + (cos * p.Y) + y));
        }

        (MinX, MinY, MaxX, MaxY, isSorted) = (minX, minY, maxX, maxY, false);
    }

    /// <summary>Whether the boxes of both have an inner point in common.</summary>
    public bool Meets(PosedShape other) => MinX < other.MaxX && other.MinX < MaxX && MinY < other.MaxY && other.MinY < MaxY;

    /// <summary>Whether a point lies within (ray crossing; Shimrat 1962); on an edge either may come out.</summary>
    public bool Holds(double x, double y)
    {
        if (x < MinX || x > MaxX || y < MinY || y > MaxY)
        {
            return false;
        }

        var inside = false;
        for (var i = 0; i < Xs.Length; i++)
        {
            var j = Next[i];
            if (Ys[i] > y != Ys[j] > y && x < ((Xs[j] - Xs[i]) * (y - Ys[i]) / (Ys[j] - Ys[i])) + Xs[i])
            {
                inside = !inside;
            }
        }

        return inside;
    }

    /// <summary>Calls with each edge that may come near a box, some more than once, until told to end; whether it was told.</summary>
    public bool AnyNear<T>(double minX, double minY, double maxX, double maxY, ref T ask)
        where T : struct, IEdgeQuestion
    {
        if (Xs.Length <= FewCorners)
        {
            for (var i = 0; i < Xs.Length; i++)
            {
                if (ask.Answers(this, i))
                {
                    return true;
                }
            }

            return false;
        }

        Sort();
        var (x0, x1) = (Column(minX), Column(maxX));
        var (y0, y1) = (Row(minY), Row(maxY));
        for (var y = y0; y <= y1; y++)
        {
            for (var at = squareStarts[(y * across) + x0]; at < squareStarts[(y * across) + x1 + 1]; at++)
            {
                if (ask.Answers(this, squareEdges[at]))
                {
                    return true;
                }
            }
        }

        return false;
    }

    private int Column(double x) => Math.Clamp((int)((x - MinX) / (MaxX - MinX) * across), 0, across - 1);

    private int Row(double y) => Math.Clamp((int)((y - MinY) / (MaxY - MinY) * up), 0, up - 1);

    /// <summary>Sorts its edges into squares by their boxes, counted first and then filled in.</summary>
    private void Sort()
    {
        if (isSorted)
        {
            return;
        }

        var (width, height) = (MaxX - MinX, MaxY - MinY);
        var size = Math.Max(Math.Max(width, height) / MostSquares, 1e-9);
        (across, up) = (Math.Clamp((int)(width / size) + 1, 1, MostSquares + 1), Math.Clamp((int)(height / size) + 1, 1, MostSquares + 1));
        var squares = across * up;
        if (squareStarts.Length < squares + 1)
        {
            squareStarts = new int[squares + 1];
        }

        Array.Clear(squareStarts);
        for (var pass = 0; pass < 2; pass++)
        {
            for (var i = 0; i < Xs.Length; i++)
            {
                var j = Next[i];
                var (x0, x1) = (Column(Math.Min(Xs[i], Xs[j])), Column(Math.Max(Xs[i], Xs[j])));
                var (y0, y1) = (Row(Math.Min(Ys[i], Ys[j])), Row(Math.Max(Ys[i], Ys[j])));
                for (var y = y0; y <= y1; y++)
                {
                    for (var square = (y * across) + x0; square <= (y * across) + x1; square++)
                    {
                        if (pass == 0)
                        {
                            squareStarts[square]++;
                        }
                        else
                        {
                            squareEdges[--squareStarts[square]] = i;
                        }
                    }
                }
            }

            if (pass == 0)
            {
                for (var square = 1; square <= squares; square++)
                {
                    squareStarts[square] += squareStarts[square - 1];
                }

                if (squareEdges.Length < squareStarts[squares])
                {
                    squareEdges = new int[squareStarts[squares] * 2];
                }
            }
        }

        isSorted = true;
    }
}

/// <summary>A question to an edge of a shape.</summary>
internal interface IEdgeQuestion
{
    /// <summary>Whether this edge answers it, so that no other need be asked.</summary>
    bool Answers(PosedShape of, int edge);
}
