using Cabida.Core.Geometry;
using Cabida.Core.Measures;
using Cabida.Core.Wording;

namespace Cabida.Core.Tracing;

/// <summary>How places on a picture become places on the paper: pixels with y down → millimetres with y up.</summary>
public sealed class PictureScale
{
    private const double LeastDotsPerInch = 30;
    private const double MostDotsPerInch = 4800;

    private readonly double[] h;

    private PictureScale(double[] h, IReadOnlyList<PlanePoint>? sheet, double pixel, double uncertainty)
    {
        this.h = h;
        Sheet = sheet;
        Pixel = pixel;
        Uncertainty = uncertainty;
    }

    /// <summary>The corners of the sheet that is looked at, in pixels; null when the whole picture is.</summary>
    public IReadOnlyList<PlanePoint>? Sheet { get; }

    /// <summary>About how large a pixel is, in millimetres.</summary>
    public double Pixel { get; }

    /// <summary>How far an edge of a thing that was followed may be out, in millimetres, for a thing of the size of the picture.</summary>
    public double Uncertainty { get; }

    /// <summary>Whether the sheet was found lying across.</summary>
    public bool LiesAcross { get; private init; }

    /// <summary>A scan of a known resolution.</summary>
    /// <param name="dotsPerInch">Dots an inch.</param>
    /// <param name="height">Pixels down.</param>
    public static Outcome<PictureScale> OfScan(double dotsPerInch, int height)
    {
        if (dotsPerInch is not (>= LeastDotsPerInch and <= MostDotsPerInch))
        {
            return Outcome<PictureScale>.Fail(
                Phrase.Say(
                    $"A resolution of {dotsPerInch:0.#} dots an inch cannot be: it must lie between {LeastDotsPerInch:0} and "
                        + $"{MostDotsPerInch:0}. The scanner's settings name it, often 300."
                )
            );
        }

        var k = Length.MillimetresPerInch / dotsPerInch;
        var tool = ToolAccuracy.OfScan(dotsPerInch);
        var u = 2 * Math.Sqrt(Math.Pow(tool.Repeatability.Millimetres, 2) + (Math.Pow(tool.Error.Millimetres, 2) / 3));
        return Outcome<PictureScale>.Of(new PictureScale([k, 0, 0, 0, -k, k * height, 0, 0], null, k, u));
    }

    /// <summary>A picture taken squarely from above with two points of known distance.</summary>
    /// <param name="from">One point, in pixels.</param>
    /// <param name="to">The other.</param>
    /// <param name="distance">How far they are apart on the paper.</param>
    /// <param name="height">Pixels down.</param>
    public static Outcome<PictureScale> OfTwoPoints(PlanePoint from, PlanePoint to, Length distance, int height)
    {
        var pixels = from.To(to);
        if (pixels < 20)
        {
            return Outcome<PictureScale>.Fail(
                Phrase.Say($"The two points lie too near each other on the picture. Take two that are further apart.")
            );
        }

        // A mark is set to about a pixel at each end; a reading by rule adds its own.
        var k = distance.Millimetres / pixels;
        return Outcome<PictureScale>.Of(new PictureScale([k, 0, 0, 0, -k, k * height, 0, 0], null, k, k + (0.0025 * distance.Millimetres)));
    }

    /// <summary>A photograph of a sheet of known size, in any perspective.</summary>
    /// <param name="marked">Its corners in pixels, in any order.</param>
    /// <param name="width">The sheet's width, as it is usually said.</param>
    /// <param name="height">The sheet's height.</param>
    /// <param name="picture">The picture's size in pixels.</param>
    /// <param name="lies">How it lies, where the maker says it.</param>
    public static Outcome<PictureScale> OfSheet(
        IReadOnlyList<PlanePoint> marked,
        Length width,
        Length height,
        (int Width, int Height) picture,
        SheetLies lies = SheetLies.AsSeen
    )
    {
        ArgumentNullException.ThrowIfNull(marked);
        if (SheetLying.InOrder(marked) is not { } corners)
        {
            return Outcome<PictureScale>.Fail(
                Phrase.Say($"The four corners do not make a sheet: one of them lies between the others. Move it to its corner.")
            );
        }

        var lying = SheetLying.Of(corners, (width, height), picture, lies);
        if (lying.Problem is { } asks)
        {
            return Outcome<PictureScale>.Fail(asks);
        }

        var across = lying.Value == SheetLies.Across;
        var (w, t) = across ? (height.Millimetres, width.Millimetres) : (width.Millimetres, height.Millimetres);
        PlanePoint[] paper = [new(0, t), new(w, t), new(w, 0), new(0, 0)];
        var pixel = (w + t) / (corners[0].To(corners[1]) + corners[1].To(corners[2]));
        return Outcome<PictureScale>.Of(
            new PictureScale(Homography(corners, paper), corners, pixel, pixel + (0.00125 * Math.Max(w, t))) { LiesAcross = across }
        );
    }

    /// <summary>Where a place on the picture lies on the paper.</summary>
    public PlanePoint OnPaper(PlanePoint pixel)
    {
        var d = (h[6] * pixel.X) + (h[7] * pixel.Y) + 1;
        return new PlanePoint(((h[0] * pixel.X) + (h[1] * pixel.Y) + h[2]) / d, ((h[3] * pixel.X) + (h[4] * pixel.Y) + h[5]) / d);
    }

    /// <summary>The projective map of four points to four points: eight linear equations, solved by elimination with pivoting.</summary>
    private static double[] Homography(IReadOnlyList<PlanePoint> from, PlanePoint[] to)
    {
        var rows = new double[8][];
        for (var i = 0; i < 4; i++)
        {
            double x = from[i].X,
                y = from[i].Y,
                u = to[i].X,
                v = to[i].Y;
            rows[2 * i] = [x, y, 1, 0, 0, 0, -u * x, -u * y, u];
            rows[(2 * i) + 1] = [0, 0, 0, x, y, 1, -v * x, -v * y, v];
        }

        return LinearSystem.Solve(rows);
    }
}
