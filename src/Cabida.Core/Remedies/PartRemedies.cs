using System.Security.Cryptography;
using System.Text;
using Cabida.Core.Checking;
using Cabida.Core.Findings;
using Cabida.Core.Fitting;
using Cabida.Core.Motifs;
using Cabida.Core.Wording;

namespace Cabida.Core.Remedies;

/// <summary>Remedies that change a part, in one piece or in the motif.</summary>
internal static class PartRemedies
{
    /// <summary>A change of a part as a remedy of the piece and one of the motif.</summary>
    /// <param name="case">What is mended.</param>
    /// <param name="kind">A word that tells the kind of remedy apart.</param>
    /// <param name="mend">The change.</param>
    /// <param name="words">It in words.</param>
    /// <param name="tried">The piece with it.</param>
    public static IEnumerable<Remedy> Offered(MendCase @case, string kind, PartMend mend, Phrase words, CheckedFit tried)
    {
        var effect = @case.EffectOf(tried);
        var (piece, side) = (@case.Piece.Id, @case.Finding.Side);
        yield return new Remedy($"piece {kind} {piece} {side} {Key(mend)}", words)
        {
            Scope = RemedyScope.Piece,
            Effect = effect,
            Change = new PiecesChange(piece, side, own => own.With(mend)),
        };
        yield return new Remedy($"motif {kind} {side} {Key(mend)}", words)
        {
            Scope = RemedyScope.Motif,
            Effect = effect,
            Change = new MotifMend(side, mend),
        };
    }

    /// <summary>Tells apart changes that could differ.</summary>
    public static string Key(PartMend mend) =>
        $"{mend.PartId} {Convert.ToHexStringLower(SHA256.HashData(Encoding.UTF8.GetBytes(mend.ToString())).AsSpan(0, 8))}";

    /// <summary>A change of a part, tried on the piece: offered where it mends, and refused where it does not.</summary>
    public static IEnumerable<Remedy> Tried(MendCase @case, string kind, PartMend mend, Phrase words)
    {
        var tried = @case.Tried(own => own.With(mend));
        return WhyNot(@case, tried) is { } why ? [Refused(@case, kind, words, why)] : Offered(@case, kind, mend, words, tried);
    }

    /// <summary>Why a piece as it was tried is none; null where it is.</summary>
    public static Phrase? WhyNot(MendCase @case, CheckedFit tried) =>
        tried.Fit.State == FitState.NotSet ? Phrase.Say($"nothing would be left of it.")
        : tried.Fit.State == FitState.Over && @case.Fit.State != FitState.Over ? Phrase.Say($"it would stand out of its zone.")
        : !@case.IsMended(tried)
            ? @case.FigureIn(tried) is { } left ? Phrase.Say($"{Measures.Length.Mm(left):fine} would be left.")
                : Phrase.Say($"it would be there all the same.")
        : null;

    /// <summary>A remedy that cannot work here.</summary>
    public static Remedy Refused(MendCase @case, string kind, Phrase words, Phrase why) =>
        new($"refused {kind} {@case.Finding.Side} {@case.Finding.Part}", words) { Refused = why };
}
