using Cabida.Core.Checking;
using Cabida.Core.Findings;
using Cabida.Core.Fitting;
using Cabida.Core.Motifs;
using Cabida.Core.Pieces;
using Cabida.Core.Runs;
using Cabida.Core.Stock;
using Cabida.Core.Wording;

namespace Cabida.Core.Remedies;

/// <summary>A finding of a piece that is to be mended, with all that is known of it.</summary>
internal sealed class MendCase
{
    private readonly MendTerms terms;
    private readonly Cutter? cutter;

    /// <summary>A finding of a piece on one side of a run.</summary>
    /// <param name="run">A run that lacks nothing.</param>
    /// <param name="piece">The piece.</param>
    /// <param name="finding">The finding, with the layer and the part that it is about.</param>
    /// <param name="terms">What it is worked out with.</param>
    /// <param name="largestForAll">The largest letter height at which all of its set fit; null where that is not asked for.</param>
    public static MendCase InRun(ReadRun run, FittedPiece piece, Finding finding, MendTerms terms, double? largestForAll = null)
    {
        var side = piece.Sides.FirstOrDefault(s => s.Side.Side.Id == finding.Side);
        var own = piece.Fit.Piece;
        return new MendCase(
            side is null ? own : own with { Own = own.OwnOn(finding.Side) },
            side?.Fit ?? piece.Fit,
            side?.Side.Basis ?? run.SurfaceOf(own).Basis with { EqualScale = terms.EqualScale },
            finding,
            terms,
            run.Cutter
        )
        {
            Sizing = run.Run.SetUp.Sizing,
            LargestForAll = largestForAll,
        };
    }

    /// <summary>A finding of a piece, as it stands on one side.</summary>
    /// <param name="piece">The piece, with what is set by hand for it on this side.</param>
    /// <param name="fit">It, fitted.</param>
    /// <param name="basis">What it is fitted on.</param>
    /// <param name="finding">The finding.</param>
    /// <param name="terms">What it is worked out with.</param>
    /// <param name="cutter">What cuts it; null where none is chosen.</param>
    public MendCase(Piece piece, PieceFit fit, FitBasis basis, Finding finding, MendTerms terms, Cutter? cutter = null)
    {
        (Piece, Fit, Basis, Finding, this.terms, this.cutter) = (piece, fit, basis, finding, terms, cutter);
        Checked = Checks.Of(fit, basis, terms.Facts, cutter);
        Film = Checked.Films.FirstOrDefault(f => $"{f.Layer}" == finding.Layer);
        // A name on two lines is a group of the line's own id; it is its lines that are mended.
        Placed = Fit
            .Parts.SelectMany(p => p.WithInner)
            .Where(p => p.Part.Id == finding.Part)
            .OrderBy(p => p.Part is GroupPart)
            .FirstOrDefault();
    }

    /// <summary>The largest letter height at which every piece of its set fits; null where they share none.</summary>
    public double? LargestForAll { get; init; }

    /// <summary>How pieces are sized.</summary>
    public Sizing Sizing { get; init; } = Sizing.EachLargest;

    /// <summary>The piece, with what is set by hand for it on this side.</summary>
    public Piece Piece { get; }

    /// <summary>What is to be mended.</summary>
    public Finding Finding { get; }

    /// <summary>The piece on the side that it is about.</summary>
    public PieceFit Fit { get; }

    /// <summary>What that side is fitted on.</summary>
    public FitBasis Basis { get; }

    /// <summary>It, checked.</summary>
    public CheckedFit Checked { get; }

    /// <summary>The film that it is about; null where it is none.</summary>
    public CheckedFilm? Film { get; }

    /// <summary>The part in place, with what was changed of it for this piece; null where none is named.</summary>
    public PlacedPart? Placed { get; }

    /// <summary>What is set by hand for the piece on this side.</summary>
    public Overrides Own => Piece.Own;

    /// <summary>Whether the film is a stencil, whose ink is the hole.</summary>
    public bool IsStencil => Film?.Limits.Purpose == FilmPurpose.Loose;

    /// <summary>Those of a film's places that lie in the part.</summary>
    public IReadOnlyList<T> InPart<T>(IReadOnlyList<T> places, Func<T, Geometry.PlanePoint> at) =>
        Film is null ? [] : PartPlaces.Of(Fit.Parts, Film.Layer, places, at).FirstOrDefault(p => p.Id == Finding.Part)?.Places ?? [];

    /// <summary>The piece fitted and checked again with other things set by hand.</summary>
    public CheckedFit Tried(Func<Overrides, Overrides> change) =>
        Checks.Of(PieceFit.Of(Piece with { Own = change(Own) }, Basis), Basis, terms.Facts, cutter);

    /// <summary>Facts of ink that is looked at by itself.</summary>
    /// <param name="hash">Tells the ink apart from any other.</param>
    /// <param name="ink">The ink; millimetres.</param>
    /// <param name="limits">What its film bears.</param>
    public InkFacts FactsOf(string hash, NetTopologySuite.Geometries.Geometry ink, FilmLimits limits) => terms.Facts.Of(hash, ink, limits);

    /// <summary>Whether a piece as it was tried is rid of the finding.</summary>
    public bool IsMended(CheckedFit tried) => !tried.Findings.Any(f => f.Rule == Finding.Rule && f.Part == Finding.Part);

    /// <summary>The figure of the finding that is left in a piece as it was tried; null where none is.</summary>
    public double? FigureIn(CheckedFit tried) =>
        tried.Findings.FirstOrDefault(f => f.Rule == Finding.Rule && f.Part == Finding.Part)?.Figure;

    /// <summary>What a change would do to the piece.</summary>
    public RemedyEffect EffectOf(CheckedFit tried) => new(FiguresOf(Checked), FiguresOf(tried), WorseIn(tried));

    /// <summary>The heaviest of what would be worse than it is, in words; null for nothing.</summary>
    public Phrase? WorseIn(CheckedFit tried)
    {
        double Now(Finding of) =>
            Checked.Findings.Where(f => f.Rule == of.Rule && f.Part == of.Part).Select(f => f.Weight).DefaultIfEmpty(-1).Max();
        const double Same = 0.01;
        return tried
            .Findings.Where(f => f.Severity != Severity.Told && (f.Rule != Finding.Rule || f.Part != Finding.Part))
            .FirstOrDefault(f => f.Weight > Now(f) + Same)
            ?.Message;
    }

    /// <summary>The figures that are looked at when a piece is mended.</summary>
    private PieceFigures FiguresOf(CheckedFit piece) =>
        new(piece.Fit.Cautious?.Least, piece.Fit.LetterHeight, piece.Thinnest?.Width, terms.Weeding.MinutesOf(piece));
}
