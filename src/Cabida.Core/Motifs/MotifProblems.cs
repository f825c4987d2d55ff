using Cabida.Core.Findings;
using Cabida.Core.Measures;
using Cabida.Core.Type;
using Cabida.Core.Wording;

namespace Cabida.Core.Motifs;

/// <summary>Reads every length and text of a motif and reports what cannot be used.</summary>
public static class MotifProblems
{
    /// <summary>The longest text one line may hold.</summary>
    public const int LongestText = 120;

    /// <summary>The most parts a motif may hold, those of its groups included.</summary>
    public const int MostParts = 400;

    private const int MostPly = 9;

    /// <summary>All problems, in the order of the parts.</summary>
    public static IReadOnlyList<Finding> Of(Motif motif, ITypefaces faces, IGraphics graphics)
    {
        ArgumentNullException.ThrowIfNull(motif);
        ArgumentNullException.ThrowIfNull(faces);
        ArgumentNullException.ThrowIfNull(graphics);
        var reading = new Reading(motif, faces, graphics);
        if (string.IsNullOrWhiteSpace(motif.Name))
        {
            reading.Add("", "name", Phrase.Say($"Give the motif a name, so that it can be found again."));
        }

        if (motif.AllParts.Count() is var count && count > MostParts)
        {
            reading.Add("", "parts", Phrase.Say($"{count} parts; a motif holds {MostParts}. Repeat a group instead of copying it."));
        }

        foreach (var twice in motif.AllParts.GroupBy(p => p.Id, StringComparer.Ordinal).Where(g => g.Count() > 1))
        {
            reading.Add(twice.Key, "id", Phrase.Say($"Two parts share one id."));
        }

        Ground(motif.Ground, reading);
        Parts(motif.Parts, reading);
        return reading.Problems;
    }

    private static void Ground(Ground ground, Reading reading)
    {
        if (ground.BlankId.Length > 0 || (ground.Width.IsEmpty && ground.Height.IsEmpty))
        {
            return;
        }

        reading.Check("", "groundWidth", ground.Width, LengthRange.Object);
        reading.Check("", "groundHeight", ground.Height, LengthRange.Object);
        if (!ground.Margin.IsEmpty)
        {
            reading.Check("", "groundMargin", ground.Margin, LengthRange.Margin);
        }
    }

    private static void Parts(IReadOnlyList<Part> parts, Reading reading)
    {
        for (var i = 0; i < parts.Count; i++)
        {
            var part = parts[i];
            if (i > 0 && part.Place != PartPlace.Anchored && part is not (BackingPart or MatPart))
            {
                reading.Check(part, "gap", part.Gap, LengthRange.Margin);
            }

            Place(part, parts, reading);
            switch (part)
            {
                case LetteringPart lettering:
                    LetteringProblems.Find(lettering, reading);
                    break;
                case RulePart rule:
                    if (rule.Span == RuleSpan.Given)
                    {
                        reading.Check(part, "length", rule.Length, LengthRange.Artwork);
                    }

                    reading.Check(part, "thickness", rule.Thickness, LengthRange.Artwork);
                    break;
                case ShapePart shape:
                    Shape(shape, reading);
                    break;
                case GraphicPart graphic:
                    Graphic(graphic, reading);
                    break;
                case BackingPart backing:
                    reading.Check(part, "by", backing.By, LengthRange.Margin);
                    break;
                case GroupPart group:
                    Repeat(group, reading);
                    Parts(group.Parts, reading);
                    break;
                case MatPart { Index: < 1 or > MostPly }:
                    reading.Add(part.Id, "index", Phrase.Say($"Mats are counted from 1, the top one."));
                    break;
                default:
                    break;
            }
        }
    }

    private static void Place(Part part, IReadOnlyList<Part> among, Reading reading)
    {
        if (part.Place == PartPlace.Anchored)
        {
            reading.Check(part, "anchorRight", part.Anchor.Right, LengthRange.Offset);
            reading.Check(part, "anchorRaised", part.Anchor.Raised, LengthRange.Offset);
            if (HangsOnItself(part, among) is { } why)
            {
                reading.Add(part.Id, "anchor", why);
            }
        }

        reading.Check(part, "nudgeRight", part.Nudge.Right, LengthRange.Offset);
        reading.Check(part, "nudgeUp", part.Nudge.Up, LengthRange.Offset);
        if (part.Action == PartAction.ClearsAround)
        {
            reading.Check(part, "clearance", part.Clearance, LengthRange.Margin);
        }

        if (!double.IsFinite(part.Turn) || Math.Abs(part.Turn) > 360)
        {
            reading.Add(part.Id, "turn", Phrase.Say($"A part is turned by −360 to 360 degrees."));
        }

        foreach (var (field, why) in part.Mending.Problems)
        {
            reading.Add(part.Id, field, why);
        }

        if (part.Ply is < 1 or > MostPly)
        {
            reading.Add(part.Id, "ply", Phrase.Say($"Plies of a film are counted from 1 to {MostPly}."));
        }
    }

    /// <summary>Why a part's anchor leads nowhere, or null when it leads to the ground, the stack or a stacked part.</summary>
    private static Phrase? HangsOnItself(Part part, IReadOnlyList<Part> among)
    {
        var seen = new HashSet<string>(StringComparer.Ordinal);
        for (var at = part; at is { Place: PartPlace.Anchored } && at.Anchor.To is not (Anchor.Ground or Anchor.Stack); )
        {
            if (!seen.Add(at.Id))
            {
                return Phrase.Say($"It stands at a part that stands at it in turn. Let one of them stand at the ground.");
            }

            var to = at.Anchor.To;
            at = among.FirstOrDefault(p => p.Id == to);
            if (at is null)
            {
                return Phrase.Say($"The part it stood at is not here any more. It stands in the middle until another is chosen.");
            }
        }

        return null;
    }

