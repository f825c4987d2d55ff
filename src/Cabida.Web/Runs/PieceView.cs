using System.Globalization;
using Cabida.Core.Blanks;
using Cabida.Core.Checking;
using Cabida.Core.Cutting;
using Cabida.Core.Findings;
using Cabida.Core.Fitting;
using Cabida.Core.Geometry;
using Cabida.Core.Motifs;
using Cabida.Core.Pieces;
using Cabida.Core.Runs;
using Cabida.Core.Stock;
using Cabida.Core.Wording;
using Cabida.Web.Inks;

namespace Cabida.Web.Runs;

/// <summary>The room at one side, with what it is measured against.</summary>
/// <param name="Side">Where.</param>
/// <param name="Distance">How far the ink could move that way; negative when over.</param>
/// <param name="Limit">What it touches first.</param>
/// <param name="Touches">Whether that is what limits it.</param>
/// <param name="Beyond">Whether the ink stands outside there.</param>
/// <param name="Used">How much of the zone's width or height the ink takes.</param>
/// <param name="Of">That width or height.</param>
/// <param name="ForAll">The nominal room for blank, cutter and hand together; null where it is at neither handle nor seam.</param>
internal sealed record RoomView(
    string Side,
    double Distance,
    LimitKind Limit,
    bool Touches,
    bool Beyond,
    double Used,
    double Of,
    RoomForAll? ForAll
);

/// <summary>The nominal room at an edge for blank, cutter and hand together (calculations 6.12).</summary>
/// <param name="Nominal">The room were all three exact; millimetres.</param>
/// <param name="Blank">How uncertain the blank is there.</param>
/// <param name="Cutter">How uncertain the cutter is.</param>
/// <param name="Hand">How uncertain the hand is.</param>
/// <param name="Uncertainty">All three.</param>
/// <param name="OfTouching">The chance that the edge is touched.</param>
internal sealed record RoomForAll(double Nominal, double Blank, double Cutter, double Hand, double Uncertainty, double OfTouching)
{
    /// <summary>The room at a side from what it is nominally, and what the cautious zone takes off it for the blank.</summary>
    public static RoomForAll Of(double nominal, double cautious, Core.Stock.Cutter? cutter, Film? film)
    {
        var blank = Math.Max(0, nominal - cautious);
        var (cuts, laid) = (cutter?.CutsWithinOr ?? Core.Stock.Cutter.UsualCutsWithin, film?.LaidWithinOr ?? Film.UsualLaidWithin);
        var chance = RoomChance.Of(nominal, blank, cuts, laid);
        return new RoomForAll(nominal, blank, cuts, laid, chance.Uncertainty, chance.OfTouching);
    }
}

/// <summary>The thinnest stroke.</summary>
internal sealed record ThinnestView(double Width, PlanePoint At);

/// <summary>A tie that can be moved along what it holds; as seen from the first side.</summary>
/// <param name="Name">What tells it apart on its side.</param>
/// <param name="Side">The side; the first has no id.</param>
/// <param name="From">Where it leaves what it holds.</param>
/// <param name="To">Where it reaches what holds.</param>
/// <param name="Middle">The middle of what it holds.</param>
/// <param name="Width">How wide it is.</param>
/// <param name="Angle">Where it leaves, seen from that middle, on its own side; degrees to the left of the right.</param>
/// <param name="Moved">Whether it was moved by hand.</param>
internal sealed record TieView(
    string Name,
    string Side,
    PlanePoint From,
    PlanePoint To,
    PlanePoint Middle,
    double Width,
    double Angle,
    bool Moved
)
{
    public static IEnumerable<TieView> Of(FittedPiece piece, ReadSurface on) =>
        piece
            .Sides.SelectMany(s => Of(s.Fit, s.Side.Side.Id, on.MotionOf(s.Side)))
            .Concat(Of(piece.Fit, "", Motion.None))
            .OrderBy(t => t.Side, StringComparer.Ordinal);

    private static IEnumerable<TieView> Of(PieceFit fit, string side, Motion motion) =>
        fit.Ties.Select(t => new TieView(t.Name, side, motion.Of(t.From), motion.Of(t.To), motion.Of(t.Middle), t.Width, t.Angle, t.Moved));
}

/// <summary>How a piece goes round its blank; degrees and millimetres along the ring at the zone's middle.</summary>
internal sealed record RoundView(
    double Goes,
    double? AppearsWide,
    double? EdgeSeenAt,
    double? HandleLeft,
    double? HandleRight,
    double SeamLeft,
    double SeamRight,
    double Overlap,
    double? DrinkerSees
);

