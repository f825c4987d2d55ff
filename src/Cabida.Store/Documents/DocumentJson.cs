using System.Text.Encodings.Web;
using System.Text.Json;
using System.Text.Json.Nodes;
using System.Text.Json.Serialization;
using Cabida.Core.Wording;

namespace Cabida.Store;

/// <summary>The one reader and writer of documents.</summary>
public static class DocumentJson
{
    private static readonly JsonSerializerOptions Options = new(JsonSerializerDefaults.Web)
    {
        Converters = { new JsonStringEnumConverter(JsonNamingPolicy.CamelCase, allowIntegerValues: false) },
        Encoder = JavaScriptEncoder.UnsafeRelaxedJsonEscaping,
        RespectNullableAnnotations = true,
    };

    /// <summary>How texts are written, for what is brought from one form to another without being read.</summary>
    internal static JsonSerializerOptions Plain { get; } = new() { Encoder = JavaScriptEncoder.UnsafeRelaxedJsonEscaping };

    /// <summary>Writes a document in the current form.</summary>
    public static string Write<T>(T document) => JsonSerializer.Serialize(document, Options);

    /// <summary>Reads a text in the current form that is not of the library.</summary>
    /// <exception cref="NotWorkableException">It cannot be read.</exception>
    public static T Read<T>(string json) => Read<T>(Forms.First, 1, json);

    /// <summary>Reads a document of any form there ever was.</summary>
    /// <param name="forms">The forms of its kind.</param>
    /// <param name="form">The one it was written in.</param>
    /// <param name="json">The text.</param>
    /// <exception cref="NotWorkableException">It cannot be read: it is damaged, or was written by a newer version of the
    /// application.</exception>
    public static T Read<T>(Forms forms, int form, string json)
    {
        ArgumentNullException.ThrowIfNull(forms);
        if (form < 1 || form > forms.Current)
        {
            throw new NotWorkableException(
                Phrase.Say($"It was written by a newer version of Cabida (form {form}; this one reads up to {forms.Current}).")
            );
        }

        try
        {
            return form == forms.Current ? JsonSerializer.Deserialize<T>(json, Options) ?? throw new JsonException("An empty document.")
                : JsonNode.Parse(json) is { } old ? forms.Bring(old, form).Deserialize<T>(Options)!
                : throw new JsonException("An empty document.");
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
