using Cabida.Core.Blanks;
using Cabida.Core.Geometry;
using Cabida.Core.Motifs;
using Cabida.Core.Runs;
using Cabida.Core.Wording;
using Area = NetTopologySuite.Geometries.Geometry;

namespace Cabida.Core.Fitting;

/// <summary>
/// How composed artwork comes to lie on the flat film of a zone: straight as it is, or bent along a tapered wall. Artwork that
/// follows the taper is fitted straight in the zone as it looks straightened, where that is quick, and bent once it has its place.
/// </summary>
internal sealed class Laying
{
    /// <summary>Rigid letters take about as much room as bent ones: within this share of it.</summary>
    private const double RigidNear = 0.25;

    private readonly TaperBend? bend;
    private readonly bool rigid;

    private Laying(Zone zone, TaperBend? bend, bool rigid)
    {
        (this.bend, this.rigid) = (bend, rigid);
        Straight = bend is null ? zone : zone with { Nominal = bend.Straight(zone.Nominal), Cautious = bend.Straight(zone.Cautious) };
        Judged = rigid ? zone : Straight;
    }

    /// <summary>The zone as artwork sees it that is not bent yet.</summary>
    public Zone Straight { get; }

    /// <summary>The zone in whose coordinates room is measured.</summary>
    public Zone Judged { get; }

    /// <summary>The laying of a zone; straight where there is no taper to follow.</summary>
    public static Laying Of(Zone zone, Wall? wall, TaperWay way) =>
        wall?.Cone is null || way == TaperWay.Ignored
            ? new(zone, null, false)
            : new(zone, new TaperBend(wall, zone.MiddleHeight), way == TaperWay.RigidLetters);

    /// <summary>The largest fit; null when nothing fits.</summary>
    public FitPlace? Largest(Composition composition, FitRules rules)
    {
        var straight = BestFit.Find(composition, composition.AllScales, Straight.Cautious, rules);
        if (!rigid || straight is null)
        {
            return straight;
        }

        bool Fits(double s) => FitsRigid(composition, straight with { Scale = s });
        return Fits(straight.Scale * (1 - RigidNear))
            ? straight with
            {
                Scale = ScaleSearch.Bisect(straight.Scale * (1 - RigidNear), straight.Scale * (1 + RigidNear), Fits, precision: 1e-4),
            }
            : null;
    }

    /// <summary>Where artwork of a given scale stands.</summary>
    public FitPlace PlaceAt(Composition composition, double scale, FitRules rules) =>
        BestFit.PlaceAt(composition, scale, Straight.Cautious, rules);

    /// <summary>Whether artwork fits at a place.</summary>
    public bool Fits(Composition composition, FitPlace place) =>
        rigid
            ? FitsRigid(composition, place)
            : LargestFit.Fits(TurnedInk.Of(composition, place.Turn), place.Scale, Straight.Cautious, place.At);

    /// <summary>The room of artwork at a place, in the zone that is judged; null for no ink.</summary>
    public Rooms? RoomsAt(Composition composition, FitPlace place)
    {
        var straight = InPlace(composition, place);
        var ink = composition.ToFit(rigid ? Flat(straight) : straight, place.Scale);
        return ink.IsEmpty ? null : Rooms.Of(ink, Judged.Cautious);
    }

    /// <summary>Parts in their places, straight.</summary>
    public static IReadOnlyList<PlacedPart> InPlace(Composition composition, FitPlace place) =>
        [.. composition.PartsAt(place.Scale).Select(p => p.Then(place.Motion))];

    /// <summary>Straight parts laid flat on the film.</summary>
    public IReadOnlyList<PlacedPart> Flat(IReadOnlyList<PlacedPart> straight) => bend is null ? straight : [.. straight.Select(Bent)];

    /// <summary>By how much following the taper widens ink; null when it is not followed.</summary>
    public TaperDistortion? DistortionOf(Box straight) => bend?.DistortionAt(straight.MaxY, straight.MinY);

    private bool FitsRigid(Composition composition, FitPlace place) =>
        composition.ToFit(Flat(InPlace(composition, place)), place.Scale) is { IsEmpty: false } ink
        && Rooms.Of(ink, Judged.Cautious).Least >= -Tolerances.Fit;

    /// <summary>A part bent; of rigid lettering each letter is moved whole.</summary>
    private PlacedPart Bent(PlacedPart part)
    {
        var ink = new Once<IReadOnlyList<FilmInk>>(() => [.. InkOf(part)]);
        // A backing has no ink of its own; it is grown from what is bent.
        var box = part.Part is BackingPart ? part.Box : Box.Around(ink.Value.Select(i => i.Box).OfType<Box>()) ?? part.Box;
        return new PlacedPart(
            part.Part,
            new PartBody($"{bend!.Key} {rigid} {part.Key}", box, () => ink.Value)
            {
                Line = part.Line,
                Straight = at => part.Motion.Back(bend.Straight(at)),
                Inner = [.. part.Body.Inner.Select(p => p.Within(part)).Select(Bent)],
                Repeated = part.Body.Repeated,
                Stretched = part.Body.Stretched,
            },
            Motion.None
        );
    }

    private IEnumerable<FilmInk> InkOf(PlacedPart part)
    {
        if (rigid && part.Line is { } line)
        {
            return
            [
                new FilmInk(
                    new FilmPly(part.Part.FilmId, part.Part.Ply),
                    Outlines.Join([.. line.Letters.Select(l => bend!.OnRing(Outlines.Moved(l, part.Motion)))])
                ),
            ];
        }

        // Lines of lettering that only stand together are moved letter by letter as well.
        return rigid && part.Body is { Inner.Count: > 0, Repeated: null } && part.Body.Inner.All(p => p.Part.Action == PartAction.Adds)
            ? part
                .Body.Inner.Select(p => p.Within(part))
                .SelectMany(InkOf)
                .GroupBy(i => i.Film)
                .Select(g => new FilmInk(g.Key, Outlines.Join([.. g.SelectMany(i => Outlines.PolygonsOf(i.Ink)).Select(Area (p) => p)])))
            : part.Ink.Select(i => new FilmInk(i.Film, bend!.Bent(i.Ink)));
    }
}
