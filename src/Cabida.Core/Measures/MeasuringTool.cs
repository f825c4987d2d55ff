namespace Cabida.Core.Measures;

/// <summary>What a reading was taken with.</summary>
public enum MeasuringTool
{
    /// <summary>A strip of paper drawn round the goods and marked.</summary>
    PaperStrip,

    /// <summary>A tailor's tape.</summary>
    SoftTape,

    /// <summary>A steel rule.</summary>
    SteelRule,

    /// <summary>A calliper.</summary>
    Calliper,
}

/// <summary>How well a tool measures.</summary>
/// <param name="Error">Half-width of the tool's own (rectangular) error.</param>
/// <param name="Repeatability">The least standard deviation of repeated readings.</param>
/// <param name="Thickness">How thick it lies on a wall that it is laid round.</param>
public sealed record ToolAccuracy(Length Error, Length Repeatability, Length Thickness)
{
    /// <summary>The product's own defaults for each tool.</summary>
    public static ToolAccuracy Of(MeasuringTool tool) => tool switch
    {
        MeasuringTool.PaperStrip => new(Length.Mm(0.5), Length.Mm(0.3), Length.Mm(0.1)),
        MeasuringTool.SoftTape => new(Length.Mm(1.0), Length.Mm(0.5), Length.Mm(0.4)),
        MeasuringTool.SteelRule => new(Length.Mm(0.5), Length.Mm(0.3), Length.Zero),
        MeasuringTool.Calliper => new(Length.Mm(0.1), Length.Mm(0.05), Length.Zero),
        _ => throw new ArgumentOutOfRangeException(nameof(tool)),
    };

    /// <summary>The tool's name as a maker says it.</summary>
    public static string Name(MeasuringTool tool) => tool switch
    {
        MeasuringTool.PaperStrip => "paper strip",
        MeasuringTool.SoftTape => "soft tape",
        MeasuringTool.SteelRule => "steel rule",
        MeasuringTool.Calliper => "calliper",
        _ => throw new ArgumentOutOfRangeException(nameof(tool)),
    };
}
