using Cabida.Core.Findings;
using Cabida.Store;
using Cabida.Web.Serving;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Cabida.Web.Library;

/// <summary>Remedies that are to be made, by their ids.</summary>
internal sealed record RemediesChosen(IReadOnlyList<string> Remedies);

/// <summary>
/// Makes remedies: they are worked out anew from what there is, and made as one change. One that is not offered any more is told,
/// and nothing is changed.
/// </summary>
internal static class Remedying
{
    public static async Task<Results<Ok<TView>, ProblemHttpResult>> Mend<T, TView>(
        DocumentKind<T> kind,
        string id,
        RemediesChosen chosen,
        HttpContext http,
        Func<Stored<T>, Task<IEnumerable<Finding>>> findings,
        CancellationToken stop
    )
        where T : class
    {
        var services = http.RequestServices;
        var (library, views) = (services.GetRequiredService<Cabida.Store.Library>(), services.GetRequiredService<IViews<T, TView>>());
        if (await library.Find(kind, id, stop) is not { } stored)
        {
            return LibraryEndpoints.Problem(new Written<T>(null, Refusal.Missing), kind.Kind);
        }

        if (EntityTag.Read(http.Request)?.MadeFrom(stored.Revision) is not { } madeFrom)
        {
            return LibraryEndpoints.Unconditional(kind.Kind);
        }

        if (Mended(stored.Document, await findings(stored), chosen.Remedies) is not { } mended)
        {
            return TypedResults.Problem(
                "This is not what would mend it any more: something was changed since. Nothing was changed; look at it as it is now.",
                statusCode: StatusCodes.Status409Conflict,
                title: "Changed since"
            );
        }

        var tidy = await views.Tidy(mended, stored.Document, stop);
        return await LibraryEndpoints.Answer(
            await library.Save(kind, id, madeFrom, tidy, stop: stop),
            kind,
            http,
            views,
            services.GetRequiredService<Listings>(),
            stop
        );
    }

    /// <summary>A document with remedies made; null when one of them is not offered.</summary>
    public static T? Mended<T>(T document, IEnumerable<Finding> findings, IReadOnlyList<string> chosen)
        where T : class
    {
        var offered = findings
            .SelectMany(f => f.Remedies)
            .Where(r => r.Change is Change<T>)
            .DistinctBy(r => r.Id)
            .ToDictionary(r => r.Id, r => (Change<T>)r.Change!, StringComparer.Ordinal);
        return chosen.Count > 0 && chosen.All(offered.ContainsKey)
            ? chosen.Distinct().Select(c => offered[c]).OrderByDescending(c => c.Order).Aggregate(document, (d, c) => c.Of(d))
            : null;
    }
}
