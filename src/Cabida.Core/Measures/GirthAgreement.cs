namespace Cabida.Core.Measures;

/// <summary>
/// Whether a girth and a diameter of the same wall agree: |G − πD| ≤ √(U_G² + (πU_D)²).
/// </summary>
/// <param name="Difference">G − πD.</param>
/// <param name="Allowed">What their uncertainties allow.</param>
/// <param name="AcrossFromGirth">The diameter that the girth means, G/π.</param>
public sealed record GirthAgreement(Length Difference, Length Allowed, Length AcrossFromGirth)
{
    /// <summary>Whether the two can both be right.</summary>
    public bool Agrees => Math.Abs(Difference.Millimetres) <= Allowed.Millimetres;

    /// <summary>Compares a girth with a diameter.</summary>
    public static GirthAgreement Of(Dimension girth, Dimension diameter)
    {
        ArgumentNullException.ThrowIfNull(girth);
        ArgumentNullException.ThrowIfNull(diameter);
        var round = diameter.Times(Math.PI);
        return new GirthAgreement(
            girth.Value - round.Value,
            Dimension.Combined(girth.Uncertainty, round.Uncertainty),
            girth.Value / Math.PI
        );
    }
}
