using Cabida.Core.Measures;

namespace Cabida.Core.Blanks;

/// <summary>How a blank's wall is shaped.</summary>
public enum SurfaceKind
{
    /// <summary>A cylinder: one girth all the way up.</summary>
    Straight,

    /// <summary>A cone: two girths and the wall between them.</summary>
    Tapered,
}

/// <summary>Readings of one dimension by one tool, as typed.</summary>
/// <param name="Tool">The tool.</param>
/// <param name="Readings">What was read, in the order typed; unreadable ones are kept too.</param>
public sealed record ReadingLine(MeasuringTool Tool, IReadOnlyList<TypedLength> Readings);

/// <summary>All that was read of one dimension.</summary>
/// <param name="Dimension">Which dimension.</param>
/// <param name="Lines">Its readings, a line per tool.</param>
public sealed record MeasuredDimension(DimensionKind Dimension, IReadOnlyList<ReadingLine> Lines);

/// <summary>What stays clear around the zone, as typed.</summary>
/// <param name="Rim">Below the rim.</param>
/// <param name="Base">Above the base.</param>
/// <param name="Side">Beside the handle at each side; where there is no handle, beside the seam.</param>
public sealed record ClearMargins(TypedLength Rim, TypedLength Base, TypedLength Side);

/// <summary>A plain object as bought, measured once and kept on the shelf.</summary>
/// <param name="Name">What it is called.</param>
/// <param name="Surface">How its wall is shaped.</param>
/// <param name="Measured">What was read.</param>
/// <param name="Margins">What stays clear.</param>
/// <param name="Note">Anything the maker wants to remember about it.</param>
public sealed record Blank(
    string Name, SurfaceKind Surface, IReadOnlyList<MeasuredDimension> Measured, ClearMargins Margins, string Note = "")
{
    /// <summary>The readings of a dimension; none when it was not measured.</summary>
    public IReadOnlyList<ReadingLine> LinesOf(DimensionKind dimension) =>
        Measured.FirstOrDefault(m => m.Dimension == dimension)?.Lines ?? [];
}
