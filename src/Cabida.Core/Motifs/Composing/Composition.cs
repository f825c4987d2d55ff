using System.Text;
using Cabida.Core.Geometry;
using Cabida.Core.Type;
using Cabida.Core.Wording;
using Area = NetTopologySuite.Geometries.Geometry;

namespace Cabida.Core.Motifs;

/// <summary>Ink that depends on a scale; the origin is the datum centre of its ground.</summary>
public interface IScaledInk
{
    /// <summary>The box of the ink at a scale; null when there is none. Cheap where nothing is taken away or bent.</summary>
    Box? BoxAt(double scale);

    /// <summary>The joined ink at a scale.</summary>
    Area InkAt(double scale);
}

/// <summary>A line whose face lacks characters.</summary>
/// <param name="PartId">The lettering part.</param>
/// <param name="Line">The line as set.</param>
public sealed record LackingLine(string PartId, LetteringLine Line);

/// <summary>
/// A motif with its fields filled and its lines set, ready to be drawn at any scale against its ground. Composing is a pure
/// function of motif, field values, typefaces, graphics, ground and scale.
/// </summary>
public sealed class Composition : IScaledInk
{
    private readonly Motif motif;
    private readonly Composing with;
    private readonly Arrangement arrangement;
    private readonly FailingParts failing;
    private readonly Dictionary<PartKey, LetteringLine> lines = [];

    private Composition(Motif motif, IReadOnlyDictionary<string, string> fields, Composing with)
    {
        this.motif = motif;
        this.with = with;
        failing = new FailingParts(with.LeavesOutFailing);
        var all = motif.AllParts.DistinctBy(p => p.Key).ToDictionary(p => p.Key);
        foreach (var part in all.Values.OfType<LetteringPart>())
        {
            if (with.Faces.Find(part.TypefaceId) is { } face)
            {
                var (text, names) = Fields.FillAndFind(part.Text, fields);
                var alternates = LetterRules.On(part.Alternates, text.Normalize(NormalizationForm.FormC), names, face);
                var setting = new LineSetting(part.Spacing / 1000, part.WordSpacing / 1000, part.Pairs, alternates);
                var set = part.OwnFaceOnly ? face : Fallbacks.For(face, text.Normalize(NormalizationForm.FormC), with.Faces);
                lines[part.Key] = new LetteringLine(text, set, setting, with.Cache);
            }
        }

        HasMats = all.Values.OfType<MatPart>().Any();
        IsFixed = MotifLengths.Of(motif).All(l => l.Scaling != Scaling.Proportional);
        HangsOnGround = all.Values.Any(Hangs);
        AllScales =
            MotifLengths.Of(motif).All(l => l.Scaling == Scaling.Proportional) && !all.Values.Any(StaysAsItIs) && with.EqualScale is null;
        arrangement = new Arrangement(
            motif.Parts,
            motif.Alignment,
            new BodyMaker(lines, all, with.Graphics, with.Cache, failing),
            motif.Centring,
            AllScales
        );
    }

    /// <summary>The lines as set, by part.</summary>
    public IReadOnlyDictionary<PartKey, LetteringLine> Lines => lines;

    /// <summary>Lines with characters that their face lacks.</summary>
    public IEnumerable<LackingLine> Lacking =>
        motif
            .AllParts.Where(p => lines.TryGetValue(p.Key, out var line) && line.Missing.Count > 0)
            .Select(p => new LackingLine(p.Id, lines[p.Key]));

    /// <summary>Why parts that were met so far are left out, where failing ones are.</summary>
    public IReadOnlyDictionary<string, Phrase> LeftOut => failing.Reasons;

    /// <summary>The line that holds the name field, when there is one.</summary>
    public string? NamePartId => motif.NameLine?.Id;

    /// <summary>Whether nothing in it follows the scale.</summary>
    public bool IsFixed { get; }

    /// <summary>Whether all of it follows the scale.</summary>
    public bool AllScales { get; }

    /// <summary>Whether some of it takes its size or place from the ground.</summary>
    public bool HangsOnGround { get; }

    /// <summary>Whether it holds mats, which are held by their frame and not by the zone.</summary>
    public bool HasMats { get; }

    /// <summary>Fills a motif's fields and sets its lines.</summary>
    /// <param name="motif">The motif; lengths that cannot be read count as nothing.</param>
    /// <param name="fields">Values by field.</param>
    /// <param name="with">Typefaces, graphics, ground and where outlines are kept.</param>
    public static Composition Of(Motif motif, IReadOnlyDictionary<string, string> fields, Composing with)
    {
        ArgumentNullException.ThrowIfNull(motif);
        ArgumentNullException.ThrowIfNull(fields);
        ArgumentNullException.ThrowIfNull(with);
        return new Composition(motif, fields, with);
    }

    /// <summary>The parts with ink, in place and in order; what does not hang on the ground is centred on the origin.</summary>
    public IReadOnlyList<PlacedPart> PartsAt(double scale) => arrangement.At(ScalesAt(scale), with.Ground, with.Cache);

    /// <inheritdoc/>
    public Box? BoxAt(double scale) =>
        arrangement.At(ScalesAt(scale), with.Ground) is var parts
        && parts.All(p => p.Part is BackingPart or { Action: PartAction.Adds or PartAction.ClearsAround })
            ? Box.Around(parts.Where(p => p.Part is not MatPart).Select(p => p.Box))
            : Box.Of(InkAt(scale));

    /// <inheritdoc/>
    public Area InkAt(double scale) => ToFit(arrangement.At(ScalesAt(scale), with.Ground), scale);

    /// <summary>The ink of placed parts by film, the lowest film first; kept by content.</summary>
    public IReadOnlyList<FilmInk> FilmsOf(IReadOnlyList<PlacedPart> parts, double scale) =>
        FilmLayers.Of(parts, ScalesAt(scale), with.Cache, failing);

    /// <summary>The joined ink of placed parts that has to lie in the zone: all but mats, which the frame holds.</summary>
    public Area ToFit(IReadOnlyList<PlacedPart> parts, double scale) =>
        FilmLayers.Joined(FilmLayers.Of([.. parts.Where(p => p.Part is not MatPart)], ScalesAt(scale), null, failing));

    private Scales ScalesAt(double scale) => new(scale, with.EqualScale ?? scale);

    private static bool StaysAsItIs(Part p) => p is GraphicPart { SizedBy: GraphicSize.AsFile } || Hangs(p);

    private static bool Hangs(Part p) =>
        p is MatPart or ShapePart { TakesFromGround: true } or LetteringPart { SizedBy: LetteringSize.MatOpening }
        || (p.Place == PartPlace.Anchored && p.Anchor.To == Anchor.Ground)
        || p is GroupPart { Repeat: { Kind: not RepeatKind.None, Over: RepeatOver.Ground or RepeatOver.Wrap } };
}

/// <summary>What composing takes besides the motif and its fields.</summary>
/// <param name="Faces">The typefaces at hand.</param>
/// <param name="Graphics">The graphics at hand.</param>
/// <param name="Ground">What it is composed against.</param>
/// <param name="Cache">Where outlines are kept; results do not depend on it.</param>
/// <param name="EqualScale">The scale of what is equal across the set; null for a piece's own.</param>
/// <param name="LeavesOutFailing">Whether a part that cannot be worked out is left out, for a picture; it ends the work otherwise.</param>
public sealed record Composing(
    ITypefaces Faces,
    IGraphics Graphics,
    GroundShape Ground,
    InkCache Cache,
    double? EqualScale = null,
    bool LeavesOutFailing = false
);
