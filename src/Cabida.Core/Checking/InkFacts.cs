using Cabida.Core.Geometry;
using Cabida.Core.Measures;
using Cabida.Core.Stock;
using Cabida.Core.Wording;
using Area = NetTopologySuite.Geometries.Geometry;

namespace Cabida.Core.Checking;

/// <summary>
/// What is known of one film's ink, made once for the ink, the film's limits and its purpose, and only as far as it is asked for; rules,
/// remedies and views read it.
/// </summary>
public sealed class InkFacts
{
    /// <summary>Width samples are taken this close, in millimetres.</summary>
    private const double WidthStep = 4;

    private readonly PackedArea packed;
    private readonly Once<Widths> widths;
    private readonly Once<IReadOnlyList<ThinPart>> gaps;
    private readonly Once<Weeding> weeding;

    /// <summary>The facts of ink that is cut from a film.</summary>
    /// <param name="ink">The ink; millimetres.</param>
    /// <param name="film">The film, by whose limits it is looked at.</param>
    public InkFacts(Area ink, Film film)
        : this(ink, film, null) { }

    /// <summary>Facts of which the thin parts are known.</summary>
    internal InkFacts(Area ink, Film film, IReadOnlyList<ThinPart>? known)
    {
        ArgumentNullException.ThrowIfNull(ink);
        ArgumentNullException.ThrowIfNull(film);
        (packed, Purpose) = (new PackedArea(ink), film.Purpose);
        Limit = LimitOf(film);
        widths = new(() =>
        {
            var along = LocalWidth.Along(Ink, WidthStep, Limit);
            var thin = known ?? ThinParts.Find(Ink, Limit, along);
            return new Widths(thin, ThinParts.Thinnest(along, thin, Limit));
        });
        gaps = new(() => GapsOf(Ink, Limit));
        weeding = new(() => Weeding.Of(Ink, Purpose));
    }

    /// <summary>The ink.</summary>
    public Area Ink => packed.Area;

    /// <summary>What the film is for.</summary>
    public FilmPurpose Purpose { get; }

    /// <summary>The thinnest stroke that the film bears, in millimetres.</summary>
    public double Limit { get; }

    /// <summary>What of the ink is thinner than the film bears.</summary>
    public IReadOnlyList<ThinPart> Thin => widths.Value.Thin;

    /// <summary>The thinnest stroke and where it is; null where it was not looked for or there is none.</summary>
    public (double Width, PlanePoint At)? Thinnest => widths.Value.Thinnest;

    /// <summary>What of the background between ink is narrower than the film bears.</summary>
    public IReadOnlyList<ThinPart> Gaps => gaps.Value;

    /// <summary>What is to be weeded, with its bits and counters.</summary>
    public Weeding Weeding => weeding.Value;

    /// <summary>The pieces that hang together.</summary>
    public IEnumerable<NetTopologySuite.Geometries.Polygon> Parts => Outlines.PolygonsOf(Ink);

    /// <summary>About how many bytes it holds, for whoever keeps it.</summary>
    public long Bytes => 600 + packed.Bytes;

    /// <summary>The thinnest stroke that a film bears; zero where it is not known.</summary>
    internal static double LimitOf(Film film) => film.ThinnestStroke.OrZero(LengthRange.Artwork).Millimetres;

    /// <summary>The necks of what is left of a box about the ink, which lie between ink and not along the box.</summary>
    private static IReadOnlyList<ThinPart> GapsOf(Area ink, double limit)
    {
        if (ink.IsEmpty || limit <= 0)
        {
            return [];
        }

        var box = ink.EnvelopeInternal.Copy();
        box.ExpandBy(2 * limit);
        var background = Overlay.Difference(Outlines.Factory.ToGeometry(box), ink);
        return [.. ThinParts.Find(background, limit, LocalWidth.Along(background, WidthStep, limit)).Where(t => t.Kind == ThinKind.Neck)];
    }

    private sealed record Widths(IReadOnlyList<ThinPart> Thin, (double Width, PlanePoint At)? Thinnest);
}

/// <summary>Keeps facts by the hash of the ink and the film's limits. Bounded in bytes.</summary>
public sealed class InkFactsCache
{
    private const long Budget = 64L << 20;
    private readonly Kept<(string Ink, FilmPurpose Purpose, double Limit), InkFacts> kept = new(Budget, f => f.Bytes);

    /// <summary>The facts of ink.</summary>
    /// <param name="hash">Tells the ink apart from any other.</param>
    /// <param name="ink">The ink.</param>
    /// <param name="film">The film it is cut from.</param>
    public InkFacts Of(string hash, Area ink, Film film)
    {
        ArgumentNullException.ThrowIfNull(film);
        return kept.Get((hash, film.Purpose, InkFacts.LimitOf(film)), () => new InkFacts(ink, film));
    }
}
