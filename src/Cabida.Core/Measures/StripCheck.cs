using Cabida.Core.Wording;

namespace Cabida.Core.Measures;

/// <summary>
/// What the check line of a printed strip tells about the printer: a strip printed small reads long, so that a reading is
/// true when multiplied by what the line measures over what it should.
/// </summary>
/// <param name="Factor">Measured over nominal.</param>
/// <param name="RelativeUncertainty">The standard uncertainty of that factor.</param>
public sealed record StripCheck(double Factor, double RelativeUncertainty)
{
    /// <summary>A line further off than this was not the check line, or was read in another unit.</summary>
    private const double BelievedWithin = 0.06;

    /// <summary>How long the check line is drawn.</summary>
    public static Length Nominal { get; } = Length.Mm(200);

    /// <summary>Reads what the maker typed of it; nothing typed means that the printer is trusted.</summary>
    public static Outcome<StripCheck?> Read(TypedLength typed)
    {
        ArgumentNullException.ThrowIfNull(typed);
        if (typed.IsEmpty)
        {
            return Outcome<StripCheck?>.Of(null);
        }

        var read = typed.Read(LengthRange.Object);
        if (read.Problem is { } problem)
        {
            return Outcome<StripCheck?>.Fail(problem);
        }

        var factor = read.Value.Value / Nominal;
        if (Math.Abs(factor - 1) > BelievedWithin)
        {
            return Outcome<StripCheck?>.Fail(
                Phrase.Say(
                    $"The check line is drawn {Nominal} long; {read.Value.Value} is too far from it to be the printer's doing. Read "
                        + $"the long line marked “check”."
                )
            );
        }

        var u = DimensionEstimate.From([(read.Value, MeasuringTool.SteelRule)], MeasuredAlong.Straight).Dimension.Uncertainty;
        return Outcome<StripCheck?>.Of(new StripCheck(factor, u / Nominal / 2));
    }
}
