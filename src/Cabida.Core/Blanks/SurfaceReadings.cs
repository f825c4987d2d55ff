using Cabida.Core.Measures;
using Cabida.Core.Wording;

namespace Cabida.Core.Blanks;

/// <summary>One size of a blank → its surface, zones and what follows. A zone whose size is given outright works without a surface.</summary>
internal static class SurfaceReadings
{
    public static SizeSheet Of(Blank blank, Estimates rows, IReadOnlyList<ReadClear> kept, List<BlankFinding> findings)
    {
        var asked = new List<BlankFinding>();
        Wall? wall = null;
        BelliedWall? bellied = null;
        Panel? panel = null;
        Panel? back = null;
        FrameMats? mats = null;
        switch (blank.Surface)
        {
            case SurfaceKind.Straight:
                wall = WallReadings.Straight(rows, asked);
                break;
            case SurfaceKind.Tapered:
                wall = WallReadings.Tapered(rows, asked);
                break;
            case SurfaceKind.Bellied:
                bellied = BellyReadings.Of(Math.Clamp(blank.Girths, 3, DimensionRows.MostGirths), rows, asked);
                wall = bellied?.Whole;
                break;
            case SurfaceKind.Flat:
                panel = PanelReadings.Of(blank.Outline, rows, asked);
                // A thing of one side is drawn as one; the other side is there as soon as something is on it.
                back = blank.Zones.Any(z => z.On == FaceKey.Back) || kept.Any(k => !k.Spec.IsHole && k.Spec.On == FaceKey.Back) ? panel?.OtherSide() : null;
                break;
            case SurfaceKind.Garment:
                panel = GarmentReadings.Front(blank.Garment.Kind, rows, asked);
                back = panel is null ? null : GarmentReadings.Back(panel, rows, asked);
                break;
            case SurfaceKind.Framed:
                mats = FrameMats.Of(blank.Frame, rows, asked);
                panel = mats?.Visible;
                break;
            default:
                throw new ArgumentOutOfRangeException(nameof(blank));
        }

        var faces = OwnFaces.Of(blank, rows, wall, panel, findings);
        var limits = Limits(blank, blank.Surface == SurfaceKind.Flat ? blank.Outline.Rim : TypedLength.Empty, asked);
        // Readings that cannot be, and a size that was left out of a chart, are no case of a workable area alone being known.
        var mayBeGiven = asked.Where(f => f.Stops).All(f => f.AsksFor)
            && (blank.Surface != SurfaceKind.Garment || asked.SelectMany(f => f.Dimensions).All(d => rows.Rows.Where(r => r.Row.Kind == d && r.Row.Face.Length == 0).All(r => r.Is is null)));
        var extent = mayBeGiven && wall is null && panel is null ? GivenZone.Extent.Of(blank.Surface, rows) : null;
        List<ReadClear> keptHere = [.. kept.Where(k => k.Spec.Face.Length == 0)];
        List<LaidZone> zones = [.. blank.Zones.Select(z => z.On.IsOwn
            ? OnOwnFace(blank, z, faces.FirstOrDefault(f => f.Spec.Id == z.Face), kept, limits)
            : Zone(z, wall, bellied, panel, back, mats, keptHere, limits, extent))];
        // What only the surface lacks does not stop zones whose size is given outright; it stays unknown.
        var known = wall is not null || panel is not null;
        var works = !known && zones.Any(z => z.Zone is not null && !z.Face.IsOwn);
        findings.AddRange(works ? asked.Select(f => f with { Stops = false }) : asked);
        if (works)
        {
            findings.Add(new BlankFinding(false, [], blank.Surface is SurfaceKind.Straight or SurfaceKind.Tapered or SurfaceKind.Bellied
                ? Phrase.Say($"Only the workable area is given. How far it goes round, and how far it stands from the handle, stays unknown until the wall is measured.")
                : Phrase.Say($"Only the workable area is given. Where it stands on the goods stays unknown until they are measured.")));
        }

        findings.AddRange(zones.Where(z => z.Problem is not null).Select(z => new BlankFinding(true, [], z.Problem!)));
        findings.AddRange(zones.SelectMany(z => z.Notes).Select(n => new BlankFinding(false, [], n)));
        if (known && blank.Zones.Count == 0)
        {
            findings.Add(new BlankFinding(true, [], Phrase.Say($"It has no zone yet. Add one, so that artwork may go on it.")));
        }

        var sheet = new SizeSheet(rows.Of, wall, bellied, panel, mats, Places(wall, panel, back, faces, kept, findings), zones, []) { Back = back, Faces = faces };
        return sheet with { WorksOut = SurfaceFigures.Of(sheet, rows) };
    }

