using System.Text.Encodings.Web;
using System.Text.Json;
using System.Text.Json.Nodes;
using System.Text.Json.Serialization;

namespace Cabida.Store;

/// <summary>The one reader and writer of documents.</summary>
public static class DocumentJson
{
    /// <summary>The form that is written now. An older one is brought to it when read.</summary>
    public const int CurrentForm = 2;

    private static readonly JsonSerializerOptions Options = new(JsonSerializerDefaults.Web)
    {
        Converters = { new JsonStringEnumConverter(JsonNamingPolicy.CamelCase) },
        Encoder = JavaScriptEncoder.UnsafeRelaxedJsonEscaping,
        RespectNullableAnnotations = true,
    };

    /// <summary>Writes a document in the current form.</summary>
    public static string Write<T>(T document) => JsonSerializer.Serialize(document, Options);

    /// <summary>Reads a document of any form there ever was.</summary>
    /// <exception cref="NotSupportedException">It was written by a newer version of the application.</exception>
    public static T Read<T>(int form, string json) => form switch
    {
        CurrentForm => JsonSerializer.Deserialize<T>(json, Options) ?? throw new JsonException("An empty document."),
        1 => JsonNode.Parse(json) is JsonObject old ? FormOne.ToTwo(old).Deserialize<T>(Options)! : throw new JsonException("An empty document."),
        _ => throw new NotSupportedException($"A document of form {form} was written by a newer version; this one reads up to {CurrentForm}."),
    };
}
