using System.ComponentModel.DataAnnotations;

namespace Cabida.Core.Motifs;

/// <summary>How a group is repeated.</summary>
public enum RepeatKind
{
    /// <summary>Once.</summary>
    None,

    /// <summary>In rows.</summary>
    Rows,

    /// <summary>In rows, every second one moved by half a period.</summary>
    HalfDrop,

    /// <summary>Round a circle.</summary>
    Ring,

    /// <summary>At four corners, mirrored.</summary>
    Corners,

    /// <summary>Scattered.</summary>
    Scatter,
}

/// <summary>What decides how many copies there are.</summary>
public enum RepeatOver
{
    /// <summary>The counts typed.</summary>
    Counts,

    /// <summary>An area: as many whole copies as it holds.</summary>
    Area,

    /// <summary>The ground: as many whole copies as it holds.</summary>
    Ground,

    /// <summary>The girth of the ground: as many as meet at the seam.</summary>
    Wrap,
}

/// <summary>A repeat.</summary>
/// <param name="Kind">How.</param>
public sealed record Repeat(RepeatKind Kind)
{
    /// <summary>Once.</summary>
    public static Repeat Once { get; } = new(RepeatKind.None);

    /// <summary>What decides how many there are.</summary>
    public RepeatOver Over { get; init; }

    /// <summary>Copies across, round a ring, or scattered.</summary>
    [Range(-100_000, 100_000)]
    public int Across { get; init; } = 3;

    /// <summary>Rows.</summary>
    [Range(-100_000, 100_000)]
    public int Up { get; init; } = 1;

    /// <summary>Ink to ink from side to side; the least distance of scattered copies.</summary>
    public MotifLength GapAcross { get; init; } = MotifLength.Scales(4);

    /// <summary>Ink to ink from row to row.</summary>
    public MotifLength GapUp { get; init; } = MotifLength.Scales(4);

    /// <summary>The width of the area.</summary>
    public MotifLength Width { get; init; } = MotifLength.Scales(80);

    /// <summary>The height of the area.</summary>
    public MotifLength Height { get; init; } = MotifLength.Scales(60);

    /// <summary>Across the circle through the copies' middles.</summary>
    public MotifLength Circle { get; init; } = MotifLength.Scales(60);

    /// <summary>Whether copies of a ring turn with it, and scattered ones are turned at random.</summary>
    public bool Turning { get; init; } = true;

    /// <summary>From which scattered places follow.</summary>
    [Range(int.MinValue, int.MaxValue)]
    public int Seed { get; init; } = 1;

    /// <summary>Whether a wrap keeps its size and leaves a gap at the seam instead of meeting there.</summary>
    public bool GapAtSeam { get; init; }
}

/// <summary>Parts that stand, scale and move as one. In it, the ground is what is stacked in it.</summary>
/// <param name="Id">A name for it that does not change while it is edited.</param>
/// <param name="Place">Where it stands to the part before.</param>
/// <param name="Gap">Ink to ink distance from what comes before.</param>
/// <param name="Parts">Its parts.</param>
/// <param name="Alignment">How its rows line up.</param>
public sealed record GroupPart(string Id, PartPlace Place, MotifLength Gap, IReadOnlyList<Part> Parts, RowAlignment Alignment)
    : Part(Id, Place, Gap)
{
    /// <summary>How often and where.</summary>
    public Repeat Repeat { get; init; } = Repeat.Once;
}
