using System.ComponentModel.DataAnnotations;
using System.Text.Json.Serialization;
using Cabida.Core.Documents;
using Cabida.Core.Layout;
using Cabida.Core.Measures;

namespace Cabida.Core.Plans;

/// <summary>How things are laid on their loads.</summary>
public enum LayWay
{
    /// <summary>By their true shapes, into one another.</summary>
    Tight,

    /// <summary>In plain rows, box beside box.</summary>
    Rows,
}

/// <summary>What is kept on one load.</summary>
public enum KeptTogether
{
    /// <summary>Nothing.</summary>
    Nothing,

    /// <summary>What is of one row of a list: copies and sides of one piece.</summary>
    Piece,

    /// <summary>What is of one name, in any run of a job.</summary>
    Person,

    /// <summary>What is of one job.</summary>
    Job,
}

/// <summary>Where a thing was put by hand.</summary>
/// <param name="Load">On which load, from 0.</param>
/// <param name="StockId">The stock item that this load is of.</param>
/// <param name="At">How its outline as it is cut comes there; millimetres from the lower left of the reach.</param>
public sealed record PinnedAt(
    [property: Range(0, 10_000)] int Load,
    [property: MaxLength(DocumentGate.LongestName)] string StockId,
    RigidMotion At
);

/// <summary>What was set by hand for one thing of a plan.</summary>
/// <param name="Item">The thing.</param>
/// <param name="Pinned">Where it lies whatever else there is; null for what is laid.</param>
public sealed record ItemHand(ItemId Item, PinnedAt? Pinned)
{
    /// <summary>Whether it is left for another day.</summary>
    public bool TakenOff { get; init; }
}

/// <summary>More of a piece than was ordered, to fill loads.</summary>
/// <param name="Run">Its run.</param>
/// <param name="Piece">The piece.</param>
/// <param name="Count">How many more.</param>
public sealed record PlanSpare(
    [property: MaxLength(DocumentGate.LongestName)] string Run,
    [property: MaxLength(DocumentGate.LongestName)] string Piece,
    [property: Range(1, 1000)] int Count
)
{
    /// <summary>Copies from this number on are spares.</summary>
    public const int First = 1_000_001;
}

/// <summary>How pieces of one film, of one run or of several jobs, are cut together: what was chosen, never where it came to lie.</summary>
/// <param name="FilmId">The film.</param>
public sealed record CutPlan([property: MaxLength(DocumentGate.LongestName)] string FilmId)
{
    /// <summary>The carrier that stands for none: film between the rollers.</summary>
    public const string Rollers = "rollers";

    /// <summary>The stock item that stands for what has to be bought.</summary>
    public const string ToBuy = "buy";

    /// <summary>The usual scissors room; millimetres.</summary>
    public const double UsualScissorsRoom = 6;

    /// <summary>The runs it is of; none for all that waits of the film.</summary>
    [MaxLength(300)]
    public IReadOnlyList<string> Runs { get; init; } = [];

    /// <summary>The cutter; empty for the one of its runs.</summary>
    [MaxLength(DocumentGate.LongestName)]
    public string CutterId { get; init; } = "";

    /// <summary>The carrier; empty for the first of the cutter.</summary>
    [MaxLength(DocumentGate.LongestName)]
    public string CarrierId { get; init; } = "";

    /// <summary>The stock items that are used; none for what is offered first.</summary>
    [MaxLength(500)]
    public IReadOnlyList<string> StockIds { get; init; } = [];

    /// <summary>The least distance between things; empty for that of its runs.</summary>
    public TypedLength ScissorsRoom { get; init; } = TypedLength.Empty;

    /// <summary>How things are laid.</summary>
    public LayWay Way { get; init; }

    /// <summary>How things may be turned; null for what the film allows.</summary>
    public LayTurning? Turning { get; init; }

    /// <summary>Whether small things may lie in the holes of large ones.</summary>
    public bool UseHoles { get; init; }

    /// <summary>What is kept on one load.</summary>
    public KeptTogether Together { get; init; }

    /// <summary>What random choices begin with.</summary>
    [Range(1, int.MaxValue)]
    public int Seed { get; init; } = 1;

    /// <summary>What was set by hand.</summary>
    [MaxLength(5000)]
    public IReadOnlyList<ItemHand> ByHand { get; init; } = [];

    /// <summary>More than was ordered.</summary>
    [MaxLength(500)]
    public IReadOnlyList<PlanSpare> Spares { get; init; } = [];

    /// <summary>What was cut before and is cut again.</summary>
    [MaxLength(5000)]
    public IReadOnlyList<ItemId> Again { get; init; } = [];

    /// <summary>Where things that are larger than any place are parted, where that was set by hand.</summary>
    [MaxLength(500)]
    public IReadOnlyList<JointsByHand> Joints { get; init; } = [];

    /// <summary>
    /// How many loads of it were released: with each it is another plan, so that the step can be taken back from its page.
    /// </summary>
    [Range(0, int.MaxValue)]
    public int Released { get; init; }

    /// <summary>What was set by hand for a thing; null for nothing.</summary>
    public ItemHand? HandOf(ItemId id) => ByHand.FirstOrDefault(h => h.Item == id);

    /// <summary>How many more of a piece are wanted.</summary>
    public int SparesOf(string run, string piece) => Spares.Where(s => s.Run == run && s.Piece == piece).Sum(s => s.Count);

    /// <summary>Its scissors room, in millimetres; that of its runs where nothing, or what cannot be read, was typed.</summary>
    /// <param name="ofRuns">The largest that its runs ask for.</param>
    public double ScissorsRoomOr(double ofRuns) =>
        ScissorsRoom.IsEmpty ? ofRuns : ScissorsRoom.Read(LengthRange.Margin).ValueOrDefault?.Value.Millimetres ?? ofRuns;

    /// <summary>Whether it is of one run alone.</summary>
    [JsonIgnore]
    public bool IsOfOneRun => Runs.Count == 1;
}

/// <summary>Where a thing is parted by hand; millimetres in the coordinates of its ink as it is cut.</summary>
/// <param name="Item">The whole thing.</param>
/// <param name="Upright">Upright joints.</param>
/// <param name="Level">Joints across.</param>
/// <param name="Laps">Whether sections are lapped at joints through ink, or butted.</param>
public sealed record JointsByHand(
    ItemId Item,
    [property: MaxLength(50)] IReadOnlyList<double> Upright,
    [property: MaxLength(50)] IReadOnlyList<double> Level,
    bool Laps
);
