using System.Buffers.Binary;
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
        var line = ring.CoordinateSequence;
        var corners = new (long X, long Y)[line.Count - 1];
        for (var i = 0; i < corners.Length; i++)
        {
            corners[i] = ((long)Math.Round(line.GetX(i) / Unit), (long)Math.Round(line.GetY(i) / Unit));
        }

        var (first, step) = (Array.IndexOf(corners, corners.Min()), Orientation.IsCCW(line) ? 1 : corners.Length - 1);
        var bytes = new byte[16 * corners.Length];
        for (int i = 0, at = first; i < corners.Length; i++, at = (at + step) % corners.Length)
        {
            BinaryPrimitives.WriteInt64LittleEndian(bytes.AsSpan(16 * i), corners[at].X);
            BinaryPrimitives.WriteInt64LittleEndian(bytes.AsSpan((16 * i) + 8), corners[at].Y);
        }

        return Convert.ToHexStringLower(SHA256.HashData(bytes).AsSpan(0, BytesPerRing));
    }
}
