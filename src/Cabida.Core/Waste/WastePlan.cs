using Cabida.Core.Geometry;
using Cabida.Core.Measures;
using Cabida.Core.Stock;
using Cabida.Core.Wording;
using NetTopologySuite.Geometries;
using NetTopologySuite.Operation.Distance;
using Area = NetTopologySuite.Geometries.Geometry;

namespace Cabida.Core.Waste;

/// <summary>What a break parts.</summary>
public enum BreakKind
{
    /// <summary>Two rows of ink.</summary>
    Rows,

    /// <summary>Two words of a row.</summary>
    Words,

    /// <summary>A cell of waste that was too long.</summary>
    Long,
}

/// <summary>A cut across waste, so that it comes off in bits.</summary>
/// <param name="Kind">What it parts.</param>
/// <param name="Line">Where it runs; millimetres.</param>
public sealed record WasteBreak(BreakKind Kind, LineString Line);

/// <summary>How waste is boxed in and broken.</summary>
/// <param name="Margin">How far the weed box stands out from the ink; millimetres.</param>
/// <param name="Clearance">How far breaks stay from ink, and from one another's ends; millimetres.</param>
/// <param name="Longest">Waste longer than this is broken; millimetres.</param>
/// <param name="Rows">Whether rows are parted.</param>
/// <param name="Words">Whether words are.</param>
public readonly record struct WasteTerms(double Margin, double Clearance, double Longest, bool Rows = true, bool Words = true)
{
    /// <summary>How far the box stands out: never nearer than breaks, which end on it.</summary>
    public double BoxMargin => Math.Max(Margin, Clearance);

    /// <summary>
    /// As a film's waste is cut; what cannot be read is the usual. What surrounds the ink of a mask or a stencil is what is kept: there a
    /// break would let paint through.
    /// </summary>
    public static WasteTerms Of(WeedWays ways, FilmPurpose purpose)
    {
        ArgumentNullException.ThrowIfNull(ways);
        var breaks = purpose == FilmPurpose.Stays;
        return new(
            ways.MarginOr,
            ways.ClearanceOr,
            breaks && ways.LongWaste ? ways.LongestOr : double.PositiveInfinity,
            breaks && ways.BetweenRows,
            breaks && ways.BetweenWords
        );
    }
}

/// <summary>
/// The weed box round ink and the breaks within it (calculations 6.5): first between rows, then between words, then wherever a cell of
/// waste is too long; each the shortest way through the waste that keeps clear of the ink, from edge to edge or to another break. No break
/// parts what belongs to one letter, or leaves ink cut off from its own row. On a load the pieces are words of its rows, each with rows of
/// its own.
/// </summary>
/// <param name="Box">The weed box.</param>
/// <param name="Breaks">The breaks, in the order in which they were made.</param>
/// <param name="Cells">The cells of waste that they leave.</param>
/// <param name="NoWay">Where a break was wanted and there is no way for it.</param>
public sealed record WastePlan(Box Box, IReadOnlyList<WasteBreak> Breaks, IReadOnlyList<WasteCell> Cells, IReadOnlyList<Phrase> NoWay)
{
    /// <summary>No more breaks are made than this.</summary>
    public const int MostBreaks = 400;

    /// <summary>How near the breaks come to the ink; null where there are none.</summary>
    public double? ClearanceTo(Area ink)
    {
        ArgumentNullException.ThrowIfNull(ink);
        return Breaks.Count == 0 || ink.IsEmpty
            ? null
            : IndexedFacetDistance.Distance(ink, Outlines.Factory.BuildGeometry([.. Breaks.Select(b => b.Line)]));
    }

    /// <summary>The length of the box and of the breaks, in millimetres.</summary>
    public double CutLength => (2 * (Box.Width + Box.Height)) + Breaks.Sum(b => b.Line.Length);

    /// <summary>About how many bytes it holds, for whoever keeps it.</summary>
    public long Bytes => 400 + (60L * (Breaks.Sum(b => b.Line.NumPoints) + Cells.Sum(c => 2 * c.Area.NumPoints)));

    /// <summary>It where its ink was moved to; upright boxes must stay upright.</summary>
    public WastePlan Moved(Motion by) =>
        new(
            by.Of(Box),
            [.. Breaks.Select(b => b with { Line = (LineString)Outlines.Moved(b.Line, by) })],
            [.. Cells.Select(c => c.Moved(by))],
            NoWay
        );