/// <summary>How a piece takes to a taper.</summary>
/// <param name="Bow">How far straight artwork leaves its ring at its ends; null where it follows.</param>
/// <param name="Gathers">The film that gathers when straight artwork is forced level.</param>
/// <param name="WidestWithin">The widest that stays under the bow that is still taken for straight.</param>
/// <param name="Arc">The ring that straight artwork leaves, to be drawn through the middle of its foot.</param>
/// <param name="WiderAtTop">By how much following widens its top edge, as a share.</param>
/// <param name="WiderAtBottom">By how much its bottom edge.</param>
internal sealed record TaperView(
    double? Bow,
    double? Gathers,
    double? WidestWithin,
    IReadOnlyList<PlanePoint> Arc,
    double? WiderAtTop,
    double? WiderAtBottom
);

/// <summary>The line that holds the name.</summary>
/// <param name="PartId">Which part.</param>
/// <param name="Words">What it says in this piece.</param>
/// <param name="Letters">Its letters.</param>
/// <param name="Breaks">The ways to break it into two lines, parted by a line break.</param>
internal sealed record NameLine(string PartId, string Words, IReadOnlyList<string> Letters, IReadOnlyList<string> Breaks)
{
    public static NameLine? Of(Piece piece, FitBasis basis) =>
        basis.Motif.NameLine is { } line && Fields.Fill(line.Text, piece.Fields).Trim() is var words
            ? new(
                line.Id,
                words,
                [.. StringInfo.ParseCombiningCharacters(words).Select(at => StringInfo.GetNextTextElement(words, at))],
                [.. NameBreaks.Of(words).Select(b => $"{b.First}\n{b.Second}")]
            )
            : null;
}

/// <summary>
/// Another side of a piece; the box of its ink in the coordinates of the first, and how far it was moved by hand (null where it cannot be).
/// </summary>
internal sealed record PieceSideView(
    string Id,
    string Motif,
    string Zone,
    FitState State,
    double LetterHeight,
    double? LargestLetterHeight,
    IReadOnlyList<RoomView> Rooms,
    double Width,
    double Height,
    Box? InkBox,
    PlanePoint? Moved,
    RoundView? Round,
    NameLine? NameLine
);

