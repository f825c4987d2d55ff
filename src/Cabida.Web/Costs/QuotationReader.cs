using Cabida.Core.Measures;
using Cabida.Core.Runs;
using Cabida.Core.Stock;
using Cabida.Formats.Quotations;
using Cabida.Store;

namespace Cabida.Web.Costs;

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
