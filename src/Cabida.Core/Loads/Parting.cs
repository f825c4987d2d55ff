using Cabida.Core.Geometry;
using Cabida.Core.Measures;
using Cabida.Core.Wording;
using Area = NetTopologySuite.Geometries.Geometry;

namespace Cabida.Core.Loads;

/// <summary>A section of art that was parted; all in the art's own coordinates.</summary>
/// <param name="Number">From 1, from the lower left, rows from the foot.</param>
/// <param name="Column">Which from the left, from 0.</param>
/// <param name="Row">Which from the foot, from 0.</param>
/// <param name="Ink">Its ink.</param>
/// <param name="Marks">The middles of its marks; each of them is a mark of its neighbour as well.</param>
public sealed record Section(int Number, int Column, int Row, Area Ink, IReadOnlyList<PlanePoint> Marks);

/// <summary>Art larger than the reach, parted at straight joints (calculations 6.7).</summary>
/// <param name="Joints">The joints.</param>
/// <param name="Sections">The sections.</param>
/// <param name="Unmarked">Joints for which there is no room for two marks.</param>
public sealed record Parting(IReadOnlyList<Joint> Joints, IReadOnlyList<Section> Sections, IReadOnlyList<Joint> Unmarked)
{
    /// <summary>How far the arms of a mark reach from end to end; millimetres.</summary>
    public const double MarkSize = 6;

    /// <summary>A mark lies no further than this from its joint; millimetres.</summary>
    public const double MarkWithin = 10;

    /// <summary>How far a joint through ink is lapped, where it is; millimetres.</summary>
    public const double UsualLap = 1;

    /// <summary>How far marks keep from ink; millimetres.</summary>
    public const double MarkClear = 1;
    private const double Step = 0.5;

    /// <summary>The best joints for ink, upright ones from the left and then those across from the foot; or why there are none.</summary>
    /// <param name="ink">The ink.</param>
    /// <param name="width">How wide the reach is.</param>
    /// <param name="height">How long it is.</param>
    public static Outcome<IReadOnlyList<Joint>> BestJoints(Area ink, double width, double height)
    {
        ArgumentNullException.ThrowIfNull(ink);
        // A section carries half of its marks beyond each joint.
        var (across, along) = (width - MarkSize, height - MarkSize);
        return
            new Joints(ink, true).Best(Fits(ink, width, true) ? width : across) is { } upright
            && new Joints(ink, false).Best(Fits(ink, height, false) ? height : along) is { } level
            ? Outcome<IReadOnlyList<Joint>>.Of([.. upright, .. level])
            : Outcome<IReadOnlyList<Joint>>.Fail(
                Phrase.Say($"A reach of {Length.Mm(width)} × {Length.Mm(height)} is too small to part it into sections.")
            );
    }

    /// <summary>A joint where the maker wants it, with what it crosses there.</summary>
    public static Joint JointAt(Area ink, bool isUpright, double at) => new Joints(ink, isUpright).At(at);

