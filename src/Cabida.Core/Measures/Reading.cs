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
