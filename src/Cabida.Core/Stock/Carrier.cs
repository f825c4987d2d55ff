using System.ComponentModel.DataAnnotations;
using Cabida.Core.Documents;
using Cabida.Core.Measures;

namespace Cabida.Core.Stock;

/// <summary>A proving square of 100 as a cutter made it, measured; lengths as typed, all empty where none was cut.</summary>
/// <param name="Across">Its side across.</param>
/// <param name="Along">Its side along.</param>
/// <param name="Rising">Its diagonal from the lower left.</param>
/// <param name="Falling">Its diagonal from the upper left.</param>
public sealed record ProvingSquare(TypedLength Across, TypedLength Along, TypedLength Rising, TypedLength Falling)
{
    /// <summary>What its sides should measure.</summary>
    public const double Side = 100;

    /// <summary>None was cut.</summary>
    public static ProvingSquare None { get; } = new(TypedLength.Empty, TypedLength.Empty, TypedLength.Empty, TypedLength.Empty);

    /// <summary>What a side may measure: further off it is another square.</summary>
    public static LengthRange Sides { get; } = new(Length.Mm(90), Length.Mm(110));

    /// <summary>What a diagonal may measure.</summary>
    public static LengthRange Diagonals { get; } = new(Length.Mm(127), Length.Mm(156));

    /// <summary>Its fields with their ranges.</summary>
    internal IEnumerable<(string Field, TypedLength Typed, LengthRange Range)> Fields =>
        [("across", Across, Sides), ("along", Along, Sides), ("rising", Rising, Diagonals), ("falling", Falling, Diagonals)];

    /// <summary>Whether nothing was typed.</summary>
    [System.Text.Json.Serialization.JsonIgnore]
    public bool IsNone => Fields.All(f => f.Typed.IsEmpty);
}

/// <summary>What holds film in a cutter: a mat; lengths as typed.</summary>
/// <param name="Id">Tells it apart from others of its cutter.</param>
/// <param name="Name">What it is called.</param>
/// <param name="Width">Its nominal width, as it is sold.</param>
/// <param name="Length">Its nominal length.</param>
/// <param name="ReachWidth">How wide the cutter really cuts on it.</param>
/// <param name="ReachLength">How long.</param>
public sealed record Carrier(
    [property: MaxLength(DocumentGate.LongestName)] string Id,
    [property: MaxLength(DocumentGate.LongestName)] string Name,
    TypedLength Width,
    TypedLength Length,
    TypedLength ReachWidth,
    TypedLength ReachLength
)
{
    /// <summary>The id of the one that stands for what a cutter reaches, where none is kept.</summary>
    public const string Plain = "mat";

    /// <summary>How thick one usually is; millimetres.</summary>
    public const double UsualThickness = 1.5;

    /// <summary>From its left edge to where the reach begins; empty for the middle.</summary>
    public TypedLength Left { get; init; } = TypedLength.Empty;

    /// <summary>From its foot to where the reach begins; empty for the middle.</summary>
    public TypedLength Foot { get; init; } = TypedLength.Empty;

    /// <summary>How thick it is; empty where it does not matter.</summary>
    public TypedLength Thickness { get; init; } = TypedLength.Empty;

    /// <summary>The square that it was proved by.</summary>
    public ProvingSquare Proved { get; init; } = ProvingSquare.None;
}

/// <summary>A cutter without a carrier: film between rollers; lengths as typed.</summary>
/// <param name="Width">How wide it cuts between the rollers; empty where it cuts on carriers only.</param>
/// <param name="Longest">How long it cuts at most.</param>
/// <param name="Lead">What stays clear at the beginning.</param>
/// <param name="Tail">What stays clear at the end.</param>
public sealed record Rollers(TypedLength Width, TypedLength Longest, TypedLength Lead, TypedLength Tail)
{
    /// <summary>It cuts on carriers only.</summary>
    public static Rollers None { get; } = new(TypedLength.Empty, TypedLength.Empty, TypedLength.Empty, TypedLength.Empty);

    /// <summary>The square that it was proved by.</summary>
    public ProvingSquare Proved { get; init; } = ProvingSquare.None;
}

/// <summary>What a cutter's program takes the numbers of an SVG for.</summary>
public enum SvgNumbers
{
    /// <summary>Millimetres.</summary>
    Millimetres,

    /// <summary>96 to the inch.</summary>
    Per96,

    /// <summary>90 to the inch.</summary>
    Per90,

    /// <summary>72 to the inch.</summary>
    Per72,
}

/// <summary>How a cutter moves; lengths a second.</summary>
/// <param name="Cutting">With the blade down; millimetres a second.</param>
/// <param name="Up">With the blade up; millimetres a second.</param>
/// <param name="Acceleration">Millimetres a second squared.</param>
public sealed record CutterPace(
    [property: Range(1, 5000)] double Cutting,
    [property: Range(1, 5000)] double Up,
    [property: Range(10, 100_000)] double Acceleration
)
{
    /// <summary>Before anything was typed: the product's own default.</summary>
    public static CutterPace Usual { get; } = new(200, 400, 2000);
}

/// <summary>What the blade of a cutter asks for; lengths as typed.</summary>
/// <param name="Offset">How far its tip trails; empty for none.</param>
/// <param name="Overcut">How far closed outlines are cut on; empty for the usual.</param>
/// <param name="CutterSeesToIt">Whether the cutter itself does both, so that files leave them out.</param>
public sealed record Blade(TypedLength Offset, TypedLength Overcut, bool CutterSeesToIt)
{
    /// <summary>Before anything was typed: the cutter sees to it.</summary>
    public static Blade Usual { get; } = new(TypedLength.Empty, TypedLength.Empty, true);
}
