using Cabida.Core.Findings;
using Cabida.Core.Measures;
using Cabida.Core.Wording;

namespace Cabida.Core.Blanks;

/// <summary>
/// One size of a blank → its surface, zones and what follows. A zone whose size is given outright works without a surface.
/// </summary>
internal static class SurfaceReadings
{
    public static SizeSheet Of(Blank blank, Estimates rows, IReadOnlyList<ReadClear> kept, List<Finding> findings)
    {
        var asked = new List<Finding>();
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
                var hasBack = blank.Zones.Any(z => z.On == FaceKey.Back) || kept.Any(k => !k.Spec.IsHole && k.Spec.On == FaceKey.Back);
                back = hasBack ? panel?.OtherSide() : null;
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
        var limits = ReadLimits.Of(blank, blank.Surface == SurfaceKind.Flat ? blank.Outline.Rim : TypedLength.Empty, asked);
        // Readings that cannot be, and a size that was left out of a chart, are no case of a workable area alone being known.
        var mayBeGiven =
            asked.Where(f => f.Stops).All(f => f.Rule == Rule.Unread)
            && (blank.Surface != SurfaceKind.Garment || asked.SelectMany(BlankFindings.DimensionsOf).All(d => IsUnread(rows, d)));
        var extent = mayBeGiven && wall is null && panel is null ? GivenZone.Extent.Of(blank.Surface, rows) : null;
        var laying = new ZoneLaying(wall, bellied, panel, back, mats, faces, kept, limits, extent);
        List<LaidZone> zones = [.. blank.Zones.Select(laying.Of)];
        // What only the surface lacks does not stop zones whose size is given outright; it stays unknown.
        var known = wall is not null || panel is not null;
        var works = !known && zones.Any(z => z.Zone is not null && !z.Face.IsOwn);
        findings.AddRange(works ? asked.Select(f => f with { Severity = Severity.Look }) : asked);
        if (works)
        {
            findings.Add(
                BlankFindings.LookAt(
                    [],
                    blank.Surface is SurfaceKind.Straight or SurfaceKind.Tapered or SurfaceKind.Bellied
                        ? Phrase.Say(
                            $"Only the workable area is given. How far it goes round, and how far it stands from the handle, stays "
                                + $"unknown until the wall is measured."
                        )
                        : Phrase.Say(
                            $"Only the workable area is given. Where it stands on the goods stays unknown until they are measured."
                        )
                )
            );
        }

        findings.AddRange(zones.Where(z => z.Problem is not null).Select(z => BlankFindings.Cannot([], z.Problem!)));
        findings.AddRange(zones.SelectMany(z => z.Notes).Select(n => BlankFindings.LookAt([], n)));
        if (known && blank.Zones.Count == 0)
        {
            findings.Add(BlankFindings.Cannot([], Phrase.Say($"It has no zone yet. Add one, so that artwork may go on it.")));
        }

        var places = KeptClearPlaces.Of(wall, panel, back, faces, kept, findings);
        var sheet = new SizeSheet(rows.Of, wall, bellied, panel, mats, places, zones, []) { Back = back, Faces = faces };
        return sheet with { WorksOut = SurfaceFigures.Of(sheet, rows) };
    }

    private static bool IsUnread(Estimates rows, DimensionKind kind) =>
        rows.Rows.Where(r => r.Row.Kind == kind && r.Row.Face.Length == 0).All(r => r.Is is null);
}
