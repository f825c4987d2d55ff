using System.ComponentModel.DataAnnotations;
using Cabida.Core.Documents;
using Cabida.Core.Measures;
using Cabida.Core.Motifs;
using Cabida.Core.Stock;

namespace Cabida.Core.Runs;

/// <summary>What a run is set up with: one motif on one zone of one blank, a film, a cutter, and how its pieces are made.</summary>
/// <param name="Name">What the run is called.</param>
/// <param name="JobId">The job it belongs to.</param>
/// <param name="Blank">The blank; null until chosen.</param>
/// <param name="Motif">The motif; null until chosen.</param>
/// <param name="Film">The film; null until chosen.</param>
/// <param name="Cutter">The cutter; null until chosen.</param>
/// <param name="Sizing">How its pieces are sized.</param>
/// <param name="LetterHeight">The letter height of all, where they share one; kept as typed otherwise.</param>
/// <param name="ScissorsRoom">The least distance between pieces of a load.</param>
public sealed record RunSetUp(
    [property: MaxLength(DocumentGate.LongestName)] string Name,
    string JobId,
    Pin? Blank,
    Pin? Motif,
    Pin? Film,
    Pin? Cutter,
    Sizing Sizing,
    TypedLength LetterHeight,
    TypedLength ScissorsRoom
)
{
    /// <summary>The most other sides that pieces may have.</summary>
    public const int MostSides = 8;

    /// <summary>The words of its care note are at most so long: they go on a small card.</summary>
    public const int MostCareLetters = 600;

    /// <summary>The zone of the blank; empty for its first.</summary>
    public string Zone { get; init; } = "";

    /// <summary>The films that parts of the motif name themselves.</summary>
    [MaxLength(100)]
    public IReadOnlyList<Pin> Films { get; init; } = [];

    /// <summary>The size of a garment; empty for its first. A row that names a size is of that one.</summary>
    public string Size { get; init; } = "";

    /// <summary>The scale of all where they share one, in hundredths of the motif's own size, as typed.</summary>
    public string ScaleTyped { get; init; } = "100";

    /// <summary>The field by which pieces are grouped for their letter height; empty for one group.</summary>
    public string GroupBy { get; init; } = "";

    /// <summary>The letter heights of groups; a group without one takes that of all.</summary>
    public IReadOnlyList<GroupHeight> GroupHeights { get; init; } = [];

    /// <summary>Where artwork may stand in the zone.</summary>
    public Placing Placing { get; init; }

    /// <summary>What of it stands on the datum centre; null for what the motif says.</summary>
    public Centring? Centring { get; init; }

    /// <summary>How far all of it is moved to the right.</summary>
    public TypedLength Right { get; init; } = TypedLength.Empty;

    /// <summary>How far all of it is moved up.</summary>
    public TypedLength Up { get; init; } = TypedLength.Empty;

    /// <summary>How it takes to a tapered wall.</summary>
    public TaperWay Taper { get; init; }

    /// <summary>The bow that is still taken for straight on a tapered wall.</summary>
    public TypedLength MostBow { get; init; } = TypedLength.Mm(1);

    /// <summary>What is done for names that do not fit at the size of the set, in order.</summary>
    [MaxLength(20)]
    public IReadOnlyList<Concession> Concessions { get; init; } = [];

    /// <summary>What was noticed and stays as it is.</summary>
    [MaxLength(KeptAsItIs.Most)]
    public IReadOnlyList<KeptAsItIs> Kept { get; init; } = [];

    /// <summary>How the waste of its films is cut, by film; one without an entry has no weed box.</summary>
    [MaxLength(100)]
    public IReadOnlyList<FilmWays> Weeding { get; init; } = [];

    /// <summary>How the waste of a film is cut; its own film has no id where parts do not name it.</summary>
    public WeedWays WaysOf(string filmId)
    {
        var id = string.IsNullOrEmpty(filmId) ? Film?.Id : filmId;
        return Weeding.FirstOrDefault(w => w.FilmId == id)?.Ways ?? WeedWays.Usual;
    }

    /// <summary>How its films lie under those over them, by film; one without an entry is stacked.</summary>
    [MaxLength(100)]
    public IReadOnlyList<FilmUnder> Layers { get; init; } = [];

    /// <summary>Whether marks are cut with every film by which films are laid on one another.</summary>
    public bool LayerMarks { get; init; }

    /// <summary>The press that its films are pressed with, by id; empty for the only one there is.</summary>
    public string PressId { get; init; } = "";

    /// <summary>The steps of its making; none for those that follow from its films and goods.</summary>
    [MaxLength(MakingStep.Most)]
    public IReadOnlyList<MakingStep> Steps { get; init; } = [];

    /// <summary>
    /// How the customer takes care of it, in the maker's own words, a line each; empty for the words that film, goods and steps ask for.
    /// </summary>
    [MaxLength(MostCareLetters)]
    public string Care { get; init; } = "";

    /// <summary>What of its price is typed.</summary>
    public RunPrice Price { get; init; } = RunPrice.None;

    /// <summary>How a film lies under those over it.</summary>
    public FilmUnder UnderOf(string filmId) =>
        Layers.FirstOrDefault(l => l.FilmId == filmId) ?? new FilmUnder(filmId, LayerWay.Stacked, TypedLength.Empty);

    /// <summary>Whether its first side lies behind clear goods and is seen through them: it is then cut the other way round.</summary>
    public bool SeenThrough { get; init; }

    /// <summary>Whether a side lies behind clear goods and is seen through them.</summary>
    /// <param name="side">The side, the first being 0.</param>
    public bool IsSeenThrough(int side) => side == 0 ? SeenThrough : side <= Sides.Count && Sides[side - 1].SeenThrough;

    /// <summary>The films that it names, its own first.</summary>
    public IEnumerable<string> NamedFilms() => Films.Prepend(Film).OfType<Pin>().Select(p => p.Id).Distinct(StringComparer.Ordinal);

    /// <summary>Other sides of the same pieces.</summary>
    [MaxLength(MostSides)]
    public IReadOnlyList<RunSide> Sides { get; init; } = [];
}