    /// <summary>Parts ink at joints.</summary>
    /// <param name="ink">The ink.</param>
    /// <param name="joints">The joints.</param>
    /// <param name="lap">How far a section goes on over a joint that crosses ink, under its neighbour; 0 for butted ones.</param>
    public static Parting Of(Area ink, IReadOnlyList<Joint> joints, double lap)
    {
        ArgumentNullException.ThrowIfNull(ink);
        ArgumentNullException.ThrowIfNull(joints);
        const double far = 1e6;
        var upright = joints.Where(j => j.IsUpright).OrderBy(j => j.At).ToList();
        var level = joints.Where(j => !j.IsUpright).OrderBy(j => j.At).ToList();
        var all = Box.Of(ink) ?? throw new ArgumentException("There is no ink.", nameof(ink));
        // Marks are for a stretch of a joint, from one that meets it to the next: each section has those of its own stretches.
        var waste = new NetTopologySuite.Geometries.Prepared.PreparedGeometryFactory().Create(
            Outlines.Grown(ink, MarkClear, Tolerances.Check)
        );
        double[] across = [all.MinX, .. upright.Select(j => j.At), all.MaxX],
            up = [all.MinY, .. level.Select(j => j.At), all.MaxY];
        var marks = new Dictionary<(Joint Joint, int Stretch), IReadOnlyList<PlanePoint>>();
        IReadOnlyList<PlanePoint> Marks(Joint joint, int stretch)
        {
            var ends = joint.IsUpright ? up : across;
            return marks.TryGetValue((joint, stretch), out var known)
                ? known
                : marks[(joint, stretch)] = MarksOf(waste, joint, ends[stretch], ends[stretch + 1]);
        }

        var sections = new List<Section>();
        // The one to the left or below goes on over the joint.
        double Begin(List<Joint> of, int i) => i == 0 ? -far : of[i - 1].At;
        double End(List<Joint> of, int i) => i == of.Count ? far : of[i].At + (of[i].Crosses > 0 ? lap : 0);
        for (var row = 0; row <= level.Count; row++)
        {
            for (var column = 0; column <= upright.Count; column++)
            {
                var box = new Box(Begin(upright, column), Begin(level, row), End(upright, column), End(level, row));
                var part = Outlines.Within(ink, Outlines.Rectangle(box));
                if (part.IsEmpty)
                {
                    continue;
                }

                var beside = ((List<Joint> Of, int At, int Stretch)[])
                    [(upright, column - 1, row), (upright, column, row), (level, row - 1, column), (level, row, column)];
                var own = beside.Where(b => b.At >= 0 && b.At < b.Of.Count).SelectMany(b => Marks(b.Of[b.At], b.Stretch)).ToList();
                sections.Add(new Section(sections.Count + 1, column, row, part, own));
            }
        }

        return new Parting(joints, sections, [.. joints.Where(j => marks.Any(m => m.Key.Joint == j && m.Value.Count < 2))]);
    }

    private static bool Fits(Area ink, double reach, bool across) => Box.Of(ink) is { } box && (across ? box.Width : box.Height) <= reach;

    /// <summary>
    /// Where the marks of a stretch of a joint lie: one at each end of it, on the joint where the waste has room, else as near to it as
    /// it has.
    /// </summary>
    private static List<PlanePoint> MarksOf(
        NetTopologySuite.Geometries.Prepared.IPreparedGeometry taken,
        Joint joint,
        double low,
        double high
    )
    {
        PlanePoint Point(double along, double off) => joint.IsUpright ? new(joint.At + off, along) : new(along, joint.At + off);
        bool IsFree(PlanePoint at)
        {
            const double half = MarkSize / 2;
            return !taken.Intersects(Outlines.Line([new(at.X - half, at.Y), new(at.X + half, at.Y)]))
                && !taken.Intersects(Outlines.Line([new(at.X, at.Y - half), new(at.X, at.Y + half)]));
        }

        PlanePoint? First(IEnumerable<double> along)
        {
            List<double> places = [.. along];
            for (var off = 0.0; off <= MarkWithin; off += Step)
            {
                foreach (var at in places.SelectMany(a => off == 0 ? (PlanePoint[])[Point(a, 0)] : [Point(a, off), Point(a, -off)]))
                {
                    if (IsFree(at))
                    {
                        return at;
                    }
                }
            }

            return null;
        }

        var middle = (low + high) / 2;
        var steps = (int)Math.Ceiling((high - low) / 2 / Step);
        var first = First(Enumerable.Range(0, steps).Select(i => low + (MarkSize / 2) + (i * Step)).TakeWhile(a => a < middle - MarkSize));
        var second = First(
            Enumerable.Range(0, steps).Select(i => high - (MarkSize / 2) - (i * Step)).TakeWhile(a => a > middle + MarkSize)
        );
        return [.. new[] { first, second }.OfType<PlanePoint>()];
    }
}
