using Cabida.Core.Blanks;
using Cabida.Core.Checking;
using Cabida.Core.Geometry;
using Cabida.Core.Measures;
using Cabida.Core.Motifs;
using Cabida.Core.Runs;
using Cabida.Core.Stock;
using Cabida.Core.Type;
using Area = NetTopologySuite.Geometries.Geometry;

namespace Cabida.Core.Fitting;

/// <summary>What all pieces of a run have in common.</summary>
/// <param name="Motif">The motif.</param>
/// <param name="Wall">The wall it goes on, turned to the zone; null for flat things and where it is unknown.</param>
/// <param name="Panel">The panel it goes on; null for walls and where it is unknown.</param>
/// <param name="Zone">Where on it.</param>
/// <param name="Film">The film.</param>
/// <param name="LetterHeight">The letter height of all in millimetres; null to let each be as large as it can.</param>
/// <param name="Faces">The typefaces at hand.</param>
/// <param name="Cache">Where outlines are kept.</param>
public sealed record RunGround(
    Motif Motif, Wall? Wall, Panel? Panel, Zone Zone, Film Film, double? LetterHeight, ITypefaces Faces, InkCache Cache);

/// <summary>A straight line's bow on a tapered wall.</summary>
/// <param name="By">How far the ends of the ink's width leave the ring that its middle lies on.</param>
/// <param name="Gathers">The film it would gather at its top edge if it were forced level.</param>
public sealed record StraightBow(Length By, Length Gathers);

/// <summary>A piece set, sized, centred, measured and checked.</summary>
/// <param name="Piece">The piece.</param>
/// <param name="State">How it stands to the zone.</param>
/// <param name="Scale">The scale that was chosen.</param>
/// <param name="Parts">Its parts in the zone's coordinates.</param>
/// <param name="Ink">Its ink there.</param>
/// <param name="Cautious">Room in the cautious zone.</param>
/// <param name="Nominal">Room in the nominal zone.</param>
/// <param name="LetterHeight">Height of the capitals of its name line.</param>
/// <param name="LargestLetterHeight">That height at its own largest; null when nothing of it scales or no scale fits.</param>
/// <param name="Covers">How far it goes round.</param>
/// <param name="Thinnest">Its thinnest stroke.</param>
/// <param name="Bow">Set on a tapered wall.</param>
/// <param name="Findings">What the checks noticed.</param>
public sealed record PieceFit(
    Piece Piece,
    FitState State,
    double Scale,
    IReadOnlyList<PlacedPart> Parts,
    Area Ink,
    Rooms? Cautious,
    Rooms? Nominal,
    double LetterHeight,
    double? LargestLetterHeight,
    Coverage? Covers,
    (double Width, PlanePoint At)? Thinnest,
    StraightBow? Bow,
    IReadOnlyList<Finding> Findings)
{
    /// <summary>Width samples are taken this close, in millimetres.</summary>
    private const double WidthStep = 4;

    /// <summary>A quarter turn must make artwork larger by this factor to be taken.</summary>
    private const double WorthTurning = 1.001;

    /// <summary>Whether it may be cut as it stands: over the zone or without all its letters it may not.</summary>
    public bool MayBeCut => State is FitState.Fits or FitState.Snug && Findings.All(f => f.Severity != Severity.Stop);

    /// <summary>Fits one piece.</summary>
    public static PieceFit Of(Piece piece, RunGround ground)
    {
        ArgumentNullException.ThrowIfNull(piece);
        ArgumentNullException.ThrowIfNull(ground);
        var composition = Composition.Of(
            ground.Motif, new Dictionary<string, string>(StringComparer.Ordinal) { [Fields.Name] = piece.Name }, ground.Faces, ground.Cache);
        var largest = composition.IsFixed ? null : LargestFit.Find(composition, composition.AllScales, ground.Zone.Cautious);
        var turnedLargest = composition.IsFixed || ground.Zone.Turning == Turning.Upright ? null : LargestFit.FindTurned(composition, composition.AllScales, ground.Zone.Cautious);
        var scale = ScaleFor(composition, ground.LetterHeight, Math.Max(largest ?? 0, turnedLargest ?? 0) is var most and > 0 ? most : null);
        // Turned only where that is what makes it fit, or larger: lettering reads best as it is.
        var turned = turnedLargest is { } t && t > (largest ?? 0) * WorthTurning && scale > (largest ?? 0) * (1 + 1e-6);
        largest = turned ? turnedLargest : largest;
        var datum = ground.Zone.Cautious.Datum;
        var parts = composition.PartsAt(scale).Select(p => turned ? p.QuarterTurned() : p).Select(p => p.Moved(datum.X, datum.Y)).ToList();
        var ink = Composition.InkOf(parts);
        var box = Box.Of(ink);
        var cautious = box is null ? null : Rooms.Of(ink, ground.Zone.Cautious);
        var nominal = box is null ? null : Rooms.Of(ink, ground.Zone.Nominal);
        var limit = ground.Film.ThinnestStroke.OrZero(LengthRange.Artwork).Millimetres;
        var widths = LocalWidth.Along(ink, WidthStep, limit);
        var thin = ThinParts.Find(ink, limit, widths);
        var findings = Checks.Of(new CheckedPiece(piece.Name, composition, parts, ink, cautious, nominal, ground.Film, thin, StrainOf(box, ground)));
        return new PieceFit(
            piece,
            cautious is null || nominal is null ? FitState.NotSet : FitStates.Of(cautious, nominal),
            scale,
            parts,
            ink,
            cautious,
            nominal,
            NameHeight(composition, parts),
            largest is { } l && NameHeight(composition, composition.PartsAt(l)) is var highest and > 0 ? highest : null,
            box is { } b && ground.Wall is { } wall ? Coverage.Of(Length.Mm(b.Width), wall.GirthAt(ground.Zone.MiddleHeight).Value) : null,
            ThinParts.Thinnest(widths, thin, limit),
            box is { } bow ? BowOf(bow, ground) : null,
            findings);
    }

    private static double ScaleFor(Composition composition, double? letterHeight, double? largest)
    {
        if (letterHeight is { } wanted && !composition.IsFixed && NameHeight(composition, composition.PartsAt(1)) is var atOne and > 0)
        {
            return wanted / atOne;
        }

        return largest ?? (composition.IsFixed ? 1 : LargestFit.LeastScale);
    }

    /// <summary>The height of the capitals of the name's line, or of the first line where no line holds a name; zero without it.</summary>
    private static double NameHeight(Composition composition, IReadOnlyList<PlacedPart> parts) =>
        parts.FirstOrDefault(p => composition.NamePartId is { } id ? p.Part.Id == id : p.Line is not null)?.CapitalHeight ?? 0;

    private static (double Stretch, double Gather)? StrainOf(Box? ink, RunGround ground) =>
        ink is { } box && ground.Wall?.Belly is { } belly ? FilmStrain.OfArtwork(belly, ground.Zone.MiddleHeight, box.Width, box.Height) : null;

    private static StraightBow? BowOf(Box box, RunGround ground)
    {
        var ring = ground.Wall?.RingAt(ground.Zone.MiddleHeight) ?? double.PositiveInfinity;
        return double.IsInfinity(ring) ? null : new StraightBow(
            Cone.Bow(Length.Mm(ring), Length.Mm(box.Width)), Cone.Gathers(Length.Mm(ring), Length.Mm(box.Width), Length.Mm(box.Height)));
    }
}
