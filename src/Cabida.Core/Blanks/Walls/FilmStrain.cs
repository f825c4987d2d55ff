namespace Cabida.Core.Blanks;

/// <summary>How much a film may stretch and gather before it shows, as shares.</summary>
/// <param name="Stretch">The most it stretches: 0.03 for 3 %.</param>
/// <param name="Gather">The most it gathers.</param>
public sealed record StrainLimits(double Stretch, double Gather);

/// <summary>The strain at a height; positive stretches, negative gathers.</summary>
/// <param name="V">Along the wall from the base.</param>
/// <param name="Strain">As a share.</param>
public readonly record struct StrainAt(double V, double Strain);

/// <summary>
/// What a flat film must give to lie on a bellied wall. A full turn laid on the cone through the ends of its band is
/// strained by (G − G_cone)/G_cone. A patch is strained by about |K|·min(w, h)²/8, K the Gaussian curvature (the geodesic
/// strip: its edges are that much too long or too short); it gathers where the wall bulges and stretches where it is
/// waisted. Of the two the smaller counts.
/// </summary>
public static class FilmStrain
{
    /// <summary>Extremes are quoted on a grid this fine; millimetres.</summary>
    public const double Grid = 0.5;

    /// <summary>Sizes are found to this; millimetres.</summary>
    private const double SizePrecision = 0.01;

    /// <summary>The strain of a full-turn band along its height.</summary>
    public static IReadOnlyList<StrainAt> OfBand(Belly belly, double from, double to)
    {
        ArgumentNullException.ThrowIfNull(belly);
        double a = belly.GirthAt(from),
            b = belly.GirthAt(to);
        var steps = Math.Max(1, (int)Math.Ceiling((to - from) / Grid));
        return
        [
            .. Enumerable
                .Range(0, steps + 1)
                .Select(i => from + ((to - from) * i / steps))
                .Select(v =>
                {
                    var cone = a + ((b - a) * (v - from) / (to - from));
                    return new StrainAt(v, (belly.GirthAt(v) - cone) / cone);
                }),
        ];
    }

    /// <summary>The strain of a patch around a height: signed as it is felt, negative where it gathers.</summary>
    /// <param name="belly">The profile.</param>
    /// <param name="middle">The patch's middle height.</param>
    /// <param name="width">Its width round the wall.</param>
    /// <param name="height">Its height along the wall.</param>
    public static double OfPatch(Belly belly, double middle, double width, double height)
    {
        ArgumentNullException.ThrowIfNull(belly);
        var side = Math.Min(width, height);
        return -belly.CurvatureAt(middle) * side * side / 8;
    }

    /// <summary>The strains that count for artwork of a size: of band and patch the one that asks less of the film.</summary>
    public static (double Stretch, double Gather) OfArtwork(Belly belly, double middle, double width, double height)
    {
        var patch = OfPatch(belly, middle, width, height);
        var band = OfBand(belly, middle - (height / 2), middle + (height / 2));
        var (most, least) = (band.Max(s => s.Strain), band.Min(s => s.Strain));
        return Math.Max(most, -least) < Math.Abs(patch)
            ? (Math.Max(0, most), Math.Max(0, -least))
            : (Math.Max(0, patch), Math.Max(0, -patch));
    }

    /// <summary>The tallest full-turn band around a height that keeps within a film's limits; within the heights that were read.</summary>
    public static double TallestBand(Belly belly, double middle, StrainLimits limits)
    {
        ArgumentNullException.ThrowIfNull(limits);
        return Largest(Reach(belly, middle), h =>
            h <= Grid || OfBand(belly, middle - (h / 2), middle + (h / 2)).All(s => Within(s.Strain, limits))
        );
    }

    /// <summary>The largest smaller side of a patch around a height that keeps within a film's limits.</summary>
    public static double LargestPatch(Belly belly, double middle, StrainLimits limits)
    {
        ArgumentNullException.ThrowIfNull(limits);
        return Largest(Reach(belly, middle), side => Within(OfPatch(belly, middle, side, side), limits));
    }

    /// <summary>Whether a strain keeps within limits.</summary>
    public static bool Within(double strain, StrainLimits limits)
    {
        ArgumentNullException.ThrowIfNull(limits);
        return strain <= limits.Stretch && -strain <= limits.Gather;
    }

    private static double Reach(Belly belly, double middle)
    {
        ArgumentNullException.ThrowIfNull(belly);
        return 2 * Math.Max(0, Math.Min(middle - belly.Lowest, belly.Highest - middle));
    }

    /// <summary>The largest size up to a bound that is fine, growing until one is not and then halving.</summary>
    private static double Largest(double bound, Func<double, bool> fine)
    {
        double good = 0,
            bad = bound;
        for (var size = Math.Min(2.0, bound); size <= bound; size += 2)
        {
            if (!fine(size))
            {
                bad = size;
                break;
            }

            good = size;
        }

        if (bad >= bound && fine(bound))
        {
            return bound;
        }

        while (bad - good > SizePrecision)
        {
            var middle = (good + bad) / 2;
            (good, bad) = fine(middle) ? (middle, bad) : (good, middle);
        }

        return good;
    }
}
