using Cabida.Core.Geometry;
using Area = NetTopologySuite.Geometries.Geometry;

namespace Cabida.Core.Tests.Geometry.Widths;

/// <summary>Narrow places as a raster finds them, set against those that were computed.</summary>
/// <param name="Found">How many the raster finds that lie surely below the limit.</param>
/// <param name="Missed">Those of them that were not computed.</param>
/// <param name="Invented">Computed ones that the raster does not find even a little above the limit.</param>
internal sealed record RasterComparison(int Found, IReadOnlyList<string> Missed, IReadOnlyList<string> Invented)
{
    /// <summary>So near to a limit neither a raster nor a polygon is sure.</summary>
    public const double Band = 0.04;

    /// <summary>What is narrower is a row of single pixels, if that.</summary>
    private const double Resolved = 0.08;

    /// <summary>Compares strokes, or gaps, below a limit.</summary>
    public static RasterComparison Narrow(Area area, double limit, bool outside)
    {
        IReadOnlyList<NarrowPlace> computed;
        using (var grid = new SegmentGrid(area))
        {
            computed = NarrowPlaces.Find(new RollingDisc(grid, limit, outside));
        }

        var raster = new Raster(area, limit + 0.2, background: outside);
        var sure = Removed.Of(raster, limit - Band);
        var maybe = Removed.Of(raster, limit + Band);
        var missed = new List<string>();
        var count = 0;
        // A counter that is narrow throughout is told as a counter. What is a neck just below a limit and a short tip just above it is
        // neither surely.
        bool IsTold(Removed found, int label) =>
            found.Contacts[label] switch
            {
                0 => !(outside && found.IsCounter(label)),
                1 => found.Extent[label] > (2 * limit) + (2 * Band),
                _ => true,
            };
        for (var label = 1; label <= sure.Count; label++)
        {
            var depth = sure.Contacts[label] == 1 ? raster.DepthAbout(sure.Deepest[label]) : sure.Depth[label];
            var within = maybe.LabelNear(sure.Deepest[label]);
            if (2 * Math.Sqrt(depth) * Raster.Pitch < Resolved || !IsTold(sure, label) || !IsTold(maybe, within))
            {
                continue;
            }

            count++;
            if (!computed.Any(c => raster.IndexOf(c.At) is { } at && maybe.IsNear(at, within)))
            {
                var at = raster.PlaceOf(sure.Deepest[label]);
                missed.Add(
                    FormattableString.Invariant(
                        $"({at.X:0.000}, {at.Y:0.000}) contacts {sure.Contacts[label]} extent {sure.Extent[label]:0.000} of {limit}"
                    )
                );
            }
        }

        var invented = computed
            .Where(c =>
            {
                if (c.Width < Resolved)
                {
                    return false;
                }

                if (raster.IndexOf(c.At) is not { } at || maybe.LabelNear(at) is not (> 0 and var label))
                {
                    return true;
                }

                return c.Kind switch
                {
                    NarrowKind.Tip => maybe.Contacts[label] > 0 && maybe.Path[label] < (2 * limit) - (3 * Band),
                    _ => maybe.Contacts[label] == 1 && maybe.Path[label] < limit / 4,
                };
            })
            .Select(c =>
                FormattableString.Invariant($"{c.Kind} ({c.At.X:0.000}, {c.At.Y:0.000}) {c.Width:0.000} long {c.Length:0.000} of {limit}")
            )
            .ToList();
        return new(count, missed, invented);
    }

    /// <summary>What opening removes, group by group.</summary>
    private sealed class Removed
    {
        /// <summary>Fewer pixels are the roughness of a round edge.</summary>
        private const int LeastContact = 5;

        private readonly Raster raster;

        private Removed(Raster raster, int[] labels, int count)
        {
            (this.raster, Labels, Count) = (raster, labels, count);
            (Contacts, Deepest, Depth, Extent, Path) = (
                new int[count + 1],
                new int[count + 1],
                new int[count + 1],
                new double[count + 1],
                new double[count + 1]
            );
        }

        public int[] Labels { get; }

        public int Count { get; }

        /// <summary>At how many places each hangs together with what is wide.</summary>
        public int[] Contacts { get; }

        /// <summary>The pixel of each that lies farthest from what is wide.</summary>
        public int[] Deepest { get; }

        /// <summary>The greatest squared distance of a pixel of each to its edge.</summary>
        public int[] Depth { get; }

        /// <summary>How far each reaches beyond what is wide, straight.</summary>
        public double[] Extent { get; }

