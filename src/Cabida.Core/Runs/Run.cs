using System.ComponentModel.DataAnnotations;
using Cabida.Core.Documents;
using Cabida.Core.Fitting;
using Cabida.Core.Lists;
using Cabida.Core.Measures;
using Cabida.Core.Motifs;

namespace Cabida.Core.Runs;

/// <summary>A thing of the shelf, the motifs or the stock as it was when the run took it.</summary>
/// <param name="Id">Which.</param>
/// <param name="Revision">Which revision of it.</param>
public sealed record Pin(string Id, [property: Range(0, int.MaxValue)] int Revision);

/// <summary>How the pieces of a run are sized.</summary>
public enum Sizing
{
    /// <summary>Each at its own largest.</summary>
    EachLargest,

    /// <summary>All at one letter height.</summary>
    OneLetterHeight,

    /// <summary>All at one scale of the motif.</summary>
    OneScale,
}

/// <summary>The letter height of a group of a run, as for one size of a garment.</summary>
/// <param name="Group">What the field that groups them says.</param>
/// <param name="LetterHeight">Their letter height.</param>
public sealed record GroupHeight(string Group, TypedLength LetterHeight);

/// <summary>Another side of the same pieces: another motif in another zone.</summary>
/// <param name="Id">Tells it apart within its run.</param>
/// <param name="Motif">The motif; null until chosen.</param>
/// <param name="Zone">The zone of the run's blank; empty for its first.</param>
public sealed record RunSide(string Id, Pin? Motif, string Zone);

/// <summary>What was shown to the customer last.</summary>
/// <param name="On">When, as <c>yyyy-MM-dd HH:mm</c>.</param>
/// <param name="Shown">What was shown, by piece.</param>
public sealed record ShownProof(string On, IReadOnlyDictionary<string, string> Shown);

/// <summary>One motif on one zone of one blank for a list of names.</summary>
/// <param name="Name">What the run is called.</param>
/// <param name="JobId">The job it belongs to.</param>
/// <param name="Blank">The blank; null until chosen.</param>
/// <param name="Motif">The motif; null until chosen.</param>
/// <param name="Film">The film; null until chosen.</param>
/// <param name="Cutter">The cutter; null until chosen.</param>
/// <param name="Sizing">How its pieces are sized.</param>
/// <param name="LetterHeight">The letter height of all, where they share one; kept as typed otherwise.</param>
/// <param name="ScissorsRoom">The least distance between pieces of a load.</param>
/// <param name="NamesTyped">The list as typed or pasted, one name a line.</param>
/// <param name="Pieces">The pieces that the list makes.</param>
public sealed record Run(
    [property: MaxLength(DocumentGate.LongestName)] string Name,
    string JobId,
    Pin? Blank,
    Pin? Motif,
    Pin? Film,
    Pin? Cutter,
    Sizing Sizing,
    TypedLength LetterHeight,
    TypedLength ScissorsRoom,
    [property: MaxLength(Run.MostTyped)] string NamesTyped,
    IReadOnlyList<Piece> Pieces
)
{
    /// <summary>The most letters a list may have as typed.</summary>
    public const int MostTyped = 400_000;

    /// <summary>The most other sides that pieces may have.</summary>
    public const int MostSides = 8;

    /// <summary>The zone of the blank; empty for its first.</summary>
    public string Zone { get; init; } = "";

    /// <summary>The films that parts of the motif name themselves.</summary>
    [MaxLength(100)]
    public IReadOnlyList<Pin> Films { get; init; } = [];

    /// <summary>The size of a garment; empty for its first. A row that names a size is of that one.</summary>
    public string Size { get; init; } = "";

    /// <summary>
    /// What the columns of the list are: fields, <see cref="NameList.Quantity"/>, or empty for what is left out. None while a line is a
    /// name.
    /// </summary>
    [MaxLength(100)]
    public IReadOnlyList<string> Columns { get; init; } = [];

    /// <summary>Whether the first line of the list names its columns.</summary>
    public bool HasHeading { get; init; }

    /// <summary>The scale of all where they share one, in hundredths of the motif's own size, as typed.</summary>
    public string ScaleTyped { get; init; } = "100";

    /// <summary>The field by which pieces are grouped for their letter height; empty for one group.</summary>
    public string GroupBy { get; init; } = "";

    /// <summary>The letter heights of groups; a group without one takes that of all.</summary>
    public IReadOnlyList<GroupHeight> GroupHeights { get; init; } = [];

    /// <summary>Where artwork may stand in the zone.</summary>
    public Placing Placing { get; init; }

    /// <summary>What of it stands on the datum centre; null for what the motif says.</summary>
    public Centring? Centring { get; init; }

    /// <summary>How far all of it is moved to the right.</summary>
    public TypedLength Right { get; init; } = TypedLength.Empty;

    /// <summary>How far all of it is moved up.</summary>
    public TypedLength Up { get; init; } = TypedLength.Empty;

    /// <summary>How it takes to a tapered wall.</summary>
    public TaperWay Taper { get; init; }

    /// <summary>The bow that is still taken for straight on a tapered wall.</summary>
    public TypedLength MostBow { get; init; } = TypedLength.Mm(1);

    /// <summary>What is done for names that do not fit at the size of the set, in order.</summary>
    [MaxLength(20)]
    public IReadOnlyList<Concession> Concessions { get; init; } = [];

    /// <summary>Other sides of the same pieces.</summary>
    [MaxLength(MostSides)]
    public IReadOnlyList<RunSide> Sides { get; init; } = [];

    /// <summary>
    /// Pieces whose rows left the list with something that was set by hand or said of them; they have it again when their rows come back.
    /// </summary>
    public IReadOnlyList<Piece> Away { get; init; } = [];

    /// <summary>What was shown to the customer last; null before anything was.</summary>
    public ShownProof? Shown { get; init; }
}

/// <summary>An order.</summary>
/// <param name="Name">What it is called.</param>
/// <param name="Customer">Who ordered it.</param>
/// <param name="Due">The day it is due, as <c>yyyy-MM-dd</c>, or empty.</param>
/// <param name="Note">Anything worth remembering.</param>
public sealed record Job(
    [property: MaxLength(DocumentGate.LongestName)] string Name,
    [property: MaxLength(DocumentGate.LongestName)] string Customer,
    [property: MaxLength(20)] string Due,
    string Note = ""
);
