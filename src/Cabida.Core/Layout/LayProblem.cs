using Cabida.Core.Geometry;

namespace Cabida.Core.Layout;

/// <summary>Things and places made ready for the search.</summary>
internal sealed class LayProblem
{
    /// <summary>Of what may be turned at will, so many turns are tried first.</summary>
    private const int TurnsOfAny = 8;

    /// <summary>Across and up exchanged: things are then laid from the left instead of from the foot.</summary>
    private static readonly Motion Exchanged = new(0, 1, 0, 1, 0, 0);

    public LayProblem(IReadOnlyList<LayItem> items, IReadOnlyList<LayPlace> places, LayTerms terms, bool exchanged = false)
    {
        Terms = terms;
        IsExchanged = exchanged;
        Places = places;
        Grounds = [.. places.Select(p => new LayGround(exchanged ? Outlines.Moved(p.Ground, Exchanged) : p.Ground))];
        var kinds = new Dictionary<string, LayShapes>(StringComparer.Ordinal);
        Things =
        [
            .. items.Select(item =>
            {
                var turned = exchanged ? item with { Outline = Outlines.Moved(item.Outline, Exchanged) } : item;
                if (item.Kind.Length == 0 || !kinds.TryGetValue(item.Kind, out var shapes))
                {
                    shapes = LayShapes.Of(turned, terms.ScissorsRoom);
                    kinds.TryAdd(item.Kind, shapes);
                }

                return new LayThing(turned, shapes, TurnsOf(terms.Turning));
            }),
        ];
    }

    public LayTerms Terms { get; }

    public IReadOnlyList<LayPlace> Places { get; }

    public IReadOnlyList<LayGround> Grounds { get; }

    public IReadOnlyList<LayThing> Things { get; }

    public bool IsExchanged { get; }

    /// <summary>What a turn and a place of a thing mean outside.</summary>
    public RigidMotion Outward(RigidMotion at) => IsExchanged ? new RigidMotion(-at.Degrees, at.Y, at.X) : at;

    /// <summary>What a motion means within the search; the exchange is its own inverse.</summary>
    public RigidMotion Inward(RigidMotion at) => Outward(at);

    /// <summary>The turns that are tried of a thing.</summary>
    public static IReadOnlyList<double> TurnsOf(LayTurning turning) =>
        turning switch
        {
            LayTurning.None => [0],
            LayTurning.Quarter => [0, 90, 180, 270],
            _ => [.. Enumerable.Range(0, TurnsOfAny).Select(i => i * 360.0 / TurnsOfAny)],
        };
}
