using Cabida.Core.Geometry;
using Cabida.Core.Stock;

namespace Cabida.Core.Loads;

/// <summary>A piece that wants a place.</summary>
/// <param name="PieceId">The piece.</param>
/// <param name="Width">The width of its ink.</param>
/// <param name="Height">The height of its ink.</param>
public sealed record LoadItem(string PieceId, double Width, double Height);

/// <summary>A piece in its place on a load.</summary>
/// <param name="PieceId">The piece.</param>
/// <param name="Box">Where its ink lies; origin at the reach's lower left, y up, before any mirroring.</param>
/// <param name="Turned">Whether it is turned a quarter to the left.</param>
/// <param name="Row">In which row it lies, from 0 at the top.</param>
public sealed record Placement(string PieceId, Box Box, bool Turned, int Row);

/// <summary>What weed boxes need around ink on a load; millimetres.</summary>
/// <param name="Per">What a box is cut round.</param>
/// <param name="Margin">How far it stands out.</param>
public readonly record struct WeedRoom(WeedBox Per, double Margin)
{
    /// <summary>Left and right of every piece.</summary>
    public double Beside => Per == WeedBox.Piece ? Margin : 0;

    /// <summary>Above and below every piece.</summary>
    public double AboveBelow => Per is WeedBox.Piece or WeedBox.Row ? Margin : 0;

    /// <summary>At the left and right of the reach.</summary>
    public double AtSides => Per is WeedBox.Row or WeedBox.Load ? Margin : 0;

    /// <summary>At its top and foot.</summary>
    public double AtEnds => Per == WeedBox.Load ? Margin : 0;
}

/// <summary>What is put into the cutter at once.</summary>
/// <param name="Number">From 1.</param>
/// <param name="Placements">What is cut, row by row.</param>
public sealed record Load(int Number, IReadOnlyList<Placement> Placements)
{
    /// <summary>The box of all that is cut.</summary>
    public Box Used => Box.Around(Placements.Select(p => p.Box))!.Value;
}

/// <summary>
/// Pieces in rows on as many loads as it takes: the tallest first, each in the first row that still holds it (first fit
/// decreasing height; Coffman, Garey, Johnson and Tarjan 1980). A piece too wide for the reach is turned a quarter when
/// that helps. Equal heights keep the list's order, so the same list gives the same loads.
/// </summary>
/// <param name="ReachWidth">The width that can be cut.</param>
/// <param name="ReachHeight">The length that can be cut.</param>
/// <param name="Loads">The loads.</param>
/// <param name="TooLarge">Pieces larger than the reach with the room of their weed box, whichever way they are turned.</param>
public sealed record LoadPlan(double ReachWidth, double ReachHeight, IReadOnlyList<Load> Loads, IReadOnlyList<LoadItem> TooLarge)
{
    /// <summary>Lays items out.</summary>
    /// <param name="items">The pieces in the list's order.</param>
    /// <param name="reachWidth">The width that can be cut; millimetres.</param>
    /// <param name="reachHeight">The length that can be cut; millimetres.</param>
    /// <param name="scissorsRoom">The least distance between pieces, or their weed boxes.</param>
    /// <param name="weeds">What weed boxes need around them.</param>
    /// <param name="mayTurn">Whether what is too wide may be turned a quarter.</param>
    public static LoadPlan Of(
        IReadOnlyList<LoadItem> items,
        double reachWidth,
        double reachHeight,
        double scissorsRoom,
        WeedRoom weeds = default,
        bool mayTurn = true
    )
    {
        ArgumentNullException.ThrowIfNull(items);
        var (across, along) = (reachWidth - (2 * weeds.AtSides), reachHeight - (2 * weeds.AtEnds));
        var tooLarge = new List<LoadItem>();
        var wanted = new List<Wanted>();
        foreach (var item in items)
        {
            Wanted upright = new(item, item.Width + (2 * weeds.Beside), item.Height + (2 * weeds.AboveBelow), false),
                turned = new(item, item.Height + (2 * weeds.Beside), item.Width + (2 * weeds.AboveBelow), true);
            if (upright.Within(across, along))
            {
                wanted.Add(upright);
            }
            else if (mayTurn && turned.Within(across, along))
            {
                wanted.Add(turned);
            }
            else
            {
                tooLarge.Add(item);
            }
        }

        var sheets = new List<Sheet>();
        foreach (var next in wanted.OrderByDescending(w => w.Height))
        {
            var sheet = sheets.FirstOrDefault(s => s.Takes(next));
            if (sheet is null)
            {
                sheets.Add(sheet = new Sheet(across, along, scissorsRoom));
            }

            sheet.Add(next);
        }

        Placement Placed(Placement inner) => inner with { Box = Inner(inner.Box, weeds).Moved(weeds.AtSides, weeds.AtEnds) };
        return new LoadPlan(
            reachWidth,
            reachHeight,
            [.. sheets.Select((s, i) => new Load(i + 1, [.. s.Placements.Select(Placed)]))],
            tooLarge
        );
    }

    /// <summary>The box of the ink in the place that is taken for it.</summary>
    private static Box Inner(Box taken, WeedRoom weeds) =>
        new(taken.MinX + weeds.Beside, taken.MinY + weeds.AboveBelow, taken.MaxX - weeds.Beside, taken.MaxY - weeds.AboveBelow);

    /// <summary>An item with the place that it takes.</summary>
    private sealed record Wanted(LoadItem Item, double Width, double Height, bool Turned)
    {
        public bool Within(double across, double along) => Width <= across && Height <= along;
    }

    private sealed class Sheet(double across, double along, double gap)
    {
        private readonly List<Row> rows = [];

        public List<Placement> Placements { get; } = [];

        public bool Takes(Wanted item) => RowFor(item.Width) is not null || FreeHeight >= item.Height;

        public void Add(Wanted item)
        {
            var row = RowFor(item.Width);
            if (row is null)
            {
                rows.Add(row = new Row(along - (rows.Count == 0 ? 0 : Taken + gap), item.Height));
            }

            var box = new Box(row.Next, row.Top - item.Height, row.Next + item.Width, row.Top);
            Placements.Add(new Placement(item.Item.PieceId, box, item.Turned, rows.IndexOf(row)));
            row.Next += item.Width + gap;
        }

        private double Taken => rows.Sum(r => r.Height) + (gap * Math.Max(0, rows.Count - 1));

        private double FreeHeight => rows.Count == 0 ? along : along - Taken - gap;

        /// <summary>Items come tallest first, so any row is high enough.</summary>
        private Row? RowFor(double width) => rows.Find(r => r.Next + width <= across);
    }

    private sealed class Row(double top, double height)
    {
        public double Top => top;

        public double Height => height;

        public double Next { get; set; }
    }
}
