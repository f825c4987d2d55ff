using System.Globalization;
using Cabida.Core.Geometry;
using Cabida.Core.Wording;

namespace Cabida.Formats.Graphics.Dxf;

/// <summary>An entity of a DXF file: its kind and its values by group code.</summary>
/// <param name="Kind">As in <c>LINE</c>.</param>
/// <param name="Values">Group codes and values in order.</param>
internal sealed record DxfEntity(string Kind, List<(int Code, string Value)> Values)
{
    /// <summary>The first value of a code as a number; zero when there is none.</summary>
    public double Of(int code, double otherwise = 0) =>
        Values.FirstOrDefault(v => v.Code == code).Value is { } text ? DxfTags.Number(text) : otherwise;

    /// <summary>The first value of a code as text; empty when there is none.</summary>
    public string Text(int code) => Values.FirstOrDefault(v => v.Code == code).Value ?? "";

    /// <summary>Whether there is a value of a code.</summary>
    public bool Has(int code) => Values.Exists(v => v.Code == code);

    /// <summary>Whether it is seen from behind, as mirrored parts are stored.</summary>
    public bool FacesAway => Of(230, 1) < 0;

    /// <summary>Whether it lies aslant to the page, or stands on it.</summary>
    public bool IsAslant => Math.Abs(Math.Abs(Of(230, 1)) - 1) > 1e-6 && (Math.Abs(Of(210)) > 1e-6 || Math.Abs(Of(220)) > 1e-6);

    /// <summary>A point by the code of its x.</summary>
    public PlanePoint Point(int code) => new(Of(code), Of(code + 10));

    /// <summary>All points by the code of their x.</summary>
    public IReadOnlyList<PlanePoint> Points(int code) =>
        [
            .. Values
                .Where(v => v.Code == code)
                .Zip(Values.Where(v => v.Code == code + 10), (x, y) => new PlanePoint(DxfTags.Number(x.Value), DxfTags.Number(y.Value))),
        ];

    /// <summary>All values of a code as numbers.</summary>
    public double[] All(int code) => [.. Values.Where(v => v.Code == code).Select(v => DxfTags.Number(v.Value))];
}

/// <summary>A layer of a DXF file.</summary>
/// <param name="Colour">Its colour number.</param>
/// <param name="IsOff">Whether it is switched off.</param>
/// <param name="IsFrozen">Whether it is frozen.</param>
internal sealed record DxfLayer(int Colour, bool IsOff, bool IsFrozen);

/// <summary>A block of a DXF file.</summary>
/// <param name="Base">What its insertions put in place.</param>
/// <param name="Entities">What it draws.</param>
internal sealed record DxfBlock(PlanePoint Base, IReadOnlyList<DxfEntity> Entities);