/// <summary>A fitted piece as the Fit view shows it; millimetres, y up, developed coordinates.</summary>
internal sealed record PieceView(
    string Id,
    string Name,
    int Copies,
    IReadOnlyDictionary<string, string> Values,
    FitState State,
    bool MayBeCut,
    IReadOnlyList<InkView> Inks,
    Box? InkBox,
    PlanePoint? Moved,
    Box ZoneBox,
    IReadOnlyList<RoomView> Rooms,
    double LetterHeight,
    double? LargestLetterHeight,
    double Scale,
    double Turn,
    RoundView? Round,
    TaperView? Taper,
    ThinnestView? Thinnest,
    double ThinnestAllowed,
    double? NarrowestGap,
    double GapAllowed,
    IReadOnlyList<PieceSideView> Sides,
    IReadOnlyList<TieView> Ties,
    IReadOnlyDictionary<string, string> PartNames,
    IReadOnlyList<Phrase> Concessions,
    bool ByHand,
    NameLine? NameLine,
    string InkHash,
    IReadOnlyList<Finding> Findings
)
{
    private const int ArcSteps = 24;

    /// <summary>It as its row has it now: who it is and how many are made do not change its ink.</summary>
    public PieceView As(Piece piece) => this with { Id = piece.Id, Name = piece.Name, Copies = piece.Copies, Values = piece.Values };

    public static PieceView Of(FittedPiece piece, ReadRun run, DrawnInks inks, InkFactsCache facts)
    {
        var (fit, looked) = (piece.Fit, CheckedPiece.Of(run, piece, facts));
        var box = Box.Of(fit.Ink);
        var limits = looked.First.Films is [var lowest, ..] ? lowest.Limits : FilmLimits.Of(run.Film!);
        return new PieceView(
            fit.Piece.Id,
            fit.Piece.Name,
            fit.Piece.Copies,
            fit.Piece.Values,
            piece.State,
            piece.MayBeCut && looked.Stopping is null,
            inks.Of(piece, run),
            box,
            MovedOf(fit),
            fit.Zone.Cautious.Bounds,
            RoomsOf(fit, run),
            fit.LetterHeight,
            fit.LargestLetterHeight,
            fit.Scale,
            fit.Place.Turn,
            fit.Round is { } round ? RoundOf(round) : null,
            TaperOf(fit, run.SurfaceOf(fit.Piece).Basis, run.Run.SetUp),
            looked.First.Thinnest is var (width, at) ? new ThinnestView(width, at) : null,
            limits.Stroke,
            looked.First.Films.SelectMany(f => f.Facts.Gaps).Select(g => (double?)g.Width).Min(),
            limits.Gap,
            [
                .. piece.Sides.Select(s => new PieceSideView(
                    s.Side.Side.Id,
                    s.Side.Motif.Name,
                    s.Side.Laid.Spec.Name,
                    s.Fit.State,
                    s.Fit.LetterHeight,
                    s.Fit.LargestLetterHeight,
                    RoomsOf(s.Fit, run),
                    Box.Of(s.Fit.Ink)?.Width ?? 0,
                    Box.Of(s.Fit.Ink)?.Height ?? 0,
                    Box.Around(s.Films.Select(f => f.Box).OfType<Box>()),
                    MovedOf(s.Fit),
                    s.Fit.Round is { } r ? RoundOf(r) : null,
                    NameLine.Of(s.Fit.Piece, s.Side.Basis)
                )),
            ],
            [.. TieView.Of(piece, run.SurfaceOf(fit.Piece))],
            NamesOf(piece),
            [.. fit.Concessions.Select(c => c.Message)],
            fit.Piece.AllOwn.Any(o => !o.IsNone),
            NameLine.Of(fit.Piece, run.SurfaceOf(fit.Piece).Basis),
            piece.Hash,
            looked.Findings
        );
    }

    private static RoundView RoundOf(GoingRound r) =>
        new(
            r.Covers.Goes.Degrees,
            r.Covers.AppearsWide?.Millimetres,
            r.Covers.EdgeSeenAt,
            r.HandleLeft?.Millimetres,
            r.HandleRight?.Millimetres,
            r.SeamLeft.Millimetres,
            r.SeamRight.Millimetres,
            r.Overlap.Millimetres,
            r.DrinkerSees
        );

    private static TaperView? TaperOf(PieceFit fit, FitBasis basis, RunSetUp run)
    {
        if (fit.Distortion is { } d)
        {
            return new TaperView(null, null, null, [], d.Top, d.Bottom);
        }

        if (fit.Bow is not { } bow || Box.Of(fit.Ink) is not { } box || basis.Wall is not { } wall)
        {
            return null;
        }

        // The ring through the middle of the foot of the ink, as far as the ink is wide.
        var v = wall.OnWall(new PlanePoint(box.CentreX, box.MinY)).V;
        var half = box.Width / 2;
        var arc = Enumerable.Range(0, ArcSteps + 1).Select(i => wall.Laid(box.CentreX - half + (2 * half * i / ArcSteps), v)).ToList();
        return new TaperView(
            bow.By.Millimetres,
            bow.Gathers.Millimetres,
            run.MostBow.Read(Core.Measures.LengthRange.Margin).ValueOrDefault is { } most
                ? Cone.WidestWithin(bow.Ring, most.Value).Millimetres
                : null,
            arc,
            null,
            null
        );
    }

    /// <summary>What parts that were changed for it alone are called, by their ids.</summary>
    private static SortedDictionary<string, string> NamesOf(FittedPiece piece)
    {
        var changed = piece.Fit.Piece.AllOwn.SelectMany(o => o.Mends).Select(m => m.PartId).ToHashSet(StringComparer.Ordinal);
        var names = new SortedDictionary<string, string>(StringComparer.Ordinal);
        foreach (var part in piece.Fits.SelectMany(f => f.Parts).SelectMany(p => p.WithInner).Where(p => changed.Contains(p.Part.Id)))
        {
            names.TryAdd(part.Part.Id, PartPlaces.Named(part));
        }

        return names;
    }

    /// <summary>How far a side was moved by hand; null where there is nothing to move, or it has its place on the ground.</summary>
    private static PlanePoint? MovedOf(PieceFit fit) =>
        fit.MayBeMoved && !fit.Ink.IsEmpty
            ? new PlanePoint(
                fit.Piece.Own.Right.OrZero(Core.Measures.LengthRange.Offset).Millimetres,
                fit.Piece.Own.Up.OrZero(Core.Measures.LengthRange.Offset).Millimetres
            )
            : null;

    internal static List<RoomView> RoomsOf(PieceFit fit, ReadRun run)
    {
        if (fit.Cautious is not { } rooms || Box.Of(fit.Ink) is not { } ink)
        {
            return [];
        }

        var zone = fit.Zone.Cautious.Bounds;
        RoomView View(string side, Room room, Room? nominal, double used, double of) =>
            new(
                side,
                room.Distance,
                room.Limit,
                room.Distance < Core.Fitting.Rooms.Touching,
                room.Distance < -Tolerances.Fit,
                used,
                of,
                // On a wall the sides of its zone are where the handle or the seam is.
                fit.Round
                    is not null
                && nominal is { } n
                && room.Limit is (LimitKind.LeftSide or LimitKind.RightSide)
                    ? RoomForAll.Of(n.Distance, room.Distance, run.Cutter, run.Film)
                    : null
            );
        return
        [
            View("above", rooms.Above, null, ink.Height, zone.Height),
            View("below", rooms.Below, null, ink.Height, zone.Height),
            View("left", rooms.Left, fit.Nominal?.Left, ink.Width, zone.Width),
            View("right", rooms.Right, fit.Nominal?.Right, ink.Width, zone.Width),
        ];
    }
}
