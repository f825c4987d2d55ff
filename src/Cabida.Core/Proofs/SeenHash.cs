using System.Globalization;
using System.Security.Cryptography;
using System.Text;
using Cabida.Core.Blanks;
using Cabida.Core.Geometry;
using Cabida.Core.Stock;

namespace Cabida.Core.Proofs;

/// <summary>
/// Tells apart all that a customer sees of a piece and gets: its ink, the colours and patterns of its films, the goods and their
/// size. What they neither see nor get, such as a maker's note, does not count.
/// </summary>
public static class SeenHash
{
    /// <summary>Sizes of goods count to this, in millimetres.</summary>
    private const double Unit = 0.01;

    /// <summary>The hash of a piece.</summary>
    /// <param name="ink">The hash of its ink, with its place.</param>
    /// <param name="films">The films it is cut from, the lowest first.</param>
    /// <param name="blankId">Which blank it is made on.</param>
    /// <param name="blank">That blank.</param>
    /// <param name="size">The size of it that the piece is made on.</param>
    public static string Of(string ink, IEnumerable<Film> films, string blankId, Blank blank, SizeSheet size)
    {
        ArgumentNullException.ThrowIfNull(films);
        ArgumentNullException.ThrowIfNull(blank);
        ArgumentNullException.ThrowIfNull(size);
        var seen = new StringBuilder(ink);
        foreach (var film in films)
        {
            seen.Append(
                CultureInfo.InvariantCulture,
                $"|{film.Colour.ToLowerInvariant()} {film.Pattern} {film.PatternColour.ToLowerInvariant()} {film.Material} {film.Purpose}"
            );
        }

        var of = blank.Material;
        seen.Append(
            CultureInfo.InvariantCulture,
            $"|{blankId} {blank.Surface} {size.Size} {of.Name} {of.Finish} {of.Colour.ToLowerInvariant()} {of.Opacity} {of.Behind} "
                + $"{of.BehindColour.ToLowerInvariant()}"
        );
        if (size.Wall is { } wall)
        {
            seen.Append(
                CultureInfo.InvariantCulture,
                $"|{Rounded(wall.GirthAt(0).Value.Millimetres)} "
                    + $"{Rounded(wall.GirthAt(wall.Height.Value.Millimetres).Value.Millimetres)} {Rounded(wall.Height.Value.Millimetres)} "
                    + $"{Rounded(wall.Handle?.Value.Millimetres ?? 0)}"
            );
        }

        foreach (var panel in size.Faces.Select(f => f.Panel).Prepend(size.Back).Prepend(size.Panel).OfType<Panel>())
        {
            var corners = Outlines
                .RingsOf(panel.Nominal)
                .SelectMany(r => r.Coordinates)
                .Select(c => string.Create(CultureInfo.InvariantCulture, $"{Rounded(c.X)},{Rounded(c.Y)}"));
            seen.Append('|').AppendJoin(' ', corners);
        }

        return Convert.ToHexStringLower(SHA256.HashData(Encoding.UTF8.GetBytes(seen.ToString())).AsSpan(0, 12));
    }

    private static long Rounded(double mm) => (long)Math.Round(mm / Unit);
}
