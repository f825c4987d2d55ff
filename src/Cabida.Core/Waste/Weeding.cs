using Cabida.Core.Geometry;
using Cabida.Core.Stock;
using Area = NetTopologySuite.Geometries.Geometry;

namespace Cabida.Core.Waste;

/// <summary>What is to be weeded, as far as it takes time (calculations 3.10).</summary>
/// <param name="Bits">Bits of waste: the field around, in its cells, and counters; of a mask or stencil, the ink.</param>
/// <param name="Small">Of these, how many are under 4 mm².</param>
/// <param name="CutLength">The length of all cuts, in millimetres.</param>
/// <param name="SmallestCounter">The least area of a counter, in square millimetres; null when there is none.</param>
public sealed record Weeding(int Bits, int Small, double CutLength, double? SmallestCounter)
{
    /// <summary>Nothing to weed.</summary>
    public static Weeding None { get; } = new(0, 0, 0, null);

    /// <summary>This and another, one after the other.</summary>
    public Weeding And(Weeding other)
    {
        ArgumentNullException.ThrowIfNull(other);
        return new(
            Bits + other.Bits,
            Small + other.Small,
            CutLength + other.CutLength,
            SmallestCounter is { } a && other.SmallestCounter is { } b ? Math.Min(a, b) : SmallestCounter ?? other.SmallestCounter
        );
    }

    /// <summary>Weeding of ink cut from a film, the field around it in one.</summary>
    public static Weeding Of(Area ink, FilmPurpose purpose)
    {
        var parts = Outlines.PolygonsOf(ink).ToList();
        var counters = parts.SelectMany(p => p.Holes).Select(h => Outlines.Factory.CreatePolygon(h).Area).ToList();
        // Ink inside a counter is ink: it takes its area from the counter that is pulled.
        var length = parts.Sum(p => p.Length);
        double? smallest = counters.Count > 0 ? counters.Min() : null;
        return purpose == FilmPurpose.Stays
            ? new Weeding(1 + counters.Count, counters.Count(c => c < WasteBits.Small), length, smallest)
            : new Weeding(parts.Count, parts.Count(p => p.Area < WasteBits.Small), length, smallest);
    }

    /// <summary>Weeding of ink whose field is boxed in and broken.</summary>
    /// <param name="ink">The ink.</param>
    /// <param name="purpose">What the film is for.</param>
    /// <param name="bits">Its bits, as the plan leaves them.</param>
    /// <param name="plan">The weed box and its breaks.</param>
    public static Weeding Of(Area ink, FilmPurpose purpose, IReadOnlyList<WasteBit> bits, WastePlan plan)
    {
        ArgumentNullException.ThrowIfNull(bits);
        ArgumentNullException.ThrowIfNull(plan);
        var bare = Of(ink, purpose);
        // What is pulled around a mask or a stencil comes off its carrier in the same bits, but is no waste of it.
        return bare with
        {
            Bits = bits.Count,
            Small = bits.Count(b => b.Area < WasteBits.Small),
            CutLength = bare.CutLength + plan.CutLength,
        };
    }
}
