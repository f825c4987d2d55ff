using Cabida.Core.Geometry;
using Area = NetTopologySuite.Geometries.Geometry;

namespace Cabida.Core.Type;

/// <summary>
/// Areas of glyphs and joined lines in em, kept by face, content and tolerance so that each is flattened and joined
/// once. Results do not depend on what it holds. Bounded: what was not asked for while half of the budget was filled is dropped.
/// </summary>
/// <param name="budgetBytes">About how much it may hold.</param>
public sealed class InkCache(long budgetBytes = 192L << 20)
{
    private const int BytesPerVertex = 40;
    private const double DistancesPerEm = 1L << 40;
    private const long LettersBudget = 48L << 20;
    private const int MostGrowths = 4000;

    private readonly Kept<string, IReadOnlyList<LetterInk>> letters = new(LettersBudget, all =>
        200 + all.Sum(l => 100 + (BytesPerVertex * (long)l.Ink.NumPoints))
    );

    private readonly Kept<string, Growth> growths = new(MostGrowths, _ => 1);
    private readonly Kept<string, Area> areas = new(budgetBytes / 2, a => 200 + (BytesPerVertex * (long)a.NumPoints));
    private readonly Kept<(string Face, string Line, int Level), JoinedRings> lines = new(budgetBytes / 8, l => l.Bytes);
    private readonly Kept<(string Face, uint Glyph, int Level), RingSet> glyphs = new(budgetBytes / 4, g =>
        200 + (2 * BytesPerVertex * (long)g.Area.NumPoints)
    );

    private readonly Kept<(string Face, uint First, uint Second, int Level, long Right, long Up), Meeting> meetings = new(
        budgetBytes / 8,
        m => m.Bytes
    );

    /// <summary>
    /// The tolerance level for lettering of this size: the chord error is 2^level em, at most <see cref="Tolerances.Ink"/>
    /// at that size. Levels go in steps of two so that a run of sizes shares them.
    /// </summary>
    /// <param name="sizeMm">The size of one em in millimetres.</param>
    public static int LevelFor(double sizeMm) => 2 * (int)Math.Floor(Math.Log2(Tolerances.Ink / Math.Max(sizeMm, 1e-3)) / 2);

    /// <summary>The chord error of a level, in em.</summary>
    public static double ChordError(int level) => Math.Pow(2, level);

    /// <summary>The joined glyphs of a line, or the result of <paramref name="make"/>, kept from then on.</summary>
    internal JoinedRings Line(string face, string line, int level, Func<JoinedRings> make) => lines.Get((face, line, level), make);

    /// <summary>The outline of a glyph, or the result of <paramref name="make"/>, kept from then on.</summary>
    internal RingSet Glyph(string face, uint glyph, int level, Func<RingSet> make) => glyphs.Get((face, glyph, level), make);

    /// <summary>How two glyphs meet so far apart, or the result of <paramref name="make"/> for it, kept from then on.</summary>
    internal Meeting Meeting(string face, uint first, uint second, int level, double right, double up, Func<double, double, Meeting> make)
    {
        // What letters before them added up to leaves a rounding in their distance, which is no other distance.
        var (x, y) = ((long)Math.Round(right * DistancesPerEm), (long)Math.Round(up * DistancesPerEm));
        return meetings.Get((face, first, second, level, x, y), () => make(x / DistancesPerEm, y / DistancesPerEm));
    }

    /// <summary>The letters of a formed line where they stand, or the result of <paramref name="make"/>, kept from then on.</summary>
    internal IReadOnlyList<LetterInk> Letters(string key, Func<IReadOnlyList<LetterInk>> make) => letters.Get(key, make);

    /// <summary>How far a formed line may be grown, or the result of <paramref name="make"/>, kept from then on.</summary>
    internal Growth Growth(string key, Func<Growth> make) => growths.Get(key, make);

    /// <summary>Any other area that follows from a key alone, or the result of <paramref name="make"/>, kept from then on.</summary>
    internal Area Derived(string key, Func<Area> make) => areas.Get(key, make);
}
