using Cabida.Core.Checking;
using Cabida.Core.Fitting;
using Cabida.Core.Geometry;
using Cabida.Core.Loads;
using Cabida.Core.Pieces;
using Cabida.Core.Stock;
using Area = NetTopologySuite.Geometries.Geometry;

namespace Cabida.Core.Plans;

/// <summary>The ink of a film as it is cut, in the coordinates of its side.</summary>
/// <param name="Ink">It; millimetres.</param>
/// <param name="Key">Tells it apart from any other.</param>
/// <param name="Thin">Its thinnest place, where it is thinner than the film bears only for what lies over it; null for none.</param>
public sealed record LayeredInk(Area Ink, string Key, NarrowPlace? Thin);

/// <summary>Works out what is cut of films that lie under others, and keeps it. Bounded in bytes.</summary>
public sealed class LayeredInks
{
    private const long Budget = 32L << 20;
    private const int BytesPerPoint = 60;

    /// <summary>Less is not cut away; square millimetres.</summary>
    private const double Nothing = 1e-6;
    private readonly Kept<string, LayeredInk> kept = new(Budget, i => 300 + ((long)BytesPerPoint * i.Ink.NumPoints));

    /// <summary>The ink of one film of a side, less what it loses to those over it.</summary>
    /// <param name="run">The run.</param>
    /// <param name="fit">The side.</param>
    /// <param name="number">Which of its films.</param>
    public LayeredInk Of(ReadRun run, PieceFit fit, int number)
    {
        ArgumentNullException.ThrowIfNull(run);
        ArgumentNullException.ThrowIfNull(fit);
        var (layer, key) = (fit.Films[number], FormattableString.Invariant($"{fit.Hash} {number}"));
        var filmId = CutThing.FilmIdOf(run, layer.Film.FilmId);
        var under = run.Run.SetUp.UnderOf(filmId);
        var over = under.Way == LayerWay.Stacked ? [] : OverIt(run, fit, number, filmId);
        if (over.Count == 0)
        {
            return new LayeredInk(layer.Ink, key, null);
        }

        var ways = under.Way == LayerWay.SetIn ? FormattableString.Invariant($"{under.OverlapOr:R}") : "out";
        var film = run.Basis!.FilmOf(layer.Film.FilmId);
        var limits = FilmLimits.Of(film);
        return kept.Get($"{key} under {string.Join(',', over)} {ways} {limits}", () =>
        {
            var ink = FilmLayering.Lower(layer.Ink, Outlines.Union([.. over.Select(i => fit.Films[i].Ink)]), under.Way, under.OverlapOr);
            // It is a part of what it was: of the same area it is the same.
            return layer.Ink.Area - ink.Area < Nothing
                ? new LayeredInk(layer.Ink, key, null)
                : new LayeredInk(ink, $"{key} under {ways}", Thinner(layer.Ink, ink, limits));
        });
    }

    /// <summary>Films that lie over one on its side, and stay there; sheets of the same film are no others.</summary>
    private static List<int> OverIt(ReadRun run, PieceFit fit, int number, string filmId) =>
        [
            .. Enumerable
                .Range(number + 1, fit.Films.Count - number - 1)
                .Where(i =>
                    !fit.Films[i].Ink.IsEmpty
                    && CutThing.FilmIdOf(run, fit.Films[i].Film.FilmId) != filmId
                    && run.Basis!.FilmOf(fit.Films[i].Film.FilmId).Purpose == FilmPurpose.Stays
                    && fit.Films[i].Ink.EnvelopeInternal.Intersects(fit.Films[number].Ink.EnvelopeInternal)
                ),
        ];

    /// <summary>The thinnest place that ink has only since it lost some.</summary>
    private static NarrowPlace? Thinner(Area whole, Area left, FilmLimits limits)
    {
        var before = new InkFacts(whole, limits).Strokes;
        return new InkFacts(left, limits).Strokes.FirstOrDefault(s => before.Count == 0 || s.Width < before[0].Width - Tolerances.Check);
    }
}
