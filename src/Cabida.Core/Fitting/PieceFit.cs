using Cabida.Core.Blanks;
using Cabida.Core.Checking;
using Cabida.Core.Geometry;
using Cabida.Core.Measures;
using Cabida.Core.Motifs;
using Cabida.Core.Runs;
using Cabida.Core.Stock;
using Cabida.Core.Wording;
using Area = NetTopologySuite.Geometries.Geometry;

namespace Cabida.Core.Fitting;

/// <summary>A straight line's bow on a tapered wall.</summary>
/// <param name="By">How far the ends of the ink's width leave the ring that its middle lies on.</param>
/// <param name="Gathers">The film it would gather at its top edge if it were forced level.</param>
/// <param name="Ring">The radius of that ring laid flat.</param>
public sealed record StraightBow(Length By, Length Gathers, Length Ring);

/// <summary>A piece set, sized, centred, measured and checked.</summary>
/// <param name="Piece">The piece.</param>
/// <param name="State">How it stands to the zone.</param>
/// <param name="Place">The scale that was chosen, its turn and place.</param>
/// <param name="Zone">The zone it was fitted in: the run's, or one with smaller margins where that was conceded.</param>
/// <param name="Parts">Its parts in the zone's coordinates.</param>
/// <param name="Ink">Its ink there, of all films; but for mats, which the frame holds.</param>
/// <param name="Films">Its ink there by film, the lowest first.</param>
/// <param name="Cautious">Room in the cautious zone.</param>
/// <param name="Nominal">Room in the nominal zone.</param>
/// <param name="LetterHeight">Height of the capitals of its name line.</param>
/// <param name="LargestLetterHeight">That height at its own largest; null when nothing of it scales or no scale fits.</param>
/// <param name="LargestScale">The scale at its own largest.</param>
/// <param name="Round">How it goes round; null for flat things.</param>
/// <param name="Thinnest">Its thinnest stroke.</param>
/// <param name="Bow">Set where it stays straight on a tapered wall.</param>
/// <param name="Distortion">Set where it follows a taper.</param>
/// <param name="Concessions">What was conceded so that it fits.</param>
/// <param name="Findings">What the checks noticed.</param>
public sealed record PieceFit(
    Piece Piece,
    FitState State,
    FitPlace Place,
    Zone Zone,
    IReadOnlyList<PlacedPart> Parts,
    Area Ink,
    IReadOnlyList<FilmInk> Films,
    Rooms? Cautious,
    Rooms? Nominal,
    double LetterHeight,
    double? LargestLetterHeight,
    double? LargestScale,
    GoingRound? Round,
    (double Width, PlanePoint At)? Thinnest,
    StraightBow? Bow,
    TaperDistortion? Distortion,
    IReadOnlyList<Conceded> Concessions,
    IReadOnlyList<Finding> Findings
)
{
    /// <summary>Width samples are taken this close, in millimetres.</summary>
    private const double WidthStep = 4;

    /// <summary>Whether it can be nudged: what hangs on the edges of its ground has its place there.</summary>
    public bool MayBeMoved { get; private init; } = true;

    /// <summary>Tells its ink apart from any other.</summary>
    public string Hash { get; } = InkHash.Of(Films);

    /// <summary>Its scale.</summary>
    public double Scale => Place.Scale;

    /// <summary>How far it goes round.</summary>
    public Coverage? Covers => Round?.Covers;

    /// <summary>Whether it may be cut as it stands: over the zone or without all its letters it may not.</summary>
    public bool MayBeCut => State is FitState.Fits or FitState.Snug && Findings.All(f => f.Severity != Severity.Stop);

    /// <summary>Fits one piece. One that cannot be worked out says so in a finding, and takes no other with it.</summary>
    public static PieceFit Of(Piece piece, RunGround ground)
    {
        ArgumentNullException.ThrowIfNull(piece);
        ArgumentNullException.ThrowIfNull(ground);
        // A piece among many has bounds of its own.
        using (Effort.Within(Effort.Large))
        {
            var fit = Outcome<PieceFit>.Try(() => Fitted(piece, ground));
            return fit.Ok ? fit.Value : NotWorkedOut(piece, ground, fit.Problem!);
        }
    }

    /// <summary>A piece without ink, and why it has none.</summary>
    public static PieceFit NotWorkedOut(Piece piece, RunGround ground, Phrase why)
    {
        ArgumentNullException.ThrowIfNull(piece);
        ArgumentNullException.ThrowIfNull(ground);
        return new PieceFit(
            piece,
            FitState.NotSet,
            new FitPlace(1, 0, ground.Zone.Cautious.Datum),
            ground.Zone,
            [],
            Outlines.Empty,
            [],
            null,
            null,
            0,
            null,
            null,
            null,
            null,
            null,
            null,
            [],
            [
                new Finding(
                    Rule.NotWorkedOut,
                    Severity.Stop,
                    null,
                    null,
                    null,
                    Phrase.Say($"{piece.Name:strong} cannot be worked out. {why}")
                ),
            ]
        );
    }

    private static PieceFit Fitted(Piece piece, RunGround ground)
    {
        var setting = new PieceSetting(piece, ground);
        var set = setting.Set(setting.Own);
        var largest = setting.LargestOf(set);
        var highest =
            largest is { } l && setting.NameHeight(set.Composition.PartsAt(l.Scale)) is var height and > 0 ? height : (double?)null;
        var place = PlaceOf(setting, set, largest);
        IReadOnlyList<Conceded> made = [];
        if (
            ground.Concessions.Count > 0
            && !piece.Own.NoConcessions
            && setting.WantedScale(set) is not null
            && !set.Composition.IsFixed
            && set.Composition.BoxAt(place.Scale) is not null
            && !set.Laying.Fits(set.Composition, place)
            && new Conceding(setting, ground).Find() is { } conceded
        )
        {
            (set, place, made) = (conceded.Set, conceded.Place, conceded.Made);
        }

        return Measured(piece, ground, setting, set, place, made) with
        {
            LargestLetterHeight = highest,
            LargestScale = largest?.Scale,
        };
    }

    /// <summary>
    /// The largest scale at which a piece fits by itself; null when none does, nothing scales, or it cannot be worked out: it takes no set
    /// with it.
    /// </summary>
    internal static double? LargestOf(Piece piece, RunGround ground)
    {
        using (Effort.Within(Effort.Large))
        {
            return Outcome<double?>
                .Try(() => new PieceSetting(piece, ground) is var setting ? setting.LargestOf(setting.Set(setting.Own))?.Scale : null)
                .ValueOrDefault;
        }
    }

    private static FitPlace PlaceOf(PieceSetting setting, Setting set, FitPlace? largest)
    {
        var rules = setting.RulesFor(set.Composition);
        return setting.WantedScale(set) is { } wanted
            ? set.Laying.PlaceAt(set.Composition, wanted, rules)
            : largest ?? set.Laying.PlaceAt(set.Composition, LargestFit.LeastScale, rules);
    }

    private static PieceFit Measured(
        Piece piece,
        RunGround ground,
        PieceSetting setting,
        Setting set,
        FitPlace place,
        IReadOnlyList<Conceded> made
    )
    {
        var (composition, laying) = (set.Composition, set.Laying);
        var straight = Laying.InPlace(composition, place);
        var parts = laying.Flat(straight);
        var films = composition.FilmsOf(parts, place.Scale);
        Area Joined(IReadOnlyList<PlacedPart> of) =>
            composition.HasMats ? composition.ToFit(of, place.Scale) : FilmLayers.Joined(composition.FilmsOf(of, place.Scale));
        var ink = ReferenceEquals(parts, straight) && !composition.HasMats ? FilmLayers.Joined(films) : Joined(parts);
        // What follows a taper is measured as it was fitted, straight.
        var judged = laying.Judged == laying.Straight && !ReferenceEquals(parts, straight) ? Joined(straight) : ink;
        var box = Box.Of(judged);
        var cautious = box is null ? null : Rooms.Of(judged, laying.Judged.Cautious);
        var nominal = box is null ? null : Rooms.Of(judged, laying.Judged.Nominal);
        var looked = films.Select(f => Looked(f, ground.FilmOf(f.Film.FilmId))).ToList();
        var findings = Checks.Of(
            new CheckedPiece(
                piece.Name,
                composition,
                parts,
                ink,
                cautious,
                nominal,
                [.. looked.Select(l => new CheckedFilm(l.Film, l.Thin))],
                StrainOf(Box.Of(ink), ground)
            )
            {
                Lost = setting.Lost,
                Material = ground.Material,
            }
        );
        var distortion = box is { } d ? laying.DistortionOf(d) : null;
        return new PieceFit(
            piece,
            cautious is null || nominal is null
                ? films.Count > 0
                    ? FitState.Fits
                    : FitState.NotSet
                : FitStates.Of(cautious, nominal),
            place,
            set.Zone,
            parts,
            ink,
            films,
            cautious,
            nominal,
            setting.NameHeight(parts),
            null,
            null,
            !ink.IsEmpty && ground.Wall is { } wall ? GoingRound.Of(ink, wall) : null,
            looked.Where(l => l.Thinnest is not null).MinBy(l => l.Thinnest!.Value.Width)?.Thinnest,
            box is { } bow && distortion is null ? BowOf(bow, ground) : null,
            distortion,
            made,
            findings
        )
        {
            MayBeMoved = !composition.HangsOnGround,
        };
    }

    /// <summary>The widths of one film's ink against its limit.</summary>
    private static FilmLooked Looked(FilmInk ink, Film film)
    {
        var limit = film.ThinnestStroke.OrZero(LengthRange.Artwork).Millimetres;
        var widths = LocalWidth.Along(ink.Ink, WidthStep, limit);
        var thin = ThinParts.Find(ink.Ink, limit, widths);
        return new FilmLooked(film, thin, ThinParts.Thinnest(widths, thin, limit));
    }

    private sealed record FilmLooked(Film Film, IReadOnlyList<ThinPart> Thin, (double Width, PlanePoint At)? Thinnest);

    private static (double Stretch, double Gather)? StrainOf(Box? ink, RunGround ground) =>
        ink is { } box && ground.Wall?.Belly is { } belly
            ? FilmStrain.OfArtwork(belly, ground.Zone.MiddleHeight, box.Width, box.Height)
            : null;

    private static StraightBow? BowOf(Box box, RunGround ground)
    {
        var ring = ground.Wall?.RingAt(ground.Zone.MiddleHeight) ?? double.PositiveInfinity;
        return double.IsInfinity(ring)
            ? null
            : new StraightBow(
                Cone.Bow(Length.Mm(ring), Length.Mm(box.Width)),
                Cone.Gathers(Length.Mm(ring), Length.Mm(box.Width), Length.Mm(box.Height)),
                Length.Mm(ring)
            );
    }
}