    /// <summary>Plans the breaks of rows of ink, from the top down; null without ink.</summary>
    /// <param name="rows">The rows.</param>
    /// <param name="terms">How.</param>
    public static WastePlan? Of(IReadOnlyList<InkRow> rows, WasteTerms terms)
    {
        ArgumentNullException.ThrowIfNull(rows);
        if (Box.Around(rows.SelectMany(r => r.Units).Select(u => u.Box)) is not { } ink)
        {
            return null;
        }

        // What would be too much to break keeps its box: one piece takes no load with it.
        using (Effort.Within(Effort.Large))
        {
            var planned = Outcome<WastePlan>.Try(() => new Planning(rows, terms, ink).Planned());
            var box = ink.Grown(terms.BoxMargin);
            return planned.Ok
                ? planned.Value
                : new WastePlan(box, [], [WasteCell.Of(box)], [Phrase.Say($"No breaks are planned in this weed box. {planned.Problem!}")]);
        }
    }

    private sealed class Planning(IReadOnlyList<InkRow> rows, WasteTerms terms, Box inkBox)
    {
        private readonly Box box = inkBox.Grown(terms.BoxMargin);
        private readonly Area ink = Outlines.Join([.. rows.SelectMany(r => r.Units).SelectMany(u => Outlines.PolygonsOf(u.Ink))]);
        private readonly List<(PlanePoint A, PlanePoint B, Box Box)> bonds =
        [
            .. rows.SelectMany(r => r.Units).SelectMany(Bonds).Select(b => (b.A, b.B, Box.AroundPoints([b.A, b.B]))),
        ];
        private readonly List<WasteBreak> breaks = [];
        private readonly List<Phrase> noWay = [];

        public WastePlan Planned()
        {
            var cells = Broken(WasteCell.Of(box), rows).ToList();
            if (breaks.Count >= MostBreaks)
            {
                noWay.Add(Phrase.Say($"No more than {MostBreaks} breaks are planned in one weed box: put fewer pieces in it."));
            }

            return new WastePlan(box, breaks, cells, noWay);
        }

        /// <summary>The cells that a cell is broken into: by rows, by words, by their own rows, and where it still is too long.</summary>
        private IEnumerable<WasteCell> Broken(WasteCell cell, IReadOnlyList<InkRow> within) =>
            Rows(cell, [.. within.OrderByDescending(r => r.Box.CentreY)])
                .SelectMany(band => Words(band.Cell, band.Rows))
                .SelectMany(c =>
                    c.Words is [{ Inner: [_, ..] inner }] ? Broken(c.Cell, inner) : Shortened(c.Cell, [.. c.Words.SelectMany(w => w.Units)])
                );

        private List<PlanePoint> Ends =>
            [.. breaks.SelectMany(b => new[] { b.Line.StartPoint, b.Line.EndPoint }).Select(p => new PlanePoint(p.X, p.Y))];

        private bool IsFull => breaks.Count >= MostBreaks;

        /// <summary>Bands with a row each, or several that nothing goes between.</summary>
        private List<(WasteCell Cell, List<InkRow> Rows)> Rows(WasteCell cell, List<InkRow> down)
        {
            var bands = new List<(WasteCell Cell, List<InkRow> Rows)>();
            var (left, held) = (cell, new List<InkRow>());
            for (var i = 0; i < down.Count; i++)
            {
                held.Add(down[i]);
                if (i == down.Count - 1 || !terms.Rows || IsFull)
                {
                    continue;
                }

                var (low, high) = (Math.Min(down[i].Box.MinY, down[i + 1].Box.MinY), Math.Max(down[i].Box.MaxY, down[i + 1].Box.MaxY));
                var window = new Box(left.Box.MinX, low, left.Box.MaxX, high).Grown(2 * terms.Clearance);
                var ground = Ground(left, window);
                Walled(ground, held.SelectMany(r => r.Units), at => at with { Y = left.Box.MaxY });
                Walled(ground, down.Skip(i + 1).SelectMany(r => r.Units), at => at with { Y = left.Box.MinY });
                if (ground.Way(left.Left, left.Right) is not { } way)
                {
                    noWay.Add(Phrase.Say($"Between two rows there is no way that keeps {Length.Mm(terms.Clearance):fine} from the ink."));
                    continue;
                }

                breaks.Add(new WasteBreak(BreakKind.Rows, way));
                var (above, below) = left.CutAcross(way);
                bands.Add((above, held));
                (left, held) = (below, []);
            }

            bands.Add((left, held));
            return bands;
        }

