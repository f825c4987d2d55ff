namespace Cabida.Formats.Care;

/// <summary>Care notes to be printed: as many cards as there are names, each with the same lines.</summary>
/// <param name="Workshop">Whose they are.</param>
/// <param name="Contact">How they are reached.</param>
/// <param name="Lines">How the made thing is taken care of, a line each.</param>
/// <param name="Names">Whose name is on each card; empty for a card without one.</param>
public sealed record CareSheet(string Workshop, string Contact, IReadOnlyList<string> Lines, IReadOnlyList<string> Names)
{
    /// <summary>So many cards are printed at once at most.</summary>
    public const int Most = 2000;
}

/// <summary>How cards lie on a page; millimetres.</summary>
/// <param name="Width">The width of the page.</param>
/// <param name="Height">Its height.</param>
public sealed record CarePaper(double Width, double Height)
{
    /// <summary>The width of a card: that of a card for a purse.</summary>
    public const double CardWidth = 85;

    /// <summary>The height of a card.</summary>
    public const double CardHeight = 55;

    /// <summary>What printers leave free at the edges of paper at most.</summary>
    private const double Margin = 8;

    /// <summary>A4.</summary>
    public static CarePaper A4 { get; } = new(210, 297);

    /// <summary>Letter.</summary>
    public static CarePaper Letter { get; } = new(215.9, 279.4);

    /// <summary>How many cards lie side by side.</summary>
    public int Across { get; } = (int)((Width - (2 * Margin)) / CardWidth);

    /// <summary>How many rows of them there are.</summary>
    public int Rows { get; } = (int)((Height - (2 * Margin)) / CardHeight);

    /// <summary>How many lie on a page.</summary>
    public int OnPage => Across * Rows;

    /// <summary>How many pages so many cards take.</summary>
    public int PagesOf(int cards) => (int)Math.Ceiling(cards / (double)OnPage);

    /// <summary>The left edge of the first card.</summary>
    public double Left => (Width - (Across * CardWidth)) / 2;

    /// <summary>The upper edge of the first card, from the top of the page.</summary>
    public double Top => (Height - (Rows * CardHeight)) / 2;
}
