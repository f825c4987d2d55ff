using System.Security.Cryptography;
using System.Text;
using Cabida.Core.Geometry;
using Cabida.Core.Type;
using NetTopologySuite.Geometries;
using Area = NetTopologySuite.Geometries.Geometry;

namespace Cabida.Core.Motifs;

/// <summary>
/// What parts do to the ink of a film. Ink is pieces that do not touch; only pieces that are met are worked out anew, seen from
/// the first of them, and kept under a key of all that they came from. So a change beside a graphic of a thousand bits costs
/// nothing for it, and a motif that is only moved is found again.
/// </summary>
/// <param name="cache">Where results are kept; null to keep none.</param>
internal sealed class LayerInk(InkCache? cache)
{
    /// <summary>Places are rounded to a ten-thousandth of a micrometre, so that rounding does not hide what is the same.</summary>
    private const int Digits = 7;

    /// <summary>How much boxes are widened before they are compared, for rounding; millimetres.</summary>
    private const double Slack = 1e-6;

    /// <summary>Ink joined with more of it: pieces that touch become one.</summary>
    public IReadOnlyList<PlacedInk> With(IReadOnlyList<PlacedInk> before, IEnumerable<PlacedInk> more)
    {
        List<PlacedInk> all = [.. before, .. more.Where(p => !p.Area.IsEmpty)];
        if (all.Count <= 1)
        {
            return all;
        }

        // What stood there before is known not to touch.
        return
        [
            .. Clusters
                .Of([.. all.Select(p => p.Box!.Value.Grown(Slack).ToEnvelope())], (i, j) => j >= before.Count && Touch(all[i], all[j]))
                .Select(g =>
                    g.Count == 1
                        ? all[g[0]]
                        : Made("join", [.. g.Select(i => all[i])], areas => Outlines.Join([.. areas.SelectMany(Outlines.PolygonsOf)]))
                ),
        ];
    }

    /// <summary>Ink with other ink taken out of it.</summary>
    public IReadOnlyList<PlacedInk> Without(IReadOnlyList<PlacedInk> before, IReadOnlyList<PlacedInk> away) =>
        [
            .. before
                .Select(p =>
                    Near(p, away) is { Count: > 0 } near
                        ? Made("without", [p, .. near], areas =>
                            Outlines.Without(areas[0], Outlines.Join([.. areas.Skip(1).SelectMany(Outlines.PolygonsOf)]))
                        )
                        : p
                )
                .Where(p => !p.Area.IsEmpty),
        ];

    /// <summary>What of ink lies inside other ink.</summary>
    public IReadOnlyList<PlacedInk> Within(IReadOnlyList<PlacedInk> before, IReadOnlyList<PlacedInk> inside) =>
        [
            .. before
                .Select(p => (Piece: p, Near: Near(p, inside)))
                .Where(p => p.Near.Count > 0)
                .Select(p =>
                    Made("within", [p.Piece, .. p.Near], areas =>
                        Outlines.Within(areas[0], Outlines.Join([.. areas.Skip(1).SelectMany(Outlines.PolygonsOf)]))
                    )
                )
                .Where(p => !p.Area.IsEmpty),
        ];

    /// <summary>Ink grown at every side by millimetres, with its holes filled where it shall be solid.</summary>
    public IReadOnlyList<PlacedInk> Grown(IReadOnlyList<PlacedInk> ink, double by, bool solid)
    {
        Area Solid(Area area) => solid ? Outlines.Filled(area) : area;
        var grown =
            ink.Count == 0 || (by == 0 && !solid)
                ? ink
                :
                [
                    Made(FormattableString.Invariant($"grown {by:R} {solid}"), ink, areas =>
                        Solid(Outlines.Grown(Outlines.Join([.. areas.SelectMany(Outlines.PolygonsOf)]), by, Tolerances.Ink))
                    ),
                ];
        return [.. grown.Where(p => !p.Area.IsEmpty)];
    }

    private static List<PlacedInk> Near(PlacedInk piece, IReadOnlyList<PlacedInk> others) =>
        [.. others.Where(o => piece.Box is { } a && o.Box is { } b && a.Grown(Slack).Meets(b))];

    /// <summary>Whether two pieces have a point in common, as seen from the first.</summary>
    private static bool Touch(PlacedInk a, PlacedInk b)
    {
        List<Polygon> Near(PlacedInk of, PlacedInk other) =>
            Outlines.MovedNear(of.Area, Relative(of, a), other.Box!.Value.Moved(-a.Motion.C, -a.Motion.F).Grown(Slack));
        return Outlines.Touch(Near(a, b), Near(b, a));
    }

    private PlacedInk Made(string how, IReadOnlyList<PlacedInk> of, Func<IReadOnlyList<Area>, Area> make)
    {
        var first = of[0];
        Area Work() => make([.. of.Select(p => Seen(p, first))]);
        var place = Motion.Move(first.Motion.C, first.Motion.F);
        if (cache is null || of.Any(p => p.Key.Length == 0))
        {
            return new PlacedInk("", Work(), place);
        }

        var key = Hash($"{how}|{string.Join('|', of.Select(p => $"{p.Key} {Relative(p, first)}"))}");
        return new PlacedInk(key, cache.Derived(key, Work), place);
    }

    private static Area Seen(PlacedInk piece, PlacedInk from) => Outlines.Moved(piece.Area, Relative(piece, from));

    private static Motion Relative(PlacedInk piece, PlacedInk from) =>
        piece.Motion with
        {
            C = Math.Round(piece.Motion.C - from.Motion.C, Digits),
            F = Math.Round(piece.Motion.F - from.Motion.F, Digits),
        };

    private static string Hash(string text) => Convert.ToHexString(SHA256.HashData(Encoding.UTF8.GetBytes(text)), 0, 16);
}
