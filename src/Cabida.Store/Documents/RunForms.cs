using System.Text.Json.Nodes;

namespace Cabida.Store;

/// <summary>
/// The forms of runs. Up to form 2 a run was one row with everything in it; since then its set-up, its list and what was said of its
/// pieces are rows of their own.
/// </summary>
internal static class RunForms
{
    /// <summary>The row of a run's list.</summary>
    public const string List = "list";

    /// <summary>The row of what was said of a run's pieces.</summary>
    public const string Verdicts = "verdicts";

    /// <summary>The last form in which a run was one row.</summary>
    public const int LastWhole = 2;

    private static readonly string[] OfList = ["namesTyped", "columns", "hasHeading", "pieces", "away"];

    /// <summary>The set-up of a whole run.</summary>
    public static JsonNode SetUpOf(JsonNode run)
    {
        var setUp = run.AsObject();
        foreach (var field in OfList.Append("shown"))
        {
            setUp.Remove(field);
        }

        return setUp;
    }

    /// <summary>The list of a whole run; what was said of its pieces left out.</summary>
    public static JsonNode ListOf(JsonNode run)
    {
        var list = new JsonObject();
        foreach (var field in OfList)
        {
            list[field] = run[field]?.DeepClone()
                ?? (
                    field is "namesTyped" ? ""
                    : field is "hasHeading" ? false
                    : new JsonArray()
                );
        }

        foreach (var piece in PiecesOf(list))
        {
            piece.Remove("verdict");
        }

        return list;
    }

    /// <summary>What was said of the pieces of a whole run, and shown of them.</summary>
    public static JsonNode VerdictsOf(JsonNode run)
    {
        var said = new JsonObject();
        foreach (var piece in PiecesOf(run))
        {
            if (piece["verdict"] is { } verdict && piece["id"]?.GetValue<string>() is { } id && !said.ContainsKey(id))
            {
                said[id] = verdict.DeepClone();
            }
        }

        return new JsonObject { ["said"] = said, ["shown"] = run["shown"]?.DeepClone() };
    }

    private static IEnumerable<JsonObject> PiecesOf(JsonNode run) =>
        new[] { run["pieces"], run["away"] }.OfType<JsonArray>().SelectMany(a => a.OfType<JsonObject>());
}
