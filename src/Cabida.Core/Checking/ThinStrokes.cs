using Cabida.Core.Findings;
using Cabida.Core.Geometry;
using Cabida.Core.Measures;
using Cabida.Core.Stock;
using Cabida.Core.Wording;

namespace Cabida.Core.Checking;

/// <summary>K1: strokes thinner than the film bears; of a stencil, webs between its openings. Tips when longer than 2t.</summary>
public sealed class ThinStrokes : ICheck
{
    /// <inheritdoc/>
    public IEnumerable<Finding> Look(CheckedFit piece)
    {
        ArgumentNullException.ThrowIfNull(piece);
        return PlacesFinding.OfEach(
            piece,
            Rule.ThinStrokes,
            f => f.Facts.Strokes,
            s => s.At,
            (film, strokes) => new PlacesWords(What(film, strokes), strokes[0].Width, film.Limits.Stroke, Because(film))
        );
    }

    private static (string One, string Many) What(CheckedFilm film, IReadOnlyList<NarrowPlace> strokes) =>
        film.Limits.Purpose == FilmPurpose.Loose ? ("a web of", "webs from")
        : strokes.All(s => s.Kind == NarrowKind.Tip) ? ("a tip of", "tips from")
        : ("a stroke of", "strokes from");

    private static Phrase Because(CheckedFilm film)
    {
        var least = Length.Mm(film.Limits.Stroke);
        return film.Limits.Purpose switch
        {
            FilmPurpose.Loose => Phrase.Say($"this stencil holds from {least:fine}."),
            FilmPurpose.PulledOff => Phrase.Say(
                $"this film weeds cleanly from {Length.Mm(film.Limits.Weeds):fine}, and as a mask it needs {least:fine}, since "
                    + $"paint creeps."
            ),
            _ => Phrase.Say($"this film weeds cleanly from {least:fine}."),
        };
    }
}
