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
public sealed record DimensionResult(DimensionRow Row, IReadOnlyList<IReadOnlyList<ReadingEcho>> Echoes, Dimension? Is, Phrase? Sum);

/// <summary>Something about a blank that wants looking at.</summary>
/// <param name="Stops">Whether nothing can be worked out until it is mended.</param>
/// <param name="Dimensions">The dimensions it is about.</param>
/// <param name="Message">What it is, and what would mend it.</param>
public sealed record BlankFinding(bool Stops, IReadOnlyList<DimensionKind> Dimensions, Phrase Message);

/// <summary>A figure that follows from the readings.</summary>
/// <param name="Name">What it is.</param>
/// <param name="Value">The figure.</param>
/// <param name="From">Where it comes from.</param>
public sealed record WorkedOut(string Name, Phrase Value, Phrase From);

/// <summary>The echo of a margin.</summary>
/// <param name="Value">What was understood.</param>
/// <param name="Problem">Why it cannot be used.</param>
public sealed record MarginEcho(Length? Value, Phrase? Problem);

/// <summary>
/// A blank worked out: each reading echoed, each dimension estimated, contradictions found, the wall and its zone laid
/// flat. Whatever is missing is null and said in a finding, never invented.
/// </summary>
/// <param name="Rows">The readings in the order of the letters.</param>
/// <param name="Rim">The rim margin.</param>
/// <param name="Base">The base margin.</param>
/// <param name="Side">The side margin.</param>
/// <param name="Findings">What wants looking at, most serious first.</param>
/// <param name="Wall">The wall, when enough was read.</param>
/// <param name="Zone">The zone, when the margins leave one.</param>
/// <param name="WorksOut">What follows.</param>
public sealed record BlankSheet(
    IReadOnlyList<DimensionResult> Rows,
    MarginEcho Rim,
    MarginEcho Base,
    MarginEcho Side,
    IReadOnlyList<BlankFinding> Findings,
    Wall? Wall,
    Zone? Zone,
    IReadOnlyList<WorkedOut> WorksOut)
{
    /// <summary>Works a blank out.</summary>
    public static BlankSheet Of(Blank blank)
    {
        ArgumentNullException.ThrowIfNull(blank);
        var findings = new List<BlankFinding>();
        var rows = DimensionRows.Of(blank.Surface).Select(r => Result(blank, r, findings)).ToList();
        var (rim, foot, side) = (Echo(blank.Margins.Rim), Echo(blank.Margins.Base), Echo(blank.Margins.Side));
        var wall = blank.Surface switch
        {
            SurfaceKind.Straight => WallReadings.Straight(rows, findings),
            SurfaceKind.Tapered => WallReadings.Tapered(rows, findings),
            _ => throw new ArgumentOutOfRangeException(nameof(blank)),
        };
        Zone? zone = null;
        if (wall is not null && rim.Value is { } r && foot.Value is { } f && side.Value is { } s)
        {
            var laid = Zone.Of(wall, r, f, s);
            zone = laid.ValueOrDefault;
            if (laid.Problem is { } problem)
            {
                findings.Add(new BlankFinding(true, [], problem));
            }
        }

        return new BlankSheet(
            rows, rim, foot, side, [.. findings.OrderByDescending(x => x.Stops)], wall, zone,
            wall is null ? [] : WallFigures.Of(wall, zone));
    }

    private static MarginEcho Echo(TypedLength typed)
    {
        var read = typed.Read(LengthRange.Margin);
        return new MarginEcho(read.ValueOrDefault?.Value, read.Problem);
    }

    private static DimensionResult Result(Blank blank, DimensionRow row, List<BlankFinding> findings)
    {
        var lines = blank.LinesOf(row.Kind);
        var read = lines.Select(l => l.Readings.Select(t => (Typed: t, l.Tool, Read: t.Read(LengthRange.Object))).ToList()).ToList();
        var good = read.SelectMany(l => l).Where(r => r.Read.Ok).ToList();
        var estimate = good.Count == 0 ? null : DimensionEstimate.From([.. good.Select(r => (r.Read.Value, r.Tool))], row.Along);
        if (estimate?.Disagreement is { } disagreement)
        {
            findings.Add(new BlankFinding(false, [row.Kind], Phrase.Say($"{row.Letter + ", " + row.Name:strong}. {disagreement}")));
        }

        foreach (var outlier in estimate?.Outliers ?? [])
        {
            findings.Add(new BlankFinding(false, [row.Kind], Phrase.Say(
                $"{row.Letter + ", " + row.Name:strong}. The reading {good[outlier.Index].Read.Value.Value} lies {outlier.Away} from the middle of its fellows; {outlier.Allowed} could be chance. Read it again, or take it out.")));
        }

        var echoes = read.Select(IReadOnlyList<ReadingEcho> (l) => [.. l.Select(r => new ReadingEcho(
            r.Typed,
            r.Read.ValueOrDefault?.Value,
            r.Typed.IsEmpty ? null : r.Read.Problem,
            estimate?.Outliers.Any(o => ReferenceEquals(good[o.Index].Typed, r.Typed)) == true ? Phrase.Say($"stands apart") : null))]).ToList();
        return new DimensionResult(row, echoes, estimate?.Dimension, estimate?.Sum);
    }
}
