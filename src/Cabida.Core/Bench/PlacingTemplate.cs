using Cabida.Core.Blanks;
using Cabida.Core.Drawings;
using Cabida.Core.Fitting;
using Cabida.Core.Geometry;
using Cabida.Core.Wording;
using Area = NetTopologySuite.Geometries.Geometry;

namespace Cabida.Core.Bench;

/// <summary>A distance that is written on a template.</summary>
/// <param name="From">Where it begins; millimetres, y up.</param>
/// <param name="To">Where it ends, straight across or straight up from there.</param>
/// <param name="What">Between what.</param>
public sealed record TemplateDistance(PlanePoint From, PlanePoint To, string What)
{
    /// <summary>How far it is.</summary>
    public double Millimetres => From.To(To);
}

/// <summary>A line of the goods that a template is laid by.</summary>
/// <param name="Kind">What it is.</param>
/// <param name="Points">Along it; millimetres, y up.</param>
/// <param name="Closed">Whether it ends where it began.</param>
/// <param name="Name">What stands at it; empty for nothing.</param>
public sealed record TemplateLine(StrokeKind Kind, IReadOnlyList<PlanePoint> Points, bool Closed, string Name);

/// <summary>
/// What is printed true to size to place a piece by (calculations 6.15): its ink, the edges of the blank that one measures from, and how
/// far it lies from each. All of a panel or a wall laid flat; of cloth as much as reaches from the artwork to its collar and centre folds.
/// </summary>
/// <param name="Box">What is printed; millimetres, y up.</param>
/// <param name="Ink">The ink as it reads on the goods.</param>
/// <param name="Lines">Edges, folds, holes.</param>
/// <param name="Distances">How far the ink lies from each.</param>
public sealed record PlacingTemplate(Box Box, Area Ink, IReadOnlyList<TemplateLine> Lines, IReadOnlyList<TemplateDistance> Distances)
{
    /// <summary>What is left free around it; millimetres.</summary>
    private const double Around = 8;

    /// <summary>The template of one side of a piece; or why there is none.</summary>
    /// <param name="sheet">The size of the blank.</param>
    /// <param name="laid">The zone of the side.</param>
    /// <param name="fit">The piece on it.</param>
    public static Outcome<PlacingTemplate> Of(SizeSheet sheet, LaidZone laid, PieceFit fit)
    {
        ArgumentNullException.ThrowIfNull(sheet);
        ArgumentNullException.ThrowIfNull(laid);
        ArgumentNullException.ThrowIfNull(fit);
        if (Geometry.Box.Of(fit.Ink) is not { } ink)
        {
            return Outcome<PlacingTemplate>.Fail(Phrase.Say($"{fit.Piece.Name:strong} has nothing to place here."));
        }

        if (laid.Wall is null && laid.Panel is null)
        {
            return Outcome<PlacingTemplate>.Fail(
                Phrase.Say(
                    $"Where its area stands on the goods is not known, so that there is no edge to place {fit.Piece.Name:strong} from."
                )
            );
        }

        var lines = FlatDrawing
            .Whole(laid, sheet)
            .Strokes.Where(s => s.Kind is StrokeKind.Edge or StrokeKind.Hole or StrokeKind.KeptClear or StrokeKind.Centre)
            .Select(s => new TemplateLine(s.Kind, s.Points, s.Closed, s.Label ?? ""))
            .ToList();
        return Outcome<PlacingTemplate>.Of(
            laid.Wall is { } wall ? OnWall(wall, lines, fit.Ink, ink)
            : laid.Panel!.Garment is null ? OnPanel(laid.Panel, lines, fit.Ink, ink)
            : OnCloth(laid.Panel, laid.Spec.Place.From, lines, fit.Ink, ink)
        );
    }

    private static Box EdgesOf(IEnumerable<TemplateLine> lines) =>
        Geometry.Box.Around(lines.Where(l => l.Kind == StrokeKind.Edge).Select(l => Geometry.Box.AroundPoints(l.Points)))!.Value;

