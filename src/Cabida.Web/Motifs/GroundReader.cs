using Cabida.Core.Blanks;
using Cabida.Core.Drawings;
using Cabida.Core.Fitting;
using Cabida.Core.Geometry;
using Cabida.Core.Measures;
using Cabida.Core.Motifs;
using Cabida.Core.Wording;
using Cabida.Store;
using Cabida.Web.Blanks;
using Cabida.Web.Runs;

namespace Cabida.Web.Motifs;

/// <summary>What stands behind a motif while it is composed; millimetres, y up.</summary>
/// <param name="Name">What it is; empty for nothing.</param>
/// <param name="Drawing">The blank laid flat with its zone; null for nothing.</param>
/// <param name="Goods">What artwork is seen against.</param>
/// <param name="Box">The box round the zone, where artwork may be.</param>
/// <param name="Zones">The zones of the blank.</param>
/// <param name="Sizes">The sizes of the blank.</param>
/// <param name="Mats">How many mats its frame holds.</param>
/// <param name="Problem">Why the ground chosen cannot be shown.</param>
internal sealed record GroundView(
    string Name,
    DrawingView? Drawing,
    GoodsView Goods,
    Box? Box,
    IReadOnlyList<ZoneChoice> Zones,
    IReadOnlyList<string> Sizes,
    int Mats,
    Phrase? Problem
);

/// <summary>A ground worked out.</summary>
/// <param name="Shape">What composing takes of it.</param>
/// <param name="Datum">Where its datum centre stands in the drawing's coordinates.</param>
/// <param name="Zone">The zone; null for a reference size or nothing.</param>
/// <param name="Material">What the goods are made of.</param>
/// <param name="View">What is shown of it.</param>
internal sealed record ReadGround(GroundShape Shape, PlanePoint Datum, ZoneShape? Zone, Material? Material, GroundView View);

/// <summary>Grounds on blanks as they stand, worked out once for a revision of the blank. The latest are kept.</summary>
internal sealed class KeptGrounds
{
    private const int MostKept = 128;
    private readonly Kept<(string Blank, int Revision, Ground Ground), ReadGround> kept = new(MostKept, _ => 1);

    public ReadGround Of(Stored<Blank> blank, Ground ground, Func<ReadGround> make) => kept.Get((blank.Id, blank.Revision, ground), make);
}

/// <summary>Reads what a motif is composed against.</summary>
internal sealed class GroundReader(Cabida.Store.Library library, KeptGrounds kept)
{
    public async Task<ReadGround> Read(Ground ground, CancellationToken stop)
    {
        if (ground.BlankId.Length > 0)
        {
            try
            {
                return await OfBlank(ground, stop);
            }
            catch (NotWorkableException fault)
            {
                // A motif does not depend on the blank it is seen on.
                return None("", Phrase.Say($"The blank that it is composed against cannot be worked out. {fault.Reason}"));
            }
        }

        var (w, h) = (ground.Width.OrZero(LengthRange.Object).Millimetres, ground.Height.OrZero(LengthRange.Object).Millimetres);
        return w > 0 && h > 0 ? Plain(w, h, ground.Margin.OrZero(LengthRange.Margin).Millimetres) : None("", null);
    }

    private async Task<ReadGround> OfBlank(Ground ground, CancellationToken stop)
    {
        return await library.Find(DocumentKinds.Blank, ground.BlankId, stop) is { } blank
            ? kept.Of(blank, ground, () => OnBlank(blank.Document, ground))
            : None("", Phrase.Say($"The blank that it was composed against is not on the shelf any more. Choose another."));
    }

    private static ReadGround OnBlank(Blank blank, Ground ground)
    {
        var size = BlankSheet.Of(blank).SizeOf(ground.Size);
        var laid = size.ZoneOf(ground.ZoneId) ?? size.ZoneOf("");
        var zones = blank.Zones.Select(z => new ZoneChoice(z.Id, z.Name)).ToList();
        IReadOnlyList<string> sizes = blank.Surface == SurfaceKind.Garment ? blank.Garment.Sizes : [];
        if (laid?.Zone is not { } zone)
        {
            var why = laid?.Problem ?? Phrase.Say($"It is not measured yet.");
            return None(blank.Name, Phrase.Say($"{blank.Name:strong} has no room to work on. {why}")) is var none
                ? none with
                {
                    View = none.View with { Zones = zones, Sizes = sizes },
                }
                : none;
        }

        return new ReadGround(
            ZoneGround.Of(zone, laid.Wall, size.MatsOf(laid)),
            zone.Cautious.Datum,
            zone.Cautious,
            blank.Material,
            new GroundView(
                $"{blank.Name}, {laid.Spec.Name}",
                DrawingView.Of(FlatDrawing.Of(laid, size)),
                GoodsView.Of(blank.Material),
                zone.Cautious.Bounds,
                zones,
                sizes,
                size.MatsOf(laid)?.Openings.Count ?? 0,
                null
            )
        );
    }

    private static ReadGround Plain(double width, double height, double margin)
    {
        var (w, h) = (Math.Max(width - (2 * margin), 0), Math.Max(height - (2 * margin), 0));
        var outside = new Box(-width / 2, -height / 2, width / 2, height / 2);
        var inside = new Box(-w / 2, -h / 2, w / 2, h / 2);
        List<Stroke> strokes = [Frame(StrokeKind.Edge, outside)];
        if (w > 0 && h > 0 && margin > 0)
        {
            strokes.Add(Frame(StrokeKind.Zone, inside));
        }

        var problem =
            w > 0 && h > 0
                ? null
                : Phrase.Say($"A margin of {Length.Mm(margin)} leaves nothing of {Length.Mm(width)} × {Length.Mm(height)}.");
        return new ReadGround(
            problem is null ? GroundShape.Plain(w, h) : GroundShape.None,
            new PlanePoint(0, 0),
            problem is null ? ZoneShape.Rectangle(inside, LimitKind.Size) : null,
            null,
            new GroundView(
                "reference size",
                DrawingView.Of(new Drawing(outside, strokes, [], [])),
                GoodsView.Of(null),
                inside,
                [],
                [],
                0,
                problem
            )
        );
    }

    private static Stroke Frame(StrokeKind kind, Box b) =>
        new(kind, [new(b.MinX, b.MinY), new(b.MaxX, b.MinY), new(b.MaxX, b.MaxY), new(b.MinX, b.MaxY)], Closed: true);

    private static ReadGround None(string name, Phrase? problem) =>
        new(GroundShape.None, new PlanePoint(0, 0), null, null, new GroundView(name, null, GoodsView.Of(null), null, [], [], 0, problem));
}
