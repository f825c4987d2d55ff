using Cabida.Core.Geometry;
using Cabida.Core.Measures;
using Cabida.Core.Type;
using Area = NetTopologySuite.Geometries.Geometry;

namespace Cabida.Core.Motifs;

/// <summary>Ink that depends on a scale, centred on its own ink box.</summary>
public interface IScaledInk
{
    /// <summary>The box of the ink at a scale, its centre at the origin; null when there is none. Cheap.</summary>
    Box? BoxAt(double scale);

    /// <summary>The joined ink at a scale, its box centred on the origin.</summary>
    Area InkAt(double scale);
}

/// <summary>A part in its place.</summary>
/// <param name="Part">The part.</param>
/// <param name="Box">The box of its ink.</param>
/// <param name="Line">Its line, when it is lettering.</param>
/// <param name="SizeMm">The size of one em, when it is lettering.</param>
/// <param name="X">Where its origin (start of the baseline) stands.</param>
/// <param name="Y">Its baseline.</param>
public sealed record PlacedPart(Part Part, Box Box, LetteringLine? Line, double SizeMm, double X, double Y)
{
    /// <summary>The height of its capitals; zero for a rule.</summary>
    public double CapitalHeight => Line is null ? 0 : Line.Face.CapitalHeight * SizeMm;

    /// <summary>How far it was moved after a quarter turn to the left about the origin; null when it stands upright.</summary>
    private PlanePoint? Turned { get; init; }

    /// <summary>The part moved.</summary>
    public PlacedPart Moved(double dx, double dy) => Turned is { } by
        ? this with { Box = Box.Moved(dx, dy), Turned = new(by.X + dx, by.Y + dy) }
        : this with { Box = Box.Moved(dx, dy), X = X + dx, Y = Y + dy };

    /// <summary>The upright part turned a quarter to the left about the origin.</summary>
    public PlacedPart QuarterTurned() => this with { Box = new Box(-Box.MaxY, Box.MinX, -Box.MinY, Box.MaxX), Turned = new(0, 0) };

    /// <summary>The letter whose drawing lies round a place, when it is lettering and there is one.</summary>
    public string? LetterAt(PlanePoint at)
    {
        var upright = Turned is { } by ? new PlanePoint(at.Y - by.Y, by.X - at.X) : at;
        return Line?.LetterAt((upright.X - X) / SizeMm, (upright.Y - Y) / SizeMm);
    }

    internal Area Ink => Line is null ? Outlines.Rectangle(Box)
        : Turned is { } by ? Outlines.Placed(Outlines.QuarterTurned(Line.InkAt(SizeMm, X, Y)), 1, by.X, by.Y)
        : Line.InkAt(SizeMm, X, Y);
}

/// <summary>A line whose face lacks characters.</summary>
/// <param name="PartId">The lettering part.</param>
/// <param name="Line">The line as set.</param>
public sealed record LackingLine(string PartId, LetteringLine Line);

/// <summary>
/// A motif with its fields filled and its lines set, ready to be arranged at any scale. Arranging is a pure function
/// of the scale: rows are stacked ink to ink and lined up by ink; fixed lengths stay, the others follow the scale.
/// </summary>
public sealed class Composition : IScaledInk
{
    private readonly Motif motif;
    private readonly IReadOnlyList<IReadOnlyList<Part>> rows;
    private readonly Dictionary<string, LetteringLine> lines = new(StringComparer.Ordinal);

    private Composition(Motif motif, IReadOnlyDictionary<string, string> fields, ITypefaces faces, InkCache cache)
    {
        this.motif = motif;
        rows = RowsOf(motif.Parts);
        foreach (var part in motif.Parts.OfType<LetteringPart>())
        {
            if (faces.Find(part.TypefaceId) is { } face)
            {
                lines[part.Id] = new LetteringLine(Fields.Fill(part.Text, fields).Trim(), face, part.Spacing / 1000, cache);
            }
        }
    }

    /// <summary>Lines with characters that their face lacks.</summary>
    public IEnumerable<LackingLine> Lacking =>
        motif.Parts.Where(p => lines.TryGetValue(p.Id, out var line) && line.Missing.Count > 0).Select(p => new LackingLine(p.Id, lines[p.Id]));

    /// <summary>The line that holds the name field, when there is one.</summary>
    public string? NamePartId => motif.Parts.OfType<LetteringPart>().FirstOrDefault(p => Fields.In(p.Text).Contains(Fields.Name, StringComparer.Ordinal))?.Id;

    /// <summary>Whether nothing in it follows the scale.</summary>
    public bool IsFixed => Lengths.All(l => l.Scaling == Scaling.Fixed);

    /// <summary>Whether all of it follows the scale.</summary>
    public bool AllScales => Lengths.All(l => l.Scaling == Scaling.Proportional);

    /// <summary>Every length that decides how large it is; the first part's gap does not.</summary>
    private IEnumerable<MotifLength> Lengths => motif.Parts.SelectMany((p, i) => p switch
    {
        LetteringPart l => new[] { l.Size },
        RulePart { Span: RuleSpan.FillsRow } r => [r.Thickness],
        RulePart r => [r.Thickness, r.Length],
        _ => throw new InvalidOperationException(p.GetType().Name),
    } is var own && i > 0 ? [.. own, p.Gap] : own);

    /// <summary>Fills a motif's fields and sets its lines.</summary>
    /// <param name="motif">The motif; lengths that cannot be read count as nothing.</param>
    /// <param name="fields">Values by field.</param>
    /// <param name="faces">The typefaces at hand.</param>
    /// <param name="cache">Where outlines are kept.</param>
    public static Composition Of(Motif motif, IReadOnlyDictionary<string, string> fields, ITypefaces faces, InkCache cache)
    {
        ArgumentNullException.ThrowIfNull(motif);
        ArgumentNullException.ThrowIfNull(fields);
        ArgumentNullException.ThrowIfNull(faces);
        return new Composition(motif, fields, faces, cache);
    }

