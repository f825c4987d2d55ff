using Cabida.Core.Blanks;
using Cabida.Core.Findings;
using Cabida.Core.Fitting;
using Cabida.Core.Geometry;
using Cabida.Core.Measures;
using Cabida.Core.Wording;

namespace Cabida.Core.Checking;

/// <summary>Ink that stands outside its zone: over the nominal one it is over, over the cautious one alone it is snug.</summary>
public sealed class OutsideZone : ICheck
{
    /// <inheritdoc/>
    public IEnumerable<Finding> Look(CheckedFit piece)
    {
        ArgumentNullException.ThrowIfNull(piece);
        if (piece.Fit.Cautious is not { } cautious || piece.Fit.Nominal is not { } nominal)
        {
            yield break;
        }

        var state = FitStates.Of(cautious, nominal);
        if (state == FitState.Fits)
        {
            yield break;
        }

        var rooms = state == FitState.Over ? nominal : cautious;
        if (rooms.StandsOn is { } on)
        {
            var depth = Length.Mm(rooms.Outside);
            var there =
                on == LimitKind.KeptClear
                    ? Phrase.Say($"what stays clear there reaches {depth:strong} into it")
                    : Phrase.Say($"the zone ends {depth:strong} within it");
            yield return new Finding(
                Rule.StandsOnClear,
                state == FitState.Over ? Severity.Stop : Severity.Look,
                Phrase.Say(
                    $"{piece.Fit.Piece.Name:strong} cannot stand at this place: {there}. Let it find its place freely, or move it by hand."
                )
            )
            {
                Places = Box.Of(piece.Fit.Ink) is { } place ? [new(place.CentreX, place.CentreY)] : [],
                Figure = -rooms.Outside,
                Limit = 0,
            };
            yield break;
        }

        // Ink is centred, so it usually stands out at two sides at once: one sentence for the width, one for the height.
        foreach (
            var (a, b, atA, atB, way) in new (Room, Room, Func<Box, PlanePoint>, Func<Box, PlanePoint>, string)[]
            {
                (rooms.Left, rooms.Right, box => new(box.MinX, box.CentreY), box => new(box.MaxX, box.CentreY), "wider"),
                (rooms.Above, rooms.Below, box => new(box.CentreX, box.MaxY), box => new(box.CentreX, box.MinY), "higher"),
            }
        )
        {
            if (Math.Min(a.Distance, b.Distance) >= -Tolerances.Fit)
            {
                continue;
            }

            var over = Length.Mm(-(Math.Min(0, a.Distance) + Math.Min(0, b.Distance)));
            var (worst, at) = a.Distance <= b.Distance ? (a, atA) : (b, atB);
            yield return new Finding(
                Rule.OutsideZone,
                state == FitState.Over ? Severity.Stop : Severity.Look,
                state == FitState.Over
                    ? Phrase.Say($"{piece.Fit.Piece.Name:strong} is {over:strong} {way} than the zone.")
                    : Phrase.Say(
                        $"{piece.Fit.Piece.Name:strong} is {over:strong} {way} than is safe: inside the zone by the best values, but their "
                            + $"uncertainty may take that away."
                    )
            )
            {
                Places = Box.Of(piece.Fit.Ink) is { } ink ? [at(ink)] : [],
                Figure = worst.Distance,
                Limit = 0,
            };
        }
    }
}
