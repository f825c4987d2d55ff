namespace Cabida.Core.Findings;

/// <summary>What is looked for in a piece.</summary>
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
