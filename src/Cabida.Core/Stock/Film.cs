using System.ComponentModel.DataAnnotations;
using Cabida.Core.Blanks;
using Cabida.Core.Documents;
using Cabida.Core.Measures;

namespace Cabida.Core.Stock;

/// <summary>What a film is for once it is cut.</summary>
public enum FilmPurpose
{
    /// <summary>It stays on the goods.</summary>
    Stays,

    /// <summary>A mask: painted over and pulled off.</summary>
    PulledOff,

    /// <summary>A stencil that is used again.</summary>
    Loose,
}

/// <summary>How a film is cut, in the words and numbers of the maker's own cutter.</summary>
/// <param name="Blade">The blade.</param>
/// <param name="Depth">How far it stands out.</param>
/// <param name="Pressure">The pressure.</param>
/// <param name="Speed">The speed.</param>
/// <param name="Passes">How many passes, as typed.</param>
public sealed record CutSettings(string Blade, string Depth, string Pressure, string Speed, string Passes);

/// <summary>The cut material of a part.</summary>
/// <param name="Name">What it is called.</param>
/// <param name="Colour">Its colour as <c>#rrggbb</c>.</param>
/// <param name="Purpose">What it is for.</param>
/// <param name="Mirrored">Whether it is cut from the back and so mirrored.</param>
/// <param name="ThinnestStroke">The thinnest stroke that weeds cleanly; empty for what is usual of its material.</param>
/// <param name="Width">The width of a sheet of it.</param>
/// <param name="Length">The length of a sheet of it.</param>
/// <param name="Settings">How it is cut.</param>
/// <param name="Note">How it is applied, and anything else worth remembering.</param>
public sealed record Film(
    [property: MaxLength(DocumentGate.LongestName)] string Name,
    [property: MaxLength(40)] string Colour,
    FilmPurpose Purpose,
    bool Mirrored,
    TypedLength ThinnestStroke,
    TypedLength Width,
    TypedLength Length,
    CutSettings Settings,
    string Note = ""
)
{
    /// <summary>What it is, which decides how much it gives.</summary>
    public FilmMaterial Material { get; init; }

    /// <summary>The narrowest gap between cuts whose waste still comes out; empty for the usual.</summary>
    public TypedLength NarrowestGap { get; init; } = TypedLength.Empty;

    /// <summary>How large across a dot or counter must be at least; empty for the usual.</summary>
    public TypedLength SmallestAcross { get; init; } = TypedLength.Empty;

    /// <summary>Which area a dot or counter must have at least, as typed; empty for the usual.</summary>
    [MaxLength(TypedLength.MostLetters)]
    public string SmallestArea { get; init; } = "";

    /// <summary>How wide a tie is made; empty for the usual.</summary>
    public TypedLength TieWidth { get; init; } = TypedLength.Empty;

    /// <summary>How far off the hand may lay it, with two standard deviations; empty for the usual.</summary>
    public TypedLength LaidWithin { get; init; } = TypedLength.Empty;

    /// <summary>How far off a hand usually lays film on a line; millimetres, the product's own default.</summary>
    public const double UsualLaidWithin = 0.5;

    /// <summary>How far off it may be laid, in millimetres; what cannot be read is the usual.</summary>
    [System.Text.Json.Serialization.JsonIgnore]
    public double LaidWithinOr => LaidWithin.Read(LengthRange.Uncertainty).ValueOrDefault?.Value.Millimetres ?? UsualLaidWithin;

    /// <summary>It with no limit typed but its thinnest stroke: what the others would be.</summary>
    public Film WithUsualLimits() =>
        this with
        {
            NarrowestGap = TypedLength.Empty,
            SmallestAcross = TypedLength.Empty,
            SmallestArea = "",
            TieWidth = TypedLength.Empty,
        };

    /// <summary>Its pattern; none for a plain film.</summary>
    public FilmPattern Pattern { get; init; }

    /// <summary>The colour its pattern is drawn in, as <c>#rrggbb</c>; empty for none.</summary>
    public string PatternColour { get; init; } = "";

    /// <summary>How pieces of it may be turned.</summary>
    public FilmDirection Direction { get; init; }

    /// <summary>What it needs of a press and bears of it.</summary>
    public HeatPlan Heat { get; init; } = HeatPlan.None;

    /// <summary>Whether it is pressed on: a film of the kind, or one with a heat plan, that stays.</summary>
    [System.Text.Json.Serialization.JsonIgnore]
    public bool IsPressed => Purpose == FilmPurpose.Stays && (Material == FilmMaterial.HeatTransfer || !Heat.IsNone);

    /// <summary>How much it may stretch and gather before it shows: the product's own defaults for its material.</summary>
    [System.Text.Json.Serialization.JsonIgnore]
    public StrainLimits Gives =>
        Material is FilmMaterial.Vinyl or FilmMaterial.HeatTransfer ? new StrainLimits(0.03, 0.005) : new StrainLimits(0.003, 0.001);
}

/// <summary>How pieces of a film may be turned when they are laid out.</summary>
public enum FilmDirection
{
    /// <summary>By quarters: it looks the same either way.</summary>
    Quarters,

    /// <summary>By any angle.</summary>
    Any,

    /// <summary>Not at all: it is patterned or brushed.</summary>
    OneWay,
}

/// <summary>The patterns that ship with the application, for films that are printed.</summary>
public enum FilmPattern
{
    /// <summary>Plain.</summary>
    None,

    /// <summary>Slanting stripes.</summary>
    Stripes,

    /// <summary>Dots.</summary>
    Dots,

    /// <summary>Squares that meet at their corners.</summary>
    Check,

    /// <summary>Small leaves.</summary>
    Leaves,

    /// <summary>Rows of bricks.</summary>
    Bricks,

    /// <summary>Scattered chips.</summary>
    Chips,

    /// <summary>Waves.</summary>
    Waves,
}

/// <summary>What a film is.</summary>
public enum FilmMaterial
{
    /// <summary>Self-adhesive vinyl.</summary>
    Vinyl,

    /// <summary>Film that is pressed on with heat.</summary>
    HeatTransfer,

    /// <summary>Card or paper.</summary>
    Card,

    /// <summary>Stiff sheet.</summary>
    Sheet,
}
