using System.ComponentModel.DataAnnotations;
using Cabida.Core.Documents;

namespace Cabida.Core.Orders;

/// <summary>How an order stands.</summary>
public enum OrderState
{
    /// <summary>It waits to be taken.</summary>
    Waiting,

    /// <summary>It was taken, and says something else now.</summary>
    Corrected,

    /// <summary>It was taken but for lines that could not be.</summary>
    TakenInPart,

    /// <summary>All of it was taken.</summary>
    Taken,

    /// <summary>It was put aside.</summary>
    Aside,
}

/// <summary>A line of an order as it came: an offer, how many, and what its fields say.</summary>
/// <param name="Offer">The offer as the order names it.</param>
/// <param name="Quantity">How many, as typed; empty for one.</param>
/// <param name="Fields">What it says, by heading: the name, the size, other fields.</param>
public sealed record OrderLine(
    [property: MaxLength(DocumentGate.LongestName)] string Offer,
    [property: MaxLength(40)] string Quantity,
    [property: MaxLength(OrderLine.MostFields)] IReadOnlyDictionary<string, string> Fields
)
{
    /// <summary>A line says so many things at most.</summary>
    public const int MostFields = 24;

    /// <summary>What a line says of a field; empty where it says nothing.</summary>
    public string this[string field] => Fields.GetValueOrDefault(field, "");

    /// <summary>A line that says nothing yet.</summary>
    public static OrderLine Blank { get; } = new("", "", new Dictionary<string, string>(StringComparer.Ordinal));
}

/// <summary>What an order says.</summary>
/// <param name="Customer">Who orders.</param>
/// <param name="Due">The day it is wanted, as it came.</param>
/// <param name="Note">What the customer remarks.</param>
/// <param name="Lines">What is ordered.</param>
public sealed record OrderSheet(
    [property: MaxLength(DocumentGate.LongestName)] string Customer,
    [property: MaxLength(40)] string Due,
    string Note,
    [property: MaxLength(OrderSheet.MostLines)] IReadOnlyList<OrderLine> Lines
)
{
    /// <summary>An order has so many lines at most; a longer one is parted by who sends it.</summary>
    public const int MostLines = 2000;

    /// <summary>Nothing is ordered yet.</summary>
    public static OrderSheet Empty { get; } = new("", "", "", []);
}

/// <summary>The run that an offer's lines of an order became.</summary>
/// <param name="OfferId">The offer.</param>
/// <param name="RunId">The run.</param>
public sealed record OfferRun(
    [property: MaxLength(DocumentGate.LongestName)] string OfferId,
    [property: MaxLength(DocumentGate.LongestName)] string RunId
);

/// <summary>An order that was taken: the job it became, and what it said then.</summary>
/// <param name="JobId">The job.</param>
/// <param name="On">When, as <c>yyyy-MM-dd HH:mm</c>.</param>
/// <param name="Sheet">What was taken of it.</param>
/// <param name="Runs">The runs of the job.</param>
public sealed record TakenOrder(
    [property: MaxLength(DocumentGate.LongestName)] string JobId,
    [property: MaxLength(20)] string On,
    OrderSheet Sheet,
    [property: MaxLength(400)] IReadOnlyList<OfferRun> Runs
)
{
    /// <summary>The key of all that it said then, with the lines that could not be taken.</summary>
    [MaxLength(DocumentGate.LongestName)]
    public string Seen { get; init; } = "";

    /// <summary>Which offers were meant, by what the order calls them: names of offers change.</summary>
    public IReadOnlyDictionary<string, string> Meant { get; init; } = new Dictionary<string, string>(StringComparer.Ordinal);
}

/// <summary>An order as it came in last, and what was taken of it. It names its job and does not hold it.</summary>
/// <param name="Number">Its number, by which it is known when it comes again.</param>
/// <param name="Sheet">What it says now.</param>
public sealed record Order([property: MaxLength(DocumentGate.LongestName)] string Number, OrderSheet Sheet)
{
    /// <summary>So many earlier states of an order are known again.</summary>
    public const int MostPast = 40;

    /// <summary>Where it came from; empty where it was typed.</summary>
    [MaxLength(DocumentGate.LongestName)]
    public string From { get; init; } = "";

    /// <summary>When it came, as <c>yyyy-MM-dd HH:mm</c>.</summary>
    [MaxLength(20)]
    public string On { get; init; } = "";

    /// <summary>What was taken of it; null before anything was.</summary>
    public TakenOrder? Taken { get; init; }

    /// <summary>What it said when it came last; null where it was typed. What was mended here stands in <see cref="Sheet"/>.</summary>
    public OrderSheet? Came { get; init; }

    /// <summary>The keys of what it said whenever it came, the latest last.</summary>
    [MaxLength(MostPast)]
    public IReadOnlyList<string> Past { get; init; } = [];

    /// <summary>Whether it was put aside as it stands: it is not asked about again until it says something else.</summary>
    public bool IsAside { get; init; }

    /// <summary>How it stands.</summary>
    /// <param name="hasJob">Whether the job that it became is still there.</param>
    public OrderState StateWith(bool hasJob) =>
        IsAside ? OrderState.Aside
        : Taken is null || !hasJob ? OrderState.Waiting
        : OrderKeys.Of(Taken.Sheet) == OrderKeys.Of(Sheet) ? OrderState.Taken
        : OrderKeys.Of(Sheet) == Taken.Seen ? OrderState.TakenInPart
        : OrderState.Corrected;
}
