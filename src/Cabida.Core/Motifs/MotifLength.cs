using Cabida.Core.Measures;

namespace Cabida.Core.Motifs;

/// <summary>Whether a length follows the fit.</summary>
public enum Scaling
{
    /// <summary>It grows and shrinks with the motif.</summary>
    Proportional,

    /// <summary>It is millimetres on the finished piece.</summary>
    Fixed,

    /// <summary>It grows and shrinks with the set: the same on all pieces of a run.</summary>
    Equal,
}

/// <summary>The scales a motif is drawn at.</summary>
/// <param name="Own">What proportional lengths are multiplied by.</param>
/// <param name="Set">What lengths that are equal across the set are multiplied by.</param>
public readonly record struct Scales(double Own, double Set)
{
    /// <summary>Alone, a piece is its own set.</summary>
    public static Scales Both(double scale) => new(scale, scale);
}

/// <summary>A length of a motif.</summary>
/// <param name="Typed">What was typed.</param>
/// <param name="Scaling">Whether it follows the fit.</param>
public sealed record MotifLength(TypedLength Typed, Scaling Scaling)
{
    /// <summary>The length in millimetres at a scale; zero when what was typed cannot be read.</summary>
    public double At(Scales scales, LengthRange range) =>
        Typed.OrZero(range).Millimetres
        * Scaling switch
        {
            Scaling.Proportional => scales.Own,
            Scaling.Equal => scales.Set,
            _ => 1,
        };

    /// <summary>A proportional length in millimetres.</summary>
    public static MotifLength Scales(double millimetres) => new(TypedLength.Mm(millimetres), Scaling.Proportional);

    /// <summary>A fixed length in millimetres.</summary>
    public static MotifLength Stays(double millimetres) => new(TypedLength.Mm(millimetres), Scaling.Fixed);
}
