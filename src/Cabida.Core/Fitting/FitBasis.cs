using Cabida.Core.Blanks;
using Cabida.Core.Motifs;
using Cabida.Core.Runs;
using Cabida.Core.Stock;
using Cabida.Core.Type;

namespace Cabida.Core.Fitting;

/// <summary>What all pieces of a run, or of one side or size of it, have in common.</summary>
/// <param name="Motif">The motif.</param>
/// <param name="Wall">The wall it goes on, turned to the zone; null for flat things and where it is unknown.</param>
/// <param name="Panel">The panel it goes on; null for walls and where it is unknown.</param>
/// <param name="Zone">Where on it.</param>
/// <param name="Film">The film of parts that name none.</param>
/// <param name="LetterHeight">The letter height of all in millimetres; null to let each be as large as it can.</param>
/// <param name="AtHand">The typefaces and graphics at hand.</param>
public sealed record FitBasis(Motif Motif, Wall? Wall, Panel? Panel, Zone Zone, Film Film, double? LetterHeight, AtHand AtHand)
{
    /// <summary>The typefaces at hand.</summary>
    public ITypefaces Faces => AtHand.Faces;

    /// <summary>Where outlines are kept.</summary>
    public InkCache Cache => AtHand.Cache;

    /// <summary>The graphics at hand.</summary>
    public IGraphics Graphics => AtHand.Graphics;

    /// <summary>What goes into the frame; null for what is none.</summary>
    public FrameMats? Mats { get; init; }

    /// <summary>What the goods are made of; null where that is not known.</summary>
    public Material? Material { get; init; }

    /// <summary>The films that parts name, by id.</summary>
    public IReadOnlyDictionary<string, Film> Films { get; init; } = new Dictionary<string, Film>(StringComparer.Ordinal);

    /// <summary>The scale of what is equal across the set; null until the set is known.</summary>
    public double? EqualScale { get; init; }

    /// <summary>The scale of all, where they share one; null otherwise.</summary>
    public double? Scale { get; init; }

    /// <summary>The field by which pieces are grouped, and the letter heights of groups that have their own; millimetres.</summary>
    public (string Field, IReadOnlyDictionary<string, double> Heights) Groups { get; init; } =
        ("", new Dictionary<string, double>(StringComparer.Ordinal));

    /// <summary>What a fit may do besides scaling; whether it may turn is the zone's to say.</summary>
    public FitRules Rules { get; init; } = FitRules.OnDatum;

    /// <summary>How artwork takes to a tapered wall.</summary>
    public TaperWay Taper { get; init; }

    /// <summary>What is done for names that do not fit at the size of the set, in order.</summary>
    public IReadOnlyList<Concession> Concessions { get; init; } = [];

    /// <summary>The zones with smaller margins; none where margins may not shrink.</summary>
    public MarginSteps Margins { get; init; } = MarginSteps.None;

    /// <summary>The film of a part; that of the run where it names none, or one that is not here.</summary>
    public Film FilmOf(string id) => Films.GetValueOrDefault(id) ?? Film;

    /// <summary>The letter height of a piece's group; null to let it be as large as it can.</summary>
    public double? LetterHeightOf(Piece piece)
    {
        ArgumentNullException.ThrowIfNull(piece);
        return Groups.Field.Length > 0 && Groups.Heights.TryGetValue(piece.ValueOf(Groups.Field), out var height) ? height : LetterHeight;
    }

    internal Composing Composing(Zone zone) => new(Faces, Graphics, ZoneGround.Of(zone, Wall, Mats, Taper), Cache, EqualScale);
}
