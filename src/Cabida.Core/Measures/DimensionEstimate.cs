using Cabida.Core.Wording;

namespace Cabida.Core.Measures;

/// <summary>How a dimension is measured, which decides what is taken off its readings.</summary>
public enum MeasuredAlong
{
    /// <summary>Straight, from mark to mark.</summary>
    Straight,

    /// <summary>Round a wall: a strip of thickness t lies on its middle and reads π·t too long per turn.</summary>
    Round,

    /// <summary>Half-way round a wall: half of that.</summary>
    HalfRound,
}

/// <summary>A reading that stands apart from its fellows.</summary>
/// <param name="Index">Its place among the readings, from 0.</param>
/// <param name="Away">How far it lies from the median of all.</param>
/// <param name="Allowed">How far it might.</param>
public sealed record Outlier(int Index, Length Away, Length Allowed);

/// <summary>
/// Readings → dimension, after the Guide to the Expression of Uncertainty in Measurement (JCGM 100:2008): per tool
/// u = √(s²/n + a²/3), s at least the tool's repeatability, a at least half the graduation that was read; U = 2u.
/// Tools that agree within √(U₁² + U₂²) are joined by the inverse-variance mean; otherwise the better tool's value stands.
/// </summary>
/// <param name="Dimension">The result.</param>
/// <param name="Outliers">Readings pointed out (never dropped): further than max(4.45·MAD, 2a) from the median of at least three.</param>
/// <param name="Disagreement">Set when tools disagree: what was read and which value is used.</param>
/// <param name="ThicknessTakenOff">What was taken off for the strip's thickness, averaged over the tools used.</param>
/// <param name="Sum">Where the value comes from, as a short sum.</param>
public sealed record DimensionEstimate(
    Dimension Dimension,
    IReadOnlyList<Outlier> Outliers,
    Phrase? Disagreement,
    Length ThicknessTakenOff,
    Phrase Sum)
{
    private const double CoverageFactor = 2;

    /// <summary>4.45·MAD is three standard deviations of a normal sample (1.4826 × 3).</summary>
    private const double OutlierMads = 4.45;

    /// <summary>Estimates from readings that could be read.</summary>
    /// <param name="readings">At least one reading with its tool.</param>
    /// <param name="along">How the tool lay.</param>
    /// <param name="strip">What the check line of a printed strip told; null when none was used or it prints true.</param>
    /// <exception cref="ArgumentException">There are no readings.</exception>
    public static DimensionEstimate From(IReadOnlyList<(ReadLength Read, MeasuringTool Tool)> readings, MeasuredAlong along, StripCheck? strip = null)
    {
        ArgumentNullException.ThrowIfNull(readings);
        if (readings.Count == 0)
        {
            throw new ArgumentException("A dimension needs a reading.", nameof(readings));
        }

        var byTool = readings.GroupBy(r => r.Tool).OrderBy(g => g.Key)
            .Select(g => OneTool(g.Key, g.Select(r => r.Read).ToList(), along, g.Key == MeasuringTool.PrintedStrip ? strip : null)).ToList();
        var joined = byTool[0];
        List<ToolMean> used = [joined];
        Phrase? disagreement = null;
        foreach (var next in byTool.Skip(1))
        {
            var allowed = Dimension.Combined(joined.Dimension.Uncertainty, next.Dimension.Uncertainty);
            var apart = Math.Abs((joined.Dimension.Value - next.Dimension.Value).Millimetres);
            if (apart <= allowed.Millimetres)
            {
                joined = joined with { Dimension = InverseVariance(joined.Dimension, next.Dimension) };
                used.Add(next);
                continue;
            }

            var better = next.Dimension.Uncertainty < joined.Dimension.Uncertainty ? next : joined;
            disagreement = Phrase.Say(
                $"The {ToolAccuracy.Name(joined.Tool)} says {joined.Dimension.Value}, the {ToolAccuracy.Name(next.Tool)} {next.Dimension.Value}; they may differ by {allowed}. The {ToolAccuracy.Name(better.Tool)}'s value is used.");
            used = ReferenceEquals(better, next) ? [next] : used;
            joined = better;
        }

        return new DimensionEstimate(
            joined.Dimension, OutliersOf(readings), disagreement, joined.TakenOff, SumOf(used));
    }

    private static ToolMean OneTool(MeasuringTool tool, List<ReadLength> readings, MeasuredAlong along, StripCheck? strip)
    {
        var accuracy = ToolAccuracy.Of(tool);
        var n = readings.Count;
        var mean = readings.Average(r => r.Value.Millimetres);
        var spread = n > 1 ? Math.Sqrt(readings.Sum(r => Math.Pow(r.Value.Millimetres - mean, 2)) / (n - 1)) : 0;
        var s = Math.Max(spread, accuracy.Repeatability.Millimetres);
        var a = HalfWidth(accuracy, readings);
        // A check line is itself only read so well; that share of the value stays uncertain.
        var scale = strip?.Factor ?? 1;
        var u = Math.Sqrt((s * s / n) + (a * a / 3) + Math.Pow(mean * (strip?.RelativeUncertainty ?? 0), 2));
        var turns = along switch { MeasuredAlong.Round => 1, MeasuredAlong.HalfRound => 0.5, _ => 0 };
        var off = turns * Math.PI * accuracy.Thickness.Millimetres;
        return new ToolMean(tool, n, new Dimension(Length.Mm((scale * mean) - off), Length.Mm(CoverageFactor * u)), Length.Mm(off), strip);
    }

    private static double HalfWidth(ToolAccuracy accuracy, IEnumerable<ReadLength> readings) =>
        Math.Max(accuracy.Error.Millimetres, readings.Max(r => r.Graduation.Millimetres) / 2);

    private static Dimension InverseVariance(Dimension a, Dimension b)
    {
        var wa = 1 / Math.Pow(a.Uncertainty.Millimetres, 2);
        var wb = 1 / Math.Pow(b.Uncertainty.Millimetres, 2);
        return new Dimension(
            Length.Mm(((wa * a.Value.Millimetres) + (wb * b.Value.Millimetres)) / (wa + wb)),
            Length.Mm(1 / Math.Sqrt(wa + wb)));
    }

    private static List<Outlier> OutliersOf(IReadOnlyList<(ReadLength Read, MeasuringTool Tool)> readings)
    {
        if (readings.Count < 3)
        {
            return [];
        }

        var values = readings.Select(r => r.Read.Value.Millimetres).ToList();
        var median = Median(values);
        var mad = Median(values.Select(v => Math.Abs(v - median)).ToList());
        var found = new List<Outlier>();
        for (var i = 0; i < readings.Count; i++)
        {
            var (read, tool) = readings[i];
            var allowed = Math.Max(OutlierMads * mad, 2 * HalfWidth(ToolAccuracy.Of(tool), [read]));
            var away = Math.Abs(values[i] - median);
            if (away > allowed)
            {
                found.Add(new Outlier(i, Length.Mm(away), Length.Mm(allowed)));
            }
        }

        return found;
    }

    private static double Median(List<double> values)
    {
        var sorted = values.Order().ToList();
        var mid = sorted.Count / 2;
        return sorted.Count % 2 == 1 ? sorted[mid] : (sorted[mid - 1] + sorted[mid]) / 2;
    }

    /// <summary>The tools whose readings are in the value, each with what was taken off its own; a tool that was set aside is not told.</summary>
    private static Phrase SumOf(List<ToolMean> used)
    {
        Phrase Told(ToolMean tool)
        {
            var words = $"{tool.Count} by {ToolAccuracy.Name(tool.Tool)}";
            var sum = tool.TakenOff > Length.Zero ? Phrase.Say($"{words}, less {tool.TakenOff} for its thickness") : Phrase.Say($"{words}");
            return tool.Strip is { } strip ? Phrase.Say($"{sum}, times {strip.Factor:0.0000} for its check line") : sum;
        }

        var told = used.Select(Told).Aggregate((a, b) => Phrase.Say($"{a} and {b}"));
        return used.Count > 1 ? Phrase.Say($"{told}, each as far as it is certain") : told;
    }

    private sealed record ToolMean(MeasuringTool Tool, int Count, Dimension Dimension, Length TakenOff, StripCheck? Strip);
}
