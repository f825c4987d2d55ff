using System.ComponentModel.DataAnnotations;

namespace Cabida.Core.Motifs;

/// <summary>The outlines a shape can have.</summary>
public enum ShapeKind
{
    /// <summary>Width and height.</summary>
    Rectangle,

    /// <summary>A rectangle with rounded corners: width, height, corner radius.</summary>
    Rounded,

    /// <summary>Width and height.</summary>
    Oval,

    /// <summary>An oval ring: outside width and height, and its band.</summary>
    Ring,

    /// <summary>Width and height, and the band all round.</summary>
    Border,

    /// <summary>A regular polygon in an oval of width and height, a side at the bottom.</summary>
    Polygon,

    /// <summary>A star in an oval of width and height, a point at the top; its inner corners at a share of the way out.</summary>
    Star,

    /// <summary>Width and height.</summary>
    Heart,

    /// <summary>A tag: width and height, two corners cut off by the corner length, a round hole.</summary>
    Tag,

    /// <summary>Two bands that meet in a corner at the upper left: width, height, band.</summary>
    Corner,

    /// <summary>Dots in a row: how many, how large across, and the gap between.</summary>
    Dots,

    /// <summary>The true outline of the ground, less the inset.</summary>
    GroundOutline,

    /// <summary>A band along the true outline of the ground, inside of the inset.</summary>
    GroundFrame,
}

/// <summary>How large a shape is.</summary>
public enum ShapeSpan
{
    /// <summary>As typed.</summary>
    Given,

    /// <summary>As large as the ground, less the inset at each side.</summary>
    Ground,

    /// <summary>As large as the outside of the ground's mats, less the inset.</summary>
    MatOutside,

    /// <summary>As large as the opening of the top mat, less the inset.</summary>
    MatOpening,
}

/// <summary>A plain shape; only the lengths its kind names are used.</summary>
/// <param name="Id">A name for it that does not change while it is edited.</param>
/// <param name="Place">Where it stands to the part before.</param>
/// <param name="Gap">Ink to ink distance from what comes before.</param>
/// <param name="Shape">Its kind.</param>
/// <param name="Width">Across; of dots, of one dot.</param>
/// <param name="Height">Up.</param>
public sealed record ShapePart(string Id, PartPlace Place, MotifLength Gap, ShapeKind Shape, MotifLength Width, MotifLength Height)
    : Part(Id, Place, Gap)
{
    /// <summary>Whether its size is typed or the ground's.</summary>
    public ShapeSpan Span { get; init; }

    /// <summary>How far inside the ground it stays, at each side.</summary>
    public MotifLength Inset { get; init; } = MotifLength.Stays(0);

    /// <summary>Whether the holes of the ground count for its outline: they stay open, or have a band of their own.</summary>
    public bool GroundHoles { get; init; } = true;

    /// <summary>Whether its size and place are the ground's.</summary>
    [System.Text.Json.Serialization.JsonIgnore]
    public bool TakesFromGround => Span != ShapeSpan.Given || Shape is ShapeKind.GroundOutline or ShapeKind.GroundFrame;

    /// <summary>The radius of rounded corners; the length of a tag's cut corners.</summary>
    public MotifLength CornerSize { get; init; } = MotifLength.Scales(4);

    /// <summary>The width of a ring's or border's band.</summary>
    public MotifLength Band { get; init; } = MotifLength.Scales(2);

    /// <summary>Across the hole of a tag.</summary>
    public MotifLength Hole { get; init; } = MotifLength.Stays(4);

    /// <summary>From a tag's left edge to the middle of its hole.</summary>
    public MotifLength HoleIn { get; init; } = MotifLength.Stays(6);

    /// <summary>The gap between dots.</summary>
    public MotifLength DotGap { get; init; } = MotifLength.Scales(3);

    /// <summary>Sides of a polygon, points of a star, dots.</summary>
    [Range(-10_000, 10_000)]
    public int Count { get; init; } = 5;

    /// <summary>Where a star's inner corners lie, in hundredths of the way out.</summary>
    [Range(-1000.0, 1000.0)]
    public double Inner { get; init; } = 45;
}
