using Cabida.Core.Findings;
using Cabida.Core.Fitting;
using Cabida.Core.Motifs;
using Cabida.Core.Runs;

namespace Cabida.Core.Checking;

/// <summary>One name in one typeface, at the size it would get.</summary>
/// <param name="Name">The name.</param>
/// <param name="Piece">The piece, checked.</param>
/// <param name="Minutes">How many minutes weeding it takes.</param>
public sealed record TriedName(string Name, CheckedFit Piece, double Minutes)
{
    /// <summary>The piece, fitted.</summary>
    public PieceFit Fit => Piece.Fit;

    /// <summary>Its smallest counter, in square millimetres; null when there is none.</summary>
    public double? SmallestCounter => Piece.Films.Min(f => f.Facts.Weeding.SmallestCounter);
}

/// <summary>A typeface tried on names.</summary>
/// <param name="TypefaceId">The face.</param>
/// <param name="Names">Each name in it.</param>
public sealed record TriedFace(string TypefaceId, IReadOnlyList<TriedName> Names)
{
    /// <summary>The least letter height of the names.</summary>
    public double LetterHeight => Names.Count == 0 ? 0 : Names.Min(n => n.Fit.LetterHeight);

    /// <summary>The thinnest stroke of all; null when none has ink.</summary>
    public double? ThinnestStroke => Names.Select(n => n.Piece.Thinnest?.Width).Where(w => w is not null).DefaultIfEmpty(null).Min();

    /// <summary>The smallest counter of all, in square millimetres; null when there is none.</summary>
    public double? SmallestCounter => Names.Min(n => n.SmallestCounter);

    /// <summary>Minutes of weeding for all.</summary>
    public double Minutes => Names.Sum(n => n.Minutes);

    /// <summary>Findings of all.</summary>
    public int Findings => Names.Sum(n => n.Piece.Findings.Count);

    /// <summary>How many of them stop a piece.</summary>
    public int Stops => Names.Sum(n => n.Piece.Findings.Count(f => f.Severity == Severity.Stop));
}

/// <summary>Tries a typeface on the real words of a motif.</summary>
public static class TypeTrial
{
    /// <summary>The motif with one line in another face, fitted with each name.</summary>
    /// <param name="basis">The zone and film, and the motif.</param>
    /// <param name="partId">The line.</param>
    /// <param name="typefaceId">The face.</param>
    /// <param name="names">The names.</param>
    /// <param name="facts">Where facts of ink are kept.</param>
    /// <param name="weeding">How long weeding takes.</param>
    public static TriedFace Of(
        FitBasis basis,
        string partId,
        string typefaceId,
        IReadOnlyList<string> names,
        InkFactsCache facts,
        WeedingEstimate weeding
    )
    {
        ArgumentNullException.ThrowIfNull(basis);
        ArgumentNullException.ThrowIfNull(names);
        ArgumentNullException.ThrowIfNull(weeding);
        var tried = basis with { Motif = basis.Motif with { Parts = [.. basis.Motif.Parts.Select(p => InFace(p, partId, typefaceId))] } };
        return new TriedFace(
            typefaceId,
            [
                .. names.Select(n =>
                {
                    var fit = PieceFit.Of(new Piece(n, n), tried);
                    var piece = Checks.Of(fit, tried, facts);
                    return new TriedName(n, piece, weeding.MinutesOf(piece));
                }),
            ]
        );
    }

    private static Part InFace(Part part, string partId, string typefaceId) =>
        part switch
        {
            LetteringPart l when l.Id == partId => l with { TypefaceId = typefaceId },
            GroupPart g => g with { Parts = [.. g.Parts.Select(p => InFace(p, partId, typefaceId))] },
            _ => part,
        };
}