    private static List<ClearPlace> Places(Wall? wall, Panel? panel, Panel? back, IReadOnlyList<FaceSheet> own, IReadOnlyList<ReadClear> kept, List<BlankFinding> findings)
    {
        var faces = new List<(FaceKey Face, Datums Datums, Panel? Panel)>();
        if (wall is { StraightGirth.Value.Millimetres: var girth })
        {
            faces.Add((FaceKey.Front, Datums.Of(new Geometry.Box(-girth / 2, 0, girth / 2, wall.Height.Value.Millimetres)), null));
        }

        faces.AddRange(own.Select(f => f.Panel).Prepend(back).Prepend(panel).OfType<Panel>().Select(p => (p.Face, p.Datums, (Panel?)p)));
        // What has no back bears on its one face whatever was said to be on either.
        bool Bears(FaceKey face, KeptClear place) => place.IsOn(face) || (back is null && !face.IsOwn && !place.On.IsOwn);
        var places = new List<ClearPlace>();
        foreach (var (clear, (face, from, on)) in kept.SelectMany(k => faces.Where(f => Bears(f.Face, k.Spec)).Select(f => (k, f))))
        {
            var area = ClearShapes.Of(clear, from, 0);
            if (area.Problem is { } problem)
            {
                findings.Add(new BlankFinding(true, [], problem));
                continue;
            }

            if (ClearShapes.Off(clear, area.Value, on is null ? wall : null, on) is { } off)
            {
                findings.Add(new BlankFinding(false, [], off));
            }

            // Holes that run into one another are one hole, or one of them was measured in wrongly.
            if (clear.Spec.IsHole && places.FirstOrDefault(p => p.IsHole && p.Face == face && Geometry.Overlay.Meet(p.Area, area.Value)) is { } other)
            {
                findings.Add(new BlankFinding(false, [], Phrase.Say($"{clear.Spec.Name:strong} runs into {other.Name:strong}. Look at where both are measured from, and at their sizes.")));
            }

            places.Add(new ClearPlace(clear.Spec.Name, clear.Spec.IsHole, area.Value, face));
        }

        foreach (var lost in kept.Where(k => k.Spec.Face.Length > 0 && own.All(f => f.Spec.Id != k.Spec.Face)))
        {
            findings.Add(new BlankFinding(false, [], Phrase.Say($"{lost.Spec.Name:strong} lies on a face that is not there any more: it keeps nothing clear. Choose another, or remove it.")));
        }

        return places;
    }

    private static PanelZone.Limits Limits(Blank blank, TypedLength typedRim, List<BlankFinding> findings)
    {
        var rim = Read(typedRim, LengthRange.Margin, "Rim that stays clear");
        if (blank.Surface != SurfaceKind.Garment)
        {
            return new PanelZone.Limits(rim ?? 0, null);
        }

        var (width, height) = (Read(blank.Garment.PlatenWidth, LengthRange.Object, "Width the press covers"), Read(blank.Garment.PlatenHeight, LengthRange.Object, "Height the press covers"));
        return new PanelZone.Limits(rim ?? 0, width is { } w && height is { } h ? (w, h) : null);

        double? Read(TypedLength typed, LengthRange range, string what)
        {
            var read = typed.Read(range);
            if (!typed.IsEmpty && read.Problem is { } problem)
            {
                findings.Add(new BlankFinding(true, [], Phrase.Say($"{what:strong}. {problem}")));
            }

            return read.ValueOrDefault?.Value.Millimetres;
        }
    }

