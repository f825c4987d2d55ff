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
/// <param name="Spread">Set when readings by one tool lie further apart than it explains and none of them stands out: it cannot be told
/// which is right.</param>
/// <param name="Disagreement">Set when tools disagree: what was read and which value is used.</param>
/// <param name="ThicknessTakenOff">What was taken off for the strip's thickness, averaged over the tools used.</param>
/// <param name="Sum">Where the value comes from, as a short sum.</param>
public sealed record DimensionEstimate(
    Dimension Dimension,
    IReadOnlyList<Outlier> Outliers,
    Phrase? Spread,
    Phrase? Disagreement,
    Length ThicknessTakenOff,
    Phrase Sum
)
{
    private const double CoverageFactor = 2;

    /// <summary>4.45·MAD is three standard deviations of a normal sample (1.4826 × 3).</summary>
    private const double OutlierMads = 4.45;

    /// <summary>Estimates from readings that could be read.</summary>
    /// <param name="readings">At least one reading with its tool.</param>
    /// <param name="along">How the tool lay.</param>
    /// <param name="strip">What the check line of a printed strip told; null when none was used or it prints true.</param>
    /// <exception cref="ArgumentException">There are no readings.</exception>
    public static DimensionEstimate From(
        IReadOnlyList<(ReadLength Read, MeasuringTool Tool)> readings,
        MeasuredAlong along,
        StripCheck? strip = null
    )
    {
        ArgumentNullException.ThrowIfNull(readings);
        if (readings.Count == 0)
        {
            throw new ArgumentException("A dimension needs a reading.", nameof(readings));
        }

        var byTool = readings
            .GroupBy(r => r.Tool)
            .OrderBy(g => g.Key)
            .Select(g => OneTool(g.Key, g.Select(r => r.Read).ToList(), along, g.Key == MeasuringTool.PrintedStrip ? strip : null))
            .ToList();
        var joined = byTool[0];
        List<ToolMean> used = [joined];
        Phrase? disagreement = null;
        foreach (var next in byTool.Skip(1))
        {
            var allowed = Dimension.Combined(joined.Dimension.Uncertainty, next.Dimension.Uncertainty);
            var apart = Math.Abs((joined.Dimension.Value - next.Dimension.Value).Millimetres);
            if (apart <= allowed.Millimetres)
            {
                joined = joined with { Dimension = Dimension.Joined(joined.Dimension, next.Dimension) };
                used.Add(next);
                continue;
            }

            var better = next.Dimension.Uncertainty < joined.Dimension.Uncertainty ? next : joined;
            disagreement = Phrase.Say(
                $"The {ToolAccuracy.Name(joined.Tool)} says {joined.Dimension.Value}, the {ToolAccuracy.Name(next.Tool)} "
                    + $"{next.Dimension.Value}; they may differ by {allowed}. The {ToolAccuracy.Name(better.Tool)}'s value is used."
            );
            used = ReferenceEquals(better, next) ? [next] : used;
            joined = better;
        }

        var corrected = readings.Select(r => Corrected(r, along, strip)).ToList();
        var outliers = OutliersOf(readings, corrected);
        return new DimensionEstimate(
            joined.Dimension,
            outliers,
            outliers.Count > 0 ? null : SpreadOf(readings, corrected),
            disagreement,
            joined.TakenOff,
            SumOf(used)
        );
    }

    /// <summary>What wants looking at among the readings, each sentence beginning with what they are of.</summary>
    /// <param name="title">What they are of.</param>
    /// <param name="readings">The readings it was estimated from.</param>
    public IEnumerable<Phrase> Told(string title, IReadOnlyList<(ReadLength Read, MeasuringTool Tool)> readings)
    {
        ArgumentNullException.ThrowIfNull(readings);
        var outliers = Outliers.Select(o =>
            Phrase.Say(
                $"{title:strong}. The reading {readings[o.Index].Read.Value} lies {o.Away} from the middle of its fellows; "
                    + $"{o.Allowed} could be chance. Read it again, or take it out."
            )
        );
        return new[] { Disagreement, Spread }.OfType<Phrase>().Select(p => Phrase.Say($"{title:strong}. {p}")).Concat(outliers);
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
        var off = ThicknessRound(accuracy, along);
        return new ToolMean(tool, n, new Dimension(Length.Mm((scale * mean) - off), Length.Mm(CoverageFactor * u)), Length.Mm(off), strip);
    }

    /// <summary>What a tool of a thickness reads too long: π·t a turn.</summary>
    private static double ThicknessRound(ToolAccuracy accuracy, MeasuredAlong along) =>
        along switch
        {
            MeasuredAlong.Round => 1,
            MeasuredAlong.HalfRound => 0.5,
            _ => 0,
        }
        * Math.PI
        * accuracy.Thickness.Millimetres;

    /// <summary>One reading as its own corrections leave it, in millimetres: readings are compared with one another only so.</summary>
    private static double Corrected((ReadLength Read, MeasuringTool Tool) reading, MeasuredAlong along, StripCheck? strip) =>
        ((reading.Tool == MeasuringTool.PrintedStrip ? strip?.Factor ?? 1 : 1) * reading.Read.Value.Millimetres)
        - ThicknessRound(ToolAccuracy.Of(reading.Tool), along);

    private static double HalfWidth(ToolAccuracy accuracy, IEnumerable<ReadLength> readings) =>
        Math.Max(accuracy.Error.Millimetres, readings.Max(r => r.Graduation.Millimetres) / 2);

    /// <summary>
    /// Readings by one tool that lie further apart than √(U₁² + U₂²) of two single readings, U of the tool as it is and not of the
    /// spread itself, which would excuse anything.
    /// </summary>
    private static Phrase? SpreadOf(IReadOnlyList<(ReadLength Read, MeasuringTool Tool)> readings, List<double> corrected)
    {
        foreach (
            var tool in readings.Select((r, i) => (r.Read, r.Tool, Value: corrected[i])).GroupBy(r => r.Tool).Where(g => g.Count() > 1)
        )
        {
            var accuracy = ToolAccuracy.Of(tool.Key);
            var one =
                CoverageFactor
                * Math.Sqrt(
                    Math.Pow(accuracy.Repeatability.Millimetres, 2) + (Math.Pow(HalfWidth(accuracy, tool.Select(r => r.Read)), 2) / 3)
                );
            // One step of the scale is never too much: the same length may be read to either side.
            var step = tool.Max(r => r.Read.Graduation.Millimetres);
            var (apart, allowed) = (tool.Max(r => r.Value) - tool.Min(r => r.Value), Math.Max(Math.Sqrt(2) * one, step));
            if (apart > allowed + 1e-6)
            {
                return Phrase.Say(
                    $"The readings by {ToolAccuracy.Name(tool.Key)} lie {Length.Mm(apart)} apart; by their tool they may by "
                        + $"{Length.Mm(allowed)}. Read it once more, so that the wrong one stands out."
                );
            }
        }

        return null;
    }

    private static List<Outlier> OutliersOf(IReadOnlyList<(ReadLength Read, MeasuringTool Tool)> readings, List<double> values)
    {
        if (readings.Count < 3)
        {
            return [];
        }

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

    /// <summary>
    /// The tools whose readings are in the value, each with what was taken off its own; a tool that was set aside is not told.
    /// </summary>
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
