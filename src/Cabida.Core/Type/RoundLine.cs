using Cabida.Core.Geometry;
using NetTopologySuite.Operation.Distance;
using Area = NetTopologySuite.Geometries.Geometry;

namespace Cabida.Core.Type;

/// <summary>
/// Letters on a circle, each upright on it and not bent, as far round as they stand along the line. What is guaranteed between
/// them is measured there, where they are cut: on the outside of a circle their heads lean apart, on the inside together.
/// </summary>
internal sealed class RoundLine
{
    /// <summary>Distances between letters are met this precisely; millimetres.</summary>
    private const double Precision = 1e-4;

    private const int MostSteps = 60;

    private readonly LineForm form;
    private readonly List<(LetterInk Letter, double Angle)> placed = [];

    /// <summary>Sets letters on the circle of a form.</summary>
    /// <param name="set">The letters in millimetres as they stand along the line; at least one.</param>
    /// <param name="form">The form; its circle has a diameter.</param>
    /// <param name="isBetweenWords">Whether a letter and the next are of two words.</param>
    public RoundLine(IReadOnlyList<LetterInk> set, LineForm form, Func<int, int, bool> isBetweenWords)
    {
        this.form = form;
        var boxes = set.Select(l => Box.Of(l.Ink)!.Value).ToList();
        var all = Box.Around(boxes)!.Value;
        var turned = 0.0;
        for (var i = 0; i < set.Count; i++)
        {
            var x = boxes[i].CentreX;
            var standing = set[i] with { Ink = Outlines.Moved(set[i].Ink, Motion.Move(-x, Outside ? Radius : -Radius)) };
            var angle = ((x - all.CentreX) / Radius) + turned;
            if (i > 0 && form.Joins != LetterJoins.AsDrawn)
            {
                var more =
                    form.Joins == LetterJoins.KeptApart ? FurtherOn(standing, angle)
                    : isBetweenWords(set[i - 1].Index, set[i].Index) ? 0
                    : Nearer(standing, angle);
                (turned, angle) = (turned + more, angle + more);
            }

            placed.Add((standing, angle));
        }

        // Its middle stays at the top, or at the bottom inside, whatever was moved on.
        placed = [.. placed.Select(p => (p.Letter, p.Angle - (turned / 2)))];
        Letters = [.. placed.Select(p => p.Letter with { Ink = At(p.Letter.Ink, p.Angle) })];
        Degrees = ((all.Width / Radius) + turned) * 180 / Math.PI;
    }

    /// <summary>The letters where they stand; the middle of the circle is the origin.</summary>
    public IReadOnlyList<LetterInk> Letters { get; }

    /// <summary>How far round they go, from the first edge of ink to the last along the circle.</summary>
    public double Degrees { get; }

    private bool Outside => form.Shape == LineShape.RoundOutside;

    private double Radius => form.Circle / 2;

    /// <summary>Between outlines before they are strengthened, which takes of a gap what they grow twice.</summary>
    private double Apart => form.JoinBy + (2 * form.Grow);

    /// <summary>
    /// Pairs of letters, by their places in the line, that stand on or nearer to one another than they may; neighbours that touch as
    /// drawn are none.
    /// </summary>
    /// <param name="touchAsDrawn">Whether a letter touches the next on a straight line.</param>
    public IEnumerable<(int First, int Second)> Crowded(Func<int, bool> touchAsDrawn)
    {
        var least = form.Joins == LetterJoins.KeptApart ? Apart - Precision : 2 * form.Grow;
        for (var i = 0; i < Letters.Count; i++)
        {
            for (var j = i + 1; j < Letters.Count; j++)
            {
                // Neighbours of a script are meant to touch.
                if (j == i + 1 && (form.Joins == LetterJoins.Overlap || (form.Joins == LetterJoins.AsDrawn && touchAsDrawn(i))))
                {
                    continue;
                }

                if (
                    Letters[i].Ink.EnvelopeInternal.Distance(Letters[j].Ink.EnvelopeInternal) <= least
                    && Letters[i].Ink.Distance(Letters[j].Ink) is var d
                    && (d < least || d == 0)
                )
                {
                    yield return (i, j);
                }
            }
        }
    }

    private Area At(Area standing, double angle) => Outlines.Moved(standing, Motion.TurnLeft((Outside ? -angle : angle) * 180 / Math.PI));

    /// <summary>How much further on a letter has to be turned to stand clear of all before it; radians.</summary>
    private double FurtherOn(LetterInk letter, double angle)
    {
        var more = 0.0;
        // Clear of one it may come to stand on another, on a small circle; the farther ones are looked at first.
        // What stands more than half round lies the other way: pushed on, a letter would only run through it.
        foreach (var (before, at) in Enumerable.Reverse(placed).TakeWhile(p => angle - p.Angle < Math.PI))
        {
            more += Clearing(At(before.Ink, at), letter, angle + more);
        }

        return more;
    }

    /// <summary>
    /// The least turn after which a letter is clear of another by what is asked. No point of it moves further than its reach times the
    /// turn, so steps of what lacks by the reach never go too far.
    /// </summary>
    private double Clearing(Area before, LetterInk letter, double angle)
    {
        var (more, reach) = (0.0, Circle.AboutOrigin(letter.Ink).Radius);
        if (before.EnvelopeInternal.Distance(At(letter.Ink, angle).EnvelopeInternal) >= Apart)
        {
            return 0;
        }

        var facets = new IndexedFacetDistance(before);
        for (var step = 0; step < MostSteps && more < Math.PI; step++)
        {
            var lacks = Apart - facets.Distance(At(letter.Ink, angle + more));
            if (lacks <= 0)
            {
                break;
            }

            more += (lacks + Precision) / reach;
        }

        return more;
    }

    /// <summary>
    /// How much a letter has to be turned back so that it overlaps the one before it: turned on by the overlap along the circle it
    /// would still touch. Not at all where it does so already, or where the two never meet.
    /// </summary>
    private double Nearer(LetterInk letter, double angle)
    {
        var (before, at) = placed[^1];
        var facets = new IndexedFacetDistance(At(before.Ink, at));
        var (by, reach) = (form.JoinBy / Radius, Circle.AboutOrigin(letter.Ink).Radius);
        double Gap(double more) => facets.Distance(At(letter.Ink, angle + more)) - (2 * form.Grow);
        var turn = by;
        for (var step = 0; step < MostSteps; step++)
        {
            var gap = Gap(turn);
            if (gap <= Precision)
            {
                return Math.Min(0, turn - by);
            }

            turn -= Math.Max(gap, Precision) / reach;
            if (angle + turn <= at)
            {
                break;
            }
        }

        return 0;
    }
}
