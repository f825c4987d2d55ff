using Cabida.Core.Measures;

namespace Cabida.Core.Stock;

/// <summary>
/// What a film bears: each limit as the maker typed it, or the usual one of its material (calculations 6.1). Millimetres, square
/// millimetres.
/// </summary>
/// <param name="Purpose">What the film is for.</param>
/// <param name="Stroke">The thinnest stroke; of a stencil, the thinnest web between its openings.</param>
/// <param name="Gap">The narrowest gap.</param>
/// <param name="SpeckArea">The least area of a separate part or of a counter.</param>
/// <param name="SpeckAcross">The least inscribed circle of one.</param>
/// <param name="Tie">How wide a tie is made.</param>
public readonly record struct FilmLimits(FilmPurpose Purpose, double Stroke, double Gap, double SpeckArea, double SpeckAcross, double Tie)
{
    /// <summary>Paint creeps under the edge of a mask, so its strokes must be wider by this than a film that only has to weed.</summary>
    public const double Creep = 1.5;

    private const double GapShare = 0.6;
    private const double AreaShare = 1.2;
    private const double AcrossShare = 0.8;
    private const double TieShare = 2;

    /// <summary>Whether tape lifts it: not what has a carrier of its own, nor card and sheet without a backing, nor a stencil.</summary>
    public bool TakesTape { get; init; }

    /// <summary>What the film itself weeds cleanly from; <see cref="Stroke"/> is more where paint creeps.</summary>
    public double Weeds => Purpose == FilmPurpose.PulledOff ? Stroke / Creep : Stroke;

    /// <summary>The least disc that has the least area, across; a length says more than an area does.</summary>
    public double SpeckDisc => 2 * Math.Sqrt(SpeckArea / Math.PI);

    /// <summary>The limits of a film; what cannot be read is the usual.</summary>
    public static FilmLimits Of(Film film)
    {
        ArgumentNullException.ThrowIfNull(film);
        var t = Typed(film.ThinnestStroke) ?? UsualStroke(film.Material);
        return new FilmLimits(
            film.Purpose,
            film.Purpose == FilmPurpose.PulledOff ? Creep * t : t,
            Typed(film.NarrowestGap) ?? (GapShare * t),
            SurfaceArea.Read(film.SmallestArea).ValueOrDefault?.SquareMillimetres ?? (AreaShare * t * t),
            Typed(film.SmallestAcross) ?? (AcrossShare * t),
            Typed(film.TieWidth) ?? (TieShare * t)
        )
        {
            TakesTape = film is { IsPressed: false, Material: FilmMaterial.Vinyl, Purpose: not FilmPurpose.Loose },
        };
    }

    /// <summary>The thinnest stroke of a material, where none was typed: the product's own default, in millimetres.</summary>
    public static double UsualStroke(FilmMaterial material) =>
        material switch
        {
            FilmMaterial.Vinyl => 0.8,
            FilmMaterial.HeatTransfer => 1.0,
            FilmMaterial.Card => 1.2,
            FilmMaterial.Sheet => 2.0,
            _ => throw new ArgumentOutOfRangeException(nameof(material)),
        };

    private static double? Typed(TypedLength typed) =>
        typed.IsEmpty ? null : typed.Read(LengthRange.FilmLimit).ValueOrDefault?.Value.Millimetres;
}
