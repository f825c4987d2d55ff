using Cabida.Core.Findings;
using Cabida.Core.Geometry;
using Cabida.Core.Layout;
using Cabida.Core.Loads;
using Cabida.Core.Plans;
using Cabida.Core.Stock;
using Cabida.Core.Wording;
using Cabida.Web.Weeding;

namespace Cabida.Web.Plans;

/// <summary>Something that can be chosen.</summary>
internal sealed record ChoiceView(string Id, string Name);

/// <summary>A stock item that a plan may use.</summary>
/// <param name="Id">The item.</param>
/// <param name="Words">What it is.</param>
/// <param name="Count">How many loads there are of it.</param>
/// <param name="Area">What of one may be cut; square millimetres.</param>
/// <param name="Loads">How many loads of the plan are of it.</param>
/// <param name="IsToBuy">Whether it has to be bought.</param>
internal sealed record PlanStockView(string Id, Phrase Words, int Count, double Area, int Loads, bool IsToBuy);

/// <summary>A thing of a plan, laid or not.</summary>
/// <param name="Id">What it is.</param>
/// <param name="Name">Its name.</param>
/// <param name="Run">Its run.</param>
/// <param name="Job">Its job.</param>
/// <param name="Load">The load it is on, from 1; null for none.</param>
/// <param name="Section">The section it is; 0 for what is whole.</param>
/// <param name="IsSpare">Whether it is more than was ordered.</param>
/// <param name="IsTakenOff">Whether it is left for another day.</param>
/// <param name="IsPinned">Whether it lies where it was put by hand.</param>
/// <param name="Why">Why no load holds it; null otherwise.</param>
internal sealed record PlanThingView(
    ItemId Id,
    string Name,
    string Run,
    string Job,
    int? Load,
    int Section,
    bool IsSpare,
    bool IsTakenOff,
    bool IsPinned,
    Phrase? Why
);

/// <summary>A thing in its place on a load; millimetres from the reach's lower left, y up.</summary>
/// <param name="Id">What it is.</param>
/// <param name="Name">Its name.</param>
/// <param name="InkPath">Its ink.</param>
/// <param name="Box">The box of that.</param>
/// <param name="At">How its ink as it is cut comes there.</param>
/// <param name="IsPinned">Whether it was put there by hand.</param>
/// <param name="IsSpare">Whether it is more than was ordered.</param>
/// <param name="IsMirrored">Whether it is mirrored.</param>
/// <param name="Section">The section it is; 0 for what is whole.</param>
/// <param name="Marks">The middles of its marks.</param>
/// <param name="Fault">What is wrong with where it was put; null for nothing.</param>
internal sealed record PlacedView(
    ItemId Id,
    string Name,
    string InkPath,
    Box Box,
    RigidMotion At,
    bool IsPinned,
    bool IsSpare,
    bool IsMirrored,
    int Section,
    IReadOnlyList<PlanePoint> Marks,
    Phrase? Fault
);

/// <summary>A load of a plan; millimetres from the reach's lower left, y up.</summary>
/// <param name="Number">From 1.</param>
/// <param name="FileId">The id by which its files are asked for.</param>
/// <param name="StockId">The stock item.</param>
/// <param name="Stock">That in words.</param>
/// <param name="IsToBuy">Whether that has to be bought.</param>
/// <param name="Nominal">The carrier, or the film between rollers.</param>
/// <param name="Reach">What is reached.</param>
/// <param name="StockPath">The stock.</param>
/// <param name="GroundPath">Where pieces may lie.</param>
/// <param name="Pieces">What lies there.</param>
/// <param name="Mirroring">What of it is mirrored.</param>
/// <param name="Used">The box of all that is cut.</param>
/// <param name="CutOff">How much of a roll it takes; 0 for what is none.</param>
/// <param name="FileName">The name of its files, without their ending.</param>
/// <param name="Weeds">How it is weeded.</param>
/// <param name="OffCuts">What it leaves that is worth keeping.</param>
internal sealed record PlanLoadView(
    int Number,
    string FileId,
    string StockId,
    Phrase Stock,
    bool IsToBuy,
    Box Nominal,
    Box Reach,
    string StockPath,
    string GroundPath,
    IReadOnlyList<PlacedView> Pieces,
    Mirroring Mirroring,
    Box Used,
    double CutOff,
    string FileName,
    WeedsView Weeds,
    IReadOnlyList<Box> OffCuts
);

