using Cabida.Core.Geometry;
using Cabida.Core.Stock;
using Area = NetTopologySuite.Geometries.Geometry;

namespace Cabida.Core.Checking;

/// <summary>What is to be weeded of ink, and how long it takes (calculations 3.10).</summary>
/// <param name="Bits">Bits of waste: the field around, and counters; of a mask or stencil, the ink.</param>
/// <param name="Small">Of these, how many are under 4 mm².</param>
/// <param name="CutLength">The length of all cuts, in millimetres.</param>
/// <param name="SmallestCounter">The least area of a counter, in square millimetres; null when there is none.</param>
public sealed record Weeding(int Bits, int Small, double CutLength, double? SmallestCounter)
{
    /// <summary>A bit smaller than this takes longer to pick; square millimetres.</summary>
    private const double SmallBit = 4;

    /// <summary>Minutes = (2·bits + 6·bits under 4 mm²)/60 + cut length/2,500.</summary>
    public double Minutes => (((2 * Bits) + (6 * Small)) / 60.0) + (CutLength / 2500);

    /// <summary>Weeding of ink cut from a film.</summary>
    public static Weeding Of(Area ink, FilmPurpose purpose)
    {
        var parts = Outlines.PolygonsOf(ink).ToList();
        var counters = parts.SelectMany(p => p.Holes).Select(h => Outlines.Factory.CreatePolygon(h).Area).ToList();
        // Ink inside a counter is ink: it takes its area from the counter that is pulled.
        var length = parts.Sum(p => p.Length);
        double? smallest = counters.Count > 0 ? counters.Min() : null;
        return purpose == FilmPurpose.Stays
            ? new Weeding(1 + counters.Count, counters.Count(c => c < SmallBit), length, smallest)
            : new Weeding(parts.Count, parts.Count(p => p.Area < SmallBit), length, smallest);
    }
}
