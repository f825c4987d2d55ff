using Cabida.Core.Geometry;
using Cabida.Core.Stock;
using Cabida.Core.Ties;
using Cabida.Core.Waste;
using Cabida.Core.Wording;
using Area = NetTopologySuite.Geometries.Geometry;

namespace Cabida.Core.Checking;

/// <summary>
/// What is known of one film's ink, made once for the ink, what its film bears and whether it has to hang together, and only as far as it
/// is asked for; rules, remedies and views read it. Which side of the outlines is held, and which comes away, follows from what the film is
/// for (calculations 6.1): of a stencil the ink is the hole.
/// </summary>
public sealed class InkFacts
{
    /// <summary>Width samples are taken this close, in millimetres.</summary>
    private const double WidthStep = 4;

    private readonly PackedArea packed;
    private readonly Once<NarrowAndSmall> found;
    private readonly Once<(double Width, PlanePoint At)?> thinnest;
    private readonly Once<IReadOnlyList<LoosePart>> loose;
    private readonly Once<Weeding> weeding;
    private readonly Once<IReadOnlyList<PlanePoint>> meeting;

    /// <summary>The facts of ink that is cut from a film.</summary>
    /// <param name="ink">The ink; millimetres.</param>
    /// <param name="limits">What the film bears.</param>
    /// <param name="onePiece">Whether what is cut has to hang together.</param>
    public InkFacts(Area ink, FilmLimits limits, bool onePiece = false)
    {
        ArgumentNullException.ThrowIfNull(ink);
        (packed, Limits) = (new PackedArea(ink), limits);
        found = new(() => NarrowAndSmall.Of(Ink, limits));
        thinnest = new(() => ThinnestOf(Ink, found.Value.Strokes, limits));
        loose = new(() => LooseParts(Ink, limits.Purpose, onePiece));
        meeting = new(() => MeetingPoints.Of(Ink));
        weeding = new(() => Weeding.Of(Ink, limits.Purpose));
    }

    /// <summary>The ink.</summary>
    public Area Ink => packed.Area;

    /// <summary>What the film bears.</summary>
    public FilmLimits Limits { get; }

    /// <summary>Strokes thinner than the film bears; of a stencil, webs between its openings. The thinnest first.</summary>
    public IReadOnlyList<NarrowPlace> Strokes => found.Value.Strokes;

    /// <summary>Gaps narrower than the film bears; of a stencil, its openings. The narrowest first.</summary>
    public IReadOnlyList<NarrowPlace> Gaps => found.Value.Gaps;

    /// <summary>Separate parts of ink smaller than the film bears, the smallest first.</summary>
    public IReadOnlyList<SmallArea> Specks => found.Value.Specks;

    /// <summary>Holes of the ink smaller than the film bears, the smallest first.</summary>
    public IReadOnlyList<SmallArea> Counters => found.Value.Counters;

    /// <summary>Outlines that lie on one another, as far as a blade can tell.</summary>
    public IReadOnlyList<NarrowPlace> Doubled => found.Value.Doubled;

    /// <summary>Where outlines meet in a point.</summary>
    public IReadOnlyList<PlanePoint> Meeting => meeting.Value;

    /// <summary>What would fall out, the largest first; nothing where parts need not hang together.</summary>
    public IReadOnlyList<LoosePart> Loose => loose.Value;

    /// <summary>The thinnest stroke of the ink, or web of a stencil, and where it is; null where there is none.</summary>
    public (double Width, PlanePoint At)? Thinnest => thinnest.Value;

    /// <summary>What is to be weeded, with its bits and counters.</summary>
    public Weeding Weeding => weeding.Value;

    /// <summary>The pieces that hang together.</summary>
    public IEnumerable<NetTopologySuite.Geometries.Polygon> Parts => Outlines.PolygonsOf(Ink);

    /// <summary>About how many bytes it holds, for whoever keeps it.</summary>
    public long Bytes => 600 + packed.Bytes;

    private static (double Width, PlanePoint At)? ThinnestOf(Area ink, IReadOnlyList<NarrowPlace> strokes, FilmLimits limits) =>
        strokes.Count > 0 ? (strokes[0].Width, strokes[0].At)
        : limits.Purpose == FilmPurpose.Loose ? null
        : LocalWidth.Thinnest(LocalWidth.Along(ink, WidthStep, limits.Stroke), limits.Stroke);

    private static IReadOnlyList<LoosePart> LooseParts(Area ink, FilmPurpose purpose, bool onePiece)
    {
        var polygons = Outlines.PolygonsOf(ink).ToList();
        return purpose == FilmPurpose.Loose
                ?
                [
                    .. polygons
                        .SelectMany(p => p.Holes)
                        .Select(h => new LoosePart(Outlines.Factory.CreatePolygon(h)))
                        .OrderByDescending(p => p.Outline.Area),
                ]
            : onePiece ? [.. TiedInk.LargestFirst(polygons).Skip(1).Select(p => new LoosePart(p))]
            : [];
    }
}
