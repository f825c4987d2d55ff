using Cabida.Core.Measures;
using Cabida.Core.Wording;

namespace Cabida.Core.Blanks;

/// <summary>The figures that follow from a wall, each with where it comes from.</summary>
internal static class WallFigures
{
    /// <summary>The width of straight art for which the bow is quoted.</summary>
    private static readonly Length QuotedWidth = Length.Mm(90);

    /// <summary>The bow that the eye begins to notice, for which the widest straight line is quoted.</summary>
    private static readonly Length NoticedBow = Length.Mm(1);

    public static List<WorkedOut> Of(Wall wall, Zone? zone)
    {
        var figures = new List<WorkedOut>();
        if (zone is not null)
        {
            figures.Add(new("Workable area", Phrase.Say($"{zone.Width.Value} × {zone.Height.Value}"), wall.Cone is null ? Phrase.Say($"by the best values") : Phrase.Say($"at its middle height")));
            figures.Add(new("To be safe", Phrase.Say($"{zone.Width.Cautious} × {zone.Height.Cautious}"), Phrase.Say($"less what is uncertain")));
            var covers = Coverage.Of(zone.Width.Value, wall.GirthAt(zone.MiddleHeight).Value);
            figures.Add(new("Goes round", Phrase.Say($"{covers.Goes.Degrees:0.0}°"), Phrase.Say($"180° is seen at once")));
        }

        if (wall.Cone is not { } cone)
        {
            figures.Add(new("Across", Phrase.Say($"{wall.AcrossAt(0)}"), Phrase.Say($"girth {wall.StraightGirth.Value} / π")));
            figures.Add(new("Laid flat", Phrase.Say($"{wall.StraightGirth.Value} × {wall.Height.Value}"), Phrase.Say($"a rectangle")));
            return figures;
        }

        var wide = cone.WideRadius;
        figures.Add(new("Laid flat", Phrase.Say($"ring sector, {cone.Sweep.Degrees:0.00}°"), Phrase.Say($"radii {wide.Value} and {cone.NarrowRadius}, ± {wide.Uncertainty}")));
        figures.Add(new("Taper", Phrase.Say($"{cone.HalfAngle.Degrees:0.00}° a side"), Phrase.Say($"{(cone.WideUp ? "wider" : "narrower")} at the top")));
        figures.Add(new("Upright, A to B", Phrase.Say($"{cone.UprightHeight}"), Phrase.Say($"from the wall and the taper")));
        var v = zone?.MiddleHeight ?? wall.Height.Value.Millimetres / 2;
        var ring = Length.Mm(wall.RingAt(v));
        // R is uncertain by about the same share at every height, and the bow falls as R grows.
        var share = wide.Uncertainty / wide.Value;
        var bow = Cone.Bow(ring, QuotedWidth);
        figures.Add(new("Straight line bows", Phrase.Say($"{bow} at {QuotedWidth} wide"), Phrase.Say($"± {share * bow}; {NoticedBow} at {Cone.WidestWithin(ring, NoticedBow)}")));
        return figures;
    }
}
