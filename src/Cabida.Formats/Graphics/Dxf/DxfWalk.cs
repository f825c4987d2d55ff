using System.Globalization;
using Cabida.Core.Geometry;
using Cabida.Core.Wording;
using SkiaSharp;

namespace Cabida.Formats.Graphics.Dxf;

/// <summary>The second pass: entities and blocks in place, with their colours. What is not drawn is left out and counted.</summary>
internal sealed class DxfWalk(DxfTags tags)
{
    /// <summary>More entities than this are refused, those of blocks counted each time.</summary>
    public const int MostEntities = 60_000;

    /// <summary>More stretches than this are refused.</summary>
    public const int MostPoints = 500_000;

    private const int DeepestBlocks = 32;
    private const int StepsPerEntity = 40;

    /// <summary>Round corners of wide lines are followed this finely.</summary>
    private const double StrokeScale = 64;

    private readonly SortedDictionary<string, int> leftOut = new(StringComparer.Ordinal);
    private int visited;
    private int points;

    /// <summary>Lines in the unit of the file, by colour.</summary>
    public List<(string Colour, LineChain Chain)> Chains { get; } = [];

    /// <summary>Outlines of wide lines in the unit of the file, by colour.</summary>
    public List<(string Colour, IReadOnlyList<Contour> Outline)> Wide { get; } = [];

    /// <summary>What was left out, in words, with how many.</summary>
    public IEnumerable<string> LeftOut =>
        leftOut.Select(l => l.Value == 1 ? $"{l.Key} (1)" : string.Create(CultureInfo.InvariantCulture, $"{l.Key} ({l.Value:#,0})"));

    /// <summary>Why the file is refused; null while it is not.</summary>
    public Phrase? Refused { get; private set; }

    /// <summary>Draws entities.</summary>
    /// <param name="entities">The entities.</param>
    /// <param name="place">How their coordinates come to the drawing.</param>
    /// <param name="byBlock">The colour of the block they are in; null outside of any.</param>
    /// <param name="depth">How many blocks deep they are.</param>
    public void Draw(IReadOnlyList<DxfEntity> entities, Motion place, string? byBlock, int depth)
    {
        foreach (var e in entities)
        {
            if (!Counted())
            {
                return;
            }

            var layer = tags.Layers.GetValueOrDefault(e.Text(8));
            if (Hidden(e, layer) is { } why)
            {
                Leave(why);
            }
            else if (e.Kind == "INSERT")
            {
                Insert(e, place, byBlock, depth);
            }
            else if (DxfCurves.Of(e) is { Segments.Count: > 0 } chain)
            {
                // A line, a spline and an ellipse stand in the drawing's coordinates; others in their own, seen from behind.
                Add(
                    e,
                    chain.Moved(e.FacesAway && e.Kind is not ("LINE" or "SPLINE" or "ELLIPSE") ? Motion.Flip.Then(place) : place),
                    ColourOf(e, byBlock)
                );
            }
            else if (e.Kind is not ("ATTDEF" or "VIEWPORT" or "POINT" or "SEQEND"))
            {
                Leave(
                    e.Kind switch
                    {
                        "TEXT" or "MTEXT" or "ATTRIB" => "text (letter it anew, or turn it into outlines first)",
                        "HATCH" => "hatching",
                        "IMAGE" => "pictures",
                        "DIMENSION" => "dimensions",
                        _ => e.Kind.ToLowerInvariant(),
                    }
                );
            }
        }
    }

    private static string? Hidden(DxfEntity e, DxfLayer? layer) =>
        e.Of(67) == 1 ? "what stands on the paper and not in the model"
        : layer is { IsFrozen: true } ? "what stands on layers that are frozen"
        : layer is { IsOff: true } ? "what stands on layers that are switched off"
        : e.Of(60) == 1 ? "what is made invisible"
        : e.IsAslant ? "what lies aslant to the page"
        : null;

    private void Add(DxfEntity e, LineChain chain, string colour)
    {
        points += chain.Segments.Count;
        var widths = e.Kind == "LWPOLYLINE" ? e.All(43).Concat(e.All(40)).Concat(e.All(41)).Distinct().ToList() : [];
        if (widths.Exists(w => w > 0) && widths.Count > 1)
        {
            Leave("widths that change along a line, which is cut as a plain one");
        }
        else if (
            widths is [> 0 and var width]
            && StrokeOutlines.Of(
                [new DrawnLine(chain.Contour, chain.Closed)],
                new StrokeSetting(width, SKStrokeCap.Butt, SKStrokeJoin.Miter, 10, [], 0),
                StrokeScale
            )
                is { Count: > 0 } outline
        )
        {
            points += outline.Sum(c => c.Segments.Count);
            Wide.Add((colour, outline));
            return;
        }

        Chains.Add((colour, chain));
    }

    private void Insert(DxfEntity e, Motion place, string? byBlock, int depth)
    {
        if (!tags.Blocks.TryGetValue(e.Text(2), out var block) || depth >= DeepestBlocks)
        {
            Leave(depth >= DeepestBlocks ? "blocks within blocks without end" : "blocks that are not in it");
            return;
        }

        var (columns, rows) = ((int)Math.Clamp(e.Of(70, 1), 1, MostEntities), (int)Math.Clamp(e.Of(71, 1), 1, MostEntities));
        var own = Motion.Move(-block.Base.X, -block.Base.Y).Then(Motion.Scale(e.Of(41, 1), e.Of(42, 1)));
        for (var row = 0; row < rows; row++)
        {
            for (var column = 0; column < columns && Counted(); column++)
            {
                var at = own.Moved(column * e.Of(44), row * e.Of(45)).Then(Motion.TurnLeft(e.Of(50))).Moved(e.Of(10), e.Of(20));
                Draw(block.Entities, (e.FacesAway ? at.Then(Motion.Flip) : at).Then(place), ColourOf(e, byBlock), depth + 1);
            }
        }
    }

    private bool Counted()
    {
        Effort.Spend(StepsPerEntity);
        if (Refused is null && (++visited > MostEntities || points > MostPoints))
        {
            Refused =
                visited > MostEntities
                    ? Phrase.Say(
                        $"draws more than {MostEntities:#,0} entities, those of blocks counted each time. Simplify it, and bring it "
                            + $"in again."
                    )
                    : Phrase.Say($"has more than {MostPoints:#,0} points. Simplify it, and bring it in again.");
        }

        return Refused is null;
    }

    private void Leave(string what) => leftOut[what] = leftOut.GetValueOrDefault(what) + 1;

    /// <summary>An entity's own colour, its layer's, or that of the block's insertion.</summary>
    private string ColourOf(DxfEntity e, string? byBlock)
    {
        if (e.Has(420))
        {
            return DxfColours.OfTrue((int)e.Of(420));
        }

        var number = (int)e.Of(62, DxfColours.ByLayer);
        // What stands on layer 0 of a block is of the layer that the block is put on.
        if (number == DxfColours.ByLayer && byBlock is not null && e.Text(8) is ("" or "0"))
        {
            return byBlock;
        }

        number = number == DxfColours.ByLayer ? tags.Layers.GetValueOrDefault(e.Text(8))?.Colour ?? DxfColours.Plain : number;
        return number == 0 ? byBlock ?? DxfColours.Of(DxfColours.Plain) : DxfColours.Of(number);
    }
}
