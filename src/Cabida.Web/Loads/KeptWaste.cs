using Cabida.Core.Fitting;
using Cabida.Core.Geometry;
using Cabida.Core.Motifs;
using Cabida.Core.Stock;
using Cabida.Core.Waste;

namespace Cabida.Web.Loads;

/// <summary>Keeps waste by what it follows from: the ink, what its film bears, and how its waste is cut. Bounded in bytes.</summary>
internal sealed class KeptWaste
{
    private const long Budget = 48L << 20;
    private readonly Kept<(string Hash, int Number, FilmLimits Limits, WeedWays Ways), FilmWaste?> pieces = new(Budget, w =>
        400 + (w?.Plan?.Bytes ?? 0) + (w?.Bits.Sum(b => 100L + (40L * b.Outline.NumPoints)) ?? 0)
    );
    private readonly Kept<string, IReadOnlyList<WastePlan>> loads = new(Budget / 2, all => 400 + all.Sum(p => p.Bytes));

    /// <summary>The waste of one film of a piece, in the coordinates of its side; null without ink.</summary>
    public FilmWaste? Of(PieceFit fit, int number, FilmLimits limits, FilmPly layer, WeedWays ways) =>
        pieces.Get((fit.Hash, number, limits, ways), () => FilmWaste.Of(fit.Films[number].Ink, layer, fit.Parts, limits, ways));

    /// <summary>Weed boxes that pieces of a load share.</summary>
    public IReadOnlyList<WastePlan> OfLoad(string key, Func<IReadOnlyList<WastePlan>> make) => loads.Get(key, make);
}
