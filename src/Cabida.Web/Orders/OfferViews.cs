using Cabida.Core.Costs;
using Cabida.Core.Findings;
using Cabida.Core.Orders;
using Cabida.Core.Runs;
using Cabida.Core.Wording;
using Cabida.Store;
using Cabida.Web.Library;
using Cabida.Web.Runs;

namespace Cabida.Web.Orders;

/// <summary>An offer as its page shows it.</summary>
/// <param name="Id">Which one.</param>
/// <param name="Revision">Its revision.</param>
/// <param name="ChangedAt">When it was changed.</param>
/// <param name="Offer">The offer.</param>
/// <param name="Run">How a run of it is set up, with what that lacks.</param>
/// <param name="Fields">The fields that an order may fill.</param>
/// <param name="Notes">What is to be said of its names and price.</param>
internal sealed record OfferView(
    string Id,
    int Revision,
    DateTime ChangedAt,
    Offer Offer,
    RunView Run,
    IReadOnlyList<string> Fields,
    IReadOnlyList<Finding> Notes
);

internal sealed class OfferViews(OfferReader offers, RunViews runs) : IViews<Offer, OfferView>
{
    public async Task<OfferView> Of(Stored<Offer> stored, CancellationToken stop)
    {
        var offer = stored.Document;
        var run = new Run(offer.SetUp with { Name = offer.Name }, RunList.Empty, RunVerdicts.None);
        var view = await runs.Of(new Stored<Run>(stored.Id, stored.Revision, stored.CreatedAt, stored.ChangedAt, run), stop);
        var sold = await offers.Sold(stored.Id, offer, stop);
        return new OfferView(
            stored.Id,
            stored.Revision,
            stored.ChangedAt,
            offer,
            // An offer has no names: its orders bring them.
            view with
            {
                Lacks = [.. view.Lacks.Where(l => !l.Fields.Contains("names"))],
            },
            [.. sold.Fields, .. sold.Sizes.Count > 0 ? [Core.Lists.NameList.Size] : Array.Empty<string>()],
            await NotesOf(sold, stop)
        );
    }

    /// <inheritdoc/>
    public async Task<Offer> Tidy(Offer incoming, Offer stored, CancellationToken stop)
    {
        var setUp = incoming.SetUp with { JobId = "" };
        var run = await runs.Tidy(new Run(setUp, RunList.Empty, RunVerdicts.None), new Run(setUp, RunList.Empty, RunVerdicts.None), stop);
        return incoming with { SetUp = run.SetUp };
    }

    private async Task<IReadOnlyList<Finding>> NotesOf(SoldOffer sold, CancellationToken stop)
    {
        var notes = RunCosting.ProblemsOf(sold.Offer.SetUp.Price).ToList();
        var others = new OfferBook([.. (await offers.Book(stop)).All.Where(o => o.Id != sold.Id && !o.Offer.IsRetired)]);
        foreach (
            var name in sold.Offer.AlsoCalled.Append(sold.Offer.Code).Append(sold.Offer.Name).Where(n => n.Trim().Length > 0).Distinct()
        )
        {
            if (others.Meant(name).ValueOrDefault is { } other)
            {
                notes.Add(
                    new Finding(
                        Rule.OrderLine,
                        Severity.Look,
                        Phrase.Say($"{name:strong} is also what {other.Offer.Name} is called: an order that says it is asked about.")
                    )
                );
            }
        }

        return notes;
    }
}