        /// <summary>The same along the way within it.</summary>
        public double[] Path { get; }

        public static Removed Of(Raster raster, double diameter)
        {
            var wide = raster.Opened(diameter);
            var (labels, count) = raster.Label(i => raster[i] && !wide[i]);
            var removed = new Removed(raster, labels, count);
            var away = raster.Distances(wide, beyond: false);
            var touching = new List<int>[count + 1];
            for (var i = labels.Length - 1; i >= 0; i--)
            {
                if (labels[i] is not (> 0 and var label))
                {
                    continue;
                }

                removed.Depth[label] = Math.Max(removed.Depth[label], raster.Depth[i]);
                var far = away[i] >= int.MaxValue / 4 ? 0 : Math.Sqrt(away[i]) * Raster.Pitch;
                if (far >= removed.Extent[label])
                {
                    (removed.Extent[label], removed.Deepest[label]) = (far, i);
                }

                foreach (var n in raster.Around(i).Where(n => wide[n]))
                {
                    (touching[label] ??= []).Add(n);
                }
            }

            for (var label = 1; label <= count; label++)
            {
                if (touching[label] is { } pixels)
                {
                    removed.Contacts[label] = Math.Max(1, removed.Groups([.. pixels]));
                    removed.Path[label] = removed.Way(label, pixels);
                }
            }

            return removed;
        }

        public bool IsNear(int at, int label) => Nearby(at).Any(n => Labels[n] == label);

        public int LabelNear(int at) => Labels[at] > 0 ? Labels[at] : Nearby(at).Select(n => Labels[n]).FirstOrDefault(l => l > 0);

        /// <summary>Whether a group touches nothing but ink all round: it holds no ink and is a whole hole.</summary>
        public bool IsCounter(int label)
        {
            // Flooded from its outer edge, what is enclosed would be left: count the holes of the group by Euler's number.
            long points = 0,
                edges = 0,
                faces = 0;
            bool In(int x, int y) => x >= 0 && y >= 0 && x < raster.Width && y < raster.Height && Labels[(y * raster.Width) + x] == label;
            for (var y = -1; y <= raster.Height; y++)
            {
                for (var x = -1; x <= raster.Width; x++)
                {
                    var (a, b, c, d) = (In(x, y), In(x + 1, y), In(x, y + 1), In(x + 1, y + 1));
                    points += a || b || c || d ? 1 : 0;
                    edges += (a || b ? 1 : 0) + (a || c ? 1 : 0);
                    faces += a ? 1 : 0;
                }
            }

            return points - edges + faces == 1;
        }

        private IEnumerable<int> Nearby(int at)
        {
            for (var dy = -3; dy <= 3; dy++)
            {
                for (var dx = -3; dx <= 3; dx++)
                {
                    if (at + (dy * raster.Width) + dx is var n && n >= 0 && n < Labels.Length)
                    {
                        yield return n;
                    }
                }
            }
        }

        private int Groups(HashSet<int> pixels)
        {
            var groups = 0;
            while (pixels.Count > 0)
            {
                var size = 1;
                var stack = new Stack<int>([pixels.First()]);
                pixels.Remove(stack.Peek());
                while (stack.TryPop(out var at))
                {
                    foreach (var n in raster.Around(at).Where(pixels.Remove))
                    {
                        stack.Push(n);
                        size++;
                    }
                }

                groups += size >= LeastContact ? 1 : 0;
            }

            return groups;
        }

        /// <summary>The longest way within the group from what is wide, in steps across and along corners.</summary>
        private double Way(int label, List<int> from)
        {
            var ways = new Dictionary<int, double>();
            var queue = new PriorityQueue<int, double>();
            foreach (var start in from.SelectMany(raster.Around).Where(n => Labels[n] == label).Distinct())
            {
                ways[start] = 0;
                queue.Enqueue(start, 0);
            }

            var longest = 0.0;
            while (queue.TryDequeue(out var at, out var way))
            {
                if (way > ways[at])
                {
                    continue;
                }

                longest = Math.Max(longest, way);
                foreach (var n in raster.Around(at).Where(n => Labels[n] == label))
                {
                    var step = n % raster.Width != at % raster.Width && n / raster.Width != at / raster.Width ? Math.Sqrt(2) : 1;
                    var on = way + (step * Raster.Pitch);
                    if (!ways.TryGetValue(n, out var known) || on < known - 1e-12)
                    {
                        ways[n] = on;
                        queue.Enqueue(n, on);
                    }
                }
            }

            return longest;
        }
    }
}
