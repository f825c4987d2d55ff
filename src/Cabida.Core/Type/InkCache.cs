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
    private const long LettersBudget = 48L << 20;
    private const int MostGrowths = 4000;

    private readonly Kept<string, IReadOnlyList<LetterInk>> letters = new(LettersBudget, all =>
        200 + all.Sum(l => 100 + (BytesPerVertex * (long)l.Ink.NumPoints))
    );

    private readonly Kept<string, Growth> growths = new(MostGrowths, _ => 1);
    private readonly Kept<(string Face, string Line, uint Glyph, int Level), Area> areas = new(budgetBytes, a =>
        200 + (BytesPerVertex * (long)a.NumPoints)
    );

    /// <summary>
    /// The tolerance level for lettering of this size: the chord error is 2^level em, at most <see cref="Tolerances.Ink"/>
    /// at that size. Levels go in steps of two so that a run of sizes shares them.
    /// </summary>
    /// <param name="sizeMm">The size of one em in millimetres.</param>
    public static int LevelFor(double sizeMm) => 2 * (int)Math.Floor(Math.Log2(Tolerances.Ink / Math.Max(sizeMm, 1e-3)) / 2);

    /// <summary>The chord error of a level, in em.</summary>
    public static double ChordError(int level) => Math.Pow(2, level);

    /// <summary>The joined outline of a line, or the result of <paramref name="make"/>, kept from then on.</summary>
    internal Area Line(string face, string line, int level, Func<Area> make) => areas.Get((face, line, 0, level), make);

    /// <summary>The area of a glyph, or the result of <paramref name="make"/>, kept from then on.</summary>
    internal Area Glyph(string face, uint glyph, int level, Func<Area> make) => areas.Get((face, "", glyph, level), make);

    /// <summary>The letters of a formed line where they stand, or the result of <paramref name="make"/>, kept from then on.</summary>
    internal IReadOnlyList<LetterInk> Letters(string key, Func<IReadOnlyList<LetterInk>> make) => letters.Get(key, make);

    /// <summary>How far a formed line may be grown, or the result of <paramref name="make"/>, kept from then on.</summary>
    internal Growth Growth(string key, Func<Growth> make) => growths.Get(key, make);

    /// <summary>Any other area that follows from a key alone, or the result of <paramref name="make"/>, kept from then on.</summary>
    internal Area Derived(string key, Func<Area> make) => areas.Get(("", key, 0, int.MinValue), make);
}