    private static LaidZone Zone(
        ZoneSpec spec, Wall? wall, BelliedWall? bellied, Panel? front, Panel? back, FrameMats? mats, IReadOnlyList<ReadClear> kept, PanelZone.Limits limits, GivenZone.Extent? extent)
    {
        var (echoes, zone, problem) = ReadZone.Of(spec);
        if (zone is null)
        {
            return LaidZone.Fail(spec, echoes, problem);
        }

        if (wall is not null)
        {
            var laid = bellied?.Lay(zone, kept) ?? WallZone.Lay(wall, zone, kept);
            return laid.Zone is not { } z
                ? LaidZone.Fail(spec, echoes, laid.Problem)
                : new LaidZone(spec, echoes, z, laid.Wall, null, null, laid.Notes, OnWall(z, laid.Wall));
        }

        if ((spec.Facing == Facing.Back ? back ?? front : front) is { } panel)
        {
            var part = mats?.PartOf(spec.Part) ?? Outcome<Panel>.Of(panel);
            if (part.Problem is { } none)
            {
                return LaidZone.Fail(spec, echoes, Phrase.Say($"{spec.Name:strong}: {none}"));
            }

            return OnPanel(spec, echoes, zone, part.Value, back is null ? kept : [.. kept.Where(k => k.Spec.IsOn(part.Value.Face))], limits);
        }

        if (extent is null)
        {
            return LaidZone.Fail(spec, echoes, null);
        }

        var given = GivenZone.Of(zone, extent);
        return given.Zone is { } works ? new LaidZone(spec, echoes, works, null, null, null, given.Notes, null) : LaidZone.Fail(spec, echoes, given.Problem);
    }

    /// <summary>A zone on a face with an outline of its own; the press that covers a garment covers its sleeves.</summary>
    private static LaidZone OnOwnFace(Blank blank, ZoneSpec spec, FaceSheet? face, IReadOnlyList<ReadClear> kept, PanelZone.Limits ofGarment)
    {
        var (echoes, zone, problem) = ReadZone.Of(spec);
        if (zone is null || face is not { Panel: { } panel })
        {
            return LaidZone.Fail(spec, echoes, problem ?? (face is null
                ? Phrase.Say($"{spec.Name:strong}: the face it was on is not there any more. Choose another.")
                : Phrase.Say($"{spec.Name:strong}: {face.Spec.Name} is not worked out yet.")));
        }

        var asked = new List<BlankFinding>();
        var limits = Limits(blank, face.Spec.Outline.Rim, asked) with { Platen = ofGarment.Platen };
        return asked.Count > 0
            ? LaidZone.Fail(spec, echoes, Phrase.Say($"{face.Spec.Name:strong}: {asked[0].Message}"))
            : OnPanel(spec, echoes, zone, panel, [.. kept.Where(k => k.Spec.IsOn(panel.Face))], limits);
    }

    private static LaidZone OnPanel(ZoneSpec spec, IReadOnlyList<FieldEcho> echoes, ReadZone zone, Panel panel, IReadOnlyList<ReadClear> kept, PanelZone.Limits limits)
    {
        var laid = PanelZone.Lay(panel, zone, kept, limits);
        return laid.Zone is not { } z
            ? LaidZone.Fail(spec, echoes, laid.Problem)
            : new LaidZone(spec, echoes, z, null, panel, null, laid.Notes, Stands(z, panel.Datums.Box.MaxY, z.Nominal.Bounds.CentreX - panel.Datums.Box.CentreX));
    }

    private static ZoneStands OnWall(Zone zone, Wall wall)
    {
        var half = zone.Height.Value.Millimetres / 2;
        return new ZoneStands(
            wall.Height.Value.Millimetres - zone.MiddleHeight - half, zone.MiddleHeight - half, wall.Turn.Degrees / 360 * wall.GirthAt(zone.MiddleHeight).Value.Millimetres);
    }

    private static ZoneStands Stands(Zone zone, double top, double across) =>
        new(top - zone.Nominal.Bounds.MaxY, zone.Nominal.Bounds.MinY, across);
}
