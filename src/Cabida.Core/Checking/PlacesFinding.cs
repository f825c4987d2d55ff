using Cabida.Core.Findings;
using Cabida.Core.Geometry;
using Cabida.Core.Measures;
using Cabida.Core.Motifs;
using Cabida.Core.Wording;

namespace Cabida.Core.Checking;

/// <summary>What is said of places of one kind in one part.</summary>
/// <param name="What">What they are, of one and of several, to be followed by the figure.</param>
/// <param name="Figure">The worst of them, in millimetres.</param>
/// <param name="Limit">What is allowed, in millimetres.</param>
/// <param name="Because">The limit in words, and why.</param>
internal sealed record PlacesWords((string One, string Many) What, double Figure, double Limit, Phrase Because);

/// <summary>One finding for a rule and a part, however many places it has there.</summary>
internal static class PlacesFinding
{
    /// <summary>The findings of a rule, film by film and part by part.</summary>
    /// <param name="piece">The piece.</param>
    /// <param name="rule">The rule.</param>
    /// <param name="of">What is at fault in a film, the worst first.</param>
    /// <param name="at">Where each is.</param>
    /// <param name="words">What is said of those in one part.</param>
    /// <param name="severity">How serious it is.</param>
    public static IEnumerable<Finding> OfEach<T>(
        CheckedFit piece,
        Rule rule,
        Func<CheckedFilm, IReadOnlyList<T>> of,
        Func<T, PlanePoint> at,
        Func<CheckedFilm, IReadOnlyList<T>, PlacesWords> words,
        Severity severity = Severity.Look
    ) =>
        piece
            .Films.SelectMany(film =>
                PartPlaces
                    .Of(piece.Fit.Parts, film.Layer, of(film), at)
                    .Select(part =>
                    {
                        var said = words(film, part.Places);
                        return new Finding(rule, severity, Say(piece, part, said, [.. part.Places.Select(at)]))
                        {
                            Part = part.Id,
                            Layer = $"{film.Layer}",
                            Places = [.. part.Places.Select(at)],
                            Figure = said.Figure,
                            Limit = said.Limit,
                        };
                    })
            )
            .OrderByDescending(f => f.Weight);

    private static Phrase Say<T>(CheckedFit piece, PartPlaces<T> part, PlacesWords said, IReadOnlyList<PlanePoint> at)
    {
        var name = part.Part is null ? piece.Fit.Piece.Name : PartPlaces.Named(part.Part);
        var letters = PartPlaces.Letters(part.Part, at);
        // A name of one letter is in that letter.
        var inLetters = letters.Count > 0 && string.Concat(letters) != name ? $" in {Listed(letters)}" : "";
        return at.Count == 1
            ? Phrase.Say($"{name:strong}: {said.What.One} {Length.Mm(said.Figure):strong fine}{inLetters}; {said.Because}")
            : Phrase.Say(
                $"{name:strong}: {said.What.Many} {Length.Mm(said.Figure):strong fine}, in {at.Count} places{inLetters}; {said.Because}"
            );
    }

    private static string Listed(IReadOnlyList<string> words) =>
        words.Count == 1 ? words[0] : $"{string.Join(", ", words.SkipLast(1))} and {words[^1]}";
}
