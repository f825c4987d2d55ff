using Cabida.Core.Findings;
using Cabida.Core.Measures;
using Cabida.Core.Wording;

namespace Cabida.Core.Blanks;

/// <summary>What one typed reading was understood as.</summary>
/// <param name="Typed">What was typed.</param>
/// <param name="Value">The length, when it can be read.</param>
/// <param name="Problem">Why it cannot be used, when it cannot.</param>
/// <param name="Outlier">Set when it stands apart from its fellows.</param>
public sealed record ReadingEcho(TypedLength Typed, Length? Value, Phrase? Problem, Phrase? Outlier);

/// <summary>A row of the readings, worked out.</summary>
/// <param name="Row">The dimension.</param>
/// <param name="Echoes">What was understood, a list per line of readings.</param>
/// <param name="Is">What they amount to, when any can be read.</param>
/// <param name="Sum">Where that comes from.</param>
public sealed record DimensionResult(DimensionRow Row, IReadOnlyList<IReadOnlyList<ReadingEcho>> Echoes, Dimension? Is, Phrase? Sum)
{
    /// <summary>How it was read; for finding mistakes.</summary>
    internal ReadHow How { get; init; } = ReadHow.Of([]);
}

/// <summary>A figure that follows from the readings.</summary>
/// <param name="Name">What it is.</param>
/// <param name="Value">The figure.</param>
/// <param name="From">Where it comes from.</param>
public sealed record WorkedOut(string Name, Phrase Value, Phrase From);

/// <summary>A place kept clear, with what was understood of it.</summary>
/// <param name="Spec">What was typed.</param>
/// <param name="Echoes">What was understood of its fields.</param>
/// <param name="Readings">What its readings amount to, a length each that was read more than once or by another tool.</param>
public sealed record LaidClear(KeptClear Spec, IReadOnlyList<FieldEcho> Echoes, IReadOnlyList<ClearReading> Readings);

/// <summary>What several readings of a length of a place amount to.</summary>
/// <param name="Field">Which length.</param>
/// <param name="Echoes">What was understood of the further readings, a list per line.</param>
/// <param name="Is">What all amount to; null when none can be read.</param>
/// <param name="Sum">Where that comes from.</param>
public sealed record ClearReading(ClearField Field, IReadOnlyList<IReadOnlyList<ReadingEcho>> Echoes, Dimension? Is, Phrase? Sum);

/// <summary>A place kept clear as it lies on its surface: x from the middle line, y from the bottom.</summary>
/// <param name="Name">What is there.</param>
/// <param name="IsHole">Whether it goes through.</param>
/// <param name="Area">Its own area, without clearance; bands and strips reach beyond the surface.</param>
/// <param name="Face">The face it lies on.</param>
public sealed record ClearPlace(string Name, bool IsHole, NetTopologySuite.Geometries.Polygon Area, FaceKey Face);

/// <summary>One size of a blank worked out; most blanks have one, without a name.</summary>
/// <param name="Size">The size's name; empty where there are none.</param>
/// <param name="Wall">The wall of a straight or tapered blank; of a bellied one the cone through its ends, for drawing.</param>
/// <param name="Bellied">The wall of a bellied blank.</param>
/// <param name="Panel">The surface of a flat thing.</param>
/// <param name="Mats">What goes into a frame.</param>
/// <param name="Places">Where what must stay clear lies.</param>
/// <param name="Zones">Its zones in order.</param>
/// <param name="WorksOut">What follows.</param>
public sealed record SizeSheet(
    string Size,
    Wall? Wall,
    BelliedWall? Bellied,
    Panel? Panel,
    FrameMats? Mats,
    IReadOnlyList<ClearPlace> Places,
    IReadOnlyList<LaidZone> Zones,
    IReadOnlyList<WorkedOut> WorksOut
)
{
    /// <summary>
    /// The back of a cloth thing, or of a flat one that has something on it, laid to the right of its front; null for others.
    /// </summary>
    public Panel? Back { get; init; }

    /// <summary>Its faces with an outline of their own.</summary>
    public IReadOnlyList<FaceSheet> Faces { get; init; } = [];

    /// <summary>One flat face; null where it is unknown or there is none.</summary>
    public Panel? PanelOf(FaceKey face) =>
        face.IsOwn ? Faces.FirstOrDefault(f => f.Spec.Id == face.Own)?.Panel
        : face.Facing == Facing.Back ? Back
        : Panel;

    /// <summary>The first zone on its wall; null on flat things and where there is none.</summary>
    public LaidZone? OnWall => Zones.FirstOrDefault(z => z is { Zone: not null, Wall: not null });

    /// <summary>The mats of the frame that a zone lies in; null elsewhere.</summary>
    public FrameMats? MatsOf(LaidZone zone) => zone.Face.IsOwn ? null : Mats;

    /// <summary>A zone by its id; the first when none is named.</summary>
    public LaidZone? ZoneOf(string id) =>
        id.Length == 0
            ? Zones.Count > 0
                ? Zones[0]
                : null
            : Zones.FirstOrDefault(z => z.Spec.Id == id);
}

