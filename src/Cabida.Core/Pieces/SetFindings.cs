using Cabida.Core.Findings;
using Cabida.Core.Measures;
using Cabida.Core.Motifs;
using Cabida.Core.Wording;

namespace Cabida.Core.Pieces;

/// <summary>What is at fault with the same part in several pieces of a set, told once.</summary>
/// <param name="Finding">It, with the worst of its figures.</param>
/// <param name="Of">How many pieces were looked at.</param>
/// <param name="Pieces">The pieces that it is in, by their ids, the worst first.</param>
public sealed record SetFinding(Finding Finding, int Of, IReadOnlyList<string> Pieces);

/// <summary>Brings together what pieces of a set have in common.</summary>
public static class SetFindings
{
    private static readonly Dictionary<Rule, (string One, string Many)> Said = new()
    {
        [Rule.ThinStrokes] = ("is too thin", "are too thin"),
        [Rule.NarrowGaps] = ("has gaps too narrow", "have gaps too narrow"),
        [Rule.Specks] = ("has dots too small", "have dots too small"),
        [Rule.Counters] = ("has counters too small", "have counters too small"),
        [Rule.LooseParts] = ("has loose parts", "have loose parts"),
        [Rule.WideTies] = ("has ties wider than what they hold", "have ties wider than what they hold"),
        [Rule.DoubledCuts] = ("would be cut twice", "would be cut twice"),
        [Rule.CrossedCuts] = ("has outlines that meet in a point", "have outlines that meet in a point"),
    };

    /// <summary>The same rule and part in two pieces or more, the most serious first, then the heaviest.</summary>
    /// <param name="pieces">The pieces, checked.</param>
    public static IReadOnlyList<SetFinding> Of(IReadOnlyList<CheckedPiece> pieces)
    {
        ArgumentNullException.ThrowIfNull(pieces);
        return
        [
            .. pieces
                .SelectMany(p => p.Findings.Where(f => Said.ContainsKey(f.Rule) && f.Kept.Length == 0).Select(f => (Piece: p, Finding: f)))
                .GroupBy(f => (f.Finding.Rule, f.Finding.Side, f.Finding.Part))
                .Where(g => g.DistinctBy(f => f.Piece.Piece.Fit.Piece.Id).Skip(1).Any())
                .Select(g => Told([.. g.OrderByDescending(f => f.Finding.Weight)], pieces.Count))
                .OrderBy(f => f.Finding.Severity)
                .ThenByDescending(f => f.Finding.Weight),
        ];
    }

    private static SetFinding Told(List<(CheckedPiece Piece, Finding Finding)> found, int of)
    {
        var (worst, ids) = (found[0].Finding, found.ConvertAll(f => f.Piece.Piece.Fit.Piece.Id).Distinct(StringComparer.Ordinal).ToList());
        var names = found.Select(f => NameOf(f.Piece, f.Finding)).Distinct(StringComparer.Ordinal).Take(2).ToList();
        var said = Said[worst.Rule];
        var what = names.Count == 1 ? Phrase.Say($"{names[0]:strong} {said.One}") : Phrase.Say($"The names {said.Many}");
        var figures = worst is { Figure: { } figure, Limit: { } limit }
            ? Phrase.Say($": from {Length.Mm(figure):strong fine}, and the film bears {Length.Mm(limit):fine}")
            : Phrase.Empty;
        return new SetFinding(worst with { Message = Phrase.Say($"{what} in {ids.Count} of {of}{figures}."), Places = [] }, of, ids);
    }

    private static string NameOf(CheckedPiece piece, Finding finding)
    {
        var fit = finding.Side.Length == 0 ? piece.Piece.Fit : piece.Piece.Sides.First(s => s.Side.Side.Id == finding.Side).Fit;
        return PartPlaces.Named(fit.Parts.SelectMany(p => p.WithInner).FirstOrDefault(p => p.Part.Id == finding.Part));
    }
}
