using System.Globalization;
using System.Text;
using System.Text.Json;
using System.Text.Json.Nodes;

namespace Cabida.Web.Tests.Fuzz;

/// <summary>Spoils documents: every kind of value by what a maker, a script or a damaged file could put there.</summary>
internal sealed class Mutation(Random random, IReadOnlyList<string> ids)
{
    private static readonly double[] Numbers =
    [
        -1,
        0,
        1,
        2,
        0.1,
        7.3,
        -37.5,
        90,
        180,
        359,
        1000,
        99_999,
        1e6,
        1e8,
        2147483647,
        2147483648,
        -2147483648,
        1e30,
        1e308,
        -1e308,
        1e-300,
        5e-324,
    ];

    private static readonly string[] Lengths =
    [
        "0",
        "0.1",
        "1",
        "2",
        "3.5",
        "7",
        "12",
        "25.4",
        "38",
        "60",
        "80",
        "123.75",
        "150",
        "219",
        "276",
        "400",
        "999",
        "2000",
        "4999",
        "5000",
        "-3",
        "-40",
        "1/32 in",
        "2¼ cm",
        "1,234",
        "5 ft 3 in",
        "219.",
        "1.2 m",
        "0 in",
        "3000 in",
    ];

    private static readonly string[] Words =
    [
        "",
        " ",
        "٢٥٨",
        "9😀",
        "\ud83d",
        "\udc00x",
        "\0",
        "1e308",
        "NaN",
        "null",
        "{name}",
        "{name} {name} {name}",
        "{}",
        "{",
        "<b>x</b>",
        "Åsa Ní Dhomhnaill",
        "ﷺ",
        "שלום",
        "ชื่อ",
        "a\tb\tc",
        "a\nb\r\nc",
        "#ff00zz",
        "#0f8",
        "-",
        "…",
        "ß",
        "2 x Bram",
        "\u202eabc",
        "e\u0301\u0301\u0301",
    ];

    /// <summary>What was done, for the message of a failure.</summary>
    public List<string> Done { get; } = [];

    /// <summary>Spoils one value somewhere in a document.</summary>
    public void Spoil(JsonNode root)
    {
        var places = new List<(JsonNode Parent, object Key)>();
        Collect(root, places);
        if (places.Count == 0)
        {
            return;
        }

        var (parent, key) = places[random.Next(places.Count)];
        var old = parent is JsonObject o ? o[(string)key] : parent.AsArray()[(int)key];
        switch (random.Next(20))
        {
            case 0 when parent is JsonObject from:
                from.Remove((string)key);
                Done.Add($"{old?.GetPath() ?? key} removed");
                return;
            case 1 when parent is JsonArray list:
                list.RemoveAt((int)key);
                Done.Add($"{key} taken out of {list.GetPath()}");
                return;
            default:
                break;
        }

        var path = old?.GetPath() ?? $"{parent.GetPath()}.{key}";
        var fresh = Other(old, key is string name ? name : "");
        Done.Add($"{path} = {Shortened(fresh?.ToJsonString())}");
        if (parent is JsonObject target)
        {
            target[(string)key] = fresh;
        }
        else
        {
            parent.AsArray()[(int)key] = fresh;
        }
    }

    /// <summary>A value for a place in a path or query.</summary>
    public string Word() =>
        random.Next(3) switch
        {
            0 => Pick(Words),
            1 => Pick(Numbers).ToString("R", CultureInfo.InvariantCulture),
            _ => Pick(ids),
        };

    private static string Shortened(string? text) =>
        text is null ? "null"
        : text.Length > 80 ? $"{text[..80]}… ({text.Length})"
        : text;

    private JsonNode? Other(JsonNode? old, string name)
    {
        if (random.Next(25) == 0)
        {
            return null;
        }

        if (random.Next(25) == 0)
        {
            return random.Next(5) switch
            {
                0 => new JsonArray(),
                1 => new JsonObject(),
                2 => JsonValue.Create(true),
                3 => JsonValue.Create(-1),
                _ => JsonValue.Create("x"),
            };
        }

        return old switch
        {
            JsonArray list => Lengthened(list),
            JsonObject whole => whole.DeepClone(),
            JsonValue value when value.GetValueKind() is JsonValueKind.True or JsonValueKind.False => JsonValue.Create(
                value.GetValueKind() == JsonValueKind.False
            ),
            JsonValue value when value.GetValueKind() == JsonValueKind.Number => JsonValue.Create(
                random.Next(3) == 0 ? (double)random.Next(-20, 400) : Pick(Numbers)
            ),
            JsonValue value when value.GetValueKind() == JsonValueKind.String => Text(value.GetValue<string>(), name),
            _ => JsonValue.Create(Pick(Words)),
        };
    }

    private JsonValue? Text(string old, string name)
    {
        // What is typed into fields of lengths is mostly a length.
        if (name == "text" && random.Next(4) > 0)
        {
            return JsonValue.Create(Pick(Lengths));
        }

        return random.Next(8) switch
        {
            0 => JsonValue.Create(-1),
            1 => JsonValue.Create(
                new string(
                    'm',
                    random.Next(4) switch
                    {
                        0 => 200,
                        1 => 1000,
                        2 => 20_000,
                        _ => 100_000,
                    }
                )
            ),
            2 => JsonValue.Create(Pick(ids)),
            3 => JsonValue.Create(old + Pick(Words)),
            4 => JsonValue.Create(new StringBuilder().Insert(0, "Ada\t3\n", random.Next(1, 400)).ToString()),
            5 => JsonValue.Create(Pick(Lengths)),
            _ => JsonValue.Create(Pick(Words)),
        };
    }

    private JsonArray Lengthened(JsonArray list)
    {
        var fresh = (JsonArray)list.DeepClone();
        switch (random.Next(5))
        {
            case 0:
                fresh.Clear();
                break;
            case 1:
                fresh.Add(null);
                break;
            case 2:
                fresh.Insert(0, null);
                break;
            default:
                var most = new[] { 2, 10, 60, 400, 3000 }[random.Next(5)];
                for (var i = 0; fresh.Count < most && list.Count > 0; i++)
                {
                    fresh.Add(list[i % list.Count]?.DeepClone());
                }

                break;
        }

        return fresh;
    }

    private T Pick<T>(IReadOnlyList<T> of) => of[random.Next(of.Count)];

    private static void Collect(JsonNode? node, List<(JsonNode, object)> places)
    {
        switch (node)
        {
            case JsonObject whole:
                foreach (var (key, value) in whole.ToList())
                {
                    places.Add((whole, key));
                    Collect(value, places);
                }

                break;
            case JsonArray list:
                for (var i = 0; i < list.Count; i++)
                {
                    places.Add((list, i));
                    Collect(list[i], places);
                }

                break;
            default:
                break;
        }
    }
}
