using Cabida.Core.Motifs;
using Cabida.Core.Wording;

namespace Cabida.Formats.Graphics;

/// <summary>A graphic as it was read from a file.</summary>
/// <param name="Pieces">Its pieces in millimetres, y up, the lowest first.</param>
/// <param name="SizeStated">Whether the file stated its physical size.</param>
/// <param name="PerUnit">Millimetres to a unit of the file, as the pieces were read.</param>
/// <param name="Assumption">What that follows from, where the file did not state it.</param>
/// <param name="Others">What a unit of the file might be instead, in millimetres, each with its words.</param>
/// <param name="Notes">What was left out, and why.</param>
public sealed record ReadGraphic(
    IReadOnlyList<GraphicPiece> Pieces,
    bool SizeStated,
    double PerUnit,
    string Assumption,
    IReadOnlyList<(string Words, double PerUnit)> Others,
    IReadOnlyList<Phrase> Notes
);
