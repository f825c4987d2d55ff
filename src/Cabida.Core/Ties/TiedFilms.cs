using Cabida.Core.Geometry;
using Cabida.Core.Motifs;
using Cabida.Core.Stock;

namespace Cabida.Core.Ties;

/// <summary>The films of a piece with the ties of those layers that are held by them.</summary>
/// <param name="Films">The ink, by film.</param>
/// <param name="Ties">The ties, layer by layer.</param>
public sealed record TiedFilms(IReadOnlyList<FilmInk> Films, IReadOnlyList<Tie> Ties)
{
    /// <summary>Draws the ties of a piece: none where nothing falls out, so that they come and go with what they hold.</summary>
    /// <param name="films">The ink, by film.</param>
    /// <param name="parts">The parts in place.</param>
    /// <param name="limitsOf">What each film bears.</param>
    /// <param name="moves">Ties that were moved along.</param>
    public static TiedFilms Of(
        IReadOnlyList<FilmInk> films,
        IReadOnlyList<PlacedPart> parts,
        Func<FilmPly, FilmLimits> limitsOf,
        IReadOnlyList<TieMove> moves
    )
    {
        ArgumentNullException.ThrowIfNull(films);
        ArgumentNullException.ThrowIfNull(parts);
        ArgumentNullException.ThrowIfNull(limitsOf);
        ArgumentNullException.ThrowIfNull(moves);
        if (!parts.SelectMany(p => p.WithInner).Any(p => p.Part.Tied))
        {
            return new TiedFilms(films, []);
        }

        var tied = films.Select(f => IsTied(f.Film, parts) ? Tied(f, parts, limitsOf(f.Film), moves) : (Ink: f, Ties: [])).ToList();
        return new TiedFilms([.. tied.Select(t => t.Ink)], [.. tied.SelectMany(t => t.Ties)]);
    }

    /// <summary>Whether a layer is held by ties: a part in it says so.</summary>
    public static bool IsTied(FilmPly layer, IReadOnlyList<PlacedPart> parts) => PartPlaces.AnyOn(parts, layer, p => p.Tied);

    private static (FilmInk Ink, IReadOnlyList<Tie> Ties) Tied(
        FilmInk film,
        IReadOnlyList<PlacedPart> parts,
        FilmLimits limits,
        IReadOnlyList<TieMove> moves
    )
    {
        var stencil = limits.Purpose == FilmPurpose.Loose;
        var ties = Named(TiedInk.Falling(film.Ink, stencil), film.Film, parts)
            .SelectMany(h => TiesOf(h.Name, h.Part, film.Film, limits.Tie, moves))
            .ToList();
        return ties.Count == 0 ? (film, []) : (new FilmInk(film.Film, TiedInk.With(film.Ink, ties, stencil)), ties);
    }

    private static IEnumerable<Tie> TiesOf(string name, HeldPart part, FilmPly film, double width, IReadOnlyList<TieMove> moves) =>
        TiedInk
            .Ways(part)
            .Select(
                (way, i) =>
                {
                    var own = $"{name} {i + 1}";
                    var moved = moves.LastOrDefault(m => m.Tie == own) is { } move ? TiedInk.WayAt(part, move.Angle) : null;
                    var (from, to) = moved ?? way;
                    return new Tie(own, film, from, to, width, part.Middle, part.Across) { Moved = moved is not null };
                }
            );

    /// <summary>
    /// What falls out, each by a name of its own: the part of the motif, the letter with its place in the line, and its number there from
    /// the left and from below. Another letter at the place is another name.
    /// </summary>
    private static IEnumerable<(string Name, HeldPart Part)> Named(
        IReadOnlyList<HeldPart> falling,
        FilmPly film,
        IReadOnlyList<PlacedPart> parts
    ) =>
        PartPlaces
            .Of(parts, film, falling, OnIt)
            .SelectMany(p => p.Places.Select(h => (Of: $"{p.Id} {LetterOf(p.Part, OnIt(h))}", Part: h)))
            .GroupBy(h => h.Of, StringComparer.Ordinal)
            .SelectMany(g =>
                g.OrderBy(h => Math.Round(h.Part.Middle.X, 2)).ThenBy(h => h.Part.Middle.Y).Select((h, i) => ($"{g.Key} {i + 1}", h.Part))
            );

    private static string LetterOf(PlacedPart? part, PlanePoint at) =>
        part?.LetterIndexAt(at) is { } index ? $"{index}{part.LetterAt(at)}" : "";

    private static PlanePoint OnIt(HeldPart part) =>
        part.Outline.InteriorPoint is { IsEmpty: false } inside ? new(inside.X, inside.Y) : part.Middle;
}
