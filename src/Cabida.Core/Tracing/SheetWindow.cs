using Cabida.Core.Geometry;

namespace Cabida.Core.Tracing;

/// <summary>The part of a picture inside the four corners of a sheet, drawn in a little so that the sheet's own edge is not seen.</summary>
internal sealed class SheetWindow
{
    /// <summary>How far it is drawn in towards its middle, as a share.</summary>
    private const double DrawnIn = 0.012;

    private readonly PlanePoint[] corners;
    private readonly GreyPicture picture;

    public SheetWindow(IReadOnlyList<PlanePoint> corners, GreyPicture picture)
    {
        var middle = new PlanePoint(corners.Average(c => c.X), corners.Average(c => c.Y));
        this.corners = [.. corners.Select(c => c.Towards(middle, DrawnIn))];
        this.picture = picture;
    }

    /// <summary>Whether a place is inside.</summary>
    public bool Contains(double x, double y) => Across(y) is var (from, to) && x >= from && x <= to;

    /// <summary>From where to where a row of pixels is inside.</summary>
    public (int From, int To) Row(int y) =>
        Across(y + 0.5) is var (from, to)
            ? (Math.Clamp((int)Math.Ceiling(from), 0, picture.Width), Math.Clamp((int)to, 0, picture.Width))
            : (0, 0);

    private (double From, double To)? Across(double y)
    {
        var (from, to) = (double.PositiveInfinity, double.NegativeInfinity);
        for (var i = 0; i < 4; i++)
        {
            PlanePoint a = corners[i],
                b = corners[(i + 1) % 4];
            if (a.Y == b.Y || y < Math.Min(a.Y, b.Y) || y > Math.Max(a.Y, b.Y))
            {
                continue;
            }

            var x = a.X + ((b.X - a.X) * (y - a.Y) / (b.Y - a.Y));
            (from, to) = (Math.Min(from, x), Math.Max(to, x));
        }

        return from <= to ? (from, to) : null;
    }
}