    /// <summary>A strip that goes round, with the handle's edges.</summary>
    private static PlacingTemplate OnWall(Wall wall, List<TemplateLine> lines, Area area, Box ink)
    {
        // Up and down as a tape on the goods reads it, which on a taper is not what the flat drawing says.
        var (y, on, height) = (ink.CentreY, WallExtent.Of(area, wall)!, wall.Height.Value.Millimetres);
        var round = wall.OnWall(new PlanePoint(ink.CentreX, y)).Round;
        PlanePoint At(double v) => wall.Laid(wall.GirthAt(v).Value.Millimetres * round.Degrees / 360, v);
        var distances = new List<TemplateDistance> { new(At(on.High), At(height), "to the rim"), new(At(on.Low), At(0), "to the base") };
        if (wall.Cone is null && wall.Handle is { } handle)
        {
            var (girth, blocked) = (wall.StraightGirth.Value.Millimetres, handle.Value.Millimetres);
            var opposite = -wall.Turn.Degrees / 360 * girth;
            distances.Add(new(new(ink.MinX, y), new(opposite - ((girth - blocked) / 2), y), "to the handle"));
            distances.Add(new(new(ink.MaxX, y), new(opposite + ((girth - blocked) / 2), y), "to the handle"));
        }

        return new PlacingTemplate(EdgesOf(lines).With(ink).Grown(Around), area, lines, distances);
    }

    /// <summary>All of a panel, with its holes.</summary>
    private static PlacingTemplate OnPanel(Panel panel, List<TemplateLine> lines, Area area, Box ink)
    {
        var box = panel.Datums.Box;
        return new PlacingTemplate(
            EdgesOf(lines).With(ink).Grown(Around),
            area,
            lines,
            [
                new(new(ink.CentreX, ink.MaxY), new(ink.CentreX, box.MaxY), "to the top edge"),
                new(new(ink.CentreX, ink.MinY), new(ink.CentreX, box.MinY), "to the bottom edge"),
                new(new(ink.MinX, ink.CentreY), new(box.MinX, ink.CentreY), "to the left edge"),
                new(new(ink.MaxX, ink.CentreY), new(box.MaxX, ink.CentreY), "to the right edge"),
            ]
        );
    }

    /// <summary>Of cloth as much as reaches to the collar, or what else it is measured from, and to the fold along its middle.</summary>
    private static PlacingTemplate OnCloth(Panel panel, Datum from, List<TemplateLine> lines, Area area, Box ink)
    {
        var datum =
            panel.Datums.Heights.ContainsKey(from) ? from
            : panel.Datums.Heights.ContainsKey(Datum.Collar) ? Datum.Collar
            : Datum.Top;
        var (at, fold) = (panel.Datums.Heights[datum], panel.Datums.Box.CentreX);
        var isUp = Datums.IsUpwards(datum);
        var box = new Box(fold, at, fold, at).With(ink).Grown(Around);
        var edge = isUp ? ink.MinY : ink.MaxY;
        return new PlacingTemplate(
            box,
            area,
            [
                .. lines.Where(l => l.Kind != StrokeKind.Centre),
                new TemplateLine(StrokeKind.Centre, [new(fold, box.MinY), new(fold, box.MaxY)], false, "fold along the middle"),
                new TemplateLine(StrokeKind.Centre, [new(box.MinX, at), new(box.MaxX, at)], false, Datums.Name(datum)),
            ],
            [
                new(new(ink.CentreX, edge), new(ink.CentreX, at), $"to the {Datums.Name(datum)}"),
                .. Math.Abs(ink.CentreX - fold) < 0.05
                    ? Array.Empty<TemplateDistance>()
                    : [new TemplateDistance(new(ink.CentreX, ink.CentreY), new(fold, ink.CentreY), "its middle to the fold")],
            ]
        );
    }
}
