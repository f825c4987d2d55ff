using Cabida.Core.Blanks;
using Cabida.Core.Motifs;
using Cabida.Core.Orders;
using Cabida.Core.Runs;
using Cabida.Store;

namespace Cabida.Web.Orders;

/// <summary>Reads the offers of the workshop, once for a request.</summary>
internal sealed class OfferReader(Cabida.Store.Library library)
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
    public async Task<RunSetUp> SetUpOf(Offer offer, string name, string jobId, CancellationToken stop)
    {
        async Task<Pin?> Now(DocumentKind kind, Pin? pin) =>
            pin is null ? null : pin with { Revision = await library.RevisionOf(kind, pin.Id, stop) };
        var made = offer.SetUp;
        var films = new List<Pin>();
        foreach (var film in made.Films)
        {
            films.Add((await Now(DocumentKinds.Film, film))!);
        }

        var sides = new List<RunSide>();
        foreach (var side in made.Sides)
        {
            sides.Add(side with { Motif = await Now(DocumentKinds.Motif, side.Motif) });
        }

        return made with
        {
            Name = name,
            JobId = jobId,
            Blank = await Now(DocumentKinds.Blank, made.Blank),
            Motif = await Now(DocumentKinds.Motif, made.Motif),
            Film = await Now(DocumentKinds.Film, made.Film),
            Cutter = await Now(DocumentKinds.Cutter, made.Cutter),
            Films = films,
            Sides = sides,
        };
    }
}
