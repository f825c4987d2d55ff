using Cabida.Core.Measures;

namespace Cabida.Core.Runs;

/// <summary>A thing of the shelf, the motifs or the stock as it was when the run took it.</summary>
/// <param name="Id">Which.</param>
/// <param name="Revision">Which revision of it.</param>
public sealed record Pin(string Id, int Revision);

/// <summary>How the pieces of a run are sized.</summary>
public enum Sizing
{
    /// <summary>Each at its own largest.</summary>
    EachLargest,

    /// <summary>All at one letter height.</summary>
    OneLetterHeight,
}

/// <summary>One made thing of a run.</summary>
/// <param name="Id">Stays with it when the list is typed or pasted again.</param>
/// <param name="Name">What its name field says.</param>
public sealed record Piece(string Id, string Name);

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
    string Name,
    string JobId,
    Pin? Blank,
    Pin? Motif,
    Pin? Film,
    Pin? Cutter,
    Sizing Sizing,
    TypedLength LetterHeight,
    TypedLength ScissorsRoom,
    string NamesTyped,
    IReadOnlyList<Piece> Pieces)
{
    /// <summary>The zone of the blank; empty for its first.</summary>
    public string Zone { get; init; } = "";

    /// <summary>The size of a garment; empty for its first.</summary>
    public string Size { get; init; } = "";
}

/// <summary>An order.</summary>
/// <param name="Name">What it is called.</param>
/// <param name="Customer">Who ordered it.</param>
/// <param name="Due">The day it is due, as <c>yyyy-MM-dd</c>, or empty.</param>
/// <param name="Note">Anything worth remembering.</param>
public sealed record Job(string Name, string Customer, string Due, string Note = "");
