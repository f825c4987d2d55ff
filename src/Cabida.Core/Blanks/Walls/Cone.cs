using Cabida.Core.Measures;
using Cabida.Core.Wording;

namespace Cabida.Core.Blanks;

/// <summary>
/// A tapered wall laid flat: a ring sector. From the girths at two marks and the wall length s between them, with
/// r = G/2π: R_wide = r_wide·s/(r_wide − r_narrow), R_narrow = R_wide − s, sweep θ = G/R, half-angle asin(Δr/s).
/// (The development of a right circular cone: any text of descriptive geometry.)
/// </summary>
/// <param name="Upper">Girth at the upper mark.</param>
/// <param name="Lower">Girth at the lower mark.</param>
/// <param name="Wall">Along the wall between the marks.</param>
public sealed record Cone(Dimension Upper, Dimension Lower, Dimension Wall)
{
    /// <summary>Whether the wider end is up.</summary>
    public bool WideUp => Upper.Value > Lower.Value;

    /// <summary>The distance along the wall from the cone's tip to the wider mark, with its uncertainty.</summary>
    public Dimension WideRadius
    {
        get
        {
            var (wide, narrow) = WideUp ? (Upper, Lower) : (Lower, Upper);
            double rw = Radius(wide.Value),
                rn = Radius(narrow.Value),
                s = Wall.Value.Millimetres,
                d = rw - rn;
            // First-order propagation: the partial derivatives of rw·s/(rw − rn).
            return new Dimension(
                Length.Mm(rw * s / d),
                Dimension.Combined(
                    s * rn / (d * d) * RadiusUncertainty(wide),
                    s * rw / (d * d) * RadiusUncertainty(narrow),
                    rw / d * Wall.Uncertainty
                )
            );
        }
    }

    /// <summary>The distance along the wall from the cone's tip to the narrower mark.</summary>
    public Length NarrowRadius => WideRadius.Value - Wall.Value;

    /// <summary>The angle of the ring sector that the whole turn makes when laid flat.</summary>
    public Angle Sweep => new((WideUp ? Upper : Lower).Value / WideRadius.Value);

    /// <summary>How much each side leans from upright.</summary>
    public Angle HalfAngle => new(Math.Asin(DeltaRadius / Wall.Value.Millimetres));

    /// <summary>The upright height between the marks.</summary>
    public Length UprightHeight => Length.Mm(Math.Sqrt(Math.Pow(Wall.Value.Millimetres, 2) - Math.Pow(DeltaRadius, 2)));

    private double DeltaRadius => Math.Abs(Radius(Upper.Value) - Radius(Lower.Value));

    /// <summary>Builds the cone, or says why no wall of this length joins these girths.</summary>
    public static Outcome<Cone> Of(Dimension upper, Dimension lower, Dimension wall)
    {
        ArgumentNullException.ThrowIfNull(upper);
        ArgumentNullException.ThrowIfNull(lower);
        ArgumentNullException.ThrowIfNull(wall);
        var cone = new Cone(upper, lower, wall);
        return cone.DeltaRadius >= wall.Value.Millimetres
            ? Outcome<Cone>.Fail(
                Phrase.Say(
                    $"No wall of {wall.Value} joins girths of {upper.Value} and {lower.Value}: their radii differ by "
                        + $"{Length.Mm(cone.DeltaRadius)}, which is more than the wall is long. Read A, B and C again."
                )
            )
            : Outcome<Cone>.Of(cone);
    }

    /// <summary>The wall between marks whose upright distance was measured instead: s = √(h² + Δr²).</summary>
    public static Dimension WallFromUpright(Dimension upper, Dimension lower, Dimension upright)
    {
        ArgumentNullException.ThrowIfNull(upper);
        ArgumentNullException.ThrowIfNull(lower);
        ArgumentNullException.ThrowIfNull(upright);
        double h = upright.Value.Millimetres,
            d = Radius(upper.Value) - Radius(lower.Value),
            s = Math.Sqrt((h * h) + (d * d));
        return new Dimension(
            Length.Mm(s),
            Dimension.Combined(
                h / s * upright.Uncertainty,
                Math.Abs(d) / s * RadiusUncertainty(upper),
                Math.Abs(d) / s * RadiusUncertainty(lower)
            )
        );
    }

    /// <summary>
    /// How far a straight line of width <paramref name="width"/>, touching ring <paramref name="ring"/> at its middle, leaves it at its
    /// ends: √(R² + w²/4) − R.
    /// </summary>
    public static Length Bow(Length ring, Length width) =>
        Length.Mm(Math.Sqrt(Math.Pow(ring.Millimetres, 2) + (Math.Pow(width.Millimetres, 2) / 4)) - ring.Millimetres);

    /// <summary>The widest straight line that leaves its ring by at most <paramref name="bow"/>: 2√(2Rb + b²).</summary>
    public static Length WidestWithin(Length ring, Length bow) =>
        Length.Mm(2 * Math.Sqrt((2 * ring.Millimetres * bow.Millimetres) + Math.Pow(bow.Millimetres, 2)));

    /// <summary>
    /// The film that straight art of this width and height gathers at its top edge when forced level at both ends: w·h/R.
    /// </summary>
    public static Length Gathers(Length ring, Length width, Length height) =>
        Length.Mm(width.Millimetres * height.Millimetres / ring.Millimetres);

    private static double Radius(Length girth) => girth.Millimetres / (2 * Math.PI);

    private static Length RadiusUncertainty(Dimension girth) => girth.Uncertainty / (2 * Math.PI);
}
