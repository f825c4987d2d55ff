using Cabida.Core.Geometry;
using Cabida.Core.Measures;
using Cabida.Core.Wording;

namespace Cabida.Core.Tracing;

/// <summary>How a sheet lies on a photograph.</summary>
public enum SheetLies
{
    /// <summary>As its corners show.</summary>
    AsSeen,

    /// <summary>The way its size was typed.</summary>
    AsTyped,

    /// <summary>A quarter turned from that.</summary>
    Across,
}

/// <summary>
/// Brings the four corners of a sheet, marked in any order, into order, and tells by their perspective whether the sheet stands or lies
/// across. The aspect of a rectangle seen by a camera whose pixels are square and whose axis goes through the middle of the picture
/// follows from its four corners alone (Zhang and He 2007).
/// </summary>
public static class SheetLying
{
    /// <summary>An aspect this near to the sheet's own, as a logarithm, is taken for it.</summary>
    private const double Near = 0.15;

    /// <summary>One way must fit better than the other by this before it is taken without asking.</summary>
    private const double Clearly = 0.1;

    /// <summary>Seen so squarely that the perspective tells nothing, the sides themselves do.</summary>
    private const double Square = 1e-3;

    /// <summary>The corners from the one at the upper left, clockwise on the picture; null when they make no sheet.</summary>
    /// <param name="marked">Four places in pixels, y down, in any order.</param>
    public static IReadOnlyList<PlanePoint>? InOrder(IReadOnlyList<PlanePoint> marked)
    {
        ArgumentNullException.ThrowIfNull(marked);
        if (marked.Count != 4)
        {
            return null;
        }

        var middle = new PlanePoint(marked.Average(p => p.X), marked.Average(p => p.Y));
        // With y down, growing angles run clockwise as it is seen.
        var round = marked.OrderBy(p => Math.Atan2(p.Y - middle.Y, p.X - middle.X)).ToList();
        var turns = Enumerable.Range(0, 4).Select(i => Cross(round[i], round[(i + 1) % 4], round[(i + 2) % 4])).ToList();
        if (turns.Any(t => t <= 1))
        {
            return null;
        }

        // Its upper edge is the one whose middle lies highest.
        var top = Enumerable.Range(0, 4).MinBy(i => round[i].Y + round[(i + 1) % 4].Y);
        return [.. Enumerable.Range(0, 4).Select(i => round[(top + i) % 4])];
    }

    /// <summary>Width over height of a sheet as it is in truth.</summary>
    /// <param name="corners">Its corners in order: upper left, upper right, lower right, lower left.</param>
    /// <param name="width">The picture's width in pixels.</param>
    /// <param name="height">Its height.</param>
    public static double Aspect(IReadOnlyList<PlanePoint> corners, int width, int height)
    {
        ArgumentNullException.ThrowIfNull(corners);
        // Measured from the middle of the picture, in its own size, so that nothing is large.
        var size = Math.Max(width, height) / 2.0;
        double[] At(PlanePoint p) => [(p.X - (width / 2.0)) / size, (p.Y - (height / 2.0)) / size, 1];
        var (m1, m2, m3, m4) = (At(corners[0]), At(corners[1]), At(corners[3]), At(corners[2]));
        var c = Product(m1, m4);
        double k2 = Dot(c, m3) / Dot(Product(m2, m4), m3),
            k3 = Dot(c, m2) / Dot(Product(m3, m4), m2);
        double[] across = [(k2 * m2[0]) - m1[0], (k2 * m2[1]) - m1[1], k2 - 1];
        double[] down = [(k3 * m3[0]) - m1[0], (k3 * m3[1]) - m1[1], k3 - 1];
        var f2 =
            Math.Abs(across[2]) < Square || Math.Abs(down[2]) < Square
                ? double.PositiveInfinity
                : -((across[0] * down[0]) + (across[1] * down[1])) / (across[2] * down[2]);
        // Perspective along one side only, or none: the focal length cannot be told, and does not matter where there is none.
        if (!double.IsFinite(f2) || f2 <= 0)
        {
            return SideRatio(corners);
        }

        double Long(double[] n) => ((n[0] * n[0]) + (n[1] * n[1]) + (f2 * n[2] * n[2])) / f2;
        return Math.Sqrt(Long(across) / Long(down));
    }

    /// <summary>How a sheet of a size lies; a problem asks where the corners do not tell.</summary>
    /// <param name="corners">Its corners in order.</param>
    /// <param name="sheet">Its size as typed.</param>
    /// <param name="picture">The picture's size in pixels.</param>
    /// <param name="lies">What the maker says of it.</param>
    public static Outcome<SheetLies> Of(
        IReadOnlyList<PlanePoint> corners,
        (Length Width, Length Height) sheet,
        (int Width, int Height) picture,
        SheetLies lies
    )
    {
        if (lies != SheetLies.AsSeen)
        {
            return Outcome<SheetLies>.Of(lies);
        }

        var typed = Math.Log(sheet.Width / sheet.Height);
        // On a picture that was cut the perspective misleads, and the sides themselves are nearer.
        double[] seen = [Math.Log(Aspect(corners, picture.Width, picture.Height)), Math.Log(SideRatio(corners))];
        foreach (var aspect in seen)
        {
            var (upright, across) = (Math.Abs(aspect - typed), Math.Abs(aspect + typed));
            // A square sheet lies as it lies.
            if (Math.Min(upright, across) <= Near && (Math.Abs(typed) < 0.01 || Math.Abs(upright - across) >= Clearly))
            {
                return Outcome<SheetLies>.Of(upright <= across ? SheetLies.AsTyped : SheetLies.Across);
            }
        }

        return Outcome<SheetLies>.Fail(
            Phrase.Say(
                $"The four corners look like a sheet whose width is {Math.Exp(seen[0]):0.00} of its height, which is neither "
                    + $"{sheet.Width} × {sheet.Height} nor the same lying across. Choose how it lies, or another sheet; or move the "
                    + $"corners."
            )
        );
    }

    private static double SideRatio(IReadOnlyList<PlanePoint> c) => (c[0].To(c[1]) + c[3].To(c[2])) / (c[1].To(c[2]) + c[0].To(c[3]));

    private static double Cross(PlanePoint a, PlanePoint b, PlanePoint c) => ((b.X - a.X) * (c.Y - b.Y)) - ((b.Y - a.Y) * (c.X - b.X));

    private static double[] Product(double[] a, double[] b) =>
        [(a[1] * b[2]) - (a[2] * b[1]), (a[2] * b[0]) - (a[0] * b[2]), (a[0] * b[1]) - (a[1] * b[0])];

    private static double Dot(double[] a, double[] b) => (a[0] * b[0]) + (a[1] * b[1]) + (a[2] * b[2]);
}
