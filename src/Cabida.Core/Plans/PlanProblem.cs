using System.Globalization;
using System.Security.Cryptography;
using System.Text;
using Cabida.Core.Geometry;
using Cabida.Core.Layout;
using Cabida.Core.Loads;
using Cabida.Core.Stock;

namespace Cabida.Core.Plans;

/// <summary>
/// What a plan has to lay, and where: its things with their outlines, the places in the order in which they are tried, and its terms. All
/// that a layout follows from, and nothing else, is in its key.
/// </summary>
public sealed class PlanProblem
{
    /// <summary>An off-cut is not tried where the things would take more of its area than this.</summary>
    private const double MostOfOffCut = 0.98;

    private PlanProblem(
        CutPlan plan,
        IReadOnlyList<CutThing> things,
        IReadOnlyList<PlanPlace> places,
        LayTerms terms,
        Silhouettes silhouettes
    )
    {
        (Plan, Things, Places, Terms) = (plan, things, places, terms);
        var shared = things.FirstOrDefault(t => t.Ways.Box is WeedBox.Row or WeedBox.Load)?.Ways;
        Weeds = shared is null ? default : new WeedRoom(shared.Box, shared.MarginOr);
        IsInRows = plan.Way == LayWay.Rows || shared is not null;
        Items = [.. things.Select(t => ItemOf(t, silhouettes))];
        Key = KeyOf();
        Stock = string.Join(
            ' ',
            places.Select(p => p.Item.Id).Concat(plan.StockIds.Select(i => $"only {i}")).Append($"on {plan.CarrierId}")
        );
    }

    /// <summary>What was chosen.</summary>
    public CutPlan Plan { get; }

    /// <summary>What is laid, without what was taken off.</summary>
    public IReadOnlyList<CutThing> Things { get; }

    /// <summary>It for the layout, in the same order.</summary>
    public IReadOnlyList<LayItem> Items { get; }

    /// <summary>Where it may lie.</summary>
    public IReadOnlyList<PlanPlace> Places { get; }

    /// <summary>How it is laid.</summary>
    public LayTerms Terms { get; }

    /// <summary>Whether it lies in plain rows: as chosen, or since weed boxes go round rows.</summary>
    public bool IsInRows { get; }

    /// <summary>What weed boxes need that things share.</summary>
    public WeedRoom Weeds { get; }

    /// <summary>Tells it apart from any other.</summary>
    public string Key { get; }

    /// <summary>Tells apart the stock that there is to choose from.</summary>
    public string Stock { get; }

    /// <summary>A problem.</summary>
    /// <param name="plan">What was chosen.</param>
    /// <param name="film">The film as it stands.</param>
    /// <param name="things">What waits; what was taken off is left out.</param>
    /// <param name="places">Where it may lie, off-cuts from the smallest, then sheets and rolls, and last what has to be bought.</param>
    /// <param name="scissorsRoom">What the runs of the things ask for at most; millimetres.</param>
    /// <param name="silhouettes">Where outlines are kept.</param>
    public static PlanProblem Of(
        CutPlan plan,
        Film film,
        IReadOnlyList<CutThing> things,
        IReadOnlyList<PlanPlace> places,
        double scissorsRoom,
        Silhouettes silhouettes
    )
    {
        ArgumentNullException.ThrowIfNull(plan);
        ArgumentNullException.ThrowIfNull(things);
        var terms = new LayTerms(plan.ScissorsRoomOr(scissorsRoom), TurningOf(plan, film), plan.UseHoles, plan.Seed);
        return new PlanProblem(plan, [.. things.Where(t => plan.HandOf(t.Id)?.TakenOff != true)], places, terms, silhouettes);
    }

    /// <summary>How things of a plan may be turned: as chosen, as far as the film's direction allows.</summary>
    public static LayTurning TurningOf(CutPlan plan, Film film)
    {
        ArgumentNullException.ThrowIfNull(plan);
        ArgumentNullException.ThrowIfNull(film);
        var most = film.Direction switch
        {
            FilmDirection.OneWay => LayTurning.None,
            FilmDirection.Any => LayTurning.Any,
            _ => LayTurning.Quarter,
        };
        return plan.Turning is { } chosen && chosen < most ? chosen : most;
    }

