using Cabida.Core.Lists;
using Cabida.Core.Motifs;
using Cabida.Core.Wording;

namespace Cabida.Core.Orders;

/// <summary>An offer as orders are read by it.</summary>
/// <param name="Id">Which one.</param>
/// <param name="Offer">The offer.</param>
/// <param name="Fields">The fields that its motifs have, the name among them where they have it.</param>
/// <param name="Sizes">The sizes its blank is made in; none for what has one.</param>
public sealed record SoldOffer(string Id, Offer Offer, IReadOnlyList<string> Fields, IReadOnlyList<string> Sizes)
{
    /// <summary>Whether a name belongs on it.</summary>
    public bool HasName => Fields.Contains(Motifs.Fields.Name);
}

/// <summary>The offers of the workshop by what orders call them.</summary>
public sealed class OfferBook
{
    private readonly Dictionary<string, List<SoldOffer>> byName = new(StringComparer.Ordinal);
    private readonly Dictionary<string, SoldOffer> byId;

    /// <summary>The book of all offers.</summary>
    /// <param name="offers">The offers.</param>
    public OfferBook(IReadOnlyList<SoldOffer> offers)
    {
        ArgumentNullException.ThrowIfNull(offers);
        All = offers;
        AllFields = offers.SelectMany(o => o.Fields).Append(Fields.Name).Append(NameList.Size).ToHashSet(StringComparer.Ordinal);
        byId = offers.ToDictionary(o => o.Id, StringComparer.Ordinal);
        foreach (var offer in offers)
        {
            foreach (var name in offer.Offer.AlsoCalled.Append(offer.Offer.Code).Append(offer.Offer.Name).Select(Plain).Distinct())
            {
                if (name.Length > 0)
                {
                    (byName.TryGetValue(name, out var known) ? known : byName[name] = []).Add(offer);
                }
            }
        }
    }

    /// <summary>All offers.</summary>
    public IReadOnlyList<SoldOffer> All { get; }

    /// <summary>The fields that any of them has.</summary>
    public IReadOnlySet<string> AllFields { get; }

    /// <summary>An offer by its id; null where there is none.</summary>
    public SoldOffer? Of(string id) => byId.GetValueOrDefault(id);

    /// <summary>The book as it was when an order was taken: what the order calls them are the offers that it was taken for.</summary>
    /// <param name="meant">The ids of offers by what the order calls them.</param>
    public OfferBook At(IReadOnlyDictionary<string, string> meant)
    {
        ArgumentNullException.ThrowIfNull(meant);
        var then = new OfferBook(All);
        foreach (var (typed, id) in meant)
        {
            if (Of(id) is { } offer)
            {
                then.byName[Plain(typed)] = [offer];
            }
        }

        return then;
    }

    /// <summary>The offer that an order means, or why that is not known. Case and blanks do not matter.</summary>
    /// <param name="typed">What the order calls it.</param>
    public Outcome<SoldOffer> Meant(string typed)
    {
        ArgumentNullException.ThrowIfNull(typed);
        var plain = Plain(typed);
        if (plain.Length == 0 && !byName.ContainsKey(plain))
        {
            return All is [var only]
                ? Outcome<SoldOffer>.Of(only)
                : Outcome<SoldOffer>.Fail(Phrase.Say($"It names no offer. Choose the one that is meant."));
        }

        return byName.GetValueOrDefault(plain) switch
        {
            [var one] => Outcome<SoldOffer>.Of(one),
            // Those that are sold no more do not stand in the way of the one that is.
            { } several when several.Where(o => !o.Offer.IsRetired).ToList() is [var one] => Outcome<SoldOffer>.Of(one),
            { } several => Outcome<SoldOffer>.Fail(
                Phrase.Say($"{typed:strong} may be {string.Join(" or ", several.Select(o => o.Offer.Name))}. Choose the one that is meant.")
            ),
            null => Outcome<SoldOffer>.Fail(Phrase.Say($"No offer is called {typed:strong}. Choose the one that is meant.")),
        };
    }

    private static string Plain(string name) => CleanedText.Of(name).Text.ToUpperInvariant();
}
