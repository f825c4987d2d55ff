using System.ComponentModel.DataAnnotations;
using Cabida.Core.Documents;
using Cabida.Core.Geometry;
using Cabida.Core.Layout;
using Cabida.Core.Measures;
using Cabida.Core.Stock;

namespace Cabida.Core.Plans;

/// <summary>A thing of a released load, as it was.</summary>
/// <param name="Id">What it is.</param>
/// <param name="Name">The name of its piece.</param>
/// <param name="JobId">Its job.</param>
/// <param name="Job">The name of that.</param>
/// <param name="Run">The name of its run.</param>
/// <param name="InkHash">Tells its ink apart from any other: a piece that was changed since has another.</param>
/// <param name="At">How it came to lie.</param>
/// <param name="IsMirrored">Whether it was mirrored.</param>
public sealed record ReleasedItem(
    ItemId Id,
    string Name,
    string JobId,
    string Job,
    string Run,
    string InkHash,
    RigidMotion At,
    bool IsMirrored
);

/// <summary>A file of a released load; its bytes are kept by their hash.</summary>
/// <param name="Format">The format as it is asked for: svg, dxf, dxf-r12, hpgl, pdf.</param>
/// <param name="Units">What the numbers of an SVG stand for, as it is asked for: mm, 96, 90, 72; empty for other formats.</param>
/// <param name="Name">Its name.</param>
/// <param name="Hash">The SHA-256 of its bytes.</param>
/// <param name="Width">The outer width as it was read back; millimetres.</param>
/// <param name="Height">The outer height.</param>
/// <param name="Outlines">How many outlines it holds.</param>
/// <param name="Length">Their length together; millimetres.</param>
public sealed record ReleasedFile(
    string Format,
    string Units,
    string Name,
    string Hash,
    double Width,
    double Height,
    int Outlines,
    double Length
);

/// <summary>That a load was cut, and what was measured on it; lengths as typed.</summary>
/// <param name="On">When, as <c>yyyy-MM-dd HH:mm</c>.</param>
/// <param name="With">With what: the cutter and its settings.</param>
/// <param name="Across">The outer width of what was cut; empty where it was not measured.</param>
/// <param name="Along">Its outer height.</param>
/// <param name="Note">Anything else worth remembering.</param>
public sealed record CutDone(
    [property: MaxLength(40)] string On,
    [property: MaxLength(400)] string With,
    TypedLength Across,
    TypedLength Along,
    [property: MaxLength(2000)] string Note
)
{
    /// <summary>What it was for the cutter that it was sent to; empty where its file was carried there.</summary>
    [MaxLength(DocumentGate.LongestName)]
    public string JobId { get; init; } = "";
}

/// <summary>
/// A load as it was released (calculations 6.18): all that it was made from, frozen, its files by the hash of their bytes. Only what was
/// done with it since is written beside.
/// </summary>
/// <param name="PlanId">The plan it was of.</param>
/// <param name="Number">Its number, from 1.</param>
/// <param name="Of">Of how many loads of that release.</param>
/// <param name="Name">What it is called: job and run, or film.</param>
/// <param name="ReleasedAt">When, as <c>yyyy-MM-dd HH:mm</c> in UTC.</param>
/// <param name="FilmId">The film.</param>
/// <param name="Film">It, as it was.</param>
/// <param name="Cutter">The cutter, as it was.</param>
/// <param name="Carrier">What the film lay on; empty for rollers.</param>
/// <param name="Stock">The stock item, as it was before.</param>
/// <param name="StockName">That in words.</param>
/// <param name="Nominal">The carrier, or the film between rollers; millimetres from the lower left of the reach.</param>
/// <param name="Reach">What is reached.</param>
/// <param name="Drawn">The hash of how it looks: its paths as JSON, kept with its files.</param>
/// <param name="Items">What lay on it.</param>
/// <param name="Files">Its files.</param>
/// <param name="Minutes">How long the blade was to take.</param>
/// <param name="CutOff">How much of a roll it took; 0 for what is none.</param>
public sealed record ReleasedLoad(
    string PlanId,
    int Number,
    int Of,
    string Name,
    string ReleasedAt,
    string FilmId,
    Film Film,
    Cutter Cutter,
    string Carrier,
    StockItem Stock,
    string StockName,
    Box Nominal,
    Box Reach,
    string Drawn,
    IReadOnlyList<ReleasedItem> Items,
    IReadOnlyList<ReleasedFile> Files,
    double Minutes,
    double CutOff
)
{
    /// <summary>When it was cut, and what was measured.</summary>
    [MaxLength(200)]
    public IReadOnlyList<CutDone> Cuts { get; init; } = [];

    /// <summary>The runs of which something lies on it.</summary>
    public IEnumerable<string> RunIds() => Items.Select(i => i.Id.Run).Distinct(StringComparer.Ordinal);
}
