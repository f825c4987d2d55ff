using Cabida.Core.Findings;
using Cabida.Core.Geometry;
using Cabida.Core.Measures;
using Cabida.Core.Wording;

namespace Cabida.Core.Checking;

/// <summary>
/// K6: what is cut of one film is larger than the cutter reaches of a sheet of it, whichever way it is turned. It is parted when it is cut,
/// so that is only told.
/// </summary>
public sealed class BeyondReach : ICheck
{
    /// <summary>That something is larger than the reach.</summary>
    /// <param name="width">Across it, in millimetres.</param>
    /// <param name="height">Up it.</param>
    /// <param name="film">What it is cut from.</param>
    /// <param name="reach">What is reached of a sheet of that, across and along.</param>
    public static Phrase Said(double width, double height, string film, (double Width, double Height) reach) =>
        Phrase.Say(
            $"{Length.Mm(width):strong} × {Length.Mm(height):strong} of {film} is larger than what the cutter reaches of a sheet, "
                + $"{Length.Mm(reach.Width)} × {Length.Mm(reach.Height)}."
        );

    /// <inheritdoc/>
    public IEnumerable<Finding> Look(CheckedFit piece)
    {
        ArgumentNullException.ThrowIfNull(piece);
        foreach (var film in piece.Films)
        {
            if (
                piece.Cutter?.ReachOf(film.Film) is not var (width, height)
                || Box.Of(film.Facts.Ink) is not { } box
                || (box.Width <= width && box.Height <= height)
                || (box.Width <= height && box.Height <= width)
            )
            {
                continue;
            }

            yield return new Finding(
                Rule.BeyondReach,
                Severity.Told,
                Phrase.Say(
                    $"{piece.Fit.Piece.Name:strong}: {Said(box.Width, box.Height, film.Film.Name, (width, height))} It will be "
                        + $"parted at joints."
                )
            )
            {
                Places = [new PlanePoint(box.CentreX, box.CentreY)],
                Figure = Math.Max(box.Width, box.Height),
                Limit = Math.Max(width, height),
            };
        }
    }
}
