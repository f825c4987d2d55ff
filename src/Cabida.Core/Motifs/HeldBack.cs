using Cabida.Core.Findings;
using Cabida.Core.Measures;
using Cabida.Core.Wording;

namespace Cabida.Core.Motifs;

/// <summary>Says where a part is not what was typed, because what was typed cannot be or needs a ground that is not there.</summary>
internal static class HeldBack
{
    /// <summary>Differences below this come from rounding.</summary>
    private const double Slack = 1e-6;

    /// <summary>Lengths of a part in place that are kept at what its other lengths allow.</summary>
    public static IEnumerable<Finding> Of(PlacedPart placed) =>
        placed.Part switch
        {
            LetteringPart lettering when placed.Line is { } line => OfLine(lettering, line, placed.Body),
            ShapePart shape => OfShape(shape, placed),
            _ => [],
        };

    /// <summary>What a part should take from the ground and does not find there.</summary>
    /// <param name="part">The part.</param>
    /// <param name="ground">The ground.</param>
    /// <param name="isDrawn">Whether it has ink.</param>
    /// <param name="isInGroup">Whether it is in a group, which knows no ground but mats.</param>
    public static IEnumerable<Finding> ForWantOfGround(Part part, GroundShape ground, bool isDrawn, bool isInGroup)
    {
        if (part is GroupPart { Repeat: { Kind: not (RepeatKind.None or RepeatKind.Ring) } repeat } && Lacks(repeat, ground) is { } lacks)
        {
            yield return new(Rule.GroundLacking, Severity.Look, lacks);
        }

        if (part is ShapePart { TakesFromGround: true } inset && BodyMaker.SpanOf(part, ground) is not null && !isDrawn)
        {
            yield return new(
                Rule.GroundLacking,
                Severity.Look,
                Phrase.Say($"An inset of {inset.Inset.Typed.OrZero(LengthRange.Margin)} leaves nothing of the ground.")
            );
        }

        if (part is ShapePart shape && shape.TakesFromGround && BodyMaker.SpanOf(part, ground) is null)
        {
            yield return new(
                Rule.GroundLacking,
                Severity.Look,
                shape.Shape is ShapeKind.GroundOutline or ShapeKind.GroundFrame
                    ? isInGroup
                        ? Phrase.Say($"A group knows no ground, so there is no outline to follow. Move it out of the group.")
                        : Phrase.Say($"There is no ground whose outline it could follow. Choose one.")
                    : shape.Span is ShapeSpan.MatOutside or ShapeSpan.MatOpening
                        ? Phrase.Say(
                            $"There is no mat to take its size from: it is as large as was typed. Choose a framed blank as the ground."
                        )
                        : isInGroup
                            ? Phrase.Say(
                                $"A group knows no ground to take its size from: it is as large as was typed. Move it out of the group."
                            )
                            : Phrase.Say($"There is no ground to take its size from: it is as large as was typed. Choose one.")
            );
        }

        if (part is LetteringPart { SizedBy: LetteringSize.MatOpening } && ground.Mats is null)
        {
            yield return new(
                Rule.GroundLacking,
                Severity.Look,
                Phrase.Say(
                    $"It is as wide as the opening of a mat, and there is none. Choose a framed blank as the ground, or size it "
                        + $"another way."
                )
            );
        }
    }

    private static Phrase? Lacks(Repeat repeat, GroundShape ground) =>
        repeat.Over switch
        {
            RepeatOver.Wrap when repeat.Kind is RepeatKind.Rows or RepeatKind.HalfDrop && ground.Girth is null => Phrase.Say(
                $"The ground does not go round, so nothing is wrapped: there are {repeat.Across} × {repeat.Up} copies, as typed. "
                    + $"Choose a round blank as the ground."
            ),
            RepeatOver.Ground when ground.Box is null => Phrase.Say(
                $"There is no ground to fill, so the area typed is taken instead. Choose a ground."
            ),
            _ => null,
        };

    private static IEnumerable<Finding> OfLine(LetteringPart part, Type.FormedLine line, PartBody body)
    {
        if (part.Shape == Type.LineShape.Arched)
        {
            var (top, bottom) = line.ArchKept;
            var asked = (
                Top: part.ArchTop.At(Scales.Both(1), LengthRange.Offset),
                Bottom: part.ArchBottom.At(Scales.Both(1), LengthRange.Offset)
            );
            foreach (var (edge, wanted, kept) in new[] { ("top", asked.Top, top), ("bottom", asked.Bottom, bottom) })
            {
                if (Math.Abs(wanted) > Math.Abs(kept) + Slack)
                {
                    yield return new(
                        Rule.KeptBack,
                        Severity.Look,
                        Phrase.Say(
                            $"An arch of {Length.Mm(wanted)} is kept at {Length.Mm(kept):strong} at the {edge}: half the width of "
                                + $"the line, which makes half a circle. Steeper, it would fold over itself. Set it round a circle "
                                + $"instead, or make it longer."
                        )
                    );
                }
            }
        }

        if (part.Stretching != Stretching.None && line.HasBaseline && body.StretchFailed)
        {
            yield return new(
                Rule.KeptBack,
                Severity.Look,
                part.Stretching == Stretching.ToPart
                    ? Phrase.Say(
                        $"It is not widened: the part that it should be as wide as is narrower than the strengthening alone, or is "
                            + $"not drawn."
                    )
                    : Phrase.Say($"It is not widened or heightened: what is wanted is less than the strengthening alone.")
            );
        }
    }

    private static IEnumerable<Finding> OfShape(ShapePart part, PlacedPart placed)
    {
        var one = Scales.Both(1);
        var box = placed.Body.Box;
        var half = Math.Min(box.Width, box.Height) / 2;
        var band = part.Band.At(one, LengthRange.Margin);
        var corner = part.CornerSize.At(one, LengthRange.Margin);
        if (part.Shape is ShapeKind.Ring or ShapeKind.Border or ShapeKind.GroundFrame && band > 0 && placed.Body.IsSolid)
        {
            yield return new(
                Rule.KeptBack,
                Severity.Look,
                Phrase.Say(
                    $"A band of {Length.Mm(band)} leaves no opening in it: it is solid. It would have one with a band under "
                        + $"{Length.Mm(half):strong}."
                )
            );
        }

        if (part.Shape is ShapeKind.Rounded or ShapeKind.Border && corner > half + Slack)
        {
            yield return new(
                Rule.KeptBack,
                Severity.Look,
                Phrase.Say($"Corners of {Length.Mm(corner)} are kept at {Length.Mm(half):strong}, half of its shorter side.")
            );
        }

        if (part.Shape == ShapeKind.Tag && corner > Math.Min(box.Width, box.Height / 2) + Slack)
        {
            yield return new(
                Rule.KeptBack,
                Severity.Look,
                Phrase.Say(
                    $"Corners cut off by {Length.Mm(corner)} are kept at {Length.Mm(Math.Min(box.Width, box.Height / 2)):strong}: "
                        + $"more of the tag is not there."
                )
            );
        }
    }
}
