using Cabida.Core.Geometry;

namespace Cabida.Core.Motifs;

/// <summary>Places of a film's ink that are in one part of a motif.</summary>
/// <typeparam name="T">What is at each place.</typeparam>
/// <param name="Part">The part; null where no part is near.</param>
/// <param name="Places">The places, in the order in which they came.</param>
public sealed record PartPlaces<T>(PlacedPart? Part, IReadOnlyList<T> Places)
{
    /// <summary>The id of the part; empty where there is none.</summary>
    public string Id => Part?.Part.Id ?? "";
}

/// <summary>Tells in which part of a motif a place lies.</summary>
public static class PartPlaces
{
    /// <summary>Of letters no more than this are named.</summary>
    private const int MostLetters = 5;

    /// <summary>Places sorted by the part that they lie in, or nearest to, in the order of their first.</summary>
    /// <param name="parts">The parts of a piece.</param>
    /// <param name="film">The film that the places are of.</param>
    /// <param name="places">The places.</param>
    /// <param name="at">Where each is.</param>
    public static IReadOnlyList<PartPlaces<T>> Of<T>(
        IReadOnlyList<PlacedPart> parts,
        FilmPly film,
        IReadOnlyList<T> places,
        Func<T, PlanePoint> at
    )
    {
        ArgumentNullException.ThrowIfNull(parts);
        ArgumentNullException.ThrowIfNull(places);
        if (places.Count == 0)
        {
            return [];
        }

        var leaves = parts.SelectMany(Leaves).Where(p => p.Body.Ink.Any(i => i.Film == film)).ToList();
        return
        [
            .. places
                .Select(p => (Place: p, Part: Nearest(leaves, film, at(p))))
                .GroupBy(p => p.Part?.Part.Id ?? "", StringComparer.Ordinal)
                .Select(g => new PartPlaces<T>(g.First().Part, [.. g.Select(p => p.Place)])),
        ];
    }

    /// <summary>Whether a part of some kind has ink on a layer.</summary>
    /// <param name="parts">The parts of a piece.</param>
    /// <param name="film">The layer.</param>
    /// <param name="which">What kind.</param>
    public static bool AnyOn(IReadOnlyList<PlacedPart> parts, FilmPly film, Func<Part, bool> which)
    {
        ArgumentNullException.ThrowIfNull(parts);
        return parts.SelectMany(p => p.WithInner).Any(p => which(p.Part) && p.Body.Ink.Any(i => i.Film == film));
    }

    /// <summary>What a part is called in a sentence: its words, what the maker calls it, or what it is.</summary>
    public static string Named(PlacedPart? part) =>
        part is null ? "The piece"
        : part.Line?.Line.Text is { Length: > 0 } words ? words
        : part.Part.Label.Length > 0 ? part.Part.Label
        : part.Part switch
        {
            RulePart => "The bar",
            ShapePart => "A shape",
            GraphicPart => "The graphic",
            BackingPart => "The backing",
            GroupPart => "The group",
            MatPart mat => $"Mat {mat.Index}",
            _ => "A part",
        };

    /// <summary>The letters that places lie in, each once and in the order of the places; none where they are many.</summary>
    public static IReadOnlyList<string> Letters(PlacedPart? part, IEnumerable<PlanePoint> at)
    {
        ArgumentNullException.ThrowIfNull(at);
        var letters = part is null ? [] : at.Select(part.LetterAt).OfType<string>().Distinct(StringComparer.Ordinal).ToList();
        return letters.Count <= MostLetters ? letters : [];
    }

    /// <summary>The parts of which ink is drawn; a group that is repeated shows where its copies are only as a whole.</summary>
    private static IEnumerable<PlacedPart> Leaves(PlacedPart part) =>
        part.Body.Inner.Count > 0 && part.Body.Repeated is null ? part.Body.Inner.SelectMany(p => Leaves(p.Within(part))) : [part];

    private static PlacedPart? Nearest(List<PlacedPart> parts, FilmPly film, PlanePoint at)
    {
        if (parts.Count <= 1)
        {
            return parts.FirstOrDefault();
        }

        var point = Outlines.Factory.CreatePoint(at.ToCoordinate());
        double Away(PlacedPart part) => part.Ink.Where(i => i.Film == film).Min(i => i.Ink.Distance(point));
        // Boxes first: ink is never nearer than its box.
        PlacedPart? nearest = null;
        var least = double.PositiveInfinity;
        foreach (
            var (part, _) in parts.Select(p => (Part: p, Box: p.Box.DistanceTo(at))).OrderBy(p => p.Box).TakeWhile(p => p.Box <= least)
        )
        {
            if (Away(part) is var away && away < least)
            {
                (nearest, least) = (part, away);
            }
        }

        return nearest;
    }
}
