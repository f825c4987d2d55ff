using System.Text.Encodings.Web;
using System.Text.Json;
using System.Text.Json.Nodes;
using System.Text.Json.Serialization;
using Cabida.Core.Wording;

namespace Cabida.Store;

/// <summary>The one reader and writer of documents.</summary>
public static class DocumentJson
{
    /// <summary>The form that is written now. An older one is brought to it when read.</summary>
    public const int CurrentForm = 2;

    private static readonly JsonSerializerOptions Options = new(JsonSerializerDefaults.Web)
    {
        Converters = { new JsonStringEnumConverter(JsonNamingPolicy.CamelCase, allowIntegerValues: false) },
        Encoder = JavaScriptEncoder.UnsafeRelaxedJsonEscaping,
        RespectNullableAnnotations = true,
    };

    /// <summary>Writes a document in the current form.</summary>
    public static string Write<T>(T document) => JsonSerializer.Serialize(document, Options);

    /// <summary>Reads a document of any form there ever was.</summary>
    /// <exception cref="NotWorkableException">It cannot be read: it is damaged, or was written by a newer version of the
    /// application.</exception>
    public static T Read<T>(int form, string json)
    {
        try
        {
            return form switch
            {
                CurrentForm => JsonSerializer.Deserialize<T>(json, Options) ?? throw new JsonException("An empty document."),
                1 => JsonNode.Parse(json) is JsonObject old
                    ? FormOne.ToTwo(old).Deserialize<T>(Options)!
                    : throw new JsonException("An empty document."),
                _ => throw new NotWorkableException(
                    Phrase.Say($"It was written by a newer version of Cabida (form {form}; this one reads up to {CurrentForm}).")
                ),
            };
        }
        catch (Exception fault) when (fault is JsonException or NotSupportedException or InvalidOperationException or FormatException)
        {
            throw new NotWorkableException(
                Phrase.Say(
                    $"It cannot be read as it was "
                        + $"kept{(fault is JsonException { Path: { Length: > 1 } path } ? $", about {path.TrimStart('$', '.')}" : "")}."
                ),
                fault
            );
        }
    }

    /// <summary>
    /// The fields in which two states of a document differ, by the names in its JSON; none where one of them cannot be read.
    /// </summary>
    public static IReadOnlyList<string> Differing(string json, string other)
    {
        try
        {
            return JsonNode.Parse(json) is JsonObject a && JsonNode.Parse(other) is JsonObject b
                ? [.. a.Select(p => p.Key).Union(b.Select(p => p.Key)).Where(k => !JsonNode.DeepEquals(a[k], b[k]))]
                : [];
        }
        catch (JsonException)
        {
            return [];
        }
    }
}