    /// <summary>
    /// The places to lay on, by their index, as alternatives: the first that holds all is taken. What was chosen by hand comes alone; else
    /// each off-cut large enough for all by itself, from the smallest, then sheets and rolls, then all off-cuts. What has to be bought is
    /// always last.
    /// </summary>
    public IReadOnlyList<IReadOnlyList<int>> Alternatives()
    {
        IEnumerable<int> Where(Func<PlanPlace, bool> of) => Enumerable.Range(0, Places.Count).Where(i => of(Places[i]));
        var bought = Where(p => p.IsToBuy).ToList();
        var chosen = Where(p => !p.IsToBuy && Plan.StockIds.Contains(p.Item.Id)).ToList();
        if (chosen.Count > 0)
        {
            return
            [
                [.. chosen, .. bought],
            ];
        }

        var pinned = Plan.ByHand.Select(h => h.Pinned?.StockId).OfType<string>().ToHashSet(StringComparer.Ordinal);
        List<int> usual =
        [
            .. Where(p => p.Item.Form != StockForm.OffCut && !p.IsToBuy),
            .. Where(p => p.Item.Form == StockForm.OffCut),
            .. bought,
        ];
        if (pinned.Count > 0)
        {
            return
            [
                [.. usual.OrderByDescending(i => pinned.Contains(Places[i].Item.Id))],
            ];
        }

        var area = Items.Sum(i => i.Outline.Area);
        var offCuts = Where(p => p.Item.Form == StockForm.OffCut && p.Area * MostOfOffCut >= area).OrderBy(i => Places[i].Area);
        return [.. offCuts.Select(i => (IReadOnlyList<int>)[i]), usual];
    }

    /// <summary>The places of an alternative for the layout.</summary>
    public IReadOnlyList<LayPlace> LayPlaces(IReadOnlyList<int> alternative)
    {
        ArgumentNullException.ThrowIfNull(alternative);
        return [.. alternative.Select(i => Places[i].Ground.Place(Places[i].Count))];
    }

    private LayItem ItemOf(CutThing thing, Silhouettes silhouettes)
    {
        var own =
            thing.Section is null && thing.Marks.Count == 0
                ? ""
                : string.Create(CultureInfo.InvariantCulture, $" {thing.Section?.Number} {thing.Box} {string.Join(' ', thing.Marks)}");
        var outline =
            thing.BoxMargin > 0
                ? Outlines.Rectangle(thing.Taken)
                : silhouettes.Of(thing.InkKey + own, thing.InkAndMarks, Terms.UseHoles, Terms.ScissorsRoom);
        var kind = string.Create(
            CultureInfo.InvariantCulture,
            $"{thing.InkKey}{own}{(thing.BoxMargin > 0 ? $" box {thing.BoxMargin:R}" : "")}"
        );
        return new LayItem(thing.Id, outline, kind, GroupOf(thing));
    }

    private string GroupOf(CutThing thing) =>
        Plan.Together switch
        {
            KeptTogether.Piece => $"{thing.Id.Run} {thing.Id.Piece}",
            KeptTogether.Person => $"{thing.Run.Run.SetUp.JobId} {thing.Name}",
            KeptTogether.Job => thing.Run.Run.SetUp.JobId,
            _ => "",
        };

    private string KeyOf()
    {
        var text = new StringBuilder();
        text.Append(
            CultureInfo.InvariantCulture,
            $"{Terms.ScissorsRoom:R} {Terms.Turning} {Terms.UseHoles} {Terms.Seed} {IsInRows} {Weeds}\n"
        );
        foreach (var item in Items)
        {
            var pin = Plan.HandOf(item.Id)?.Pinned;
            text.Append(CultureInfo.InvariantCulture, $"{item.Id} {item.Kind} {item.Group} {pin?.Load} {pin?.StockId} {pin?.At}\n");
        }

        text.AppendJoin(',', Plan.StockIds).Append('\n');
        foreach (var place in Places)
        {
            text.Append(CultureInfo.InvariantCulture, $"{place.Item.Id} {place.Count} {place.Ground.IsRoll} ");
            text.Append(Convert.ToHexString(SHA256.HashData(place.Ground.Ground.AsBinary()))).Append('\n');
        }

        return Convert.ToHexString(SHA256.HashData(Encoding.UTF8.GetBytes(text.ToString())), 0, 16);
    }
}
