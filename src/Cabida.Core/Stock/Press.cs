using System.ComponentModel.DataAnnotations;
using System.Text.Json.Serialization;
using Cabida.Core.Documents;
using Cabida.Core.Measures;

namespace Cabida.Core.Stock;

/// <summary>What a press lies against.</summary>
public enum PressShape
{
    /// <summary>A flat platen, or the sole of an iron.</summary>
    Flat,

    /// <summary>A sleeve that goes round a mug or bottle.</summary>
    Round,
}

/// <summary>A heat press or an iron.</summary>
/// <param name="Name">What it is called.</param>
/// <param name="PlatenWidth">How wide its platen is; of a sleeve how far it goes round.</param>
/// <param name="PlatenHeight">How high it is.</param>
public sealed record Press([property: MaxLength(DocumentGate.LongestName)] string Name, TypedLength PlatenWidth, TypedLength PlatenHeight)
{
    /// <summary>What it lies against.</summary>
    public PressShape Shape { get; init; }

    /// <summary>How hot it gets, as typed; empty when not known.</summary>
    [MaxLength(HeatPlan.MostLetters)]
    public string Hottest { get; init; } = "";

    /// <summary>What it showed when its heat was measured, as typed; empty when it never was.</summary>
    [MaxLength(HeatPlan.MostLetters)]
    public string Shows { get; init; } = "";

    /// <summary>What was measured then, as typed.</summary>
    [MaxLength(HeatPlan.MostLetters)]
    public string Measured { get; init; } = "";

    /// <summary>By how much two positions overlap, where the artwork is larger than the platen; empty for the usual.</summary>
    public TypedLength Overlap { get; init; } = TypedLength.Empty;

    /// <summary>Anything worth remembering.</summary>
    public string Note { get; init; } = "";

    /// <summary>How much two positions usually overlap; millimetres, the product's own default.</summary>
    public const double UsualOverlap = 20;

    /// <summary>How much they overlap, in millimetres; what cannot be read is the usual.</summary>
    [JsonIgnore]
    public double OverlapOr => Overlap.Read(LengthRange.Margin).ValueOrDefault?.Value.Millimetres ?? UsualOverlap;

    /// <summary>How much hotter it is than it shows, in degrees Celsius; 0 where it was never measured.</summary>
    [JsonIgnore]
    public double OffBy =>
        Temperature.Read(Measured).ValueOrDefault is { } real && Temperature.Read(Shows).ValueOrDefault is { } shown
            ? real.Celsius - shown.Celsius
            : 0;

    /// <summary>The most heat that it really has; null when not known.</summary>
    [JsonIgnore]
    public double? Reaches => Temperature.Read(Hottest).ValueOrDefault is { } most ? most.Celsius + OffBy : null;

    /// <summary>What it is set to so that it has a heat; degrees Celsius.</summary>
    public double SetTo(double celsius) => celsius - OffBy;
}
