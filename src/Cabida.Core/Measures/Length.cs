namespace Cabida.Core.Measures;

/// <summary>A length. Stored in millimetres.</summary>
/// <param name="Millimetres">The length in millimetres; may be negative where a difference is meant.</param>
public readonly record struct Length(double Millimetres) : IComparable<Length>
{
    /// <summary>Millimetres in an inch, exactly, by the definition of 1959.</summary>
    public const double MillimetresPerInch = 25.4;

    /// <summary>No length.</summary>
    public static Length Zero => default;

    /// <summary>A length of so many millimetres.</summary>
    public static Length Mm(double millimetres) => new(millimetres);

    /// <summary>A length of so many inches.</summary>
    public static Length Inches(double inches) => new(inches * MillimetresPerInch);

    /// <summary>The sum.</summary>
    public static Length operator +(Length a, Length b) => new(a.Millimetres + b.Millimetres);

    /// <summary>The difference.</summary>
    public static Length operator -(Length a, Length b) => new(a.Millimetres - b.Millimetres);

    /// <summary>The opposite.</summary>
    public static Length operator -(Length a) => new(-a.Millimetres);

    /// <summary>A multiple.</summary>
    public static Length operator *(double times, Length a) => new(times * a.Millimetres);

    /// <summary>A multiple.</summary>
    public static Length operator *(Length a, double times) => new(times * a.Millimetres);

    /// <summary>A fraction.</summary>
    public static Length operator /(Length a, double by) => new(a.Millimetres / by);

    /// <summary>The ratio of two lengths.</summary>
    public static double operator /(Length a, Length b) => a.Millimetres / b.Millimetres;

    /// <summary>Whether shorter.</summary>
    public static bool operator <(Length a, Length b) => a.Millimetres < b.Millimetres;

    /// <summary>Whether longer.</summary>
    public static bool operator >(Length a, Length b) => a.Millimetres > b.Millimetres;

    /// <summary>Whether not longer.</summary>
    public static bool operator <=(Length a, Length b) => a.Millimetres <= b.Millimetres;

    /// <summary>Whether not shorter.</summary>
    public static bool operator >=(Length a, Length b) => a.Millimetres >= b.Millimetres;

    /// <inheritdoc/>
    public int CompareTo(Length other) => Millimetres.CompareTo(other.Millimetres);

    /// <summary>The length in millimetres to two decimals, for logs.</summary>
    public override string ToString() => FormattableString.Invariant($"{Millimetres:0.##} mm");
}

/// <summary>An angle. Stored in radians.</summary>
/// <param name="Radians">The angle in radians.</param>
public readonly record struct Angle(double Radians)
{
    /// <summary>The angle in degrees.</summary>
    public double Degrees => Radians * 180 / Math.PI;

    /// <summary>An angle of so many degrees.</summary>
    public static Angle FromDegrees(double degrees) => new(degrees * Math.PI / 180);
}

/// <summary>The units a length can be read in.</summary>
public enum LengthUnit
{
    /// <summary>Millimetres.</summary>
    Millimetre,

    /// <summary>Centimetres.</summary>
    Centimetre,

    /// <summary>Inches.</summary>
    Inch,
}
