using Cabida.Core.Blanks;
using Cabida.Core.Geometry;
using Area = NetTopologySuite.Geometries.Geometry;

namespace Cabida.Core.Fitting;

/// <summary>By how much following a taper widens artwork, as shares: at its top and at its bottom.</summary>
/// <param name="Top">At its top edge; negative when narrower there.</param>
/// <param name="Bottom">At its bottom edge.</param>
public sealed record TaperDistortion(double Top, double Bottom);

/// <summary>
/// Straight artwork ↔ artwork bent along a tapered wall, both laid flat. Straight coordinates are u round the wall, as long as on
/// the reference ring of radius R₀, and v up the wall: a point goes to the polar place (R₀ ± v, u/R₀) about the wall's tip. Exact
/// along that ring; widths elsewhere are scaled by R/R₀. (The development of a cone: any text of descriptive geometry.)
/// </summary>
/// <param name="wall">A tapered wall.</param>
/// <param name="height">The height of the reference ring.</param>
public sealed class TaperBend(Wall wall, double height)
{
    /// <summary>A straight stretch may leave the curve it becomes by this much, in millimetres.</summary>
    private const double ChordError = 0.005;

    private readonly double ring = wall.RingAt(height);
    private readonly double ringAtBase = wall.RingAt(0);
    private readonly bool wideUp = wall.Cone?.WideUp ?? throw new ArgumentException("The wall is straight.", nameof(wall));

    /// <summary>Tells apart bends that could differ.</summary>
    internal string Key => FormattableString.Invariant($"bent {ring:R} {ringAtBase:R} {wideUp}");

    /// <summary>A straight point bent.</summary>
    public PlanePoint Bent(PlanePoint straight)
    {
        var (sin, cos) = Math.SinCos(straight.X / ring);
        var r = RingOf(straight.Y);
        return new PlanePoint(r * sin, wideUp ? (r * cos) - ringAtBase : ringAtBase - (r * cos));
    }

    /// <summary>A bent point as it was straight.</summary>
    public PlanePoint Straight(PlanePoint bent)
    {
        var up = wideUp ? bent.Y + ringAtBase : ringAtBase - bent.Y;
        var r = Math.Sqrt((bent.X * bent.X) + (up * up));
        return new PlanePoint(ring * Math.Atan2(bent.X, up), wideUp ? r - ringAtBase : ringAtBase - r);
    }

    /// <summary>Straight ink bent.</summary>
    public Area Bent(Area straight)
    {
        ArgumentNullException.ThrowIfNull(straight);
        return Outlines.Mapped(straight, Bent, Longest(straight.EnvelopeInternal.MinY, straight.EnvelopeInternal.MaxY));
    }

    /// <summary>A zone as it looks from straight ink; its edges keep their names.</summary>
    public ZoneShape Straight(ZoneShape bent)
    {
        ArgumentNullException.ThrowIfNull(bent);
        return bent.Mapped(Straight, Longest(bent.Bounds.MinY, bent.Bounds.MaxY));
    }

    /// <summary>Ink that stands at a place moved upright onto its ring there and turned with it, but not bent.</summary>
    /// <param name="straight">The ink.</param>
    public Area OnRing(Area straight)
    {
        ArgumentNullException.ThrowIfNull(straight);
        var x = Box.Of(straight)!.Value.CentreX;
        var degrees = x / ring * 180 / Math.PI;
        return Outlines.Moved(
            straight,
            wideUp
                ? Motion.Move(-x, ringAtBase).Then(Motion.TurnLeft(-degrees)).Moved(0, -ringAtBase)
                : Motion.Move(-x, -ringAtBase).Then(Motion.TurnLeft(degrees)).Moved(0, ringAtBase)
        );
    }

    /// <summary>By how much widths differ from those on the reference ring at two heights.</summary>
    public TaperDistortion DistortionAt(double top, double bottom) => new((RingOf(top) / ring) - 1, (RingOf(bottom) / ring) - 1);

    private double RingOf(double v) => wideUp ? ringAtBase + v : ringAtBase - v;

    /// <summary>The longest stretch whose bent middle stays near enough to its chord: a sagitta of L²/8R.</summary>
    private double Longest(double low, double high) => Math.Sqrt(8 * Math.Max(1, Math.Min(RingOf(low), RingOf(high))) * ChordError);
}
