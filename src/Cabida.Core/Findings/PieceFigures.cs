namespace Cabida.Core.Findings;

/// <summary>What is looked at when a piece is mended; millimetres.</summary>
/// <param name="Room">The least room that it has at any side; null without ink.</param>
/// <param name="LetterHeight">The height of its capitals; zero without lettering.</param>
/// <param name="Thinnest">Its thinnest stroke; null where there is none.</param>
/// <param name="Minutes">Minutes of weeding.</param>
public sealed record PieceFigures(double? Room, double LetterHeight, double? Thinnest, double Minutes);

/// <summary>What a remedy would change of a piece, as it was worked out before it is offered.</summary>
/// <param name="Now">The piece as it is.</param>
/// <param name="Then">The piece as it would be.</param>
/// <param name="But">What would be heavier then than it is now; null for nothing.</param>
public sealed record RemedyEffect(PieceFigures Now, PieceFigures Then, Wording.Phrase? But);
