using Cabida.Core.Geometry;

namespace Cabida.Core.Layout;

/// <summary>Where a shape's own box lies about its middle, at a turn.</summary>
internal readonly record struct Extent(double MinX, double MinY, double MaxX, double MaxY);

/// <summary>A thing of a problem, made ready for the search: its shape as grown for the scissors, and its own for the ground.</summary>
internal sealed class LayThing
{
    private readonly Dictionary<double, Extent> extents = [];
    private readonly PlanePoint[] hull;

    public LayThing(LayItem item, LayShapes shapes, IReadOnlyList<double> turns)
    {
        Item = item;
        (Own, Grown, Middle, hull) = shapes;
        Turns = Distinct(turns);
        foreach (var turn in Turns)
        {
            extents[turn] = Measured(turn);
        }
    }

    public LayItem Item { get; }

    /// <summary>Its shape, apart by half of the scissors room from its outline.</summary>
    public LayShape Grown { get; }

    /// <summary>Its shape as it must lie on the ground.</summary>
    public LayShape Own { get; }

    /// <summary>What of the outline is the shapes' origin.</summary>
    public PlanePoint Middle { get; }

    /// <summary>The turns that are tried, in degrees.</summary>
    public IReadOnlyList<double> Turns { get; }

    /// <summary>Whether its box, turned somehow, is no larger than that of a ground.</summary>
    public bool MayLieOn(LayGround ground, bool turnsFreely) =>
        turnsFreely
        || Turns
            .Select(ExtentAt)
            .Any(e => e.MaxX - e.MinX <= ground.Box.Width + Bands.Touching && e.MaxY - e.MinY <= ground.Box.Height + Bands.Touching);

    /// <summary>The box of its outline at a turn, exactly: what is as wide as a sheet fits it.</summary>
    public Extent ExtentAt(double turn) => extents.TryGetValue(turn, out var known) ? known : Measured(turn);

    /// <summary>How the outline comes to lie when the middle of its box is at a point.</summary>
    public RigidMotion MotionAt(double turn, double x, double y)
    {
        var middle = Motion.TurnLeft(turn).Of(Middle);
        return new RigidMotion(turn, x - middle.X, y - middle.Y);
    }

    /// <summary>Where the middle of the box comes to lie by a motion.</summary>
    public (double X, double Y) MiddleAt(RigidMotion motion) => motion.Motion.Of(Middle) is var at ? (at.X, at.Y) : default;

    /// <summary>The turns that make a difference: a rectangle looks the same after half a turn.</summary>
    private List<double> Distinct(IReadOnlyList<double> turns)
    {
        const double same = 1e-6;
        List<PlanePoint> Corners(double turn)
        {
            var by = Motion.TurnLeft(turn);
            return
            [
                .. Grown
                    .Rings.Concat(Own.Rings)
                    .SelectMany(r => r)
                    .Select(by.Of)
                    .OrderBy(p => Math.Round(p.X / same / 1000))
                    .ThenBy(p => Math.Round(p.Y / same / 1000)),
            ];
        }

        var kept = new List<(double Turn, List<PlanePoint> Corners)>();
        foreach (var turn in turns)
        {
            var corners = Corners(turn);
            if (!kept.Any(k => k.Corners.Zip(corners).All(c => c.First.To(c.Second) < same)))
            {
                kept.Add((turn, corners));
            }
        }

        return kept.ConvertAll(k => k.Turn);
    }

    private Extent Measured(double turn)
    {
        var by = Motion.TurnLeft(turn);
        var (minX, minY, maxX, maxY) = (double.MaxValue, double.MaxValue, double.MinValue, double.MinValue);
        foreach (var corner in hull)
        {
            var p = by.Of(corner);
            (minX, minY) = (Math.Min(minX, p.X), Math.Min(minY, p.Y));
            (maxX, maxY) = (Math.Max(maxX, p.X), Math.Max(maxY, p.Y));
        }

        return new Extent(minX, minY, maxX, maxY);
    }
}

/// <summary>The shapes of one kind of thing, and the corners of its hull, about its middle.</summary>
internal sealed record LayShapes(LayShape Own, LayShape Grown, PlanePoint Middle, PlanePoint[] Hull)
{
    public static LayShapes Of(LayItem item, double scissorsRoom)
    {
        var middle = (Box.Of(item.Outline) ?? throw new ArgumentException("A thing without an outline.", nameof(item))).Centre;
        var own = LayShape.Of(item.Outline, 0, middle);
        return new LayShapes(
            own,
            scissorsRoom > 0 ? LayShape.Of(item.Outline, scissorsRoom / 2, middle) : own,
            middle,
            [.. item.Outline.ConvexHull().Coordinates.Select(c => new PlanePoint(c.X - middle.X, c.Y - middle.Y))]
        );
    }
}
