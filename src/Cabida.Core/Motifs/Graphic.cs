using System.ComponentModel.DataAnnotations;
using Cabida.Core.Documents;
using Cabida.Core.Geometry;
using Cabida.Core.Wording;

namespace Cabida.Core.Motifs;

/// <summary>How nested outlines of one piece are filled.</summary>
public enum FillRule
{
    /// <summary>Wherever the outlines wind round at least once.</summary>
    NonZero,

    /// <summary>Wherever they wind round an odd number of times.</summary>
    EvenOdd,
}

/// <summary>One piece of a graphic: outlines that belong together, of one colour.</summary>
/// <param name="Colour">As <c>#rrggbb</c>.</param>
/// <param name="Rule">How its closed outlines are filled.</param>
/// <param name="Closed">Closed outlines; millimetres at the size of the file, y up.</param>
/// <param name="Open">Outlines that do not close.</param>
public sealed record GraphicPiece(string Colour, FillRule Rule, IReadOnlyList<Contour> Closed, IReadOnlyList<Contour> Open);

/// <summary>A size that a file would have under a usual assumption.</summary>
/// <param name="Assumption">The assumption in words.</param>
/// <param name="PerUnit">Millimetres to the unit of the file.</param>
/// <param name="Width">The width of its ink then.</param>
/// <param name="Height">The height of its ink then.</param>
public sealed record SupposedSize(string Assumption, double PerUnit, double Width, double Height);

/// <summary>The outlines of a graphic as they were read.</summary>
/// <param name="Id">A hash of them.</param>
/// <param name="Pieces">In the order of the file, the lowest first.</param>
public sealed record GraphicOutlines(string Id, IReadOnlyList<GraphicPiece> Pieces);

/// <summary>Artwork brought in from a file, with where it came from.</summary>
/// <param name="Name">What it is called.</param>
/// <param name="OutlinesId">Its outlines.</param>
/// <param name="Source">The name of the file.</param>
/// <param name="SizeStated">Whether the file stated its physical size.</param>
/// <param name="Supposed">The sizes it would have under the usual assumptions, where it did not.</param>
/// <param name="Colours">Its colours, in order of appearance.</param>
/// <param name="Notes">What is worth saying of how it was read.</param>
public sealed record Graphic(
    [property: MaxLength(DocumentGate.LongestName)] string Name,
    string OutlinesId,
    string Source,
    bool SizeStated,
    IReadOnlyList<SupposedSize> Supposed,
    [property: MaxLength(20_000)] IReadOnlyList<string> Colours,
    IReadOnlyList<Phrase> Notes
)
{
    /// <summary>Millimetres to a millimetre of the outlines as read: the maker's say on the size, where the file left it open.</summary>
    [Range(1e-6, 1e4)]
    public double Scale { get; init; } = 1;

    /// <summary>The width of its ink as read, in millimetres.</summary>
    public double Width { get; init; }

    /// <summary>The height of its ink as read, in millimetres.</summary>
    public double Height { get; init; }

    /// <summary>Where it comes from: who drew it, or where it was bought.</summary>
    public string Origin { get; init; } = "";

    /// <summary>On what terms it may be used.</summary>
    public string Terms { get; init; } = "";
}

/// <summary>The outlines of graphics at hand.</summary>
public interface IGraphics
{
    /// <summary>The outlines with this id, or null.</summary>
    GraphicOutlines? Find(string outlinesId);
}

/// <summary>No graphics.</summary>
public sealed class NoGraphics : IGraphics
{
    private NoGraphics() { }

    /// <summary>The only one.</summary>
    public static NoGraphics Instance { get; } = new();

    /// <inheritdoc/>
    public GraphicOutlines? Find(string outlinesId) => null;
}
