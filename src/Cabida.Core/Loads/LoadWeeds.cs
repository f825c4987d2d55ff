using Cabida.Core.Geometry;
using Cabida.Core.Stock;
using Cabida.Core.Waste;
using Cabida.Core.Wording;
using Area = NetTopologySuite.Geometries.Geometry;

namespace Cabida.Core.Loads;

/// <summary>How a load is weeded, all its pieces together; millimetres as it is cut.</summary>
/// <param name="Box">What its weed boxes are cut round.</param>
/// <param name="Plans">They, with their breaks.</param>
/// <param name="Weeding">What is to be weeded.</param>
/// <param name="Peel">Free ends of all its pieces, by the side that they point to.</param>
/// <param name="Tape">The piece for which tape first is most advised; null for a stencil.</param>
/// <param name="Nearest">How near any break comes to any ink; null without any.</param>
/// <param name="NoWay">Where breaks were wanted and there is no way.</param>
public sealed record LoadWeeds(
    WeedBox Box,
    IReadOnlyList<WastePlan> Plans,
    Weeding Weeding,
    PeelSides Peel,
    TapeFirst? Tape,
    double? Nearest,
    IReadOnlyList<Phrase> NoWay
)
{
    /// <summary>How a load is weeded.</summary>
    /// <param name="box">What weed boxes are cut round.</param>
    /// <param name="plans">They, where they are cut.</param>
    /// <param name="pieces">Its pieces as waste.</param>
    /// <param name="limits">What its film bears.</param>
    /// <param name="inks">Their ink, where it is cut.</param>
    public static LoadWeeds Of(
        WeedBox box,
        IReadOnlyList<WastePlan> plans,
        IReadOnlyList<FilmWaste> pieces,
        FilmLimits limits,
        IReadOnlyList<Area> inks
    )
    {
        ArgumentNullException.ThrowIfNull(plans);
        ArgumentNullException.ThrowIfNull(pieces);
        // What shares a box is weeded as one; all else piece by piece.
        var weeding = box is WeedBox.Row or WeedBox.Load
            ? Shared(plans, inks, limits)
            : pieces.Aggregate(Weeding.None, (w, p) => w.And(p.Weeding));
        return new LoadWeeds(
            box,
            plans,
            weeding,
            // As they lie: a piece that is turned or mirrored has its ends elsewhere.
            inks.Select(PeelSides.Of).Aggregate((a, b) => a.And(b)),
            pieces.Select(p => p.Tape).OfType<TapeFirst>().MinBy(t => t.Tenth),
            plans.Min(p => p.ClearanceTo(Outlines.Together([.. inks.SelectMany(Outlines.PolygonsOf)]))),
            [.. plans.SelectMany(p => p.NoWay).DistinctBy(p => p.ToString())]
        );
    }

    private static Weeding Shared(IReadOnlyList<WastePlan> plans, IReadOnlyList<Area> inks, FilmLimits limits)
    {
        var whole = Weeding.None;
        foreach (var plan in plans)
        {
            var within = Outlines.Together([.. inks.Where(i => plan.Box.Holds(Geometry.Box.Of(i)!.Value)).SelectMany(Outlines.PolygonsOf)]);
            var bits = WasteBits.Of(within, limits.Purpose, [.. plan.Cells.Select(c => c.Area)]);
            whole = whole.And(Weeding.Of(within, limits.Purpose, bits, plan));
        }

        return whole;
    }
}