/// <summary>
/// A blank worked out: each reading echoed, each dimension estimated, contradictions found, its surface and zones laid flat.
/// Whatever is missing is null and said in a finding, never invented.
/// </summary>
/// <param name="Rows">The readings in the order of the letters, size after size.</param>
/// <param name="KeptClear">The places kept clear.</param>
/// <param name="Findings">What wants looking at, most serious first.</param>
/// <param name="Sizes">Each size worked out, at least one.</param>
/// <param name="StripProblem">Why the check line of a printed strip cannot be used.</param>
public sealed record BlankSheet(
    IReadOnlyList<DimensionResult> Rows,
    IReadOnlyList<LaidClear> KeptClear,
    IReadOnlyList<Finding> Findings,
    IReadOnlyList<SizeSheet> Sizes,
    Phrase? StripProblem
)
{
    /// <summary>The wall of the only size.</summary>
    public Wall? Wall => Sizes[0].Wall;

    /// <summary>The first zone of the first size.</summary>
    public Zone? Zone => Sizes[0].ZoneOf("")?.Zone;

    /// <summary>What follows from the first size.</summary>
    public IReadOnlyList<WorkedOut> WorksOut => Sizes[0].WorksOut;

    /// <summary>A size by its name; the first when there is none of the name.</summary>
    public SizeSheet SizeOf(string size) => Sizes.FirstOrDefault(s => s.Size == size) ?? Sizes[0];

    /// <summary>Works a blank out.</summary>
    public static BlankSheet Of(Blank blank)
    {
        ArgumentNullException.ThrowIfNull(blank);
        var findings = new List<Finding>();
        var strip = StripCheck.Read(blank.StripCheck);
        var rows = DimensionRows.Of(blank).Select(r => Result(blank, r, strip.ValueOrDefault, findings)).ToList();
        MixedUnits(blank, findings);
        if (blank.Surface == SurfaceKind.Garment)
        {
            SizeChart.Check(blank.Garment, rows, findings);
        }

        if (blank.Material.Problem() is { } heat)
        {
            findings.Add(BlankFindings.LookAt([], Phrase.Say($"{"Heat it stands":strong}. {heat}")));
        }

        if (TypedAmount.Read(blank.Price).Problem is { } price)
        {
            findings.Add(BlankFindings.LookAt([], Phrase.Say($"{"What it costs":strong}. {price}")));
        }

        var kept = blank.KeptClear.Select(k => (Spec: k, Read: ReadClear.Of(k))).ToList();
        findings.AddRange(kept.SelectMany(k => k.Read.Told).Select(t => BlankFindings.LookAt([], t)));
        findings.AddRange(kept.Where(k => k.Read.Problem is not null).Select(k => BlankFindings.LookAt([], k.Read.Problem!)));
        List<ReadClear> clear = [.. kept.Select(k => k.Read.Clear).OfType<ReadClear>()];
        IEnumerable<string> names = blank.Surface == SurfaceKind.Garment && blank.Garment.Sizes.Count > 0 ? blank.Garment.Sizes : [""];
        var sizes = names.Distinct().Select(s => SurfaceReadings.Of(blank, new Estimates(rows, s), clear, findings)).ToList();
        return new BlankSheet(
            rows,
            [.. kept.Select(k => new LaidClear(k.Spec, k.Read.Echoes, k.Read.Readings))],
            [.. findings.DistinctBy(f => f.Message.ToString()).OrderBy(f => f.Severity)],
            sizes,
            strip.Problem
        );
    }

    private static DimensionResult Result(Blank blank, DimensionRow row, StripCheck? strip, List<Finding> findings)
    {
        var lines = blank.LinesOf(row.Kind, row.Of, row.Face);
        var read = lines.Select(l => l.Readings.Select(t => (Typed: t, l.Tool, Read: t.Read(row.Range))).ToList()).ToList();
        var good = read.SelectMany(l => l).Where(r => r.Read.Ok).ToList();
        List<(ReadLength Read, MeasuringTool Tool)> readings = [.. good.Select(r => (r.Read.Value, r.Tool))];
        var estimate = good.Count == 0 ? null : DimensionEstimate.From(readings, row.Along, strip);
        findings.AddRange((estimate?.Told(row.Title, readings) ?? []).Select(t => BlankFindings.LookAt([row.Kind], t)));
        var echoes = read.Select(
                IReadOnlyList<ReadingEcho> (l) =>
                    [
                        .. l.Select(r => new ReadingEcho(
                            r.Typed,
                            r.Read.ValueOrDefault?.Value,
                            r.Typed.IsEmpty ? null : r.Read.Problem,
                            estimate?.Outliers.Any(o => ReferenceEquals(good[o.Index].Typed, r.Typed)) == true
                                ? Phrase.Say($"stands apart")
                                : null
                        )),
                    ]
            )
            .ToList();
        return new DimensionResult(row, echoes, estimate?.Dimension, estimate?.Sum) { How = ReadHow.Of(readings) };
    }

    /// <summary>
    /// Bare numbers that were typed while another unit was in force than the rest: right as they stand, but easily a slip.
    /// </summary>
    private static void MixedUnits(Blank blank, List<Finding> findings)
    {
        var bare = blank
            .Measured.SelectMany(m => m.Lines)
            .SelectMany(l => l.Readings)
            .Where(t => !t.IsEmpty)
            .Where(t => t.Text.All(c => char.IsDigit(c) || c is '.' or ',' or ' '))
            .GroupBy(t => t.Unit)
            .OrderBy(g => g.Count())
            .ToList();
        if (bare.Count > 1)
        {
            var few = bare[0];
            var unit =
                few.Key == LengthUnit.Inch ? "inches"
                : few.Key == LengthUnit.Centimetre ? "centimetres"
                : "millimetres";
            findings.Add(
                BlankFindings.LookAt(
                    [],
                    Phrase.Say(
                        $"Bare numbers were typed in more than one unit: "
                            + $"{string.Join(", ", few.Select(t => t.Text.Trim()).Take(4)):strong} in {unit}, the rest not. They keep the "
                            + $"unit they were typed in; write the unit behind them if that was a slip."
                    )
                )
            );
        }
    }
}
