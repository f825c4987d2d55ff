namespace Cabida.Core.Geometry;

/// <summary>What of a convex polygon lies on one side of a line (Sutherland and Hodgman 1974).</summary>
internal static class HalfPlane
{
    /// <summary>Points this little outside still count, in millimetres: at the largest fit a single one is left.</summary>
    private const double Rounding = 1e-9;

    /// <summary>What lies in n·p ≥ c, for n of length 1.</summary>
    public static List<PlanePoint> Clip(List<PlanePoint> polygon, double nx, double ny, double c)
    {
        var kept = new List<PlanePoint>(polygon.Count + 1);
        for (var i = 0; i < polygon.Count; i++)
        {
            var (a, b) = (polygon[i], polygon[(i + 1) % polygon.Count]);
            var (da, db) = ((nx * a.X) + (ny * a.Y) - c, (nx * b.X) + (ny * b.Y) - c);
            if (da >= -Rounding)
            {
                kept.Add(a);
            }

            if ((da < -Rounding && db > Rounding) || (da > Rounding && db < -Rounding))
            {
                kept.Add(a.Towards(b, da / (da - db)));
            }
        }

        return kept;
    }
}
