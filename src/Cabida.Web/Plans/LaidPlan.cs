using Cabida.Core.Cutting;
using Cabida.Core.Geometry;
using Cabida.Core.Layout;
using Cabida.Core.Loads;
using Cabida.Core.Plans;
using Area = NetTopologySuite.Geometries.Geometry;

namespace Cabida.Web.Plans;

/// <summary>A thing as it is cut on a load; millimetres from the lower left of the reach, y up.</summary>
/// <param name="Thing">What it is.</param>
/// <param name="At">How it was laid.</param>
/// <param name="Ink">Its ink.</param>
/// <param name="Box">The box of that.</param>
/// <param name="Marks">The middles of its marks.</param>
internal sealed record CutPlacement(CutThing Thing, PlanItem At, Area Ink, Box Box, IReadOnlyList<PlanePoint> Marks)
{
    /// <summary>The box of its ink and its marks; of what is turned by quarters, as in rows.</summary>
    public Box Marked => At.At.Motion.Of(Thing.Marked);

    /// <summary>Its marks as they are cut, turned with it.</summary>
    public IEnumerable<CutGroup> MarkCuts => Marks.Select(m => CutGroups.OfMark(m, Parting.MarkSize, At.At.Degrees));
}

/// <summary>A load of a plan, drawn.</summary>
/// <param name="Number">From 1.</param>
/// <param name="Place">What it is of.</param>
/// <param name="Pieces">What is cut.</param>
/// <param name="Weeds">How it is weeded.</param>
/// <param name="FileName">The name of its files, without their ending.</param>
/// <param name="CutOff">How much of a roll it takes; 0 for what is none.</param>
internal sealed record CutLoad(
    int Number,
    PlanPlace Place,
    IReadOnlyList<CutPlacement> Pieces,
    LoadWeeds Weeds,
    string FileName,
    double CutOff
)
{
    /// <summary>Whether nothing, all or some of it is mirrored.</summary>
    public Mirroring Mirroring { get; } = MirroringOf.These(Pieces.Select(p => p.Thing.IsMirrored));

    /// <summary>What of the reach the files are of: all of it, or of a roll as much as is used.</summary>
    public (double Width, double Height) Sheet =>
        Place.Ground.IsRoll && CutOff > 0
            ? (Place.Ground.Reach.MaxX, Math.Min(Place.Ground.Reach.MaxY, CutOff - Place.Ground.Tail))
            : (Place.Ground.Reach.MaxX, Place.Ground.Reach.MaxY);
}

/// <summary>What of a load is mirrored.</summary>
internal enum Mirroring
{
    /// <summary>Nothing.</summary>
    None,

    /// <summary>All of it.</summary>
    All,

    /// <summary>Some of it: pieces seen through what they lie behind, beside others.</summary>
    Some,
}

/// <summary>Tells what of some things is mirrored.</summary>
internal static class MirroringOf
{
    public static Mirroring These(IEnumerable<bool> mirrored)
    {
        var all = mirrored.Distinct().ToList();
        return all.Count > 1 ? Mirroring.Some
            : all is [true] ? Mirroring.All
            : Mirroring.None;
    }
}

/// <summary>A plan with how it lies.</summary>
/// <param name="Read">What it is about.</param>
/// <param name="Places">What of the stock it may use.</param>
/// <param name="Parted">Its things, with what was parted.</param>
/// <param name="Problem">What is laid, and where; null while something is lacking.</param>
/// <param name="Layout">How it lies; null while something is lacking.</param>
/// <param name="Loads">The loads.</param>
/// <param name="Faults">What lies wrong by hand: nothing is cut while there is any.</param>
internal sealed record LaidPlan(
    ReadPlan Read,
    PlanPlaces Places,
    PartedThings Parted,
    PlanProblem? Problem,
    PlanLayout? Layout,
    IReadOnlyList<CutLoad> Loads,
    IReadOnlyList<PlanFault> Faults
);
