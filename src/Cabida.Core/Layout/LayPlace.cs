using Area = NetTopologySuite.Geometries.Geometry;

namespace Cabida.Core.Layout;

/// <summary>Where things may lie: a sheet, a length of roll or an off-cut, as far as it is reached and less its margins.</summary>
/// <param name="Ground">Where ink may lie; millimetres, y up along the roll. May have holes.</param>
/// <param name="Count">How many there are of it.</param>
/// <param name="IsRoll">Whether only as much of its length is used as it takes.</param>
public sealed record LayPlace(Area Ground, int Count = int.MaxValue, bool IsRoll = false);

/// <summary>How things are laid out.</summary>
/// <param name="ScissorsRoom">The least distance between any two; millimetres.</param>
/// <param name="Turning">How they may be turned.</param>
/// <param name="UseHoles">Whether small things may lie in the holes of large ones.</param>
/// <param name="Seed">What random choices begin with: the same seed gives the same plans.</param>
public sealed record LayTerms(double ScissorsRoom, LayTurning Turning = LayTurning.Quarter, bool UseHoles = false, int Seed = 1)
{
    /// <summary>The place of each load on which something is pinned, and of those before it.</summary>
    public IReadOnlyList<int> Begun { get; init; } = [];
}

/// <summary>A thing in its place.</summary>
/// <param name="Id">What it is.</param>
/// <param name="At">How its outline comes there.</param>
public readonly record struct LaidItem(ItemId Id, RigidMotion At);

/// <summary>What lies on one load.</summary>
/// <param name="Place">Which of the places it is, by its index.</param>
/// <param name="Items">What lies there.</param>
public sealed record LaidLoad(int Place, IReadOnlyList<LaidItem> Items);

/// <summary>How things lie on loads.</summary>
/// <param name="Loads">The loads, in the order in which the places were offered.</param>
/// <param name="NotLaid">What no load holds.</param>
/// <param name="Length">How far up the last load is used, from the foot of its ground; millimetres.</param>
public sealed record LayPlan(IReadOnlyList<LaidLoad> Loads, IReadOnlyList<ItemId> NotLaid, double Length)
{
    /// <summary>Whether it is better than another: more is laid, then on fewer loads, then on less of the last.</summary>
    public bool BetterThan(LayPlan other)
    {
        ArgumentNullException.ThrowIfNull(other);
        return (NotLaid.Count, Loads.Count, Length).CompareTo((other.NotLaid.Count, other.Loads.Count, other.Length)) < 0;
    }
}
