namespace Cabida.Core.Measures;

/// <summary>How a dimension was read, which decides what mistakes can be in it.</summary>
/// <param name="Units">The units its numbers were taken in.</param>
/// <param name="Tools">The tools it was read with.</param>
/// <param name="Count">How many readings there are.</param>
public sealed record ReadHow(IReadOnlySet<LengthUnit> Units, IReadOnlySet<MeasuringTool> Tools, int Count)
{
    /// <summary>How readings were taken.</summary>
    public static ReadHow Of(IReadOnlyCollection<(ReadLength Read, MeasuringTool Tool)> readings) =>
        new(readings.Select(r => r.Read.Unit).ToHashSet(), readings.Select(r => r.Tool).ToHashSet(), readings.Count);

    /// <summary>Whether any of its tools can be laid round something; a rule and a calliper cannot.</summary>
    public bool CouldGoRound => Tools.Any(t => t is MeasuringTool.PaperStrip or MeasuringTool.SoftTape or MeasuringTool.PrintedStrip);
}
