namespace Cabida.Core.Geometry;

/// <summary>An affine change of place: x′ = A·x + B·y + C, y′ = D·x + E·y + F.</summary>
public readonly record struct Motion(double A, double B, double C, double D, double E, double F)
{
    /// <summary>Nothing changes.</summary>
    public static Motion None { get; } = new(1, 0, 0, 0, 1, 0);

    /// <summary>A move.</summary>
    public static Motion Move(double dx, double dy) => new(1, 0, dx, 0, 1, dy);

    /// <summary>A change of size about the origin, across and up.</summary>
    public static Motion Scale(double across, double up) => new(across, 0, 0, 0, up, 0);

    /// <summary>A turn to the left about the origin; quarter turns are exact.</summary>
    /// <param name="degrees">How far.</param>
    public static Motion TurnLeft(double degrees)
    {
        var turns = degrees / 90;
        var (sin, cos) =
            turns == Math.Round(turns)
                ? ((((int)turns % 4) + 4) % 4) switch
                {
                    0 => (0.0, 1.0),
                    1 => (1, 0),
                    2 => (0, -1),
                    _ => (-1, 0),
                }
                : Math.SinCos(degrees * Math.PI / 180);
        return new(cos, -sin, 0, sin, cos, 0);
    }

    /// <summary>Left and right exchanged about x = 0.</summary>
    public static Motion Flip { get; } = new(-1, 0, 0, 0, 1, 0);

    /// <summary>This change, and then another.</summary>
    public Motion Then(Motion next) =>
        new(
            (next.A * A) + (next.B * D),
            (next.A * B) + (next.B * E),
            (next.A * C) + (next.B * F) + next.C,
            (next.D * A) + (next.E * D),
            (next.D * B) + (next.E * E),
            (next.D * C) + (next.E * F) + next.F
        );

    /// <summary>This change and then a move.</summary>
    public Motion Moved(double dx, double dy) => this with { C = C + dx, F = F + dy };

    /// <summary>Where a point comes to.</summary>
    public PlanePoint Of(PlanePoint p) => new((A * p.X) + (B * p.Y) + C, (D * p.X) + (E * p.Y) + F);

    /// <summary>Where a point came from.</summary>
    public PlanePoint Back(PlanePoint p)
    {
        var (x, y, det) = (p.X - C, p.Y - F, (A * E) - (B * D));
        return new(((E * x) - (B * y)) / det, ((A * y) - (D * x)) / det);
    }

    /// <summary>Whether upright boxes stay upright.</summary>
    public bool KeepsBoxes => (B == 0 && D == 0) || (A == 0 && E == 0);

    /// <summary>The upright box round the changed corners of a box.</summary>
    public Box Of(Box b)
    {
        PlanePoint[] corners = [.. b.Corners.Select(Of)];
        return new Box(corners.Min(c => c.X), corners.Min(c => c.Y), corners.Max(c => c.X), corners.Max(c => c.Y));
    }
}
