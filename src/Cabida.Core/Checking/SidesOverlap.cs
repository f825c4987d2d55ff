using Cabida.Core.Findings;
using Cabida.Core.Geometry;
using Cabida.Core.Measures;
using Cabida.Core.Wording;
using Area = NetTopologySuite.Geometries.Geometry;

namespace Cabida.Core.Checking;

/// <summary>A side of a piece as it lies beside the others.</summary>
/// <param name="Zone">The zone it is in.</param>
/// <param name="Surface">The face of its own that it is on, which has nothing in common with others; empty for the thing itself.</param>
/// <param name="Ink">Its ink in the coordinates of the first side; of what goes round also a full turn to either side.</param>
public sealed record SideInk(string Zone, string Surface, IReadOnlyList<Area> Ink);

/// <summary>Sides of one piece whose ink lies on one another.</summary>
public static class SidesOverlap
{
    /// <summary>Less than this is a touch; square millimetres.</summary>
    private const double Touch = 0.01;

    /// <summary>What is noticed on a piece.</summary>
    /// <param name="name">The piece's name.</param>
    /// <param name="sides">Its sides, the first of each list of ink being where it is cut to lie.</param>
    public static IEnumerable<Finding> Look(string name, IReadOnlyList<SideInk> sides)
    {
        ArgumentNullException.ThrowIfNull(sides);
        for (var a = 0; a < sides.Count; a++)
        {
            for (var b = a + 1; b < sides.Count; b++)
            {
                if (sides[a].Surface != sides[b].Surface)
                {
                    continue;
                }

                var ink = sides[a].Ink[0];
                var common = sides[b]
                    .Ink.Where(i => i.EnvelopeInternal.Intersects(ink.EnvelopeInternal))
                    .Select(i => Overlay.Intersection(ink, i))
                    .FirstOrDefault(c => c.Area > Touch);
                if (common is not null && Box.Of(common) is { } box)
                {
                    yield return new Finding(
                        Rule.SidesOverlap,
                        Severity.Look,
                        Phrase.Say(
                            $"{name:strong} has two sides on one another: {sides[a].Zone} and {sides[b].Zone} share "
                                + $"{Length.Mm(box.Width):strong} × {Length.Mm(box.Height):strong}. Make one of them smaller, or move it."
                        )
                    )
                    {
                        Places = [new PlanePoint(box.CentreX, box.CentreY)],
                    };
                }
            }
        }
    }
}
