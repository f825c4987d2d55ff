using Cabida.Core.Findings;
using Cabida.Core.Geometry;
using Cabida.Core.Measures;
using Cabida.Core.Wording;

namespace Cabida.Core.Blanks;

/// <summary>A size, as what it is by the best values.</summary>
/// <param name="Width">Across.</param>
/// <param name="Height">Up.</param>
public readonly record struct MatSize(Length Width, Length Height);

/// <summary>
/// What goes into a frame: every mat's outside is the rebate less the play at both sides; it is held when it exceeds the
/// sight by twice two millimetres. The top opening is the outside less the borders; each lower one is smaller by the step
/// at both sides; the lowest must be smaller than the print by the hold at both sides.
/// </summary>
/// <param name="Rebate">Its rebate.</param>
/// <param name="Sight">What it leaves visible.</param>
/// <param name="Outside">The outside of every mat.</param>
/// <param name="Openings">The openings, top mat first, in the coordinates of the sight panel.</param>
/// <param name="Visible">The pane as far as it is visible, as a panel: y = 0 is the bottom of the sight.</param>
/// <param name="Held">By how much the print is held at each side, the least; null when it was not read.</param>
public sealed record FrameMats(MatSize Rebate, MatSize Sight, MatSize Outside, IReadOnlyList<Box> Openings, Panel Visible, Length? Held)
{
    /// <summary>How far a mat must reach under the frame to be held; millimetres.</summary>
    private static readonly Length Rest = Length.Mm(2);

    private const int MostMats = 6;

    /// <summary>Works a frame out; what does not work out is explained with figures.</summary>
    internal static FrameMats? Of(FrameSpec spec, Estimates rows, List<Finding> findings)
    {
        var rw = rows.Ask(
            DimensionKind.RebateWidth,
            Phrase.Say($"Read the rebate across: the step at the back that pane and mats lie in."),
            findings
        );
        var rh = rows.Ask(DimensionKind.RebateHeight, Phrase.Say($"Read the rebate up."), findings);
        var sw = rows.Ask(
            DimensionKind.SightWidth,
            Phrase.Say($"Read the sight across: what the frame leaves visible from the front."),
            findings
        );
        var sh = rows.Ask(DimensionKind.SightHeight, Phrase.Say($"Read the sight up."), findings);
        if (rw is null || rh is null || sw is null || sh is null)
        {
            return null;
        }

        var fine =
            Agreement.Smaller(sw, rw, DimensionKind.SightWidth, findings, over =>
                Phrase.Say(
                    $"{"C and A do not work out.":strong} The sight is {over} wider than the rebate, so nothing would be held. One "
                        + $"of them was read at the wrong edge."
                )
            )
            & Agreement.Smaller(sh, rh, DimensionKind.SightHeight, findings, over =>
                Phrase.Say(
                    $"{"D and B do not work out.":strong} The sight is {over} higher than the rebate, so nothing would be held. One "
                        + $"of them was read at the wrong edge."
                )
            );
        Agreement.Smaller(rows.Is(DimensionKind.PaneWidth), rw, DimensionKind.PaneWidth, findings, over =>
            Phrase.Say($"{"E and A do not agree.":strong} The pane is {over} wider than the rebate it should lie in.")
        );
        Agreement.Smaller(rows.Is(DimensionKind.PaneHeight), rh, DimensionKind.PaneHeight, findings, over =>
            Phrase.Say($"{"F and B do not agree.":strong} The pane is {over} higher than the rebate it should lie in.")
        );
        Agreement.Smaller(sw, rows.Is(DimensionKind.PaneWidth), DimensionKind.PaneWidth, findings, over =>
            Phrase.Say(
                $"{"E and C do not agree.":strong} The pane is {over} narrower than what the frame leaves visible; it would fall out."
            )
        );
        Agreement.Smaller(sh, rows.Is(DimensionKind.PaneHeight), DimensionKind.PaneHeight, findings, over =>
            Phrase.Say($"{"F and D do not agree.":strong} The pane is {over} lower than what the frame leaves visible; it would fall out.")
        );
        var visible = Panel.Rectangle(sw, sh);
        if (!fine || Lengths(spec, findings) is not { } typed)
        {
            return null;
        }

        var (rebate, sight) = (new MatSize(rw.Value, rh.Value), new MatSize(sw.Value, sh.Value));
        var outside = new MatSize(rebate.Width - (2 * typed.Play), rebate.Height - (2 * typed.Play));
        if (spec.Mats > 0 && (outside.Width - sight.Width < 2 * Rest || outside.Height - sight.Height < 2 * Rest))
        {
            var least =
                outside.Width - sight.Width < outside.Height - sight.Height ? outside.Width - sight.Width : outside.Height - sight.Height;
            findings.Add(
                BlankFindings.LookAt(
                    [DimensionKind.RebateWidth, DimensionKind.SightWidth],
                    Phrase.Say(
                        $"With {typed.Play} of play a mat is {outside.Width} × {outside.Height} outside and rests on only "
                            + $"{least / 2} of the frame; {Rest} are needed to hold it. Give it less play."
                    )
                )
            );
        }

        var openings = OpeningsOf(spec, typed, outside, sight, findings);
        return new FrameMats(rebate, sight, outside, openings, visible, Print(openings, typed.Hold, rows, findings));
    }

