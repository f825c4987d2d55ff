using System.Globalization;
using Cabida.Core.Measures;
using static Cabida.Core.Measures.MeasuredAlong;
using static Cabida.Core.Measures.MeasuringTool;

namespace Cabida.Core.Blanks;

/// <summary>How a dimension appears among a blank's readings.</summary>
/// <param name="Kind">The dimension.</param>
/// <param name="Letter">Its letter on the drawing.</param>
/// <param name="Name">Its name in the schedule.</param>
/// <param name="Along">How a tool lies when it is read.</param>
/// <param name="UsualTool">The tool that is offered first.</param>
/// <param name="Needed">Whether the blank cannot be worked out without it (or one that stands in for it).</param>
public sealed record DimensionRow(DimensionKind Kind, string Letter, string Name, MeasuredAlong Along, MeasuringTool UsualTool, bool Needed)
{
    /// <summary>Which one, where there are several of the kind; else empty.</summary>
    public string Of { get; init; } = "";

    /// <summary>The face of its own that it is of; empty for the thing itself.</summary>
    public string Face { get; init; } = "";

    /// <summary>
    /// Which sizes can be: a thin sheet is less than a millimetre thick, and what is measured from an edge may lie on it.
    /// </summary>
    public LengthRange Range =>
        Kind switch
        {
            DimensionKind.Thickness => Thin,
            DimensionKind.UpTo
            or DimensionKind.RimToUpper
            or DimensionKind.BaseToLower
            or DimensionKind.Handle
            or DimensionKind.CornerRadius
            or DimensionKind.ShoulderToCollar => LengthRange.Distance,
            _ => LengthRange.Object,
        };

    private static readonly LengthRange Thin = LengthRange.Object with { Least = Length.Mm(0.02) };

    /// <summary>Its letter and name, for sentences.</summary>
    public string Title =>
        Of.Length > 0 && Kind is not (DimensionKind.GirthAt or DimensionKind.AcrossAt or DimensionKind.UpTo)
            ? $"{Letter}, {Name} of {Of}"
            : $"{Letter}, {Name}";
}

/// <summary>Which dimensions a blank is measured by, in the order of the letters on its drawing.</summary>
public static class DimensionRows
{
    /// <summary>The most girths that a bellied wall is read at.</summary>
    public const int MostGirths = 9;

    /// <summary>The rows of a blank.</summary>
    public static IReadOnlyList<DimensionRow> Of(Blank blank)
    {
        ArgumentNullException.ThrowIfNull(blank);
        var own = OfItself(blank);
        if (blank.Faces.Count == 0)
        {
            return own;
        }

        // Letters go on from the thing itself to its faces; of a garment in every size again.
        return blank.Surface == SurfaceKind.Garment
            ? [.. own, .. blank.Garment.Sizes.Distinct().SelectMany(s => OfFaces(blank, s, own.Count(r => r.Of == s)))]
            : [.. own, .. OfFaces(blank, "", own.Length)];
    }

    private static IEnumerable<DimensionRow> OfFaces(Blank blank, string size, int letters) =>
        blank
            .Faces.DistinctBy(f => f.Id)
            .SelectMany(f =>
                Flat(f.Outline.Kind)
                    .Where(r => r.Kind != DimensionKind.Thickness)
                    .Select(r => r with { Of = size, Face = f.Id, Name = $"{f.Name}, {r.Name.ToLowerInvariant()}", Needed = false })
            )
            .Select((r, i) => r with { Letter = Letter(letters + i) });

    private static DimensionRow[] OfItself(Blank blank) =>
        blank.Surface switch
        {
            SurfaceKind.Straight => Lettered(
                (DimensionKind.Girth, "Girth", Round, SoftTape, true),
                (DimensionKind.Across, "Across", Straight, Calliper, false),
                (DimensionKind.HalfGirth, "Half-way round", HalfRound, SoftTape, false),
                (DimensionKind.Height, "Height of wall", Straight, SteelRule, true),
                (DimensionKind.Handle, "Handle blocks", Straight, SteelRule, false)
            ),
            SurfaceKind.Tapered => Lettered(
                (DimensionKind.GirthUpper, "Girth, upper", Round, SoftTape, true),
                (DimensionKind.GirthLower, "Girth, lower", Round, SoftTape, true),
                (DimensionKind.WallBetween, "Wall, A to B", Straight, SteelRule, true),
                (DimensionKind.UprightBetween, "Upright, A to B", Straight, SteelRule, false),
                (DimensionKind.AcrossUpper, "Across at A", Straight, Calliper, false),
                (DimensionKind.AcrossLower, "Across at B", Straight, Calliper, false),
                (DimensionKind.RimToUpper, "Rim to A", Straight, SteelRule, false),
                (DimensionKind.BaseToLower, "Base to B", Straight, SteelRule, false),
                (DimensionKind.Handle, "Handle blocks", Straight, SteelRule, false)
            ),
            SurfaceKind.Bellied => Bellied(Math.Clamp(blank.Girths, 3, MostGirths)),
            SurfaceKind.Flat => Flat(blank.Outline.Kind),
            SurfaceKind.Garment => [.. blank.Garment.Sizes.SelectMany(s => Garment(blank.Garment.Kind).Select(r => r with { Of = s }))],
            SurfaceKind.Framed => Lettered(
                (DimensionKind.RebateWidth, "Rebate, across", Straight, SteelRule, true),
                (DimensionKind.RebateHeight, "Rebate, up", Straight, SteelRule, true),
                (DimensionKind.SightWidth, "Sight, across", Straight, SteelRule, true),
                (DimensionKind.SightHeight, "Sight, up", Straight, SteelRule, true),
                (DimensionKind.PaneWidth, "Pane, across", Straight, SteelRule, false),
                (DimensionKind.PaneHeight, "Pane, up", Straight, SteelRule, false),
                (DimensionKind.PrintWidth, "Print, across", Straight, SteelRule, false),
                (DimensionKind.PrintHeight, "Print, up", Straight, SteelRule, false)
            ),
            _ => throw new ArgumentOutOfRangeException(nameof(blank)),
        };

