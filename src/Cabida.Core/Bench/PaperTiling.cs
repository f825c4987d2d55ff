using Cabida.Core.Geometry;
using Cabida.Core.Measures;
using Cabida.Core.Wording;

namespace Cabida.Core.Bench;

/// <summary>Paper that templates are printed on, upright.</summary>
/// <param name="Name">What it is called.</param>
/// <param name="Width">Its width; millimetres.</param>
/// <param name="Height">Its height; millimetres.</param>
public sealed record Paper(string Name, double Width, double Height)
{
    /// <summary>ISO 216 A4.</summary>
    public static Paper A4 { get; } = new("A4", 210, 297);

    /// <summary>Letter.</summary>
    public static Paper Letter { get; } = new("Letter", 215.9, 279.4);
}

/// <summary>How something lies true to size on several pages (calculations 6.15).</summary>
/// <param name="Paper">The paper.</param>
/// <param name="IsAcross">Whether it lies across.</param>
/// <param name="Across">How many pages lie side by side.</param>
/// <param name="Down">How many lie under one another.</param>
/// <param name="Box">What they cover together, about the middle of what is printed; millimetres, y up.</param>
public sealed record PaperTiling(Paper Paper, bool IsAcross, int Across, int Down, Box Box)
{
    /// <summary>What no printer prints on; millimetres.</summary>
    public const double Margin = 10;

    /// <summary>By how much neighbours overlap; millimetres.</summary>
    public const double Overlap = 10;

    /// <summary>More pages than this are not glued together by anybody.</summary>
    public const int Most = 60;

    /// <summary>How many pages there are.</summary>
    public int Pages => Across * Down;

    /// <summary>The width of a page as it lies.</summary>
    public double PageWidth => IsAcross ? Paper.Height : Paper.Width;

    /// <summary>Its height.</summary>
    public double PageHeight => IsAcross ? Paper.Width : Paper.Height;

    /// <summary>What is printed on one page, within its margins; millimetres, y up.</summary>
    /// <param name="column">From the left, from 0.</param>
    /// <param name="row">From the top, from 0.</param>
    public Box PageBox(int column, int row)
    {
        var (wide, high) = (PageWidth - (2 * Margin), PageHeight - (2 * Margin));
        var (left, top) = (Box.MinX + (column * (wide - Overlap)), Box.MaxY - (row * (high - Overlap)));
        return new Box(left, top - high, left + wide, top);
    }

    /// <summary>The tiling that takes fewer pages, upright or across; upright where both take as many.</summary>
    /// <param name="content">What is printed; millimetres.</param>
    /// <param name="paper">The paper.</param>
    public static Outcome<PaperTiling> Of(Box content, Paper paper)
    {
        ArgumentNullException.ThrowIfNull(paper);
        var (upright, across) = (Tiled(content, paper, false), Tiled(content, paper, true));
        var best = across.Pages < upright.Pages ? across : upright;
        return best.Pages <= Most
            ? Outcome<PaperTiling>.Of(best)
            : Outcome<PaperTiling>.Fail(
                Phrase.Say(
                    $"{Length.Mm(content.Width)} × {Length.Mm(content.Height)} would take {best.Pages} pages of {paper.Name}. Measure this "
                        + $"one in instead."
                )
            );
    }

    private static PaperTiling Tiled(Box content, Paper paper, bool isAcross)
    {
        var (page, other) = isAcross ? (paper.Height, paper.Width) : (paper.Width, paper.Height);
        // ⌈(w − o)/(page − 2m − o)⌉: the first page covers all of itself, each further one what its overlap leaves.
        static int Count(double length, double page) =>
            length <= page - (2 * Margin)
                ? 1
                : (int)Math.Min(1e6, Math.Ceiling((length - Overlap) / (page - (2 * Margin) - Overlap) - 1e-9));
        static double Covered(int count, double page) => (count * (page - (2 * Margin) - Overlap)) + Overlap;
        var (columns, rows) = (Count(content.Width, page), Count(content.Height, other));
        var (wide, high) = (Covered(columns, page), Covered(rows, other));
        var (x, y) = (content.CentreX - (wide / 2), content.CentreY - (high / 2));
        return new PaperTiling(paper, isAcross, columns, rows, new Box(x, y, x + wide, y + high));
    }
}