    private static void Shape(ShapePart shape, Reading reading)
    {
        if (!shape.TakesFromGround)
        {
            reading.Check(shape, "width", shape.Width, LengthRange.Artwork);
            if (shape.Shape != ShapeKind.Dots)
            {
                reading.Check(shape, "height", shape.Height, LengthRange.Artwork);
            }
        }
        else
        {
            reading.Check(shape, "inset", shape.Inset, LengthRange.Margin);
        }

        foreach (
            var (field, length) in shape.Shape switch
            {
                ShapeKind.Rounded => [("cornerSize", shape.CornerSize)],
                ShapeKind.Ring or ShapeKind.Corner or ShapeKind.GroundFrame => [("band", shape.Band)],
                ShapeKind.Border => [("band", shape.Band), ("cornerSize", shape.CornerSize)],
                ShapeKind.Tag => [("cornerSize", shape.CornerSize), ("hole", shape.Hole), ("holeIn", shape.HoleIn)],
                ShapeKind.Dots => [("dotGap", shape.DotGap)],
                _ => Array.Empty<(string, MotifLength)>(),
            }
        )
        {
            reading.Check(shape, field, length, LengthRange.Margin);
        }

        if (shape.Shape is ShapeKind.Polygon or ShapeKind.Star && shape.Count is < 3 or > 60)
        {
            reading.Add(
                shape.Id,
                "count",
                Phrase.Say(
                    $"{(shape.Shape == ShapeKind.Star ? "A star has 3 to 60 points" : "A polygon has 3 to 60 sides")}, not {shape.Count}."
                )
            );
        }

        if (shape.Shape == ShapeKind.Dots && shape.Count is < 1 or > 400)
        {
            reading.Add(shape.Id, "count", Phrase.Say($"A row holds 1 to 400 dots, not {shape.Count}."));
        }

        if (shape.Shape == ShapeKind.Star && shape.Inner is not (>= 5 and <= 99))
        {
            reading.Add(shape.Id, "inner", Phrase.Say($"The inner corners of a star lie 5 to 99 hundredths of the way out."));
        }
    }

    private static void Graphic(GraphicPart graphic, Reading reading)
    {
        if (reading.Graphics.Find(graphic.OutlinesId) is null)
        {
            reading.Add(graphic.Id, "graphic", Phrase.Say($"The graphic is not here. Choose another, or bring it in again."));
        }

        if (!(graphic.FileScale is > 0 and < 1e6))
        {
            reading.Add(graphic.Id, "fileScale", Phrase.Say($"The size of the graphic's file is not known."));
        }

        if (graphic.SizedBy != GraphicSize.AsFile)
        {
            reading.Check(graphic, "size", graphic.Size, LengthRange.Artwork);
        }

        reading.Check(graphic, "strokeWidth", graphic.StrokeWidth, LengthRange.Margin);
        reading.Check(graphic, "strengthen", graphic.Strengthen, LengthRange.Margin);
        if (graphic.DoubledRemoved)
        {
            reading.Check(graphic, "doubledWithin", graphic.DoubledWithin, LengthRange.Margin);
        }
    }

    private static void Repeat(GroupPart group, Reading reading)
    {
        var repeat = group.Repeat;
        if (repeat.Kind == RepeatKind.None)
        {
            return;
        }

        reading.Check(group, "gapAcross", repeat.GapAcross, LengthRange.Margin);
        reading.Check(group, "gapUp", repeat.GapUp, LengthRange.Margin);
        if (repeat.Over == RepeatOver.Area || repeat.Kind is RepeatKind.Corners or RepeatKind.Scatter)
        {
            reading.Check(group, "repeatWidth", repeat.Width, LengthRange.Artwork);
            reading.Check(group, "repeatHeight", repeat.Height, LengthRange.Artwork);
        }

        if (repeat.Kind == RepeatKind.Ring)
        {
            reading.Check(group, "repeatCircle", repeat.Circle, LengthRange.Artwork);
        }

        if (repeat.Across is < 1 or > RepeatLayout.MostCopies || repeat.Up is < 1 or > RepeatLayout.MostCopies)
        {
            reading.Add(group.Id, "across", Phrase.Say($"A repeat has 1 to {RepeatLayout.MostCopies} copies."));
        }
    }

    /// <summary>Collects what cannot be used.</summary>
    internal sealed class Reading(Motif motif, ITypefaces faces, IGraphics graphics)
    {
        private readonly List<Finding> problems = [];

        public IReadOnlyList<Finding> Problems => problems;

        public Motif Motif => motif;

        public ITypefaces Faces => faces;

        public IGraphics Graphics => graphics;

        public void Add(string part, string field, Phrase message) => problems.Add(Finding.Unusable(field, message) with { Part = part });

        public void Check(Part part, string field, MotifLength length, LengthRange range) => Check(part.Id, field, length.Typed, range);

        public void Check(string part, string field, TypedLength typed, LengthRange range)
        {
            if (typed.Read(range).Problem is { } problem)
            {
                Add(part, field, problem);
            }
        }
    }
}
