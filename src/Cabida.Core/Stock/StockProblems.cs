using Cabida.Core.Findings;
using Cabida.Core.Measures;
using Cabida.Core.Wording;

namespace Cabida.Core.Stock;

/// <summary>Reads every length of films and cutters and reports what cannot be used.</summary>
public static class StockProblems
{
    /// <summary>Problems of a film.</summary>
    public static IReadOnlyList<Finding> Of(Film film)
    {
        ArgumentNullException.ThrowIfNull(film);
        return
        [
            .. Named(film.Name),
            .. OfLimits(film),
            .. Read("width", film.Width, LengthRange.Object),
            .. Read("length", film.Length, LengthRange.Object),
            .. Temperature.Read(film.PressedAt).Problem is { } heat ? [Finding.Unusable("pressedAt", heat)] : Array.Empty<Finding>(),
        ];
    }

    /// <summary>Problems of the limits of a film: an empty one is the usual.</summary>
    public static IReadOnlyList<Finding> OfLimits(Film film)
    {
        ArgumentNullException.ThrowIfNull(film);
        var limits = new (string Field, TypedLength Typed)[]
        {
            ("thinnestStroke", film.ThinnestStroke),
            ("narrowestGap", film.NarrowestGap),
            ("smallestAcross", film.SmallestAcross),
            ("tieWidth", film.TieWidth),
        };
        return
        [
            .. limits.Where(l => !l.Typed.IsEmpty).SelectMany(l => Read(l.Field, l.Typed, LengthRange.FilmLimit)),
            .. SurfaceArea.Read(film.SmallestArea).Problem is { } area ? [Finding.Unusable("smallestArea", area)] : Array.Empty<Finding>(),
        ];
    }

    /// <summary>Problems of a cutter.</summary>
    public static IReadOnlyList<Finding> Of(Cutter cutter)
    {
        ArgumentNullException.ThrowIfNull(cutter);
        return
        [
            .. Named(cutter.Name),
            .. Read("reachWidth", cutter.ReachWidth, LengthRange.Object),
            .. Read("reachLength", cutter.ReachLength, LengthRange.Object),
        ];
    }

    private static IEnumerable<Finding> Named(string name) =>
        string.IsNullOrWhiteSpace(name) ? [Finding.Unusable("name", Phrase.Say($"Give it a name, so that it can be found again."))] : [];

    private static IEnumerable<Finding> Read(string field, TypedLength typed, LengthRange range) =>
        typed.Read(range).Problem is { } problem ? [Finding.Unusable(field, problem)] : [];
}
