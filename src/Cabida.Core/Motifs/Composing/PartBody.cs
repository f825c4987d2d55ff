using Cabida.Core.Geometry;
using Cabida.Core.Type;
using Cabida.Core.Wording;
using Area = NetTopologySuite.Geometries.Geometry;

namespace Cabida.Core.Motifs;

/// <summary>A part drawn at a scale in coordinates of its own. Its box is known at once, its ink only when asked for.</summary>
public sealed class PartBody
{
    private readonly Once<string> key;
    private readonly Once<IReadOnlyList<FilmInk>> ink;

    /// <summary>A body.</summary>
    /// <param name="key">Tells apart bodies that could differ.</param>
    /// <param name="box">The box of its ink.</param>
    /// <param name="ink">Its ink.</param>
    internal PartBody(string key, Box box, Func<IReadOnlyList<FilmInk>> ink)
        : this(() => key, box, _ => ink()) { }

    /// <summary>A body of one area, drawn in its coordinates.</summary>
    internal PartBody(string key, Box box, FilmPly film, Func<Area> ink)
        : this(() => key, box, film, ink) { }

    /// <summary>A body of one area whose key is written only when it is drawn: a search for a size asks for boxes alone.</summary>
    internal PartBody(Func<string> key, Box box, FilmPly film, Func<Area> ink)
        : this(key, box, k => [new FilmInk(film, [new PlacedInk(k, ink(), Motion.None)])]) { }

    private PartBody(Func<string> key, Box box, Func<string, IReadOnlyList<FilmInk>> ink)
    {
        this.key = new(key);
        Box = box;
        this.ink = new(() => ink(Key));
    }

    /// <summary>The same body with other ink.</summary>
    /// <param name="key">Tells it apart.</param>
    /// <param name="box">The box of that ink.</param>
    /// <param name="films">That ink.</param>
    internal PartBody With(string key, Box box, IReadOnlyList<FilmInk> films) =>
        new(key, box, () => films)
        {
            Line = Line,
            Inner = Inner,
            Stretched = Stretched,
            StretchFailed = StretchFailed,
            IsSolid = IsSolid,
            Origin = Origin,
            Round = Round,
            Straight = Straight,
            Repeated = Repeated,
        };

    /// <summary>The box of its ink.</summary>
    public Box Box { get; }

    /// <summary>Its ink by film.</summary>
    public IReadOnlyList<FilmInk> Ink => ink.Value;

    /// <summary>The line, when it is lettering.</summary>
    public FormedLine? Line { get; internal init; }

    /// <summary>What it is made of, when it is a group: the parts of one copy, in its own coordinates.</summary>
    public IReadOnlyList<PlacedPart> Inner { get; internal init; } = [];

    /// <summary>By how much it was widened, or heightened, beyond its natural proportions: 1.1 for a tenth.</summary>
    public double Stretched { get; internal init; } = 1;

    /// <summary>Whether it should be widened or heightened and is not, because what is wanted cannot be.</summary>
    internal bool StretchFailed { get; init; }

    /// <summary>Whether a shape with an opening has none, because its band is too wide for one.</summary>
    internal bool IsSolid { get; init; }

    /// <summary>Where the middle of a repeat lies, from which its copies were laid out.</summary>
    internal PlanePoint Origin { get; init; }

    /// <summary>The circle that it goes round or is; null for what is not round.</summary>
    public Circle? Round { get; internal init; }

    /// <summary>Where a place on bent ink lies in the line's own coordinates; null for ink that is not bent.</summary>
    internal Func<PlanePoint, PlanePoint>? Straight { get; init; }

    /// <summary>How a repeat came out; null when it is none.</summary>
    public RepeatResult? Repeated { get; internal init; }

    /// <summary>Tells apart bodies that could differ.</summary>
    internal string Key => key.Value;
}

/// <summary>A part in its place.</summary>
/// <param name="Part">The part.</param>
/// <param name="Body">What is drawn.</param>
/// <param name="Motion">How that comes to its place.</param>
public sealed record PlacedPart(Part Part, PartBody Body, Motion Motion)
{
    /// <summary>The box of its ink; where it is turned by an odd angle, that of its turned ink.</summary>
    public Box Box { get; private init; } = Motion.KeepsBoxes ? Motion.Of(Body.Box) : BoxOf(Body, Motion);

    /// <summary>Its line, when it is lettering.</summary>
    public FormedLine? Line => Body.Line;

    /// <summary>The height of its capitals; zero for what is no lettering.</summary>
    public double CapitalHeight => Body.Line?.CapitalHeight ?? 0;

    /// <summary>The circle that it goes round or is, in place; null for what is not round.</summary>
    public Circle? Round => Body.Round?.Moved(Motion);

    /// <summary>The part moved.</summary>
    public PlacedPart Moved(double dx, double dy) => this with { Motion = Motion.Moved(dx, dy), Box = Box.Moved(dx, dy) };

    /// <summary>The part turned a quarter to the left about the origin.</summary>
    public PlacedPart QuarterTurned() =>
        this with
        {
            Motion = Motion.Then(Motion.TurnLeft(90)),
            Box = new Box(-Box.MaxY, Box.MinX, -Box.MinY, Box.MaxX),
        };

    /// <summary>The same part with its origin somewhere else.</summary>
    internal PlacedPart At(double x, double y) =>
        Moved(x - Motion.C, y - Motion.F) is var moved ? moved with { Motion = Motion with { C = x, F = y } } : this;

    /// <summary>A part of a group where the placed group brings it.</summary>
    public PlacedPart Within(PlacedPart group)
    {
        ArgumentNullException.ThrowIfNull(group);
        return Then(group.Motion);
    }

    /// <summary>The part with its own change of place followed by another.</summary>
    internal PlacedPart Then(Motion next) => new(Part, Body, Motion.Then(next));

    /// <summary>The letter whose drawing lies round a place, when it is lettering and there is one.</summary>
    public string? LetterAt(PlanePoint at) =>
        Body.Line is { } line && line.LetterAt(Body.Straight?.Invoke(at) ?? Motion.Back(at)) is { } index
            ? line.Line.LetterOf(index)
            : null;

    /// <summary>The place in its line of the letter whose drawing lies round a place; null where there is none.</summary>
    internal int? LetterIndexAt(PlanePoint at) => Body.Line?.LetterAt(Body.Straight?.Invoke(at) ?? Motion.Back(at));

    /// <summary>It, and the parts inside it where they stand; of a group that is repeated those of one copy.</summary>
    public IEnumerable<PlacedPart> WithInner => Body.Inner.SelectMany(p => p.Within(this).WithInner).Prepend(this);

    /// <summary>Its ink by film, in place.</summary>
    public IEnumerable<FilmInk> Ink => Body.Ink.Select(i => i.Moved(Motion));

    /// <summary>Tells apart placed parts that could differ.</summary>
    internal string Key => $"{Body.Key} {Motion} {Part.Action} {Part.FilmId} {Part.Ply} {Part.ActsOn} {string.Join(' ', Part.ActsOnFilms)}";

    private static Box BoxOf(PartBody body, Motion motion) =>
        Box.Around(body.Ink.Select(i => i.Moved(motion).Box).OfType<Box>()) ?? motion.Of(body.Box);
}
