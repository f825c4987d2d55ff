using Cabida.Core.Blanks;
using Cabida.Core.Geometry;
using Cabida.Core.Motifs;
using Cabida.Core.Pieces;

namespace Cabida.Core.Pressing;

/// <summary>A face of the goods that films are pressed on.</summary>
/// <param name="Key">The face.</param>
/// <param name="Name">What it is called.</param>
/// <param name="IsWall">Whether it goes round.</param>
/// <param name="Layers">The films on it, those beneath first.</param>
/// <param name="Artwork">By size of the goods and zone: the box round the artwork of all pieces, and the largest part of any.</param>
internal sealed record PressFace(
    FaceKey Key,
    string Name,
    bool IsWall,
    IReadOnlyList<FilmPly> Layers,
    IReadOnlyList<(string Size, Box Art, Box Letter)> Artwork
)
{
    /// <summary>A word that tells it apart.</summary>
    public string Word => Key.Word;
}

/// <summary>Finds what is pressed on which face, over all pieces of a run that may be cut.</summary>
internal static class PressFaces
{
    private readonly record struct PressedSide(FaceKey Face, string Name, bool IsWall, string Size, int Side, IReadOnlyList<FilmInk> Films);

    /// <summary>The faces in the order of the run's sides.</summary>
    public static IReadOnlyList<PressFace> Of(ReadRun run, IReadOnlyList<FittedPiece> pieces, Func<FilmPly, bool> isPressed)
    {
        var sides = pieces
            .Where(p => p.MayBeCut)
            .SelectMany(p => SidesOf(run.SurfaceOf(p.Fit.Piece), p))
            .Select(s => s with { Films = [.. s.Films.Where(f => !f.Pieces.All(i => i.Area.IsEmpty) && isPressed(f.Film))] })
            .Where(s => s.Films.Count > 0)
            .ToList();
        return
        [
            .. sides
                .GroupBy(s => s.Face)
                .Select(f => new PressFace(
                    f.Key,
                    f.First().Name,
                    f.First().IsWall,
                    [.. f.OrderByDescending(s => s.Films.Count).SelectMany(s => s.Films).Select(i => i.Film).Distinct()],
                    [.. f.GroupBy(s => (s.Size, s.Side)).Select(z => (z.Key.Size, Around(z), Largest(z)))]
                )),
        ];
    }

    private static IEnumerable<PressedSide> SidesOf(ReadSurface on, FittedPiece piece)
    {
        var films = piece.Sides.Select(s => s.Films).Prepend(piece.Fit.Films);
        return on
            .All.Zip(films)
            .Select(
                (s, i) =>
                {
                    var laid = s.First.Laid;
                    var face = on.Sheet.Back is null && !laid.Face.IsOwn ? FaceKey.Front : laid.Face;
                    var name = laid.Wall is not null ? "wall" : laid.Panel?.Name ?? "front";
                    return new PressedSide(face, name, laid.Wall is not null, on.Sheet.Size, i, s.Second);
                }
            );
    }

    private static Box Around(IEnumerable<PressedSide> sides) =>
        Box.Around(sides.SelectMany(s => s.Films).Select(f => f.Box).OfType<Box>())!.Value;

    /// <summary>The part of any ink that is the largest by its longer side.</summary>
    private static Box Largest(IEnumerable<PressedSide> sides) =>
        sides
            .SelectMany(s => s.Films)
            .SelectMany(f => Outlines.PolygonsOf(f.Ink))
            .Select(p => Box.Of(p)!.Value)
            .MaxBy(b => Math.Max(b.Width, b.Height));
}
