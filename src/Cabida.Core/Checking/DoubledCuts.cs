using Cabida.Core.Findings;
using Cabida.Core.Measures;
using Cabida.Core.Wording;

namespace Cabida.Core.Checking;

/// <summary>
/// K4: two outlines within 0.05 mm of one another for more than 2 mm (calculations 6.4): the cutter would go along the same line twice.
/// Composing makes none; they come from graphics, where a line was traced on both of its sides.
/// </summary>
public sealed class DoubledCuts : ICheck
{
    /// <summary>Outlines this near to one another are one line to a blade; millimetres.</summary>
    public const double Near = 0.05;

    /// <summary>Shorter than this they only touch; millimetres.</summary>
    public const double Along = 2;

    /// <inheritdoc/>
    public IEnumerable<Finding> Look(CheckedFit piece)
    {
        ArgumentNullException.ThrowIfNull(piece);
        return PlacesFinding.OfEach(
            piece,
            Rule.DoubledCuts,
            f => f.Facts.Doubled,
            d => d.At,
            (_, doubled) =>
                new PlacesWords(
                    ("two outlines apart by", "outlines apart from"),
                    doubled[0].Width,
                    Near,
                    Phrase.Say($"along {Length.Mm(doubled.Max(d => d.Length))} the blade would cut the same line twice.")
                )
        );
    }
}
