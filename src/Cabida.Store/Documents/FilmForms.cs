using System.Text.Json.Nodes;

namespace Cabida.Store;

/// <summary>The forms of films. Up to form 2 one heat was noted of a film; since then it has a heat plan, which begins with that.</summary>
internal static class FilmForms
{
    /// <summary>A film with a heat plan instead of its one heat.</summary>
    public static JsonNode WithHeatPlan(JsonNode film)
    {
        var fields = film.AsObject();
        var heat = fields["pressedAt"]?.GetValue<string>() ?? "";
        fields.Remove("pressedAt");
        fields["heat"] = new JsonObject
        {
            ["from"] = heat,
            ["to"] = "",
            ["seconds"] = "",
        };
        return film;
    }

    /// <summary>A released load, which holds its film whole.</summary>
    public static JsonNode WithHeatPlanIn(JsonNode load)
    {
        if (load["film"] is { } film)
        {
            WithHeatPlan(film);
        }

        return load;
    }
}
