namespace Cabida.Core.Motifs;

/// <summary>The lengths of a motif that decide how large it is.</summary>
internal static class MotifLengths
{
    /// <summary>All of them; the first part's gap is none, and lengths that are nothing do not count.</summary>
    public static IEnumerable<MotifLength> Of(Motif motif) =>
        Of(motif.Parts).Where(l => l.Typed.Read(Measures.LengthRange.Offset).ValueOrDefault?.Value.Millimetres is not (null or 0));

    private static IEnumerable<MotifLength> Of(IReadOnlyList<Part> parts) => parts.SelectMany((p, i) => Sizes(p).Concat(Places(p, i)));

    private static IEnumerable<MotifLength> Sizes(Part part) => part.Mending.IsNone ? Own(part) : Own(part).Concat(Mended(part.Mending));

    /// <summary>What is done to ink is millimetres on the finished piece, so nothing of it follows the scale alone.</summary>
    private static IEnumerable<MotifLength> Mended(InkMending mending) =>
        new[] { mending.Dots, mending.Counters, mending.Tips }.Where(t => !t.IsEmpty).Select(t => new MotifLength(t, Scaling.Fixed));

    private static IEnumerable<MotifLength> Own(Part part) =>
        part switch
        {
            LetteringPart l =>
            [
                l.Size,
                l.Strengthen,
                .. l.Joins == LetterJoinsNone ? [] : new[] { l.JoinBy },
                .. Shaped(l),
                .. l.Stretching is Stretching.ToWidth or Stretching.ToHeight ? [l.StretchTo] : Array.Empty<MotifLength>(),
            ],
            RulePart { Span: RuleSpan.FillsRow } r => [r.Thickness],
            RulePart r => [r.Thickness, r.Length],
            ShapePart s => [.. !s.TakesFromGround ? new[] { s.Width, s.Height } : [s.Inset], .. Details(s)],
            GraphicPart g => g.SizedBy == GraphicSize.AsFile ? [g.Strengthen] : [g.Size, g.Strengthen],
            BackingPart b => [b.By],
            GroupPart g => Of(g.Parts).Concat(Repeated(g.Repeat)),
            _ => [],
        };

    private const Type.LetterJoins LetterJoinsNone = Type.LetterJoins.AsDrawn;

    private static IEnumerable<MotifLength> Shaped(LetteringPart l) =>
        l.Shape switch
        {
            Type.LineShape.Arched => [l.ArchTop, l.ArchBottom],
            Type.LineShape.RoundInside or Type.LineShape.RoundOutside => [l.Circle],
            Type.LineShape.Column => [l.ColumnGap],
            _ => [],
        };

    private static IEnumerable<MotifLength> Details(ShapePart s) =>
        s.Shape switch
        {
            ShapeKind.Rounded => [s.CornerSize],
            ShapeKind.Ring or ShapeKind.Corner or ShapeKind.GroundFrame => [s.Band],
            ShapeKind.Border => [s.Band, s.CornerSize],
            ShapeKind.Tag => [s.CornerSize, s.Hole, s.HoleIn],
            ShapeKind.Dots => [s.DotGap],
            _ => [],
        };

    private static IEnumerable<MotifLength> Repeated(Repeat r) =>
        r.Kind switch
        {
            RepeatKind.None => [],
            RepeatKind.Ring => [r.Circle],
            RepeatKind.Corners when r.Over != RepeatOver.Ground => [r.Width, r.Height],
            RepeatKind.Corners => [],
            _ when r.Over == RepeatOver.Area => [r.GapAcross, r.GapUp, r.Width, r.Height],
            _ => [r.GapAcross, r.GapUp],
        };

    private static IEnumerable<MotifLength> Places(Part part, int index)
    {
        if (part.Place == PartPlace.Anchored)
        {
            yield return part.Anchor.Right;
            yield return part.Anchor.Raised;
        }
        else if (index > 0 && part is not (BackingPart or MatPart))
        {
            yield return part.Gap;
        }

        yield return part.Nudge.Right;
        yield return part.Nudge.Up;
        if (part.Action == PartAction.ClearsAround)
        {
            yield return part.Clearance;
        }
    }
}
