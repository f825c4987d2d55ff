using Cabida.Core.Geometry;
using Area = NetTopologySuite.Geometries.Geometry;

namespace Cabida.Core.Motifs;

/// <summary>The middle of placed parts as it is seen.</summary>
internal static class SeenMiddle
{
    /// <summary>The middle; null without ink.</summary>
    /// <param name="parts">The parts that count.</param>
    /// <param name="centring">What is taken for it.</param>
    /// <param name="ink">Their ink; asked for only where the middle depends on it.</param>
    public static PlanePoint? Of(IReadOnlyList<PlacedPart> parts, Centring centring, Func<IEnumerable<Area>> ink)
    {
        if (Box.Around(parts.Select(p => centring == Centring.WithoutTails ? Core(p) : p.Box)) is not { } box)
        {
            return null;
        }

        return centring switch
        {
            Centring.Weight when Weight(ink()) is { } weight => weight,
            Centring.Circle when Roundness.Largest(parts) is { } circle => circle.Middle,
            _ => new PlanePoint(box.CentreX, box.CentreY),
        };
    }

    /// <summary>The middle of the parts of one row: as the first of them that asks for another than the box.</summary>
    public static PlanePoint? OfRow(IReadOnlyList<PlacedPart> row) =>
        Of(row, row.Select(p => p.Part.Centring).FirstOrDefault(c => c != Centring.InkBox), () =>
            row.SelectMany(p => p.Ink).Select(i => i.Ink)
        );

    /// <summary>The centre of gravity of areas; null when they have no extent.</summary>
    private static PlanePoint? Weight(IEnumerable<Area> areas)
    {
        double x = 0,
            y = 0,
            all = 0;
        foreach (var area in areas)
        {
            var (centre, size) = (area.Centroid, area.Area);
            if (size > 0)
            {
                (x, y, all) = (x + (size * centre.X), y + (size * centre.Y), all + size);
            }
        }

        return all > 0 ? new PlanePoint(x / all, y / all) : null;
    }

    /// <summary>The box of a part without tails and flourishes; its whole box where it stands on no baseline.</summary>
    private static Box Core(PlacedPart placed) =>
        placed is { Line: { HasBaseline: true } line, Motion.KeepsBoxes: true } && line.CoreBox is { } core ? placed.Motion.Of(core)
        : placed.Body is { Inner.Count: > 0, Repeated: null } ? Box.Around(placed.Body.Inner.Select(p => Core(p.Within(placed))))!.Value
        : placed.Box;
}
