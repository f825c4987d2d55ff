using Cabida.Core.Blanks;
using Cabida.Core.Findings;
using Cabida.Core.Geometry;
using Cabida.Core.Measures;
using Cabida.Core.Motifs;
using Cabida.Core.Runs;
using Cabida.Core.Stock;
using Cabida.Core.Ties;
using Cabida.Core.Wording;
using Area = NetTopologySuite.Geometries.Geometry;

namespace Cabida.Core.Fitting;

/// <summary>A straight line's bow on a tapered wall.</summary>
/// <param name="By">How far the ends of the ink's width leave the ring that its middle lies on.</param>
/// <param name="Gathers">The film it would gather at its top edge if it were forced level.</param>
/// <param name="Ring">The radius of that ring laid flat.</param>
public sealed record StraightBow(Length By, Length Gathers, Length Ring);

/// <summary>A piece set, sized, centred and measured.</summary>
public sealed record PieceFit
{
    private readonly IReadOnlyList<FilmInk> films = [];

    /// <summary>The piece.</summary>
    public required Piece Piece { get; init; }

    /// <summary>How it stands to the zone.</summary>
    public required FitState State { get; init; }

    /// <summary>The scale that was chosen, its turn and place.</summary>
    public required FitPlace Place { get; init; }

    /// <summary>The zone it was fitted in: the run's, or one with smaller margins where that was conceded.</summary>
    public required Zone Zone { get; init; }

    /// <summary>Its parts in the zone's coordinates.</summary>
    public IReadOnlyList<PlacedPart> Parts { get; init; } = [];

    /// <summary>Its ink there, of all films; but for mats, which the frame holds.</summary>
    public Area Ink { get; init; } = Outlines.Empty;

    /// <summary>Its ink there by film, the lowest first.</summary>
    public IReadOnlyList<FilmInk> Films
    {
        get => films;
        init => (films, Hash) = (value, InkHash.Of(value));
    }

    /// <summary>The ties that hold what would fall out.</summary>
    public IReadOnlyList<Tie> Ties { get; init; } = [];

    /// <summary>Room in the cautious zone; null without ink.</summary>
    public Rooms? Cautious { get; init; }

    /// <summary>Room in the nominal zone; null without ink.</summary>
    public Rooms? Nominal { get; init; }

    /// <summary>Height of the capitals of its name line, in millimetres; 0 without lettering.</summary>
    public double LetterHeight { get; init; }

    /// <summary>That height at its own largest; null when nothing of it scales or no scale fits.</summary>
    public double? LargestLetterHeight { get; init; }

    /// <summary>The scale at its own largest.</summary>
    public double? LargestScale { get; init; }

    /// <summary>How it goes round; null for flat things.</summary>
    public GoingRound? Round { get; init; }

    /// <summary>Set where it stays straight on a tapered wall.</summary>
    public StraightBow? Bow { get; init; }

    /// <summary>Set where it follows a taper.</summary>
    public TaperDistortion? Distortion { get; init; }

    /// <summary>What was conceded so that it fits.</summary>
    public IReadOnlyList<Conceded> Concessions { get; init; } = [];

    /// <summary>
    /// What was noticed while it was set: what its lines lack, what was set by hand in vain, what the goods do not stand.
    /// </summary>
    public IReadOnlyList<Finding> Noticed { get; init; } = [];

    /// <summary>How much the film must stretch and gather on a bellied wall, as shares; null elsewhere.</summary>
    public (double Stretch, double Gather)? Strain { get; init; }

    /// <summary>Whether it can be nudged: what hangs on the edges of its ground has its place there.</summary>
    public bool MayBeMoved { get; private init; } = true;

    /// <summary>Tells its ink apart from any other.</summary>
    public string Hash { get; private init; } = InkHash.Of([]);

    /// <summary>Its scale.</summary>
    public double Scale => Place.Scale;

    /// <summary>How far it goes round.</summary>
    public Coverage? Covers => Round?.Covers;

    /// <summary>Whether it may be cut as it stands: over the zone or without all its letters it may not.</summary>
    public bool MayBeCut => State is FitState.Fits or FitState.Snug && Noticed.All(f => f.Severity != Severity.Stop);

    /// <summary>Fits one piece. One that cannot be worked out says so in a finding, and takes no other with it.</summary>
    public static PieceFit Of(Piece piece, FitBasis basis)
    {
        ArgumentNullException.ThrowIfNull(piece);
        ArgumentNullException.ThrowIfNull(basis);
        // A piece among many has bounds of its own.
        using (Effort.Within(Effort.Large))
        {
            var fit = Outcome<PieceFit>.Try(() => Fitted(piece, basis));
            return fit.Ok ? fit.Value : NotWorkedOut(piece, basis, fit.Problem!);
        }
    }

    /// <summary>A piece without ink, and why it has none.</summary>
    public static PieceFit NotWorkedOut(Piece piece, FitBasis basis, Phrase why)
    {
        ArgumentNullException.ThrowIfNull(piece);
        ArgumentNullException.ThrowIfNull(basis);
        return new PieceFit
        {
            Piece = piece,
            State = FitState.NotSet,
            Place = new FitPlace(1, 0, basis.Zone.Cautious.Datum),
            Zone = basis.Zone,
            Noticed = [new Finding(Rule.NotWorkedOut, Severity.Stop, Phrase.Say($"{piece.Name:strong} cannot be worked out. {why}"))],
        };
    }

