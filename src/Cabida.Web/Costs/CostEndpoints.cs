using Cabida.Core.Costs;
using Cabida.Formats;
using Cabida.Formats.Quotations;
using Cabida.Web.Proofs;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Cabida.Web.Costs;

/// <summary>What a run costs.</summary>
/// <param name="Cost">It.</param>
/// <param name="Currency">The sign of the currency.</param>
/// <param name="OffLoads">How many pieces lie on no load, so that their film is not in it.</param>
internal sealed record CostView(RunCost Cost, string Currency, int OffLoads);

/// <summary>What runs cost, and quotations for jobs.</summary>
internal static class CostEndpoints
{
    /// <summary>More than this many more is another order.</summary>
    private const int MostMore = 10_000;

    public static void MapCosts(this RouteGroupBuilder api)
    {
        api.MapGet(
                "/runs/{id}/cost",
                async Task<Results<Ok<CostView>, NotFound>> (
                    string id,
                    int? more,
                    CostReader costs,
                    WorkshopMark mark,
                    CancellationToken stop
                ) =>
                    await costs.Of(id, Math.Clamp(more ?? 1, 0, MostMore), stop) is { } cost
                        ? TypedResults.Ok(new CostView(cost.Cost, (await mark.Read(stop)).Workshop.Rates.Currency.Trim(), cost.OffLoads))
                        : TypedResults.NotFound()
            )
            .WithTags("Costs")
            .WithName("GetCost");

        api.MapGet(
                "/jobs/{id}/quotation",
                async Task<Results<Ok<Quotation>, NotFound>> (string id, QuotationReader quotations, CancellationToken stop) =>
                    await quotations.Of(id, stop) is { } quotation ? TypedResults.Ok(quotation) : TypedResults.NotFound()
            )
            .WithTags("Costs")
            .WithName("GetQuotation");

        api.MapGet(
                "/jobs/{id}/quotation/file",
                async Task<Results<FileContentHttpResult, NotFound>> (
                    string id,
                    string? paper,
                    QuotationReader quotations,
                    WorkshopMark mark,
                    CancellationToken stop
                ) =>
                {
                    if (await quotations.Of(id, stop) is not { } quotation)
                    {
                        return TypedResults.NotFound();
                    }

                    var pdf = QuotationPdf.Write(quotation, (await mark.Read(stop)).Mark, paper == "letter");
                    return TypedResults.File(pdf, "application/pdf", $"{FileNames.Safe(quotation.Job)}_quotation.pdf");
                }
            )
            .WithTags("Costs")
            .WithName("GetQuotationFile");
    }
}
