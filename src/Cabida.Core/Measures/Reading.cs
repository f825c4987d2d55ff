namespace Cabida.Core.Measures;

/// <summary>One measured value: what was typed, and the tool it was taken with.</summary>
/// <param name="Typed">What was typed, with the unit in force.</param>
/// <param name="Tool">The tool.</param>
public sealed record Reading(TypedLength Typed, MeasuringTool Tool);

/// <summary>What several readings of one thing amount to.</summary>
/// <param name="Value">The best value.</param>
/// <param name="Uncertainty">U, the expanded uncertainty with coverage factor 2.</param>
public sealed record Dimension(Length Value, Length Uncertainty)
{
    /// <summary>The value less its uncertainty: what must not be exceeded is measured against this.</summary>
    public Length Cautious => Value - Uncertainty;

    /// <summary>A multiple of the dimension, its uncertainty with it.</summary>
    public Dimension Times(double factor) => new(factor * Value, Math.Abs(factor) * Uncertainty);

    /// <summary>Two values of one thing that agree, by the inverse-variance mean: each weighs 1/U², and U = 1/√(1/U₁² + 1/U₂²).</summary>
    public static Dimension Joined(Dimension a, Dimension b)
    {
        ArgumentNullException.ThrowIfNull(a);
        ArgumentNullException.ThrowIfNull(b);
        double wa = 1 / Math.Pow(a.Uncertainty.Millimetres, 2),
            wb = 1 / Math.Pow(b.Uncertainty.Millimetres, 2);
        return new Dimension(
            Length.Mm(((wa * a.Value.Millimetres) + (wb * b.Value.Millimetres)) / (wa + wb)),
            Length.Mm(1 / Math.Sqrt(wa + wb))
        );
    }

    /// <summary>√(U₁² + U₂²): the uncertainty of a sum or difference of independent dimensions.</summary>
    public static Length Combined(params ReadOnlySpan<Length> uncertainties)
    {
        var sum = 0.0;
        foreach (var u in uncertainties)
        {
            sum += u.Millimetres * u.Millimetres;
        }

        return Length.Mm(Math.Sqrt(sum));
    }
}