    private static PieceFit Fitted(Piece piece, FitBasis basis)
    {
        var setting = new PieceSetting(piece, basis);
        var set = setting.Set(setting.Own);
        var largest = setting.LargestOf(set);
        var highest =
            largest is { } l && setting.NameHeight(set.Composition.PartsAt(l.Scale)) is var height and > 0 ? height : (double?)null;
        var place = PlaceOf(setting, set, largest);
        IReadOnlyList<Conceded> made = [];
        if (
            basis.Concessions.Count > 0
            && !piece.Own.NoConcessions
            && setting.WantedScale(set) is not null
            && !set.Composition.IsFixed
            && set.Composition.BoxAt(place.Scale) is not null
            && !set.Laying.Fits(set.Composition, place)
            && new Conceding(setting, basis).Find() is { } conceded
        )
        {
            (set, place, made) = (conceded.Set, conceded.Place, conceded.Made);
        }

        return Measured(piece, basis, setting, set, place, made) with
        {
            LargestLetterHeight = highest,
            LargestScale = largest?.Scale,
        };
    }

    /// <summary>
    /// The largest scale at which a piece fits by itself; null when none does, nothing scales, or it cannot be worked out: it takes no set
    /// with it.
    /// </summary>
    internal static double? LargestOf(Piece piece, FitBasis basis)
    {
        using (Effort.Within(Effort.Large))
        {
            return Outcome<double?>
                .Try(() => new PieceSetting(piece, basis) is var setting ? setting.LargestOf(setting.Set(setting.Own))?.Scale : null)
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
        FitBasis basis,
        PieceSetting setting,
        Setting set,
        FitPlace place,
        IReadOnlyList<Conceded> made
    )
    {
        var (composition, laying) = (set.Composition, set.Laying);
        var straight = Laying.InPlace(composition, place);
        var parts = laying.Flat(straight);
        var (films, ties) = TiedFilms.Of(
            composition.FilmsOf(parts, place.Scale),
            parts,
            layer => FilmLimits.Of(basis.FilmOf(layer.FilmId)),
            piece.Own.Ties
        );
        Area Joined(IReadOnlyList<PlacedPart> of) =>
            composition.HasMats ? composition.ToFit(of, place.Scale) : FilmLayers.Joined(composition.FilmsOf(of, place.Scale));
        var ink = composition.HasMats ? Joined(parts) : FilmLayers.Joined(films);
        // What follows a taper is measured as it was fitted, straight.
        var judged = laying.Judged == laying.Straight && !ReferenceEquals(parts, straight) ? Joined(straight) : ink;
        var box = Box.Of(judged);
        var cautious = box is null ? null : Rooms.Of(judged, laying.Judged.Cautious);
        var nominal = box is null ? null : Rooms.Of(judged, laying.Judged.Nominal);
        var distortion = box is { } d ? laying.DistortionOf(d) : null;
        return new PieceFit
        {
            Piece = piece,
            State =
                cautious is not null && nominal is not null ? FitStates.Of(cautious, nominal)
                : films.Count > 0 ? FitState.Fits
                : FitState.NotSet,
            Place = place,
            Zone = set.Zone,
            Parts = parts,
            Ink = ink,
            Films = films,
            Ties = ties,
            Cautious = cautious,
            Nominal = nominal,
            LetterHeight = setting.NameHeight(parts),
            Round = !ink.IsEmpty && basis.Wall is { } wall ? GoingRound.Of(ink, wall) : null,
            Bow = box is { } bow && distortion is null ? BowOf(bow, basis) : null,
            Distortion = distortion,
            Concessions = made,
            Noticed = [.. LineFindings.Of(composition, parts), .. TooHot(films, basis), .. setting.Lost.Select(LostByHand)],
            Strain = StrainOf(Box.Of(ink), basis),
            MayBeMoved = !composition.HangsOnGround,
        };
    }

    /// <summary>Films that are pressed hotter than the goods stand: the goods would be spoilt, so nothing may be cut for them.</summary>
    private static IEnumerable<Finding> TooHot(IReadOnlyList<FilmInk> films, FitBasis basis) =>
        basis.Material is not { } material
            ? []
            : films
                .Select(f => basis.FilmOf(f.Film.FilmId))
                .DistinctBy(f => (f.Name, f.Heat))
                .Select(f => FilmOnBlank.TooHot(f, material))
                .OfType<Phrase>()
                .Select(p => Phrase.Say($"{p} Take another film, or correct what the goods stand."))
                .Select(p => new Finding(Rule.HeatOfGoods, Severity.Stop, p));

    /// <summary>What was set by hand and no longer applies: it is looked at, not guessed at.</summary>
    private static Finding LostByHand(Phrase lost) => new(Rule.OverrideLost, Severity.Look, lost);

    private static (double Stretch, double Gather)? StrainOf(Box? ink, FitBasis basis) =>
        ink is { } box && basis.Wall?.Belly is { } belly
            ? FilmStrain.OfArtwork(belly, basis.Zone.MiddleHeight, box.Width, box.Height)
            : null;

    private static StraightBow? BowOf(Box box, FitBasis basis)
    {
        var ring = basis.Wall?.RingAt(basis.Zone.MiddleHeight) ?? double.PositiveInfinity;
        return double.IsInfinity(ring)
            ? null
            : new StraightBow(
                Cone.Bow(Length.Mm(ring), Length.Mm(box.Width)),
                Cone.Gathers(Length.Mm(ring), Length.Mm(box.Width), Length.Mm(box.Height)),
                Length.Mm(ring)
            );
    }
}
