using Cabida.Core.Blanks;
using Cabida.Core.Motifs;
using Cabida.Core.Orders;
using Cabida.Core.Runs;
using Cabida.Store;
using Cabida.Web.Runs;

namespace Cabida.Web.Orders;

/// <summary>Reads the offers of the workshop, once for a request.</summary>
internal sealed class OfferReader(Cabida.Store.Library library, PinsNow pins)
{
    private OfferBook? book;

    /// <summary>All offers, with the fields and sizes that what they are made of has now; one that cannot be read is left out.</summary>
    public async Task<OfferBook> Book(CancellationToken stop)
    {
        if (book is not null)
        {
            return book;
        }

        var sold = new List<SoldOffer>();
        foreach (var listed in (await library.List(DocumentKinds.Offer, stop)).Where(l => l.Read.Ok))
        {
            sold.Add(await Sold(listed.Id, listed.Read.Value.Document, stop));
        }

        return book = new OfferBook(sold);
    }

    /// <summary>An offer with the fields and sizes that orders may name.</summary>
    public async Task<SoldOffer> Sold(string id, Offer offer, CancellationToken stop)
    {
        var setUp = offer.SetUp;
        var fields = new List<string>();
        foreach (var pin in setUp.Sides.Select(s => s.Motif).Prepend(setUp.Motif).OfType<Pin>())
        {
            if (await library.Find(DocumentKinds.Motif, pin.Id, stop) is { Document: var motif })
            {
                fields.AddRange(Fields.In(motif));
            }
        }

        var blank = setUp.Blank is { } on ? (await library.Find(DocumentKinds.Blank, on.Id, stop))?.Document : null;
        return new SoldOffer(
            id,
            offer,
            [.. fields.Distinct(StringComparer.Ordinal)],
            blank?.Surface == SurfaceKind.Garment ? blank.Garment.Sizes : []
        );
    }

    /// <summary>How a run of an offer is set up: everything that it is made of as it is now.</summary>
    public Task<RunSetUp> SetUpOf(Offer offer, string name, string jobId, CancellationToken stop) =>
        pins.Of(offer.SetUp with { Name = name, JobId = jobId }, null, stop);
}
