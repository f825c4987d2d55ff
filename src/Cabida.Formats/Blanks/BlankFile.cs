using System.Text.Encodings.Web;
using System.Text.Json;
using System.Text.Json.Serialization;
using Cabida.Core.Blanks;
using Cabida.Core.Measures;
using Cabida.Core.Wording;

namespace Cabida.Formats.Blanks;

/// <summary>
/// Blanks as a file that two workshops can swap, described in docs/blank-file.md. What a file leaves out is as on a new
/// blank; a word that is not known is told with its place rather than passed over.
/// </summary>
public static class BlankFile
{
    private const string Kind = "cabida blanks";
    private const int CurrentVersion = 1;
    private const int MostBlanks = 500;

    private static readonly JsonSerializerOptions Options = new(JsonSerializerDefaults.Web)
    {
        Converters = { new JsonStringEnumConverter(JsonNamingPolicy.CamelCase), new LengthAsTyped() },
        Encoder = JavaScriptEncoder.UnsafeRelaxedJsonEscaping,
        RespectNullableAnnotations = true,
        RespectRequiredConstructorParameters = true,
        UnmappedMemberHandling = JsonUnmappedMemberHandling.Disallow,
        ReadCommentHandling = JsonCommentHandling.Skip,
        AllowTrailingCommas = true,
        WriteIndented = true,
    };

    private sealed record Content(string Format, int Version, IReadOnlyList<Blank> Blanks);

    /// <summary>Writes blanks. Pictures and jobs stay at home.</summary>
    public static byte[] Write(IEnumerable<Blank> blanks) =>
        JsonSerializer.SerializeToUtf8Bytes(new Content(Kind, CurrentVersion, [.. blanks.Select(AtHome)]), Options);

    /// <summary>Reads blanks, or says what in the file cannot be understood.</summary>
    public static Outcome<IReadOnlyList<Blank>> Read(byte[] file)
    {
        Content content;
        try
        {
            content = JsonSerializer.Deserialize<Content>(file, Options)!;
        }
        catch (JsonException e)
        {
            return Fail(Phrase.Say($"The file cannot be understood{Where(e)}: {Reason(e)}"));
        }

        if (content is null || content.Format != Kind)
        {
            return Fail(Phrase.Say($"This is no file of blanks: it should begin with \"format\": \"{Kind}\"."));
        }

        if (content.Version != CurrentVersion)
        {
            return Fail(Phrase.Say($"The file is of version {content.Version}; this Cabida reads version {CurrentVersion}."));
        }

        if (content.Blanks.Count is 0 or > MostBlanks)
        {
            return Fail(
                content.Blanks.Count == 0
                    ? Phrase.Say($"There is no blank in the file.")
                    : Phrase.Say($"There are {content.Blanks.Count} blanks in the file; up to {MostBlanks} are read at once.")
            );
        }

        // A list may hold nothing at all in the place of a thing.
        return content.Blanks.Any(b => string.IsNullOrWhiteSpace(b?.Name))
            ? Fail(Phrase.Say($"A blank in the file has no name."))
            : Outcome<IReadOnlyList<Blank>>.Of([.. content.Blanks.Select(AtHome)]);

        static Outcome<IReadOnlyList<Blank>> Fail(Phrase why) => Outcome<IReadOnlyList<Blank>>.Fail(why);
    }

    private static Blank AtHome(Blank blank) =>
        blank with
        {
            PictureId = null,
            JobId = null,
            Outline = AtHome(blank.Outline),
            Faces = [.. blank.Faces.Select(f => f is null ? f! : f with { Outline = AtHome(f.Outline) })],
        };

    private static PanelOutline AtHome(PanelOutline outline) =>
        outline with
        {
            Drawn = outline.Drawn is { } drawn ? drawn with { PictureId = null } : null,
        };

    private static string Where(JsonException e) =>
        e.LineNumber is { } line
            ? $" in line {line + 1}{(string.IsNullOrEmpty(e.Path) || e.Path == "$" ? "" : $", at {e.Path.TrimStart('$', '.')}")}"
            : "";

    private static string Reason(JsonException e) =>
        e.Message.Contains("could not be mapped", StringComparison.Ordinal) ? "this word is not known here."
        : e.Message.Contains("missing required", StringComparison.Ordinal)
            ? "something that is needed is missing (a blank needs name, surface and measured; a reading needs tool and readings)."
        : e.Message.Contains("could not be converted", StringComparison.Ordinal) ? "this value is not of a kind that is expected here."
        : "it is not well-formed JSON.";

    /// <summary>A typed length as a string; with its unit beside it only where a bare number was not in millimetres.</summary>
    private sealed class LengthAsTyped : JsonConverter<TypedLength>
    {
        public override TypedLength Read(ref Utf8JsonReader reader, Type typeToConvert, JsonSerializerOptions options)
        {
            if (reader.TokenType == JsonTokenType.String)
            {
                return new TypedLength(reader.GetString()!);
            }

            if (reader.TokenType == JsonTokenType.Number)
            {
                return TypedLength.Mm(reader.GetDouble());
            }

            var pair = JsonSerializer.Deserialize<TypedInUnit>(ref reader, options) ?? throw new JsonException("could not be converted");
            return new TypedLength(pair.Text, pair.Unit);
        }

        public override void Write(Utf8JsonWriter writer, TypedLength value, JsonSerializerOptions options)
        {
            if (value.Unit == LengthUnit.Millimetre)
            {
                writer.WriteStringValue(value.Text);
            }
            else
            {
                JsonSerializer.Serialize(writer, new TypedInUnit(value.Text, value.Unit), options);
            }
        }
    }

    private sealed record TypedInUnit(string Text, LengthUnit Unit);
}
