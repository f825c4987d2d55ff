using Cabida.Core.Geometry;
using Cabida.Core.Measures;

namespace Cabida.Core.Blanks;

/// <summary>
/// A wall of revolution laid flat. Developed coordinates are millimetres, y up: x = 0 is the front (opposite the handle
/// or seam, unless the wall is turned), y = 0 the base on the front line; a height v counts along the wall from the base.
/// </summary>
/// <param name="Cone">The taper; null for a straight wall.</param>
/// <param name="StraightGirth">The girth of a straight wall; of a tapered one the lower mark's.</param>
/// <param name="Height">Along the wall, base to rim.</param>
/// <param name="LowerMark">How far the lower mark of a tapered wall lies above the base.</param>
/// <param name="Handle">What the handle blocks of the girth; null when there is none.</param>
public sealed record Wall(Cone? Cone, Dimension StraightGirth, Dimension Height, Length LowerMark, Dimension? Handle)
{
    /// <summary>How far the line x = 0 stands to the right of the front, round the goods.</summary>
    public Angle Turn { get; init; }

    /// <summary>The real profile of a bellied wall, of which the cone is only the film's shape in one band; null for others.</summary>
    public Belly? Belly { get; init; }

    /// <summary>
    /// The girth at height <paramref name="v"/>, with its uncertainty; beyond the marks both go on along the line through them.
    /// </summary>
    public Dimension GirthAt(double v)
    {
        if (Cone is null)
        {
            return StraightGirth;
        }

        var share = (v - LowerMark.Millimetres) / Cone.Wall.Value.Millimetres;
        return new Dimension(
            (share * Cone.Upper.Value) + ((1 - share) * Cone.Lower.Value),
            Dimension.Combined(Math.Abs(share) * Cone.Upper.Uncertainty, Math.Abs(1 - share) * Cone.Lower.Uncertainty)
        );
    }

    /// <summary>The radius of the ring at height <paramref name="v"/> when laid flat; infinite for a straight wall.</summary>
    public double RingAt(double v) => Cone is null ? double.PositiveInfinity : GirthAt(v).Value.Millimetres / Cone.Sweep.Radians;

    /// <summary>The distance across at height <paramref name="v"/>, of a bellied wall the real one.</summary>
    public Length AcrossAt(double v) => (Belly is null ? GirthAt(v).Value : Length.Mm(Belly.GirthAt(v))) / Math.PI;

    /// <summary>
    /// Where the point lies, when laid flat, that is <paramref name="around"/> to the right of the front line at height <paramref
    /// name="v"/>.
    /// </summary>
    public PlanePoint Laid(double around, double v)
    {
        if (Cone is null)
        {
            return new PlanePoint(around, v);
        }

        double ring = RingAt(v),
            ringAtBase = RingAt(0),
            angle = around / ring;
        return Cone.WideUp
            ? new PlanePoint(ring * Math.Sin(angle), (ring * Math.Cos(angle)) - ringAtBase)
            : new PlanePoint(ring * Math.Sin(angle), ringAtBase - (ring * Math.Cos(angle)));
    }

    /// <summary>Where a point of the flat development lies on the wall: the reverse of <see cref="Laid"/>.</summary>
    /// <returns>The angle from the front line, to the right; and the height along the wall.</returns>
    public (Angle Round, double V) OnWall(PlanePoint laid)
    {
        if (Cone is null)
        {
            return (new Angle(2 * Math.PI * laid.X / StraightGirth.Value.Millimetres), laid.Y);
        }

        // Along the wall a ring's radius grows (or shrinks) by a millimetre per millimetre of height.
        double ringAtBase = RingAt(0),
            up = Cone.WideUp ? laid.Y + ringAtBase : ringAtBase - laid.Y;
        var ring = Math.Sqrt((laid.X * laid.X) + (up * up));
        return (new Angle(2 * Math.PI * Math.Atan2(laid.X, up) / Cone.Sweep.Radians), Cone.WideUp ? ring - ringAtBase : ringAtBase - ring);
    }
}

/// <summary>How far artwork reaches round a wall.</summary>
/// <param name="Goes">The angle it takes of the whole turn.</param>
/// <param name="AppearsWide">Its width seen from the front from afar; null beyond half a turn.</param>
/// <param name="EdgeSeenAt">The share of its width that its edge still shows: cos(α/2); null beyond half a turn.</param>
public sealed record Coverage(Angle Goes, Length? AppearsWide, double? EdgeSeenAt)
{
    /// <summary>Coverage of a width on a girth: α = 2π·w/G, seen d·sin(α/2) wide.</summary>
    public static Coverage Of(Length width, Length girth)
    {
        var goes = new Angle(2 * Math.PI * (width / girth));
        return goes.Radians <= Math.PI
            ? new Coverage(goes, Math.Sin(goes.Radians / 2) * (girth / Math.PI), Math.Cos(goes.Radians / 2))
            : new Coverage(goes, null, null);
    }
}
