using Area = NetTopologySuite.Geometries.Geometry;

namespace Cabida.Core.Layout;

/// <summary>Tells a thing that is laid out apart from all others of a plan.</summary>
/// <param name="Run">The run it is of.</param>
/// <param name="Piece">The piece of the run.</param>
/// <param name="Film">The film it is cut of.</param>
/// <param name="Side">Which side of the piece, from 0.</param>
/// <param name="Ply">Which layer of that film.</param>
/// <param name="Copy">Which of several alike, from 1.</param>
/// <param name="Section">Which section of what was parted, from 1; 0 for what is whole.</param>
public readonly record struct ItemId(string Run, string Piece, string Film, int Side, int Ply, int Copy, int Section)
{
    /// <summary>A thing that stands for itself.</summary>
    public static ItemId Of(string piece) => new("", piece, "", 0, 0, 1, 0);
}

/// <summary>A thing that wants a place.</summary>
/// <param name="Id">What it is.</param>
/// <param name="Outline">All that must lie on the film and apart from others; millimetres, y up.</param>
/// <param name="Kind">Things of one kind have one outline; empty where it has no like.</param>
/// <param name="Group">Things of one group are kept on one load; empty for none.</param>
public sealed record LayItem(ItemId Id, Area Outline, string Kind = "", string Group = "")
{
    /// <summary>Where it lies whatever else there is, and on which load, from 0; null for what is laid.</summary>
    public (int Load, RigidMotion At)? Pinned { get; init; }
}

/// <summary>How things may be turned: the direction of a film.</summary>
public enum LayTurning
{
    /// <summary>Not at all: patterned or brushed.</summary>
    None,

    /// <summary>By quarters.</summary>
    Quarter,

    /// <summary>By any angle.</summary>
    Any,
}
