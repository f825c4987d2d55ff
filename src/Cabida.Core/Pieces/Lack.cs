using Cabida.Core.Wording;

namespace Cabida.Core.Pieces;

/// <summary>Something a run still lacks before its pieces can be set.</summary>
/// <param name="Field">Where in the set-up: blank, motif, film, letterHeight or names.</param>
/// <param name="Message">What is lacking.</param>
public sealed record Lack(string Field, Phrase Message);