/// <summary>A thing that was parted.</summary>
/// <param name="Id">The whole thing.</param>
/// <param name="Name">Its name.</param>
/// <param name="InkPath">Its ink as it is cut.</param>
/// <param name="Box">The box of that.</param>
/// <param name="Joints">Its joints.</param>
/// <param name="Sections">Its sections, numbered, with the box and marks of each.</param>
/// <param name="Lap">How far sections are lapped at joints through ink.</param>
/// <param name="IsByHand">Whether its joints were set by hand.</param>
internal sealed record PartedView(
    ItemId Id,
    string Name,
    string InkPath,
    Box Box,
    IReadOnlyList<Joint> Joints,
    IReadOnlyList<SectionView> Sections,
    double Lap,
    bool IsByHand
);

/// <summary>A section in the coordinates of the whole.</summary>
internal sealed record SectionView(int Number, int Column, int Row, Box Box, IReadOnlyList<PlanePoint> Marks);

/// <summary>What a layout comes to, beside plain rows.</summary>
/// <param name="Density">How much of what is used the things take.</param>
/// <param name="LeastLoads">Fewer loads are not possible.</param>
/// <param name="RowsDensity">The density of plain rows.</param>
/// <param name="RowsLoads">The loads that plain rows take.</param>
/// <param name="RowsLeave">How many things find no room in plain rows that are laid here.</param>
/// <param name="Better">How many better layouts were found since the first.</param>
/// <param name="Searches">How many searches were made.</param>
/// <param name="IsInRows">Whether it lies in plain rows.</param>
internal sealed record PlanFiguresView(
    double Density,
    int LeastLoads,
    double RowsDensity,
    int RowsLoads,
    int RowsLeave,
    int Better,
    int Searches,
    bool IsInRows
);

/// <summary>A plan as its page shows it.</summary>
/// <param name="Id">Which one.</param>
/// <param name="Revision">Its revision.</param>
/// <param name="ChangedAt">When it was changed last.</param>
/// <param name="Plan">What was chosen.</param>
/// <param name="Name">What it is called.</param>
/// <param name="Film">Its film; null where it is gone.</param>
/// <param name="CutterId">Its cutter.</param>
/// <param name="Cutters">The cutters there are.</param>
/// <param name="Carriers">The carriers of its cutter, and that it has none where it cuts without.</param>
/// <param name="CarrierId">The one that is used.</param>
/// <param name="Stock">What of the stock may be used.</param>
/// <param name="StockProblems">What of it cannot be, and why.</param>
/// <param name="ToBuy">What has to be bought; null for nothing.</param>
/// <param name="ScissorsRoom">The least distance between things; millimetres.</param>
/// <param name="Turning">How they may be turned.</param>
/// <param name="MostTurning">How the film allows it at most.</param>
/// <param name="Key">Tells the layout apart: a release names what was seen.</param>
/// <param name="Figures">What it comes to; null while nothing is laid.</param>
/// <param name="Loads">The loads.</param>
/// <param name="Things">All that waits.</param>
/// <param name="Parted">What was parted.</param>
/// <param name="Held">What is held back, and why.</param>
/// <param name="Changed">What was changed since it was cut.</param>
/// <param name="Unset">How many names are not set yet.</param>
/// <param name="Runs">The runs that it is of, or could be.</param>
/// <param name="Lacks">What is lacking before anything can be laid.</param>
/// <param name="Under">How it lies under other films, and where it would be too thin for that; null where it lies under none.</param>
internal sealed record PlanView(
    string Id,
    int Revision,
    DateTime ChangedAt,
    CutPlan Plan,
    string Name,
    Film? Film,
    string CutterId,
    IReadOnlyList<ChoiceView> Cutters,
    IReadOnlyList<ChoiceView> Carriers,
    string CarrierId,
    IReadOnlyList<PlanStockView> Stock,
    IReadOnlyList<Finding> StockProblems,
    Phrase? ToBuy,
    double ScissorsRoom,
    LayTurning Turning,
    LayTurning MostTurning,
    string Key,
    PlanFiguresView? Figures,
    IReadOnlyList<PlanLoadView> Loads,
    IReadOnlyList<PlanThingView> Things,
    IReadOnlyList<PartedView> Parted,
    IReadOnlyList<HeldBack> Held,
    IReadOnlyList<ChangedSince> Changed,
    int Unset,
    IReadOnlyList<ChoiceView> Runs,
    IReadOnlyList<Finding> Lacks,
    UnderView? Under
);

/// <summary>How things of a film lie under others.</summary>
/// <param name="Said">How many lose ink to them, and how.</param>
/// <param name="Thin">Where one is thinner then than the film bears; null for nowhere.</param>
internal sealed record UnderView(Phrase Said, Phrase? Thin);