/// <summary>The first pass: text → header, layers, blocks and entities.</summary>
/// <param name="Version">As the header says; empty when it does not.</param>
/// <param name="Unit">The number of its unit; 0 when it does not say.</param>
/// <param name="Layers">The layers by name.</param>
/// <param name="Blocks">By name.</param>
/// <param name="Entities">What is drawn.</param>
internal sealed record DxfTags(
    string Version,
    int Unit,
    IReadOnlyDictionary<string, DxfLayer> Layers,
    IReadOnlyDictionary<string, DxfBlock> Blocks,
    IReadOnlyList<DxfEntity> Entities
)
{
    private const int MostPairs = 12_000_000;

    /// <summary>More different values are those of coordinates, which seldom come again.</summary>
    private const int MostKnown = 4096;

    /// <summary>The next line of a text, taken off it.</summary>
    private static ReadOnlySpan<char> Line(ref ReadOnlySpan<char> rest)
    {
        var end = rest.IndexOf('\n');
        var line = end < 0 ? rest : rest[..end];
        rest = end < 0 ? [] : rest[(end + 1)..];
        return line;
    }

    /// <summary>Reads a file.</summary>
    public static Outcome<DxfTags> Read(string name, string text)
    {
        var lines = text.AsSpan().Count('\n') + 1;
        if (lines > MostPairs)
        {
            return Outcome<DxfTags>.Fail(Phrase.Say($"{name:strong} has {lines:#,0} lines, which is more than a drawing needs."));
        }

        // The same few values come again and again: each is one text.
        var known = new HashSet<string>(StringComparer.Ordinal);
        var bySpan = known.GetAlternateLookup<ReadOnlySpan<char>>();
        var rest = text.AsSpan();
        var sections = new Dictionary<string, List<DxfEntity>>(StringComparer.Ordinal);
        List<DxfEntity>? section = null;
        var variables = new Dictionary<string, string>(StringComparer.Ordinal);
        var variable = "";
        for (var i = 0; i + 1 < lines; i += 2)
        {
            if (!int.TryParse(Line(ref rest).Trim(), NumberStyles.Integer, CultureInfo.InvariantCulture, out var code))
            {
                return Outcome<DxfTags>.Fail(Phrase.Say($"{name:strong} is damaged in line {i + 1}: a number is expected there."));
            }

            var written = Line(ref rest).Trim();
            if (!bySpan.TryGetValue(written, out var value))
            {
                value = written.ToString();
                if (known.Count < MostKnown)
                {
                    known.Add(value);
                }
            }

            switch (code)
            {
                case 0 when value is "SECTION" or "ENDSEC" or "EOF":
                    section = null;
                    break;
                case 2 when section is null && !sections.ContainsKey(value):
                    section = sections[value] = [];
                    break;
                case 9:
                    variable = value;
                    break;
                case 0:
                    section?.Add(new DxfEntity(value, []));
                    break;
                default:
                    if (section is { Count: > 0 })
                    {
                        section[^1].Values.Add((code, value));
                    }
                    else if (variable.Length > 0)
                    {
                        variables.TryAdd(variable, value);
                    }

                    break;
            }
        }

        var version = variables.GetValueOrDefault("$ACADVER", "");
        if (
            version.Length > 0
            && (
                !version.StartsWith("AC1", StringComparison.Ordinal)
                || !int.TryParse(version.AsSpan(2), NumberStyles.Integer, CultureInfo.InvariantCulture, out var number)
                || number is < 1001 or > 1099
            )
        )
        {
            return Outcome<DxfTags>.Fail(
                Phrase.Say($"{name:strong} says it is of version “{version}”, which is not known. Save it as DXF R12 or a later release.")
            );
        }

        return sections.TryGetValue("ENTITIES", out var entities)
            ? Outcome<DxfTags>.Of(
                new DxfTags(
                    version,
                    (int)Number(variables.GetValueOrDefault("$INSUNITS", "0")),
                    LayersOf(sections.GetValueOrDefault("TABLES", [])),
                    BlocksOf(sections.GetValueOrDefault("BLOCKS", [])),
                    Joined(entities)
                )
            )
            : Outcome<DxfTags>.Fail(Phrase.Say($"{name:strong} has no section of entities, so there is nothing to bring in."));
    }

    /// <summary>A number; zero when it is none.</summary>
    public static double Number(string text) => double.TryParse(text, NumberStyles.Float, CultureInfo.InvariantCulture, out var n) ? n : 0;

    /// <summary>A layer whose colour is negative is switched off; the lowest bit of its flags says that it is frozen.</summary>
    private static Dictionary<string, DxfLayer> LayersOf(List<DxfEntity> tables)
    {
        var layers = new Dictionary<string, DxfLayer>(StringComparer.OrdinalIgnoreCase);
        foreach (var layer in tables.Where(t => t.Kind == "LAYER" && t.Text(2).Length > 0))
        {
            var colour = (int)layer.Of(62, 7);
            layers[layer.Text(2)] = new DxfLayer(Math.Abs(colour), colour < 0, ((int)layer.Of(70) & 1) == 1);
        }

        return layers;
    }

    private static Dictionary<string, DxfBlock> BlocksOf(List<DxfEntity> section)
    {
        var blocks = new Dictionary<string, DxfBlock>(StringComparer.OrdinalIgnoreCase);
        for (var i = 0; i < section.Count; i++)
        {
            if (section[i].Kind == "BLOCK")
            {
                var inside = section.Skip(i + 1).TakeWhile(e => e.Kind != "ENDBLK").ToList();
                blocks[section[i].Text(2)] = new DxfBlock(section[i].Point(10), Joined(inside));
                i += inside.Count;
            }
        }

        return blocks;
    }

    /// <summary>Old polylines come as a head with vertices behind it; they are made one entity like the newer kind.</summary>
    private static List<DxfEntity> Joined(List<DxfEntity> entities)
    {
        var joined = new List<DxfEntity>();
        for (var i = 0; i < entities.Count; i++)
        {
            var entity = entities[i];
            if (entity.Kind == "POLYLINE")
            {
                var line = new DxfEntity(
                    "LWPOLYLINE",
                    [.. entity.Values.Where(v => v.Code is 6 or 8 or 40 or 41 or 60 or 62 or 67 or 70 or 210 or 220 or 230 or 420)]
                );
                for (; i + 1 < entities.Count && entities[i + 1].Kind == "VERTEX"; i++)
                {
                    line.Values.AddRange(entities[i + 1].Values.Where(v => v.Code is 10 or 20 or 40 or 41 or 42));
                }

                joined.Add(line);
            }
            else if (entity.Kind is not ("SEQEND" or "VERTEX"))
            {
                joined.Add(entity);
            }
        }

        return joined;
    }
}
