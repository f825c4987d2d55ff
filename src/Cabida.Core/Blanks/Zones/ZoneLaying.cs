using Cabida.Core.Findings;
using Cabida.Core.Geometry;
using Cabida.Core.Wording;

namespace Cabida.Core.Blanks;

/// <summary>Lays the zones of a size on its wall, its panels and its faces with an outline of their own.</summary>
/// <param name="wall">The wall of the thing itself, if it has one.</param>
/// <param name="bellied">The same where it is bellied: laid out anew for each zone.</param>
/// <param name="front">The front of the thing itself, if that is flat.</param>
/// <param name="back">Its back.</param>
/// <param name="mats">The parts of a frame.</param>
/// <param name="faces">The faces with an outline of their own.</param>
/// <param name="kept">The places that stay clear.</param>
/// <param name="limits">What narrows every zone on the thing itself.</param>
/// <param name="extent">How large the thing is at most, while it is not measured and zones may be given outright.</param>
internal sealed class ZoneLaying(
    Wall? wall,
    BelliedWall? bellied,
    Panel? front,
    Panel? back,
    FrameMats? mats,
    IReadOnlyList<FaceSheet> faces,
    IReadOnlyList<ReadClear> kept,
    PanelZone.Limits limits,
    GivenZone.Extent? extent
)
{
    private readonly IReadOnlyList<ReadClear> onItself = [.. kept.Where(k => !k.Spec.On.IsOwn)];

    /// <summary>A zone laid, or what stands in its way.</summary>
    public LaidZone Of(ZoneSpec spec)
    {
        var (echoes, zone, problem) = ReadZone.Of(spec);
        if (zone is null)
        {
            return LaidZone.Fail(spec, echoes, problem);
        }

        return spec.On.IsOwn ? OnOwnFace(spec, echoes, zone)
            : wall is not null ? OnWall(wall, spec, echoes, zone)
            : (spec.Facing == Facing.Back ? back ?? front : front) is { } panel ? OnItself(panel, spec, echoes, zone)
            : Given(spec, echoes, zone);
    }

    private LaidZone OnWall(Wall around, ZoneSpec spec, IReadOnlyList<FieldEcho> echoes, ReadZone zone)
    {
        var laid = bellied?.Lay(zone, onItself) ?? WallZone.Lay(around, zone, onItself);
        return laid.Zone is not { } z
            ? LaidZone.Fail(spec, echoes, laid.Problem)
            : new LaidZone(spec, echoes, z, laid.Wall, null, null, laid.Notes, Stands(z, laid.Wall));
    }

    private LaidZone OnItself(Panel panel, ZoneSpec spec, IReadOnlyList<FieldEcho> echoes, ReadZone zone)
    {
        var part = mats?.PartOf(spec.Part) ?? Outcome<Panel>.Of(panel);
        if (part.Problem is { } none)
        {
            return LaidZone.Fail(spec, echoes, Phrase.Say($"{spec.Name:strong}: {none}"));
        }

        // What has no back bears on its one face whatever was said to be on either.
        var bears = back is null ? onItself : [.. onItself.Where(k => k.Spec.IsOn(part.Value.Face))];
        return OnPanel(spec, echoes, zone, part.Value, bears, limits);
    }

    /// <summary>A zone on a face with an outline of its own; the press that covers a garment covers its sleeves.</summary>
    private LaidZone OnOwnFace(ZoneSpec spec, IReadOnlyList<FieldEcho> echoes, ReadZone zone)
    {
        var face = faces.FirstOrDefault(f => f.Spec.Id == spec.Face);
        if (face is not { Panel: { } panel })
        {
            return LaidZone.Fail(
                spec,
                echoes,
                face is null
                    ? Phrase.Say($"{spec.Name:strong}: the face it was on is not there any more. Choose another.")
                    : Phrase.Say($"{spec.Name:strong}: {face.Spec.Name} is not worked out yet.")
            );
        }

        var asked = new List<Finding>();
        var rim = ReadLimits.Rim(face.Spec.Outline.Rim, asked);
        return asked.Count > 0
            ? LaidZone.Fail(spec, echoes, Phrase.Say($"{face.Spec.Name:strong}: {asked[0].Message}"))
            : OnPanel(spec, echoes, zone, panel, [.. kept.Where(k => k.Spec.IsOn(panel.Face))], limits with { Rim = rim });
    }

    private LaidZone Given(ZoneSpec spec, IReadOnlyList<FieldEcho> echoes, ReadZone zone)
    {
        if (extent is null)
        {
            return LaidZone.Fail(spec, echoes, null);
        }

        var given = GivenZone.Of(zone, extent);
        return given.Zone is { } works
            ? new LaidZone(spec, echoes, works, null, null, null, given.Notes, null)
            : LaidZone.Fail(spec, echoes, given.Problem);
    }

    private static LaidZone OnPanel(
        ZoneSpec spec,
        IReadOnlyList<FieldEcho> echoes,
        ReadZone zone,
        Panel panel,
        IReadOnlyList<ReadClear> kept,
        PanelZone.Limits limits
    )
    {
        var laid = PanelZone.Lay(panel, zone, kept, limits);
        return laid.Zone is not { } z
            ? LaidZone.Fail(spec, echoes, laid.Problem)
            : new LaidZone(spec, echoes, z, null, panel, null, laid.Notes, Stands(z, panel.Datums.Box));
    }

    private static ZoneStands Stands(Zone zone, Wall wall)
    {
        var half = zone.Height.Value.Millimetres / 2;
        var across = wall.Turn.Degrees / 360 * wall.GirthAt(zone.MiddleHeight).Value.Millimetres;
        return new ZoneStands(wall.Height.Value.Millimetres - zone.MiddleHeight - half, zone.MiddleHeight - half, across);
    }

    private static ZoneStands Stands(Zone zone, Box panel) =>
        new(panel.MaxY - zone.Nominal.Bounds.MaxY, zone.Nominal.Bounds.MinY, zone.Nominal.Bounds.CentreX - panel.CentreX);
}
