using System.ComponentModel.DataAnnotations;
using Cabida.Core.Documents;
using Cabida.Core.Measures;

namespace Cabida.Core.Stock;

/// <summary>How a film lies where another lies over it (calculations 6.8).</summary>
public enum LayerWay
{
    /// <summary>As composed: one on the other.</summary>
    Stacked,

    /// <summary>The lower loses the ink of the upper.</summary>
    KnockedOut,

    /// <summary>The lower loses the ink of the upper but for an overlap along its edge.</summary>
    SetIn,
}

/// <summary>How a film of a run lies under those over it.</summary>
/// <param name="FilmId">The film.</param>
/// <param name="Way">How it lies.</param>
/// <param name="Overlap">How far the upper lies on it where that is set in; empty for the usual.</param>
public sealed record FilmUnder([property: MaxLength(DocumentGate.LongestName)] string FilmId, LayerWay Way, TypedLength Overlap)
{
    /// <summary>The usual overlap of what is set in; millimetres.</summary>
    public const double UsualOverlap = 1;

    /// <summary>What an overlap may be.</summary>
    public static LengthRange Overlaps { get; } = new(Length.Mm(0.1), Length.Mm(20));

    /// <summary>How far the upper lies on it, in millimetres; what cannot be read is the usual.</summary>
    [System.Text.Json.Serialization.JsonIgnore]
    public double OverlapOr => Overlap.Read(Overlaps).ValueOrDefault?.Value.Millimetres ?? UsualOverlap;
}
