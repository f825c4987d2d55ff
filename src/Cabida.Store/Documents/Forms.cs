using System.Text.Json.Nodes;

namespace Cabida.Store;

/// <summary>
/// The forms that a kind of document was ever written in, counted from 1, and how each is brought to the next. What is kept is never
/// written again for a new form: it is brought up when it is read.
/// </summary>
/// <param name="steps">The first brings form 1 to form 2, and so on.</param>
public sealed class Forms(params Func<JsonNode, JsonNode>[] steps)
{
    /// <summary>A kind that has had one form only.</summary>
    public static Forms First { get; } = new();

    /// <summary>A step in which nothing of this kind changed: forms were once counted for all kinds together.</summary>
    public static JsonNode Same(JsonNode document) => document;

    /// <summary>The form that is written now.</summary>
    public int Current => steps.Length + 1;

    /// <summary>A document of an older form in the form of now.</summary>
    /// <param name="document">It as it was written; may be changed.</param>
    /// <param name="form">The form it was written in, from 1 to <see cref="Current"/>.</param>
    public JsonNode Bring(JsonNode document, int form) => steps.Skip(form - 1).Aggregate(document, (d, step) => step(d));
}