    /// <summary>The part of a frame that a zone lies on.</summary>
    internal Outcome<Panel> PartOf(ZonePart part)
    {
        if (part == ZonePart.Whole)
        {
            return Outcome<Panel>.Of(Visible);
        }

        if (Openings.Count == 0)
        {
            return Outcome<Panel>.Fail(Phrase.Say($"This frame has no mat."));
        }

        if (part == ZonePart.TopMat)
        {
            return Outcome<Panel>.Of(Visible with { Inner = Outlines.Rectangle(Openings[0]) });
        }

        // The opening keeps its place within the sight, so that it is drawn where it is.
        var opening = Openings[^1];
        var outline = Outlines.Rectangle(opening);
        return Outcome<Panel>.Of(
            new Panel(
                outline,
                outline,
                new Dimension(Length.Mm(opening.Width), Length.Zero),
                new Dimension(Length.Mm(opening.Height), Length.Zero),
                Blanks.Datums.Of(opening)
            )
        );
    }

    private sealed record Typed(Length Play, Length Top, Length Sides, Length Foot, Length Step, Length Hold);

    private static Typed? Lengths(FrameSpec spec, List<Finding> findings)
    {
        if (spec.Mats is < 0 or > MostMats)
        {
            findings.Add(BlankFindings.Cannot([], Phrase.Say($"A frame takes 0 to {MostMats} mats, not {spec.Mats}.")));
            return null;
        }

        var fields = new[] { spec.Play, spec.Top, spec.Sides, spec.Foot, spec.Step, spec.Hold };
        if (fields.Select(f => f.Read(LengthRange.Margin)).FirstOrDefault(r => !r.Ok)?.Problem is { } problem)
        {
            findings.Add(BlankFindings.Cannot([], Phrase.Say($"{"Mats":strong}. {problem}")));
            return null;
        }

        Length Of(TypedLength f) => f.OrZero(LengthRange.Margin);
        return new Typed(Of(spec.Play), Of(spec.Top), Of(spec.Sides), Of(spec.Foot), Of(spec.Step), Of(spec.Hold));
    }

    private static List<Box> OpeningsOf(FrameSpec spec, Typed typed, MatSize outside, MatSize sight, List<Finding> findings)
    {
        var openings = new List<Box>();
        var (left, bottom) = (-outside.Width / 2, (sight.Height - outside.Height) / 2);
        for (var mat = 0; mat < spec.Mats; mat++)
        {
            var step = mat * typed.Step;
            var box = new Box(
                (left + typed.Sides + step).Millimetres,
                (bottom + typed.Foot + step).Millimetres,
                (-left - typed.Sides - step).Millimetres,
                (bottom + outside.Height - typed.Top - step).Millimetres
            );
            if (box.Width <= 0 || box.Height <= 0)
            {
                findings.Add(
                    BlankFindings.Cannot(
                        [],
                        Phrase.Say(
                            $"Borders of {typed.Sides} at the sides, {typed.Top} above and {typed.Foot} below, with {mat} steps of "
                                + $"{typed.Step}, leave no opening in mat {mat + 1} of {outside.Width} × {outside.Height}."
                        )
                    )
                );
                return openings;
            }

            openings.Add(box);
        }

        if (
            openings.Count > 0
            && (openings[0].Width > sight.Width.Millimetres || openings[0].MinY < 0 || openings[0].MaxY > sight.Height.Millimetres)
        )
        {
            findings.Add(
                BlankFindings.LookAt(
                    [],
                    Phrase.Say(
                        $"The top opening, {Length.Mm(openings[0].Width)} × {Length.Mm(openings[0].Height)}, is not all inside the "
                            + $"sight of {sight.Width} × {sight.Height}: the frame would cover its edge. Give the mat more border."
                    )
                )
            );
        }

        return openings;
    }

    private static Length? Print(List<Box> openings, Length hold, Estimates rows, List<Finding> findings)
    {
        if (
            openings.Count == 0
            || rows.Is(DimensionKind.PrintWidth) is not { } width
            || rows.Is(DimensionKind.PrintHeight) is not { } height
        )
        {
            return null;
        }

        var (across, up) = ((width.Value - Length.Mm(openings[^1].Width)) / 2, (height.Value - Length.Mm(openings[^1].Height)) / 2);
        var held = across < up ? across : up;
        if (held < hold)
        {
            findings.Add(
                BlankFindings.Of(
                    Rule.Readings,
                    held <= Length.Zero ? Severity.Stop : Severity.Look,
                    [DimensionKind.PrintWidth, DimensionKind.PrintHeight],
                    held <= Length.Zero
                        ? Phrase.Say(
                            $"The print, {width.Value} × {height.Value}, is smaller than the lowest opening of "
                                + $"{Length.Mm(openings[^1].Width)} × {Length.Mm(openings[^1].Height)}: it would fall through. Widen the "
                                + $"borders by {hold - held}, or lay in a larger print."
                        )
                        : Phrase.Say(
                            $"The lowest mat holds the print by only {held} at the narrowest side; {hold} are wanted. Widen the "
                                + $"borders by {hold - held}."
                        )
                )
            );
        }

        return held;
    }
}
