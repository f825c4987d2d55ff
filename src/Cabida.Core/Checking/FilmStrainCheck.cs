using Cabida.Core.Findings;
using Cabida.Core.Wording;

namespace Cabida.Core.Checking;

/// <summary>Artwork on a bellied wall whose film would have to stretch or gather more than it gives.</summary>
public sealed class FilmStrainCheck : ICheck
{
    /// <inheritdoc/>
    public IEnumerable<Finding> Look(CheckedFit piece)
    {
        ArgumentNullException.ThrowIfNull(piece);
        if (piece.Fit.Strain is not var (stretch, gather))
        {
            yield break;
        }

        foreach (var film in piece.Films.Select(f => f.Film).Distinct())
        {
            foreach (
                var (needs, may, verb) in new[] { (stretch, film.Gives.Stretch, "stretch"), (gather, film.Gives.Gather, "gather") }.Where(
                    n => n.Item1 > n.Item2
                )
            )
            {
                yield return new Finding(
                    Rule.FilmStrain,
                    Severity.Look,
                    Phrase.Say(
                        $"{piece.Fit.Piece.Name:strong}: the film must {verb} by {100 * needs:0.0} % to lie on this belly; {film.Name} gives "
                            + $"{100 * may:0.0} %. Make it smaller, or cut it into strips."
                    )
                )
                {
                    Figure = needs,
                    Limit = may,
                };
            }
        }
    }
}
