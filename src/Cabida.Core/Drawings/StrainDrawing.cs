using Cabida.Core.Blanks;
using Cabida.Core.Geometry;

namespace Cabida.Core.Drawings;

/// <summary>
/// The strain of a full turn along the height of a bellied wall, beside the wall's own outline at the same scale: to the
/// right it stretches, to the left it gathers. A film's limits are drawn where they are known.
/// </summary>
public static class StrainDrawing
{
    /// <summary>The largest strain is drawn this share of the wall's height wide.</summary>
    private const double Widest = 0.32;

    private const int ProfileSteps = 60;

    /// <summary>Draws a wall and what a film laid over a band of it must give.</summary>
    public static Drawing Of(BelliedWall wall, double from, double to, StrainLimits? limits)
    {
        ArgumentNullException.ThrowIfNull(wall);
        var belly = wall.Belly;
        var height = wall.Height.Value.Millimetres;
        var strain = FilmStrain.OfBand(belly, from, to);
        var most = strain
            .Append(new StrainAt(0, limits?.Stretch ?? 0))
            .Append(new StrainAt(0, limits?.Gather ?? 0))
            .Max(s => Math.Abs(s.Strain));
        var scale = most > 0 ? Widest * height / most : 0;
        double Radius(double v) => belly.GirthAt(v) / (2 * Math.PI);
        var widest = Enumerable.Range(0, ProfileSteps + 1).Max(i => Radius(height * i / ProfileSteps));
        var axis = widest + (0.5 * height);
        var strokes = new List<Stroke>
        {
            new(
                StrokeKind.Edge,
                [
                    new(0, 0),
                    .. Enumerable
                        .Range(0, ProfileSteps + 1)
                        .Select(i => height * i / ProfileSteps)
                        .Select(v => new PlanePoint(Radius(v), v)),
                    new(0, height),
                ]
            ),
            new(StrokeKind.Centre, [new(0, -0.04 * height), new(0, 1.04 * height)]),
            new(StrokeKind.Edge, [new(axis, 0), new(axis, height)]),
            new(
                StrokeKind.GirthMark,
                [new(axis, from), .. strain.Select(s => new PlanePoint(axis + (scale * s.Strain), s.V)), new(axis, to)]
            ),
        };
        strokes.AddRange(belly.Rings.Select(r => new Stroke(StrokeKind.Hidden, [new(0, r.V), new(Radius(r.V), r.V)])));
        if (limits is not null)
        {
            strokes.Add(new(StrokeKind.Zone, [new(axis + (scale * limits.Stretch), from), new(axis + (scale * limits.Stretch), to)]));
            strokes.Add(new(StrokeKind.Zone, [new(axis - (scale * limits.Gather), from), new(axis - (scale * limits.Gather), to)]));
        }

        return new Drawing(
            new Box(0, 0, axis + (Widest * height), height),
            strokes,
            [
                new(
                    null,
                    "",
                    to - from,
                    null,
                    new(axis + (Widest * height), from),
                    new(axis + (Widest * height), to),
                    DimensionPlace.Right,
                    0,
                    OfZone: true
                ),
            ],
            []
        );
    }
}
