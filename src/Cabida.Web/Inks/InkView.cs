using Cabida.Core.Geometry;
using Cabida.Core.Motifs;
using Cabida.Core.Stock;
using Cabida.Formats.Svg;

namespace Cabida.Web.Inks;

/// <summary>The ink of one film, as it looks.</summary>
/// <param name="FilmId">The film; empty for the one a run chooses.</param>
/// <param name="Ply">Which sheet of it.</param>
/// <param name="Film">Its name.</param>
/// <param name="Colour">Its colour.</param>
/// <param name="Pattern">Its pattern.</param>
/// <param name="PatternColour">The colour of its pattern.</param>
/// <param name="Path">The ink; millimetres, y up.</param>
internal sealed record InkView(string FilmId, int Ply, string Film, string Colour, FilmPattern Pattern, string PatternColour, string Path)
{
    public static InkView Of(FilmInk ink, Film? film) => Of(ink.Film, film, SvgPath.Of(ink.Ink, Tolerances.File));

    public static InkView Of(FilmPly of, Film? film, string path) =>
        new(of.FilmId, of.Ply, film?.Name ?? "", film?.Colour ?? "", film?.Pattern ?? FilmPattern.None, film?.PatternColour ?? "", path);
}