    /// <summary>The parts with ink, in place, the box of all centred on the origin.</summary>
    public IReadOnlyList<PlacedPart> PartsAt(double scale)
    {
        var placed = new List<PlacedPart>();
        var set = rows.Select(r => SetRow(r, scale)).ToList();
        var widest = set.Where(r => !r.Fills).Select(r => r.Width).DefaultIfEmpty(0).Max();
        double? bottom = null;
        foreach (var row in set)
        {
            var parts = row.Spread(Math.Max(widest, row.Width));
            if (parts.Count == 0)
            {
                continue;
            }

            var box = Box.Around(parts.Select(p => p.Box))!.Value;
            var dx = motif.Alignment switch
            {
                RowAlignment.Left => -box.MinX,
                RowAlignment.Right => -box.MaxX,
                _ => -box.CentreX,
            };
            var dy = bottom is { } b ? b - row.GapAbove - box.MaxY : -box.MaxY;
            placed.AddRange(parts.Select(p => p.Moved(dx, dy)));
            bottom = box.MinY + dy;
        }

        return Box.Around(placed.Select(p => p.Box)) is { } all
            ? [.. placed.Select(p => p.Moved(-all.CentreX, -all.CentreY))]
            : placed;
    }

    /// <inheritdoc/>
    public Box? BoxAt(double scale) => Box.Around(PartsAt(scale).Select(p => p.Box));

    /// <inheritdoc/>
    public Area InkAt(double scale) => InkOf(PartsAt(scale));

    /// <summary>The joined ink of placed parts.</summary>
    public static Area InkOf(IReadOnlyList<PlacedPart> parts)
    {
        ArgumentNullException.ThrowIfNull(parts);
        return Outlines.Join([.. parts.Select(p => p.Ink).Where(a => !a.IsEmpty)]);
    }

    private static List<List<Part>> RowsOf(IReadOnlyList<Part> parts)
    {
        var rows = new List<List<Part>>();
        foreach (var part in parts)
        {
            if (rows.Count == 0 || part.Place == PartPlace.Below)
            {
                rows.Add([]);
            }

            rows[^1].Add(part);
        }

        return rows;
    }

    private Row SetRow(IReadOnlyList<Part> parts, double scale)
    {
        var items = new List<RowItem>();
        var middle = 0.0;
        foreach (var part in parts)
        {
            var gap = part.Gap.At(scale, LengthRange.Margin);
            switch (part)
            {
                case LetteringPart lettering when lines.TryGetValue(part.Id, out var line):
                    var size = SizeOf(lettering, line, scale);
                    if (size > 0 && line.BoxAt(size) is { } box)
                    {
                        middle = middle == 0 ? line.Face.CapitalHeight * size / 2 : middle;
                        items.Add(new RowItem(part, gap, box, line, size, false));
                    }

                    break;
                case RulePart rule:
                    var thickness = rule.Thickness.At(scale, LengthRange.Artwork);
                    var length = rule.Length.At(scale, LengthRange.Artwork);
                    if (thickness > 0 && (length > 0 || rule.Span == RuleSpan.FillsRow))
                    {
                        items.Add(new RowItem(part, gap, new Box(0, -thickness / 2, length, thickness / 2), null, 0, rule.Span == RuleSpan.FillsRow));
                    }

                    break;
                default:
                    break;
            }
        }

        return new Row(items, parts[0].Gap.At(scale, LengthRange.Margin), middle);
    }

    private static double SizeOf(LetteringPart part, LetteringLine line, double scale)
    {
        var wanted = part.Size.At(scale, LengthRange.Artwork);
        if (part.SizedBy == LetteringSize.CapitalHeight)
        {
            return wanted / line.Face.CapitalHeight;
        }

        // The ink's width is proportional to the em but for the flattening, so one correction is exact enough.
        const double Trial = 100;
        return line.BoxAt(Trial) is not { Width: > 0 } trial || wanted <= 0 ? 0
            : wanted / trial.Width * Trial is var first && line.BoxAt(first) is { } box ? first * wanted / box.Width : 0;
    }

    private sealed record RowItem(Part Part, double GapBefore, Box Box, LetteringLine? Line, double SizeMm, bool Fills);

    /// <summary>A row before it is spread to its width; y = 0 is its baseline.</summary>
    private sealed record Row(List<RowItem> Items, double GapAbove, double Middle)
    {
        public bool Fills => Items.Any(i => i.Fills);

        public double Width => Items.Sum(i => i.Box.Width) + Items.Skip(1).Sum(i => i.GapBefore);

        /// <summary>The parts side by side, rules that fill lengthened so that the row is as wide as asked.</summary>
        public List<PlacedPart> Spread(double width)
        {
            var share = Fills ? (width - Width) / Items.Count(i => i.Fills) : 0;
            var parts = new List<PlacedPart>();
            var x = 0.0;
            for (var i = 0; i < Items.Count; i++)
            {
                var item = Items[i];
                x += i > 0 ? item.GapBefore : 0;
                var box = item.Fills ? item.Box with { MaxX = item.Box.MaxX + share } : item.Box;
                if (box.Width > 0)
                {
                    var dy = item.Line is null ? Middle : 0;
                    parts.Add(new PlacedPart(item.Part, box.Moved(x - box.MinX, dy), item.Line, item.SizeMm, x - box.MinX, dy));
                }

                x += box.Width;
            }

            return parts;
        }
    }
}
