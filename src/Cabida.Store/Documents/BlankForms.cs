using System.Text.Json.Nodes;

namespace Cabida.Store;

/// <summary>The forms of blanks.</summary>
internal static class BlankForms
{
    /// <summary>A blank had one zone that its three margins made; now it has zones of its own, each with four margins.</summary>
    public static JsonNode WithZones(JsonNode document)
    {
        var old = document.AsObject();
        if (old["margins"] is not JsonObject margins)
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
