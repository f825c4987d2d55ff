using Cabida.Core.Wording;
using NetTopologySuite.Algorithm;
using NetTopologySuite.Geometries;
using NetTopologySuite.Noding;

namespace Cabida.Core.Geometry;

/// <summary>How closed rings meet themselves and one another.</summary>
/// <param name="Crossed">How often one goes through another.</param>
/// <param name="Touched">How often they only touch, or run along one another.</param>
internal readonly record struct Crossings(int Crossed, int Touched)
{
    /// <summary>So many crossings are noded in well under a second; a scribble of 800 corners has 70,000.</summary>
    public const int MostCrossed = 12_000;

    /// <summary>
    /// So often may areas cross that are joined or cut; a mesh of circles each of which crosses eight others does so 8 times for each.
    /// </summary>
    public const int MostOverlaid = 60_000;

    /// <summary>So often do outlines touch that are drawn twice, corner by corner.</summary>
    public const int MostTouched = 250_000;

    /// <summary>Steps for a corner.</summary>
    private const int StepsPerPoint = 12;

    /// <summary>Whether there is none at all.</summary>
    public bool None => Crossed == 0 && Touched == 0;

    /// <summary>Whether there are more than so many, or more touches than any drawing has.</summary>
    public bool MoreThan(int most) => Crossed > most || Touched > MostTouched;

    /// <summary>
    /// Counts them, up to one more than is too many, so that a scribble is known for one long before anything is made of it.
    /// </summary>
    /// <param name="rings">Rings whose first corner is repeated at the end.</param>
    /// <param name="most">How many crossings are too many.</param>
    public static Crossings Of(IReadOnlyList<Coordinate[]> rings, int most = MostCrossed)
    {
        Effort.Spend(StepsPerPoint * rings.Sum(r => (long)r.Length));
        var counter = new Counter(most);
        new MCIndexNoder(counter).ComputeNodes([.. rings.Select(r => (ISegmentString)new BasicSegmentString(r, null))]);
        return counter.Found;
    }

    private sealed class Counter(int most) : ISegmentIntersector
    {
        private readonly RobustLineIntersector lines = new();

        public Crossings Found { get; private set; }

        public bool IsDone => Found.MoreThan(most);

        public void ProcessIntersections(ISegmentString e0, int segIndex0, ISegmentString e1, int segIndex1)
        {
            if (IsDone || (e0 == e1 && segIndex0 == segIndex1))
            {
                return;
            }

            var (a, b) = (e0.Coordinates, e1.Coordinates);
            lines.ComputeIntersection(a[segIndex0], a[segIndex0 + 1], b[segIndex1], b[segIndex1 + 1]);
            if (!lines.HasIntersection || (e0 == e1 && IsOnlyTheirCorner(a.Length - 1, segIndex0, segIndex1)))
            {
                return;
            }

            Found = lines.IsProper ? Found with { Crossed = Found.Crossed + 1 } : Found with { Touched = Found.Touched + 1 };
        }

        /// <summary>Whether two stretches of one ring follow one another and meet in the corner between them alone.</summary>
        private bool IsOnlyTheirCorner(int count, int i, int j) =>
            lines.IntersectionNum == 1 && !lines.IsProper && Math.Abs(i - j) is var apart && (apart == 1 || apart == count - 1);
    }
}
