using Cabida.Core.Blanks;
using Cabida.Core.Drawings;
using Cabida.Core.Geometry;
using Cabida.Core.Motifs;
using Cabida.Core.Runs;
using Cabida.Store;
using Cabida.Web.Blanks;
using Cabida.Web.Graphics;
using Cabida.Web.Jobs;
using Cabida.Web.Motifs;
using Cabida.Web.Runs;

namespace Cabida.Web.Past;

/// <summary>Draws documents as they were, by what draws them as they are.</summary>
internal sealed class PastPictures(MotifViews motifs, GraphicViews graphics, RunCards runs)
{
    /// <summary>A document as a drawing; null where there is none of its kind, or nothing to draw.</summary>
    public async Task<PastPicture?> Of<T>(Stored<T> stored, CancellationToken stop)
        where T : class =>
        stored switch
        {
            Stored<Blank> blank => OfBlank(blank),
            Stored<Motif> motif => OfMotif(await motifs.CardOf(motif, stop)),
            Stored<Graphic> graphic => OfGraphic(graphics.CardOf(graphic)),
            Stored<Run> run => OfRun(await runs.CardOf(run, stop)),
            _ => null,
        };

    private static PastPicture OfBlank(Stored<Blank> blank)
    {
        var drawing = BlankViews.CardOf(blank).Standing;
        return In(drawing.Box) with
        {
            Paths =
            [
                .. drawing
                    .Strokes.Where(s => s.Kind is not (StrokeKind.Centre or StrokeKind.GirthMark))
                    .Select(s => new PastPath(s.Path, Word(s.Kind), "")),
            ],
        };
    }

    private static PastPicture? OfMotif(MotifCard card) => card.InkBox is { } box ? In(box) with { Inks = card.Inks } : null;

    private static PastPicture? OfGraphic(GraphicCard card) =>
        card.Box is { } box ? In(box) with { Paths = [.. card.Paths.Select(p => new PastPath(p.Path, "", p.Colour))] } : null;

    private static PastPicture? OfRun(RunCard card) =>
        card is { First: { } first, Ground: { } ground }
            ? new PastPicture(
                ground.MinX,
                ground.MinY,
                ground.MaxX,
                ground.MaxY,
                [new PastPath(ground.Edge, Word(StrokeKind.Edge), ""), new PastPath(ground.Zone, Word(StrokeKind.Zone), "")],
                first.Inks,
                ground.Goods
            )
            : null;

    private static PastPicture In(Box box) => new(box.MinX, box.MinY, box.MaxX, box.MaxY, [], [], new GoodsView("", false));

    private static string Word(StrokeKind kind)
    {
        var word = kind.ToString();
        return char.ToLowerInvariant(word[0]) + word[1..];
    }
}
