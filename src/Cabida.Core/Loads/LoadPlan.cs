using Cabida.Core.Geometry;

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
public sealed record Placement(string PieceId, Box Box, bool Turned);

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
/// <param name="TooLarge">Pieces larger than the reach, whichever way they are turned.</param>
public sealed record LoadPlan(double ReachWidth, double ReachHeight, IReadOnlyList<Load> Loads, IReadOnlyList<LoadItem> TooLarge)
{
    /// <summary>Lays items out.</summary>
    /// <param name="items">The pieces in the list's order.</param>
    /// <param name="reachWidth">The width that can be cut; millimetres.</param>
    /// <param name="reachHeight">The length that can be cut; millimetres.</param>
    /// <param name="scissorsRoom">The least distance between pieces.</param>
    public static LoadPlan Of(IReadOnlyList<LoadItem> items, double reachWidth, double reachHeight, double scissorsRoom)
    {
        ArgumentNullException.ThrowIfNull(items);
        var tooLarge = new List<LoadItem>();
        var wanted = new List<(LoadItem Item, double Width, double Height, bool Turned)>();
        foreach (var item in items)
        {
            if (item.Width <= reachWidth && item.Height <= reachHeight)
            {
                wanted.Add((item, item.Width, item.Height, false));
            }
            else if (item.Height <= reachWidth && item.Width <= reachHeight)
            {
                wanted.Add((item, item.Height, item.Width, true));
            }
            else
            {
                tooLarge.Add(item);
            }
        }

        var sheets = new List<Sheet>();
        foreach (var (item, width, height, turned) in wanted.OrderByDescending(w => w.Height))
        {
            var sheet = sheets.FirstOrDefault(s => s.Takes(width, height));
            if (sheet is null)
            {
                sheets.Add(sheet = new Sheet(reachWidth, reachHeight, scissorsRoom));
            }

            sheet.Add(item.PieceId, width, height, turned);
        }

        return new LoadPlan(reachWidth, reachHeight, [.. sheets.Select((s, i) => new Load(i + 1, s.Placements))], tooLarge);
    }

    private sealed class Sheet(double reachWidth, double reachHeight, double gap)
    {
        private readonly List<Row> rows = [];

        public List<Placement> Placements { get; } = [];

        public bool Takes(double width, double height) => RowFor(width) is not null || FreeHeight >= height;

        public void Add(string pieceId, double width, double height, bool turned)
        {
            var row = RowFor(width);
            if (row is null)
            {
                rows.Add(row = new Row(reachHeight - (rows.Count == 0 ? 0 : Taken + gap), height));
            }

            Placements.Add(new Placement(pieceId, new Box(row.Next, row.Top - height, row.Next + width, row.Top), turned));
            row.Next += width + gap;
        }

        private double Taken => rows.Sum(r => r.Height) + (gap * Math.Max(0, rows.Count - 1));

        private double FreeHeight => rows.Count == 0 ? reachHeight : reachHeight - Taken - gap;

        /// <summary>Items come tallest first, so any row is high enough.</summary>
        private Row? RowFor(double width) => rows.Find(r => r.Next + width <= reachWidth);
    }

    private sealed class Row(double top, double height)
    {
        public double Top => top;

        public double Height => height;

        public double Next { get; set; }
    }
}
