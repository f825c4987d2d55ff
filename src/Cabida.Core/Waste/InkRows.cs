using Cabida.Core.Geometry;
using Cabida.Core.Motifs;
using NetTopologySuite.Geometries;
using Area = NetTopologySuite.Geometries.Geometry;

namespace Cabida.Core.Waste;

/// <summary>The ink of a piece as rows, words and letters, by the parts of its motif.</summary>
public static class InkRows
{
    /// <summary>Parts stand in one row when so much of the lower one's height stands beside the other.</summary>
    private const double Beside = 0.25;

    /// <summary>The rows of a layer, from the top down.</summary>
    /// <param name="ink">The ink of the layer.</param>
    /// <param name="layer">The layer.</param>
    /// <param name="parts">The parts in place.</param>
    public static IReadOnlyList<InkRow> Of(Area ink, FilmPly layer, IReadOnlyList<PlacedPart> parts)
    {
        ArgumentNullException.ThrowIfNull(ink);
        ArgumentNullException.ThrowIfNull(parts);
        var words = PartPlaces.Of(parts, layer, [.. Outlines.PolygonsOf(ink)], OnIt).SelectMany(p => WordsOf(p.Part, p.Places)).ToList();
        return
        [
            .. Clusters
                .Of(words.Count, Pairs(words.ConvertAll(BoxOf)))
                .Select(row => new InkRow([.. row.Select(i => words[i]).OrderBy(w => BoxOf(w).MinX)]))
                .OrderByDescending(r => r.Box.CentreY),
        ];
    }

    private static IEnumerable<(int I, int J)> Pairs(List<Box> boxes) =>
        from i in Enumerable.Range(0, boxes.Count)
        from j in Enumerable.Range(0, i)
        let shared = Math.Min(boxes[i].MaxY, boxes[j].MaxY) - Math.Max(boxes[i].MinY, boxes[j].MinY)
        where shared > Beside * Math.Min(boxes[i].Height, boxes[j].Height)
        select (j, i);

    private static Box BoxOf(InkWord word) => Box.Around(word.Units.Select(u => u.Box))!.Value;

    /// <summary>The words of a part: of lettering by its letters, of anything else all of it.</summary>
    private static IEnumerable<InkWord> WordsOf(PlacedPart? part, IReadOnlyList<Polygon> ink)
    {
        if (part?.Line is not { } line)
        {
            return [new InkWord([new InkUnit(Outlines.Together(ink))])];
        }

        // A letter by its place in the text; letters that are joined are one piece of ink, under the first of them.
        var text = line.Line.Text;
        return ink.GroupBy(p => part.LetterIndexAt(OnIt(p)) ?? 0)
            .OrderBy(g => g.Key)
            .GroupBy(g => text[..Math.Min(g.Key, text.Length)].Count(char.IsWhiteSpace))
            .Select(w => new InkWord([.. w.Select(g => new InkUnit(Outlines.Together([.. g])))]));
    }

    private static PlanePoint OnIt(Polygon part) => new(part.InteriorPoint.X, part.InteriorPoint.Y);
}
