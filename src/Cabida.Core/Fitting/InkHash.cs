using System.Buffers;
using System.Runtime.InteropServices;
using System.Security.Cryptography;
using System.Text;
using Cabida.Core.Geometry;
using Cabida.Core.Motifs;
using NetTopologySuite.Algorithm;
using NetTopologySuite.Geometries;

namespace Cabida.Core.Fitting;

/// <summary>Tells ink apart: the same ink in the same place of the same films has the same hash, any other has another.</summary>
public static class InkHash
{
    /// <summary>Coordinates count to this, in millimetres: less than any cutter shows, more than rounding makes.</summary>
    private const double Unit = 1e-4;

    private const int BytesPerRing = 12;

    /// <summary>
    /// The hash of a piece's ink by film. In which order its outlines were joined, and where one begins, does not count: that is
    /// how the computation went about it, and nothing that could be cut or seen.
    /// </summary>
    /// <param name="films">The ink.</param>
    public static string Of(IReadOnlyList<FilmInk> films)
    {
        ArgumentNullException.ThrowIfNull(films);
        using var hash = IncrementalHash.CreateHash(HashAlgorithmName.SHA256);
        foreach (var film in films)
        {
            hash.AppendData(Encoding.UTF8.GetBytes($"{film.Film.FilmId} {film.Film.Ply}"));
            foreach (var ring in Outlines.RingsOf(film.Ink).Select(OfRing).Order(StringComparer.Ordinal))
            {
                hash.AppendData(Encoding.ASCII.GetBytes(ring));
            }
        }

        return Convert.ToHexStringLower(hash.GetHashAndReset().AsSpan(0, BytesPerRing));
    }

    /// <summary>A ring by its corners, from its lowest leftmost on, to the left round.</summary>
    private static string OfRing(LineString ring)
    {
        var line = ring.Coordinates;
        var count = line.Length - 1;
        var borrowed = ArrayPool<long>.Shared.Rent(4 * count);
        Span<long> rounded = borrowed.AsSpan(0, 2 * count),
            sorted = borrowed.AsSpan(2 * count, 2 * count);
        var first = 0;
        for (var i = 0; i < count; i++)
        {
            var (x, y) = ((long)Math.Round(line[i].X / Unit), (long)Math.Round(line[i].Y / Unit));
            (rounded[2 * i], rounded[(2 * i) + 1]) = (x, y);
            first = x < rounded[2 * first] || (x == rounded[2 * first] && y < rounded[(2 * first) + 1]) ? i : first;
        }

        var step = Orientation.IsCCW(line) ? 1 : count - 1;
        for (int i = 0, at = first; i < count; i++, at = (at + step) % count)
        {
            rounded.Slice(2 * at, 2).CopyTo(sorted[(2 * i)..]);
        }

        var hash = Convert.ToHexStringLower(SHA256.HashData(MemoryMarshal.AsBytes(sorted)).AsSpan(0, BytesPerRing));
        ArrayPool<long>.Shared.Return(borrowed);
        return hash;
    }
}
