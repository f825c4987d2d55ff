using Cabida.Core.Findings;
using Cabida.Core.Fitting;
using Cabida.Core.Geometry;
using Cabida.Core.Motifs;
using Cabida.Core.Stock;

namespace Cabida.Core.Checking;

/// <summary>The ink of one film as the checks see it.</summary>
/// <param name="Film">The film.</param>
/// <param name="Layer">Which sheet of it.</param>
/// <param name="Facts">What is known of its ink.</param>
public sealed record CheckedFilm(Film Film, FilmPly Layer, InkFacts Facts)
{
    /// <summary>What the film bears.</summary>
    public FilmLimits Limits => Facts.Limits;
}

/// <summary>A fitted piece, on one side, as the checks see it.</summary>
/// <param name="Fit">The piece.</param>
/// <param name="Films">The films it is cut from.</param>
public sealed record CheckedFit(PieceFit Fit, IReadOnlyList<CheckedFilm> Films)
{
    /// <summary>Everything that was noticed on it, most serious first.</summary>
    public IReadOnlyList<Finding> Findings { get; init; } = [];

    /// <summary>What cuts it; null where none is chosen.</summary>
    public Cutter? Cutter { get; init; }

    /// <summary>Its thinnest stroke and where it is; null where there is none.</summary>
    public (double Width, PlanePoint At)? Thinnest =>
        Films.Select(f => f.Facts.Thinnest).Where(t => t is not null).MinBy(t => t!.Value.Width);
}

/// <summary>A rule that looks at one piece.</summary>
public interface ICheck
{
    /// <summary>What it notices, most serious first.</summary>
    IEnumerable<Finding> Look(CheckedFit piece);
}

/// <summary>All checks. They read what was fitted and the facts of its ink; a fit that nobody looks at pays for none.</summary>
public static class Checks
{
    private static readonly IReadOnlyList<ICheck> All =
    [
        new OutsideZone(),
        new BeyondReach(),
        new LooseParts(),
        new FilmStrainCheck(),
        new ThinStrokes(),
        new NarrowGaps(),
        new Specks(),
        new SmallCounters(),
        new DoubledCuts(),
        new CrossedCuts(),
        new WideTies(),
    ];

    /// <summary>Of what is equally serious, what comes first.</summary>
    private static readonly List<Rule> Order =
    [
        Rule.NotWorkedOut,
        Rule.MissingCharacters,
        Rule.OtherFace,
        Rule.HeatOfGoods,
        Rule.StandsOnClear,
        Rule.OutsideZone,
        Rule.BeyondReach,
        Rule.LooseParts,
        Rule.OverrideLost,
        Rule.FormLacking,
        Rule.CrowdedRound,
        Rule.FilmStrain,
        Rule.SidesOverlap,
    ];

    /// <summary>A fitted piece with everything that is noticed on it.</summary>
    /// <param name="fit">The piece.</param>
    /// <param name="basis">What it was fitted on.</param>
    /// <param name="facts">Where facts are kept.</param>
    /// <param name="cutter">What cuts it; null where none is chosen.</param>
    public static CheckedFit Of(PieceFit fit, FitBasis basis, InkFactsCache facts, Cutter? cutter = null)
    {
        ArgumentNullException.ThrowIfNull(fit);
        ArgumentNullException.ThrowIfNull(basis);
        ArgumentNullException.ThrowIfNull(facts);
        return Looked(Unchecked(fit, basis, facts) with { Cutter = cutter });
    }

    /// <summary>The loose parts of a piece: what of its ink may stop it, without the cost of all other checks.</summary>
    public static IEnumerable<Finding> LoosePartsOf(PieceFit fit, FitBasis basis, InkFactsCache facts)
    {
        ArgumentNullException.ThrowIfNull(fit);
        ArgumentNullException.ThrowIfNull(basis);
        ArgumentNullException.ThrowIfNull(facts);
        return new LooseParts().Look(Unchecked(fit, basis, facts));
    }

    private static CheckedFit Unchecked(PieceFit fit, FitBasis basis, InkFactsCache facts)
    {
        CheckedFilm Checked(FilmInk ink, int number, Film film)
        {
            var onePiece = OnePiece.Is(ink.Film, fit.Parts);
            return new(film, ink.Film, facts.Of($"{fit.Hash} {number}", ink.Ink, FilmLimits.Of(film), onePiece));
        }

        return new CheckedFit(fit, [.. fit.Films.Select((f, i) => Checked(f, i, basis.FilmOf(f.Film.FilmId)))]);
    }

    /// <summary>A piece with what all checks notice on it.</summary>
    internal static CheckedFit Looked(CheckedFit piece) =>
        piece with
        {
            Findings = Sorted(piece.Fit.Noticed.Concat(All.SelectMany(c => c.Look(piece)))),
        };

    /// <summary>
    /// Findings, the most serious first; of those equally serious what has no weight in a set order, then the heaviest.
    /// </summary>
    public static IReadOnlyList<Finding> Sorted(IEnumerable<Finding> findings)
    {
        static int Place(Finding f) => Order.IndexOf(f.Rule) is >= 0 and var at ? at : Order.Count;
        return [.. findings.OrderBy(f => f.Severity).ThenBy(Place).ThenByDescending(f => f.Weight)];
    }
}
