using Cabida.Core.Checking;
using Cabida.Core.Findings;
using Cabida.Core.Fitting;
using Cabida.Core.Motifs;
using Cabida.Core.Runs;

namespace Cabida.Core.Remedies;

/// <summary>
/// The graphics of a motif as they would be cut, at the size that they get on its ground, before any run exists; what mends them changes
/// how the motif uses them, never the graphics themselves.
/// </summary>
public static class MotifRemedies
{
    /// <summary>What is at fault with graphics, the most serious first, each with what would mend it in the motif.</summary>
    /// <param name="basis">The motif on its ground.</param>
    /// <param name="name">The name that it is seen with.</param>
    /// <param name="terms">What they are worked out with.</param>
    public static IReadOnlyList<Finding> Of(FitBasis basis, string name, MendTerms terms)
    {
        ArgumentNullException.ThrowIfNull(basis);
        ArgumentNullException.ThrowIfNull(terms);
        var graphics = basis.Motif.AllParts.OfType<GraphicPart>().Select(p => p.Id).ToHashSet(StringComparer.Ordinal);
        if (graphics.Count == 0)
        {
            return [];
        }

        var piece = new Piece("sample", name);
        var fit = PieceFit.Of(piece, basis);
        return
        [
            .. Checks
                .Of(fit, basis, terms.Facts)
                .Findings.Where(f => graphics.Contains(f.Part))
                .Concat(OpenIn(basis, fit.Scale))
                .Select(f =>
                {
                    var @case = new MendCase(piece, fit, basis, f, terms);
                    return f with
                    {
                        Remedies =
                        [
                            .. PieceRemedies
                                .All.Where(m => m is not Enlarging)
                                .SelectMany(m => m.Of(@case))
                                .Where(r => r.Refused is not null || r.Change is MotifMend),
                        ],
                    };
                }),
        ];
    }

    private static IEnumerable<Finding> OpenIn(FitBasis basis, double scale) =>
        basis
            .Motif.AllParts.OfType<GraphicPart>()
            .Select(p => basis.AtHand.Graphics.Find(p.OutlinesId) is { } outlines ? OpenCuts.Look(p, outlines, scale) : null)
            .OfType<Finding>();
}
