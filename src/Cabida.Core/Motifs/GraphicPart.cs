using System.ComponentModel.DataAnnotations;
using Cabida.Core.Measures;

namespace Cabida.Core.Motifs;

/// <summary>By what a graphic is sized.</summary>
public enum GraphicSize
{
    /// <summary>As large as its file says.</summary>
    AsFile,

    /// <summary>The width of its ink.</summary>
    Width,

    /// <summary>The height of its ink.</summary>
    Height,
}

/// <summary>What becomes of outlines that do not close.</summary>
public enum OpenOutlines
{
    /// <summary>They are left out.</summary>
    LeftOut,

    /// <summary>Their ends are joined by a straight line.</summary>
    Closed,

    /// <summary>They become strokes of a width.</summary>
    Strokes,
}

/// <summary>What becomes of one colour of a graphic.</summary>
public enum ColourUse
{
    /// <summary>It is cut.</summary>
    Cut,

    /// <summary>It is left out.</summary>
    LeftOut,

    /// <summary>It is taken out of what lies below it: a white letter on a dark disc leaves a hole.</summary>
    CutsThrough,
}

/// <summary>The film for one colour of a graphic.</summary>
/// <param name="Colour">The colour, as <c>#rrggbb</c>.</param>
/// <param name="Use">What becomes of it.</param>
/// <param name="FilmId">The film; empty for the one the part is of.</param>
public sealed record ColourFilm(string Colour, ColourUse Use, string FilmId);

/// <summary>A graphic from a file. Its curves stay curves until the final size is known.</summary>
/// <param name="Id">A name for it that does not change while it is edited.</param>
/// <param name="Place">Where it stands to the part before.</param>
/// <param name="Gap">Ink to ink distance from what comes before.</param>
/// <param name="GraphicId">Which graphic of the library.</param>
/// <param name="SizedBy">What <paramref name="Size"/> measures.</param>
/// <param name="Size">The size.</param>
public sealed record GraphicPart(string Id, PartPlace Place, MotifLength Gap, string GraphicId, GraphicSize SizedBy, MotifLength Size)
    : Part(Id, Place, Gap)
{
    /// <summary>Its outlines as they were when it was placed; they never change.</summary>
    public string OutlinesId { get; init; } = "";

    /// <summary>Millimetres to a millimetre of those outlines, as the graphic's size was then.</summary>
    [Range(1e-6, 1e4)]
    public double FileScale { get; init; } = 1;

    /// <summary>The pieces that are left out, by their numbers in the file.</summary>
    [MaxLength(20_000)]
    public IReadOnlyList<int> Dropped { get; init; } = [];

    /// <summary>Whether all holes are filled.</summary>
    public bool HolesFilled { get; init; }

    /// <summary>Whether of an outline traced twice only the outer one is kept.</summary>
    public bool DoubledRemoved { get; init; }

    /// <summary>Outlines nearer to one another than this count as one traced twice.</summary>
    public MotifLength DoubledWithin { get; init; } = new(TypedLength.Mm(0.5), Scaling.Fixed);

    /// <summary>What becomes of outlines that do not close.</summary>
    public OpenOutlines Open { get; init; } = OpenOutlines.Strokes;

    /// <summary>The width of such strokes.</summary>
    public MotifLength StrokeWidth { get; init; } = MotifLength.Stays(1);

    /// <summary>How far its outlines are grown at every side of the finished piece.</summary>
    public MotifLength Strengthen { get; init; } = MotifLength.Stays(0);

    /// <summary>Films by colour; a colour that is not named is of the part's own film.</summary>
    public IReadOnlyList<ColourFilm> Films { get; init; } = [];
}
