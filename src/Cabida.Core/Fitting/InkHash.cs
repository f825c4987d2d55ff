using System.Buffers.Binary;
using System.Security.Cryptography;
using System.Text;
using Cabida.Core.Geometry;
using Cabida.Core.Motifs;

namespace Cabida.Core.Fitting;

/// <summary>Tells ink apart: the same ink in the same place of the same films has the same hash, any other has another.</summary>
public static class InkHash
{
    /// <summary>Coordinates count to this, in millimetres: less than any cutter shows, more than rounding makes.</summary>
    private const double Unit = 1e-4;

    /// <summary>The hash of a piece's ink by film.</summary>
    /// <param name="films">The ink.</param>
    public static string Of(IReadOnlyList<FilmInk> films)
    {
        ArgumentNullException.ThrowIfNull(films);
        using var hash = IncrementalHash.CreateHash(HashAlgorithmName.SHA256);
        Span<byte> bytes = stackalloc byte[16];
        foreach (var film in films)
        {
            hash.AppendData(Encoding.UTF8.GetBytes($"{film.Film.FilmId} {film.Film.Ply}"));
            foreach (var ring in Outlines.RingsOf(film.Ink))
            {
                var line = ring.CoordinateSequence;
                for (var i = 0; i < line.Count; i++)
                {
                    BinaryPrimitives.WriteInt64LittleEndian(bytes, (long)Math.Round(line.GetX(i) / Unit));
                    BinaryPrimitives.WriteInt64LittleEndian(bytes[8..], (long)Math.Round(line.GetY(i) / Unit));
                    hash.AppendData(bytes);
                }
            }
        }

        return Convert.ToHexStringLower(hash.GetHashAndReset().AsSpan(0, 12));
    }
}
