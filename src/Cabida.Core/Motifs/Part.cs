using System.ComponentModel.DataAnnotations;
using System.Text.Json.Serialization;

namespace Cabida.Core.Motifs;

/// <summary>Where a part stands.</summary>
public enum PartPlace
{
    /// <summary>In a row of its own, below.</summary>
    Below,

    /// <summary>In the same row, to the right.</summary>
    Beside,

    /// <summary>At the ground or at another part, as its anchor says.</summary>
    Anchored,
}

/// <summary>What a part does to the parts before it, on its own film and ply or on others, too (<see cref="ActsOn"/>).</summary>
public enum PartAction
{
    /// <summary>Joins them.</summary>
    Adds,

    /// <summary>Takes its ink out of them, and leaves none itself.</summary>
    CutsThrough,

    /// <summary>Takes its ink and a clearance all round out of them, and stands in the clearing.</summary>
    ClearsAround,

    /// <summary>Keeps of them only what lies inside it.</summary>
    Confines,
}

/// <summary>Which films a part that takes away acts on.</summary>
public enum ActsOn
{
    /// <summary>Its own film and ply.</summary>
    Own,

    /// <summary>All films, as a drill goes through all that lies there; backings made of what it cuts have it, too.</summary>
    All,

    /// <summary>The films chosen.</summary>
    Chosen,
}

/// <summary>Where one extent of a part stands to another extent: across from the left, up from the bottom.</summary>
public enum Stand
{
    /// <summary>Outside, before its start: left of it, or below it.</summary>
    Before,

    /// <summary>Inside, at its start.</summary>
    Start,

    /// <summary>Middle on middle.</summary>
    Middle,

    /// <summary>Inside, at its end.</summary>
    End,

    /// <summary>Outside, after its end: right of it, or above it.</summary>
    After,
}

/// <summary>What a part that is anchored stands at, by ink.</summary>
/// <param name="To">The id of another part, <see cref="Ground"/> or <see cref="Stack"/>.</param>
/// <param name="Across">Where from side to side.</param>
/// <param name="Up">Where from bottom to top.</param>
/// <param name="Right">Moved to the right by so much; negative to the left.</param>
/// <param name="Raised">Moved up by so much; negative down.</param>
public sealed record Anchor(string To, Stand Across, Stand Up, MotifLength Right, MotifLength Raised)
{
    /// <summary>
    /// Whether the middle of what is round is that of the box of its ink, too. By itself round lettering, a ring of copies or a round
    /// shape has the middle of its circle, so that round things are concentric whatever letters or copies they hold.
    /// </summary>
    public bool ByInk { get; init; }

    /// <summary>The zone, or the reference size, that the motif is composed against.</summary>
    public const string Ground = "ground";

    /// <summary>All that is stacked.</summary>
    public const string Stack = "stack";

    /// <summary>In the middle of what is stacked.</summary>
    public static Anchor OnStack { get; } = new(Stack, Stand.Middle, Stand.Middle, MotifLength.Scales(0), MotifLength.Scales(0));
}

/// <summary>How far a part was nudged from where it would stand; what stands around it stays.</summary>
/// <param name="Right">To the right; negative to the left.</param>
/// <param name="Up">Up; negative down.</param>
public sealed record Nudge(MotifLength Right, MotifLength Up)
{
    /// <summary>Not at all.</summary>
    public static Nudge None { get; } = new(MotifLength.Scales(0), MotifLength.Scales(0));
}

/// <summary>One element of a motif.</summary>
/// <param name="Id">A name for it that does not change while it is edited.</param>
/// <param name="Place">Where it stands.</param>
/// <param name="Gap">Ink to ink: below the row before, or right of the part before.</param>
[JsonPolymorphic(TypeDiscriminatorPropertyName = "kind")]
[JsonDerivedType(typeof(LetteringPart), "lettering")]
[JsonDerivedType(typeof(RulePart), "rule")]
[JsonDerivedType(typeof(ShapePart), "shape")]
[JsonDerivedType(typeof(GraphicPart), "graphic")]
[JsonDerivedType(typeof(BackingPart), "backing")]
[JsonDerivedType(typeof(GroupPart), "group")]
[JsonDerivedType(typeof(MatPart), "mat")]
public abstract record Part(string Id, PartPlace Place, MotifLength Gap)
{
    /// <summary>What the maker calls it; empty for what it is.</summary>
    public string Label { get; init; } = "";

    /// <summary>What tells it apart from all others of a composition.</summary>
    internal virtual PartKey Key => new(Id);