    /// <summary>The name of the girth with a number, from the lowest.</summary>
    public static string Nth(int girth) => girth.ToString(CultureInfo.InvariantCulture);

    private static DimensionRow[] Bellied(int girths)
    {
        var rows = new List<DimensionRow>
        {
            new(DimensionKind.Height, "A", "Height along the wall", Straight, PaperStrip, true),
            new(DimensionKind.Handle, "B", "Handle blocks", Straight, SteelRule, false),
        };
        for (var i = 1; i <= girths; i++)
        {
            rows.Add(new(DimensionKind.GirthAt, Letter(rows.Count), $"Girth {Nth(i)}", Round, SoftTape, i <= 3) { Of = Nth(i) });
            rows.Add(
                new(DimensionKind.AcrossAt, Letter(rows.Count), $"Across at girth {Nth(i)}", Straight, Calliper, false) { Of = Nth(i) }
            );
            rows.Add(new(DimensionKind.UpTo, Letter(rows.Count), $"Base to girth {Nth(i)}", Straight, PaperStrip, i <= 3) { Of = Nth(i) });
        }

        return [.. rows];
    }

    private static DimensionRow[] Flat(OutlineKind outline)
    {
        (DimensionKind, string, MeasuredAlong, MeasuringTool, bool) width = (DimensionKind.Width, "Width", Straight, SteelRule, true);
        (DimensionKind, string, MeasuredAlong, MeasuringTool, bool) height = (DimensionKind.Height, "Height", Straight, SteelRule, true);
        (DimensionKind, string, MeasuredAlong, MeasuringTool, bool) thick = (
            DimensionKind.Thickness,
            "Thickness",
            Straight,
            Calliper,
            false
        );
        return outline switch
        {
            OutlineKind.Rectangle or OutlineKind.Oval => Lettered(width, height, thick),
            OutlineKind.Rounded => Lettered(width, height, (DimensionKind.CornerRadius, "Corner radius", Straight, SteelRule, true), thick),
            OutlineKind.Circle => Lettered(
                (DimensionKind.Across, "Across", Straight, SteelRule, true),
                (DimensionKind.Girth, "Round the edge", Round, PaperStrip, false),
                thick
            ),
            OutlineKind.Polygon => Lettered((DimensionKind.AcrossFlats, "Across the flats", Straight, SteelRule, true), thick),
            // Read only to check a drawn outline against the real thing.
            OutlineKind.Drawn => Lettered(width with { Item5 = false }, height with { Item5 = false }, thick),
            _ => throw new ArgumentOutOfRangeException(nameof(outline)),
        };
    }

    private static DimensionRow[] Garment(GarmentKind kind) =>
        kind switch
        {
            GarmentKind.Shirt => Lettered(
                (DimensionKind.Width, "Width at the armpits", Straight, SteelRule, true),
                (DimensionKind.CollarToHem, "Collar seam to hem", Straight, SteelRule, true),
                (DimensionKind.ShoulderToCollar, "Shoulder to collar seam", Straight, SteelRule, false),
                (DimensionKind.CollarToPocket, "Collar seam to pocket", Straight, SteelRule, false),
                (DimensionKind.BackCollarToHem, "Back collar seam to hem", Straight, SteelRule, false)
            ),
            GarmentKind.Bag => Lettered(
                (DimensionKind.Width, "Width", Straight, SteelRule, true),
                (DimensionKind.CollarToHem, "Top edge to bottom", Straight, SteelRule, true),
                (DimensionKind.CollarToPocket, "Top edge to pocket", Straight, SteelRule, false)
            ),
            _ => throw new ArgumentOutOfRangeException(nameof(kind)),
        };

    private static DimensionRow[] Lettered(
        params (DimensionKind Kind, string Name, MeasuredAlong Along, MeasuringTool Tool, bool Needed)[] rows
    ) => [.. rows.Select((r, i) => new DimensionRow(r.Kind, Letter(i), r.Name, r.Along, r.Tool, r.Needed))];

    /// <summary>A to Z, then AA, AB … BA, BB …</summary>
    private static string Letter(int at) =>
        at < 26 ? ((char)('A' + at)).ToString() : $"{(char)('A' + (at / 26) - 1)}{(char)('A' + (at % 26))}";
}
