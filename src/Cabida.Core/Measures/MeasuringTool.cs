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

    /// <summary>A strip printed with its own scale; what it reads is corrected by what its check line measures.</summary>
    PrintedStrip,
}

/// <summary>How well a tool measures.</summary>
/// <param name="Error">Half-width of the tool's own (rectangular) error.</param>
/// <param name="Repeatability">The least standard deviation of repeated readings.</param>
/// <param name="Thickness">How thick it lies on a wall that it is laid round.</param>
public sealed record ToolAccuracy(Length Error, Length Repeatability, Length Thickness)
{
    /// <summary>The product's own defaults for each tool.</summary>
    public static ToolAccuracy Of(MeasuringTool tool) =>
        tool switch
        {
            MeasuringTool.PaperStrip => new(Length.Mm(0.5), Length.Mm(0.3), Length.Mm(0.1)),
            MeasuringTool.SoftTape => new(Length.Mm(1.0), Length.Mm(0.5), Length.Mm(0.4)),
            MeasuringTool.SteelRule => new(Length.Mm(0.5), Length.Mm(0.3), Length.Zero),
            MeasuringTool.Calliper => new(Length.Mm(0.1), Length.Mm(0.05), Length.Zero),
            MeasuringTool.PrintedStrip => new(Length.Mm(0.5), Length.Mm(0.3), Length.Mm(0.1)),
            _ => throw new ArgumentOutOfRangeException(nameof(tool)),
        };

    /// <summary>A scan: half a pixel either way at so many dots an inch, and half of that again.</summary>
    public static ToolAccuracy OfScan(double dotsPerInch) =>
        new(Length.Inches(1 / dotsPerInch), Length.Inches(1 / dotsPerInch / 2), Length.Zero);

    /// <summary>The tool's name as a maker says it.</summary>
    public static string Name(MeasuringTool tool) =>
        tool switch
        {
            MeasuringTool.PaperStrip => "paper strip",
            MeasuringTool.SoftTape => "soft tape",
            MeasuringTool.SteelRule => "steel rule",
            MeasuringTool.Calliper => "calliper",
            MeasuringTool.PrintedStrip => "printed strip",
            _ => throw new ArgumentOutOfRangeException(nameof(tool)),
        };
}