    /// <summary>What it stands at, when it is anchored.</summary>
    public Anchor Anchor { get; init; } = Anchor.OnStack;

    /// <summary>How far it was nudged.</summary>
    public Nudge Nudge { get; init; } = Nudge.None;

    /// <summary>What it does to the parts before it.</summary>
    public PartAction Action { get; init; }

    /// <summary>Which films it acts on, where it takes away; what it adds stands in its own.</summary>
    public ActsOn ActsOn { get; init; }

    /// <summary>The films and plies chosen.</summary>
    public IReadOnlyList<FilmPly> ActsOnFilms { get; init; } = [];

    /// <summary>The clearance where it clears around.</summary>
    public MotifLength Clearance { get; init; } = MotifLength.Stays(1);

    /// <summary>The film it is cut from; empty for the one the run chooses.</summary>
    public string FilmId { get; init; } = "";

    /// <summary>Which sheet of that film, where several lie over one another; from 1.</summary>
    [Range(-1000, 1000)]
    public int Ply { get; init; } = 1;

    /// <summary>How far it is turned to the left, in degrees.</summary>
    [Range(-36_000.0, 36_000.0)]
    public double Turn { get; init; }

    /// <summary>
    /// Whether the layer of film that it is cut from has to hang together when it is cut: a hung tag, a layer of card, lettering in an
    /// opening. A mat always has to.
    /// </summary>
    public bool OnePiece { get; init; }

    /// <summary>Whether that layer is held together by ties, as far as parts of it hang on nothing.</summary>
    public bool Tied { get; init; }

    /// <summary>What is done to its ink so that it can be cut; lettering and graphics alone.</summary>
    public InkMending Mending { get; init; } = InkMending.None;

    /// <summary>Whether left and right are exchanged, before it is turned.</summary>
    public bool Flipped { get; init; }

    /// <summary>Whether it takes away from films, and which: one that only adds acts on none.</summary>
    internal bool TakesFrom(FilmPly film) =>
        this is not (BackingPart or MatPart)
        && Action != PartAction.Adds
        && ActsOn switch
        {
            ActsOn.All => true,
            ActsOn.Chosen => ActsOnFilms.Contains(film),
            _ => film == new FilmPly(FilmId, Ply),
        };

    /// <summary>What of it is its middle where rows are centred on one another.</summary>
    public Centring Centring { get; init; }
}

/// <summary>How long a rule is.</summary>
public enum RuleSpan
{
    /// <summary>As long as typed.</summary>
    Given,

    /// <summary>As long as makes its row as wide as the widest other row; rules in one row share what there is.</summary>
    FillsRow,
}

/// <summary>A horizontal bar; beside lettering it stands at half the height of its capitals.</summary>
/// <param name="Id">A name for it that does not change while it is edited.</param>
/// <param name="Place">Where it stands to the part before.</param>
/// <param name="Gap">Ink to ink distance from what comes before.</param>
/// <param name="Span">How its length is found.</param>
/// <param name="Length">Its length, where given; its least length, where it fills.</param>
/// <param name="Thickness">Its thickness.</param>
public sealed record RulePart(string Id, PartPlace Place, MotifLength Gap, RuleSpan Span, MotifLength Length, MotifLength Thickness)
    : Part(Id, Place, Gap);

/// <summary>A backing grown from other parts, on a film of its own; it lies where they lie.</summary>
/// <param name="Id">A name for it that does not change while it is edited.</param>
/// <param name="Place">Not used: it lies under the parts it is grown from.</param>
/// <param name="Gap">Not used.</param>
/// <param name="Of">The ids of the parts it is grown from; empty for all that come before it.</param>
/// <param name="By">How far it reaches beyond them.</param>
/// <param name="Solid">Whether its holes are filled.</param>
public sealed record BackingPart(string Id, PartPlace Place, MotifLength Gap, IReadOnlyList<string> Of, MotifLength By, bool Solid)
    : Part(Id, Place, Gap);

/// <summary>
/// One mat of a set, from the frame of the ground: its outside and its opening. Without a frame it has no ink.
/// </summary>
/// <param name="Id">A name for it that does not change while it is edited.</param>
/// <param name="Place">Not used: a mat lies where the frame holds it.</param>
/// <param name="Gap">Not used.</param>
/// <param name="Index">Which mat, 1 for the top one; it is cut from that ply.</param>
public sealed record MatPart(string Id, PartPlace Place, MotifLength Gap, int Index) : Part(Id, Place, Gap);
