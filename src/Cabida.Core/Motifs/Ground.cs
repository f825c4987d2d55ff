using Cabida.Core.Geometry;
using Cabida.Core.Measures;

namespace Cabida.Core.Motifs;

/// <summary>What a motif is composed against, as chosen: a zone of a blank, a plain reference size, or nothing. Never cut.</summary>
public sealed record Ground
{
    /// <summary>The blank; empty for a reference size or nothing.</summary>
    public string BlankId { get; init; } = "";

    /// <summary>The zone of the blank; empty for its first.</summary>
    public string ZoneId { get; init; } = "";

    /// <summary>The size of a blank that comes in sizes; empty for its first.</summary>
    public string Size { get; init; } = "";

    /// <summary>The width of a reference size; empty for none.</summary>
    public TypedLength Width { get; init; } = TypedLength.Empty;

    /// <summary>The height of a reference size.</summary>
    public TypedLength Height { get; init; } = TypedLength.Empty;

    /// <summary>The margin inside a reference size.</summary>
    public TypedLength Margin { get; init; } = TypedLength.Empty;
}

/// <summary>The mats of a framed ground, in millimetres from its datum centre, y up.</summary>
/// <param name="Outside">The outside of every mat.</param>
/// <param name="Openings">The openings, top mat first.</param>
public sealed record GroundMats(Box Outside, IReadOnlyList<Box> Openings);

/// <summary>What composing needs of a ground; millimetres from its datum centre, y up.</summary>
/// <param name="Box">The box round the cautious zone; null where there is no ground.</param>
/// <param name="Girth">Once round at the middle of the zone; null for what is not round.</param>
/// <param name="Ring">The radius of that ring laid flat, negative where the narrow end is up; infinite for a straight wall.</param>
/// <param name="Mats">The mats of a frame.</param>
public sealed record GroundShape(Box? Box, double? Girth, double Ring, GroundMats? Mats)
{
    /// <summary>The cautious zone itself; null where there is no ground.</summary>
    public GroundOutline? Outline { get; init; }

    /// <summary>No ground.</summary>
    public static GroundShape None { get; } = new(null, null, double.PositiveInfinity, null);

    /// <summary>A plain rectangle about its centre.</summary>
    public static GroundShape Plain(double width, double height)
    {
        var box = new Box(-width / 2, -height / 2, width / 2, height / 2);
        return new(box, null, double.PositiveInfinity, null) { Outline = new(Outlines.Rectangle(box)) };
    }
}
