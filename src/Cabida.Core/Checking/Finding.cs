using Cabida.Core.Fitting;
using Cabida.Core.Geometry;
using Cabida.Core.Motifs;
using Cabida.Core.Stock;
using Cabida.Core.Wording;

namespace Cabida.Core.Checking;

/// <summary>What a check looks for.</summary>
public enum Rule
{
    /// <summary>Characters that a typeface lacks.</summary>
    MissingCharacters,

    /// <summary>Ink outside its zone.</summary>
    OutsideZone,

    /// <summary>Strokes thinner than the film bears.</summary>
    ThinStrokes,

    /// <summary>Film that would have to stretch or gather more than it gives.</summary>
    FilmStrain,

    /// <summary>Something set by hand for one piece that no longer applies.</summary>
    OverrideLost,

    /// <summary>Sides of one piece on one another.</summary>
    SidesOverlap,

    /// <summary>Ink that cannot stand where it is to stand: a hole, a notch or a place kept clear is there.</summary>
    StandsOnClear,

    /// <summary>A film pressed hotter than the goods stand.</summary>
    HeatOfGoods,

    /// <summary>Words in another face, since the one chosen lacks letters of them.</summary>
    OtherFace,

    /// <summary>A letter without the form that was chosen for it.</summary>
    FormLacking,

    /// <summary>A line that is longer than its circle, or letters of it on one another.</summary>
    CrowdedRound,

    /// <summary>A piece that cannot be worked out at all.</summary>
    NotWorkedOut,
}

/// <summary>How serious a finding is.</summary>
public enum Severity
{
    /// <summary>The piece would be wrong.</summary>
    Stop,

    /// <summary>The piece can be made, but wants looking at.</summary>
    Look,
}

/// <summary>Something a check noticed.</summary>
/// <param name="Rule">What was looked for.</param>
/// <param name="Severity">How serious it is.</param>
/// <param name="Place">Where, in the zone's coordinates; null when it has no one place.</param>
/// <param name="Figure">What was found, in millimetres, when it is a length.</param>
/// <param name="Limit">What is allowed, in millimetres, when it is a length.</param>
/// <param name="Message">It in words.</param>
public sealed record Finding(Rule Rule, Severity Severity, PlanePoint? Place, double? Figure, double? Limit, Phrase Message)
{
    /// <summary>On which side of the piece; the first has no id.</summary>
    public string Side { get; init; } = "";
}

/// <summary>The ink of one film as the checks see it.</summary>
/// <param name="Film">The film.</param>
/// <param name="Thin">What of its ink is thinner than the film bears.</param>
public sealed record CheckedFilm(Film Film, IReadOnlyList<ThinPart> Thin);

/// <summary>A set piece as the checks see it.</summary>
/// <param name="Name">The piece's name.</param>
/// <param name="Composition">Its lines.</param>
/// <param name="Parts">Its parts in the zone's coordinates.</param>
/// <param name="Ink">Its ink in the zone's coordinates.</param>
/// <param name="Cautious">Its room in the cautious zone; null without ink.</param>
/// <param name="Nominal">Its room in the nominal zone; null without ink.</param>
/// <param name="Films">The films it is cut from.</param>
/// <param name="Strain">How much the film must stretch and gather on a bellied wall, as shares; null elsewhere.</param>
public sealed record CheckedPiece(
    string Name,
    Composition Composition,
    IReadOnlyList<PlacedPart> Parts,
    NetTopologySuite.Geometries.Geometry Ink,
    Rooms? Cautious,
    Rooms? Nominal,
    IReadOnlyList<CheckedFilm> Films,
    (double Stretch, double Gather)? Strain = null
)
{
    /// <summary>What was set by hand and no longer applies.</summary>
    public IReadOnlyList<Phrase> Lost { get; init; } = [];

    /// <summary>What the goods are made of; null where that is not known.</summary>
    public Blanks.Material? Material { get; init; }
}

/// <summary>A rule that looks at one piece.</summary>
public interface ICheck
{
    /// <summary>What it notices, most serious first.</summary>
    IEnumerable<Finding> Look(CheckedPiece piece);
}

/// <summary>All checks, in the order in which their findings are shown.</summary>
public static class Checks
{
    private static readonly IReadOnlyList<ICheck> All =
    [
        new MissingCharacters(),
        new OtherFace(),
        new HeatOfGoods(),
        new OutsideZone(),
        new LostOverrides(),
        new LackingForms(),
        new CrowdedRound(),
        new FilmStrainCheck(),
        new ThinStrokes(),
    ];

    /// <summary>Everything the checks notice on a piece, most serious first.</summary>
    public static IReadOnlyList<Finding> Of(CheckedPiece piece) => [.. All.SelectMany(c => c.Look(piece)).OrderBy(f => f.Severity)];
}
