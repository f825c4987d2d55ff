using Cabida.Core.Findings;
using Cabida.Core.Measures;
using Cabida.Core.Motifs;
using Cabida.Core.Ties;
using Cabida.Core.Wording;

namespace Cabida.Core.Checking;

/// <summary>K5: ties as wide as what they hold, or wider: there would be nothing left of it.</summary>
public sealed class WideTies : ICheck
{
    /// <inheritdoc/>
    public IEnumerable<Finding> Look(CheckedFit piece)
    {
        ArgumentNullException.ThrowIfNull(piece);
        return piece
            .Fit.Ties.Where(t => t.Across <= t.Width)
            .GroupBy(t => t.Film)
            .SelectMany(film => PartPlaces.Of(piece.Fit.Parts, film.Key, [.. film.OrderBy(t => t.Across)], t => t.From))
            .Select(part =>
            {
                var worst = part.Places[0];
                return new Finding(Rule.WideTies, Severity.Look, Say(part, worst))
                {
                    Part = part.Id,
                    Places = [.. part.Places.Select(t => t.Middle)],
                    Figure = worst.Across,
                    Limit = worst.Width,
                };
            });
    }

    private static Phrase Say(PartPlaces<Tie> part, Tie worst) =>
        Phrase.Say(
            $"{PartPlaces.Named(part.Part):strong}: a tie of {Length.Mm(worst.Width):fine} holds a part of "
                + $"{Length.Mm(worst.Across):strong fine} across, so little is left of it. Fill it, or give the film a narrower tie."
        );
}
