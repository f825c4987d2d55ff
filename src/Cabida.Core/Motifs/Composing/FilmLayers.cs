using System.Security.Cryptography;
using System.Text;
using Cabida.Core.Geometry;
using Cabida.Core.Measures;
using Cabida.Core.Type;
using Area = NetTopologySuite.Geometries.Geometry;

namespace Cabida.Core.Motifs;

/// <summary>
/// Placed parts → ink by film: each part, in order, does to the ink of its film and ply what its action says. Every state on
/// the way is kept under a key of all that led to it, so that after a change only what follows it is worked out anew.
/// </summary>
internal static class FilmLayers
{
    /// <summary>Places are rounded to a ten-thousandth of a micrometre, so that rounding does not hide what is the same.</summary>
    private const int Digits = 7;

    /// <summary>The ink by film, in the order in which the films lie: the lowest first.</summary>
    /// <param name="parts">The parts in place, in order.</param>
    /// <param name="scales">The scales they are drawn at.</param>
    /// <param name="cache">Where states are kept; null to keep none.</param>
    public static IReadOnlyList<FilmInk> Of(IReadOnlyList<PlacedPart> parts, Scales scales, InkCache? cache)
    {
        if (parts.Count == 0)
        {
            return [];
        }

        // Worked out as seen from the first part, so that a motif that is only moved as a whole is found again.
        var (x, y) = (parts[0].Motion.C, parts[0].Motion.F);
        var there = parts.Select(p => p.At(Math.Round(p.Motion.C - x, Digits), Math.Round(p.Motion.F - y, Digits))).ToList();
        return [.. FromFirst(there, scales, cache).Select(f => f with { Ink = Outlines.Moved(f.Ink, Motion.Move(x, y)) })];
    }

    private static IReadOnlyList<FilmInk> FromFirst(List<PlacedPart> parts, Scales scales, InkCache? cache)
    {
        var layers = new Dictionary<FilmPly, Area>();
        var keys = new Dictionary<FilmPly, string>();
        var order = new List<FilmPly>();
        for (var i = 0; i < parts.Count; i++)
        {
            var placed = parts[i];
            switch (placed.Part)
            {
                case BackingPart backing:
                    Back(backing, i);
                    break;
                case MatPart or { Action: PartAction.Adds }:
                    foreach (var ink in placed.Ink)
                    {
                        Act(ink.Film, placed, "+", before => before is null ? ink.Ink : Outlines.Join([.. Outlines.PolygonsOf(before), .. Outlines.PolygonsOf(ink.Ink)]));
                    }

                    break;
                default:
                    // What takes away acts on its own film only, whatever films its drawing is of.
                    var film = new FilmPly(placed.Part.FilmId, placed.Part.Ply);
                    Act(film, placed, FormattableString.Invariant($"{placed.Part.Action} {placed.Part.Clearance.At(scales, LengthRange.Margin)}"), before => Taken(before, placed, scales));
                    break;
            }
        }

        return [.. order.Where(f => layers.TryGetValue(f, out var ink) && !ink.IsEmpty).Select(f => new FilmInk(f, layers[f]))];

        void Act(FilmPly film, PlacedPart placed, string how, Func<Area?, Area> make)
        {
            if (!order.Contains(film))
            {
                order.Add(film);
            }

            var key = keys[film] = Hash($"{keys.GetValueOrDefault(film)}|{film} {how} {placed.Key}");
            layers[film] = cache is null ? make(layers.GetValueOrDefault(film)) : cache.Derived(key, () => make(layers.GetValueOrDefault(film)));
        }

        void Back(BackingPart backing, int at)
        {
            var film = new FilmPly(backing.FilmId, backing.Ply);
            var from = parts.Take(at).Where(p => p.Part is not BackingPart && p.Part.Action is PartAction.Adds or PartAction.ClearsAround && (backing.Of.Count == 0 || backing.Of.Contains(p.Part.Id))).ToList();
            if (from.Count == 0)
            {
                return;
            }

            // It lies under the films it is grown from.
            if (!order.Contains(film))
            {
                var lowest = from.SelectMany(p => p.Body.Ink.Select(x => order.IndexOf(x.Film))).Where(x => x >= 0).DefaultIfEmpty(order.Count).Min();
                order.Insert(lowest, film);
            }

            var by = backing.By.At(scales, LengthRange.Margin);
            var key = keys[film] = Hash($"{keys.GetValueOrDefault(film)}|{film} backing {by:R} {backing.Solid} {string.Join(';', from.Select(p => p.Key))}");
            Area Grow()
            {
                var under = Outlines.Grown(Outlines.Join([.. from.SelectMany(p => p.Ink.SelectMany(x => Outlines.PolygonsOf(x.Ink)))]), by, Tolerances.Ink);
                under = backing.Solid ? Outlines.Filled(under) : under;
                return layers.TryGetValue(film, out var before) ? Outlines.Join([.. Outlines.PolygonsOf(before), .. Outlines.PolygonsOf(under)]) : under;
            }

            layers[film] = cache is null ? Grow() : cache.Derived(key, Grow);
        }
    }

    /// <summary>All films' ink as one area.</summary>
    public static Area Joined(IReadOnlyList<FilmInk> films) => films.Count switch
    {
        0 => Outlines.Empty,
        1 => films[0].Ink,
        _ => Outlines.Join([.. films.SelectMany(f => Outlines.PolygonsOf(f.Ink))]),
    };

    private static Area Taken(Area? before, PlacedPart placed, Scales scales)
    {
        var ink = Outlines.Join([.. placed.Ink.SelectMany(i => Outlines.PolygonsOf(i.Ink))]);
        switch (placed.Part.Action)
        {
            case PartAction.CutsThrough:
                return before is null ? Outlines.Empty : Outlines.Without(before, ink);
            case PartAction.Confines:
                return before is null ? Outlines.Empty : Outlines.Within(before, ink);
            default:
                var clearance = placed.Part.Clearance.At(scales, LengthRange.Margin);
                var left = before is null ? Outlines.Empty : Outlines.Without(before, Outlines.Grown(ink, clearance, Tolerances.Ink));
                return Outlines.Join([.. Outlines.PolygonsOf(left), .. Outlines.PolygonsOf(ink)]);
        }
    }

    private static string Hash(string text) => Convert.ToHexString(SHA256.HashData(Encoding.UTF8.GetBytes(text)), 0, 16);
}
