using Cabida.Core.Costs;
using Cabida.Core.Measures;
using Cabida.Core.Runs;
using Cabida.Core.Stock;
using Cabida.Formats;
using Cabida.Formats.Quotations;
using Cabida.Store;
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

/// <summary>Writes quotations: what a job's runs are sold for.</summary>
internal sealed class QuotationReader(Cabida.Store.Library library, LibraryIndex index, CostReader costs, TimeProvider clock)
{
    public async Task<Quotation?> Of(string jobId, CancellationToken stop)
    {
        if (await library.Find(DocumentKinds.Job, jobId, stop) is not { } job)
        {
            return null;
        }

        var workshop = (await library.Find(DocumentKinds.Workshop, Workshop.Only, stop))?.Document ?? Workshop.Unnamed;
        var ids = (await index.Referring(DocumentKinds.Run, DocumentKinds.Job, stop))[jobId].ToHashSet(StringComparer.Ordinal);
        var lines = new List<QuotationLine>();
        foreach (var heading in (await index.Headings(DocumentKinds.Run, stop)).Where(h => ids.Contains(h.Id)))
        {
            if (await library.Find(DocumentKinds.Run, heading.Id, stop) is { } run)
            {
                lines.Add(await LineOf(heading, run.Document, workshop.Rates, stop));
            }
        }

        return new Quotation(
            workshop.Name,
            workshop.Contact,
            job.Document.Name,
            job.Document.Customer,
            job.Document.Due,
            clock.GetLocalNow().ToString("yyyy-MM-dd", System.Globalization.CultureInfo.InvariantCulture),
            lines,
            lines.All(l => l.Total is not null) ? lines.Sum(l => l.Total!.Value) : null,
            workshop.Rates.Currency.Trim()
        );
    }

    /// <summary>A run's line; nothing is quoted of one whose price is not known.</summary>
    private async Task<QuotationLine> LineOf(Heading heading, Run run, Rates rates, CancellationToken stop)
    {
        var pieces = run.Pieces.Sum(p => p.Copies);
        var blank = run.SetUp.Blank is { } pin ? (await library.Find(DocumentKinds.Blank, pin.Id, stop))?.Document.Name ?? "" : "";
        var agreed = TypedAmount.Read(run.SetUp.Price.Agreed).ValueOrDefault;
        var cost = agreed is null ? await costs.Of(heading.Id, 0, stop) : null;
        // A piece whose film is not counted would make the price too low.
        cost = cost is { OffLoads: 0 } ? cost : null;
        var each = agreed ?? (cost is { Cost.IsWhole: true } ? cost.Cost.Each : null);
        var extras = string.Join(", ", run.SetUp.Price.Extras.Select(e => e.Name).Where(n => n.Length > 0));
        return new QuotationLine(run.Name, extras.Length > 0 ? $"{blank}, with {extras}" : blank, pieces, each, each * pieces);
    }
}
