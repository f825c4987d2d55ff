using Cabida.Core.Geometry;

namespace Cabida.Core.Fitting;

/// <summary>
/// A box of places and turns, or of places and sizes; how far turning, or growing, moves the ink's farthest point stands for its third
/// side.
/// </summary>
internal readonly record struct PlaceCell(double X, double Y, double HalfX, double HalfY, double Turn, double HalfArc)
{
    /// <summary>By how much the ink stands outside at its middle, or less.</summary>
    public double Violation { get; init; }

    /// <summary>By how much the ink is reduced in its middle.</summary>
    public double Factor { get; init; } = 1;

    /// <summary>How far the factor reaches to either side.</summary>
    public double HalfFactor { get; init; }

    /// <summary>By how much that moves the ink's farthest point.</summary>
    public double HalfGrowth { get; init; }

    /// <summary>The largest factor in it.</summary>
    public double MostFactor => Factor + HalfFactor;

    /// <summary>The place in its middle.</summary>
    public PlanePoint Middle => new(X, Y);

    /// <summary>Its middle alone.</summary>
    public PlaceCell Alone => new(X, Y, 0, 0, Turn, 0) { Factor = Factor };

    /// <summary>How far any point of the ink moves from its middle to anywhere in it.</summary>
    public double Radius => Math.Sqrt((HalfX * HalfX) + (HalfY * HalfY)) + HalfArc + HalfGrowth;

    /// <summary>How near a place of it comes to a point.</summary>
    public double NearestTo(PlanePoint p) =>
        Math.Sqrt(Square(Math.Max(0, Math.Abs(p.X - X) - HalfX)) + Square(Math.Max(0, Math.Abs(p.Y - Y) - HalfY)));

    /// <summary>It in two, across its longest side.</summary>
    /// <param name="radius">How far the ink reaches from its origin.</param>
    public IEnumerable<PlaceCell> Halves(double radius)
    {
        if (HalfGrowth > HalfX && HalfGrowth > HalfY)
        {
            var half = this with { HalfFactor = HalfFactor / 2, HalfGrowth = HalfGrowth / 2 };
            return [half with { Factor = Factor - half.HalfFactor }, half with { Factor = Factor + half.HalfFactor }];
        }

        if (HalfArc > HalfX && HalfArc > HalfY)
        {
            var quarter = HalfArc / 2 / radius * 180 / Math.PI;
            return [this with { Turn = Turn - quarter, HalfArc = HalfArc / 2 }, this with { Turn = Turn + quarter, HalfArc = HalfArc / 2 }];
        }

        return HalfX >= HalfY
            ? [this with { X = X - (HalfX / 2), HalfX = HalfX / 2 }, this with { X = X + (HalfX / 2), HalfX = HalfX / 2 }]
            : [this with { Y = Y - (HalfY / 2), HalfY = HalfY / 2 }, this with { Y = Y + (HalfY / 2), HalfY = HalfY / 2 }];
    }

    private static double Square(double v) => v * v;
}
