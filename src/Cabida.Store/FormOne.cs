using System.Text.Json.Nodes;

namespace Cabida.Store;

/// <summary>
/// Form 1 → form 2: a blank had one zone that its three margins made; now it has zones of its own, each with four margins.
/// Other documents are the same in both.
/// </summary>
internal static class FormOne
{
    public static JsonObject ToTwo(JsonObject old)
    {
        if (old["surface"] is null || old["margins"] is not JsonObject margins)
        {
            return old;
        }

        JsonNode? Of(string side) => margins[side]?.DeepClone();
        old["zones"] = new JsonArray(
            new JsonObject
            {
                ["id"] = "wrap",
                ["name"] = "Wrap",
                ["margins"] = new JsonObject
                {
                    ["top"] = Of("rim"),
                    ["bottom"] = Of("base"),
                    ["left"] = Of("side"),
                    ["right"] = Of("side"),
                },
            }
        );
        old.Remove("margins");
        return old;
    }
}
