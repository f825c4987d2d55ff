using Cabida.Core.Measures;
using Cabida.Core.Orders;
using Cabida.Core.Runs;
using Cabida.Store;
using Cabida.Web.Library;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Cabida.Web.Orders;

/// <summary>A new offer.</summary>
/// <param name="Name">What it is called.</param>
/// <param name="RunId">The run that shows how it is made; null to choose everything.</param>
internal sealed record NewOffer(string Name, string? RunId);

/// <summary>What the workshop sells.</summary>
internal static class OfferEndpoints
{
    public static void MapOffers(this RouteGroupBuilder api)
    {
        var offers = api.MapGroup("/offers").WithTags("Orders");
        offers
            .MapGet("", async Task<Ok<Listing<OfferView>>> (Listings listings, IViews<Offer, OfferView> views, CancellationToken stop) =>
                TypedResults.Ok(await listings.Of(DocumentKinds.Offer, o => views.Of(o, stop), stop))
            )
            .WithName("ListOffers");

        offers
            .MapPost(
                "",
                async Task<Results<Ok<OfferView>, NotFound>> (
                    NewOffer wanted,
                    Cabida.Store.Library library,
                    IViews<Offer, OfferView> views,
                    CancellationToken stop
                ) =>
                {
                    var run = wanted.RunId is { } id ? await library.Find(DocumentKinds.Run, id, stop) : null;
                    return wanted.RunId is not null && run is null
                        ? TypedResults.NotFound()
                        : TypedResults.Ok(
                            await library.AddShown(
                                DocumentKinds.Offer,
                                new Offer(wanted.Name, "", run is null ? Nothing : MadeAs(run.Document.SetUp)),
                                views,
                                stop
                            )
                        );
                }
            )
            .WithName("AddOffer");

        offers.MapLibrary<Offer, OfferView>(DocumentKinds.Offer);
    }

    private static RunSetUp Nothing { get; } =
        new("", "", null, null, null, null, Sizing.EachLargest, TypedLength.Empty, TypedLength.Mm(5));

    /// <summary>How a run is made, without what is of that run alone.</summary>
    private static RunSetUp MadeAs(RunSetUp run) => run with { JobId = "", Kept = [] };
}
