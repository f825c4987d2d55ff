namespace Cabida.Core.Findings;

/// <summary>What is looked for.</summary>
public enum Rule
{
    /// <summary>Characters that a typeface lacks.</summary>
    MissingCharacters,

    /// <summary>Ink outside its zone.</summary>
    OutsideZone,

    /// <summary>Strokes thinner than the film bears.</summary>
    ThinStrokes,

    /// <summary>Gaps narrower than the film bears.</summary>
    NarrowGaps,

    /// <summary>Separate parts smaller than the film bears.</summary>
    Specks,

    /// <summary>Holes of the ink smaller than the film bears.</summary>
    Counters,

    /// <summary>Parts that nothing holds, where they would fall out.</summary>
    LooseParts,

    /// <summary>Ties as wide as what they hold.</summary>
    WideTies,

    /// <summary>Outlines that would be cut twice.</summary>
    DoubledCuts,

    /// <summary>Outlines that meet in a point, as those that cross do.</summary>
    CrossedCuts,

    /// <summary>Outlines of a graphic that do not close.</summary>
    OpenCuts,

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

    /// <summary>What was typed and cannot be used.</summary>
    Unusable,

    /// <summary>What is lacking before anything can be made.</summary>
    Lacking,

    /// <summary>A reading of a blank that was not taken yet.</summary>
    Unread,

    /// <summary>Readings of a blank that cannot be, do not agree, or rest on something that wants looking at.</summary>
    Readings,

    /// <summary>A line of a list that makes no piece, may be a mistake, or was cleaned.</summary>
    ListLine,

    /// <summary>An order, or a line of one, that cannot be taken as it stands or wants looking at.</summary>
    OrderLine,

    /// <summary>A line that runs both from left to right and from right to left.</summary>
    MixedDirection,

    /// <summary>A field that nothing fills.</summary>
    FieldUnfilled,

    /// <summary>Lettering that is widened or heightened.</summary>
    Stretched,

    /// <summary>Lettering that is strengthened, and how far it may be.</summary>
    Strengthened,

    /// <summary>Copies of a group: how many found room, and how they meet.</summary>
    Repeated,

    /// <summary>A length that is kept at what the part's other lengths allow.</summary>
    KeptBack,

    /// <summary>A part that should take something from a ground that does not have it.</summary>
    GroundLacking,

    /// <summary>A film hard to read on what lies behind it.</summary>
    Contrast,

    /// <summary>A piece larger than the cutter reaches.</summary>
    BeyondReach,
}
