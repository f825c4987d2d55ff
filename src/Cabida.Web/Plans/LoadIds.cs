using System.Globalization;

namespace Cabida.Web.Plans;

/// <summary>Ids of loads that are not released yet: the plan and the number. A released load has an id of its own.</summary>
internal static class LoadIds
{
    public static string Of(string planId, int number) => FormattableString.Invariant($"{planId}.{number}");

    /// <summary>The plan and the number that an id is of; null for what is none.</summary>
    public static (string PlanId, int Number)? Read(string id)
    {
        var at = id.LastIndexOf('.');
        return at > 0 && int.TryParse(id.AsSpan(at + 1), NumberStyles.None, CultureInfo.InvariantCulture, out var number) && number > 0
            ? (id[..at], number)
            : null;
    }

    /// <summary>The plan of one run and film.</summary>
    public static string PlanOf(string runId, string filmId) => $"{runId}_{filmId}";
}