        private List<(WasteCell Cell, List<InkWord> Words)> Words(WasteCell cell, List<InkRow> among)
        {
            // Where two rows could not be parted, their words lie over one another, and a break between them would part letters.
            if (among is not [{ Words: var words }])
            {
                return [(cell, [.. among.SelectMany(r => r.Words)])];
            }

            var cells = new List<(WasteCell Cell, List<InkWord> Words)>();
            var (left, held) = (cell, new List<InkWord>());
            for (var i = 0; i < words.Count; i++)
            {
                held.Add(words[i]);
                if (i == words.Count - 1 || !terms.Words || IsFull)
                {
                    continue;
                }

                if (Down(left, held, [.. words.Skip(i + 1)]) is not { } cut)
                {
                    noWay.Add(Phrase.Say($"Between two words there is no way that keeps {Length.Mm(terms.Clearance):fine} from the ink."));
                    continue;
                }

                cells.Add((cut.Left, held));
                (left, held) = (cut.Right, []);
            }

            cells.Add((left, held));
            return cells;
        }

        /// <summary>A break from the upper edge of a cell to its lower one, with ink on either side of it.</summary>
        private (WasteCell Left, WasteCell Right)? Down(WasteCell cell, List<InkWord> left, List<InkWord> right)
        {
            var (from, to) = (left.Max(w => w.Box.MaxX), right.Min(w => w.Box.MinX));
            var slack = Math.Max(2 * terms.Clearance, Math.Abs(to - from));
            var window = new Box(Math.Min(from, to) - slack, cell.Box.MinY, Math.Max(from, to) + slack, cell.Box.MaxY);
            var ground = Ground(cell, window);
            Walled(ground, left.SelectMany(w => w.Units), at => at with { X = cell.Box.MinX });
            Walled(ground, right.SelectMany(w => w.Units), at => at with { X = cell.Box.MaxX });
            return Cut(cell, ground, BreakKind.Words, down: true);
        }

        /// <summary>A cell, or the shorter ones that it is broken into.</summary>
        private IEnumerable<WasteCell> Shortened(WasteCell cell, List<InkUnit> units)
        {
            if (cell.Length <= terms.Longest || IsFull)
            {
                return [cell];
            }

            var down = cell.Box.Width >= cell.Box.Height;
            var middle = down ? cell.Box.CentreX : cell.Box.CentreY;
            // Anywhere in the middle half, so that both cells come out shorter by a quarter at least.
            var reach = (down ? cell.Box.Width : cell.Box.Height) / 4;
            var window = down
                ? new Box(middle - reach, cell.Box.MinY, middle + reach, cell.Box.MaxY)
                : new Box(cell.Box.MinX, middle - reach, cell.Box.MaxX, middle + reach);
            var ground = Ground(cell, window);
            if (Cut(cell, ground, BreakKind.Long, down) is not { } cut)
            {
                noWay.Add(
                    Phrase.Say(
                        $"Waste of {Length.Mm(cell.Length)} stays in one: no way across it keeps "
                            + $"{Length.Mm(terms.Clearance):fine} from the ink."
                    )
                );
                return [cell];
            }

            List<InkUnit> In(WasteCell part) =>
                units.FindAll(u => part.Area.Contains(Outlines.Factory.CreatePoint(u.Inside.ToCoordinate())));
            return Shortened(cut.Left, In(cut.Left)).Concat(Shortened(cut.Right, In(cut.Right)));
        }

        private (WasteCell Left, WasteCell Right)? Cut(WasteCell cell, FreeGround ground, BreakKind kind, bool down)
        {
            if (ground.Way(down ? cell.Upper : cell.Left, down ? cell.Lower : cell.Right) is not { } way)
            {
                return null;
            }

            breaks.Add(new WasteBreak(kind, way));
            return down ? cell.CutDown(way) : cell.CutAcross(way);
        }

        /// <summary>Ground on which no letter is parted from its dot.</summary>
        private FreeGround Ground(WasteCell cell, Box window)
        {
            var near = window.Grown(2 * terms.Clearance);
            var ground = new FreeGround(cell.Area, window, ink, Ends.FindAll(e => near.DistanceTo(e) == 0), terms.Clearance);
            foreach (var (a, b, _) in bonds.Where(b => b.Box.Meets(window)))
            {
                ground.Wall(a, b);
            }

            return ground;
        }

        /// <summary>The shortest ways between the parts of a unit: no break goes between a letter and its dot.</summary>
        private static IEnumerable<(PlanePoint A, PlanePoint B)> Bonds(InkUnit unit)
        {
            var parts = Outlines.PolygonsOf(unit.Ink).ToList();
            return parts.Count <= 1 ? [] : new Ties.HeldParts([.. parts.Select(p => p.ExteriorRing)]).Ways.Select(w => (w.From, w.To));
        }

        /// <summary>Walls from units to where no way goes round them.</summary>
        private static void Walled(FreeGround ground, IEnumerable<InkUnit> units, Func<PlanePoint, PlanePoint> to)
        {
            foreach (var at in units.Select(u => u.Inside))
            {
                ground.Wall(at, to(at));
            }
        }
    }
}
