using System.ComponentModel.DataAnnotations;
using Cabida.Core.Documents;

namespace Cabida.Core.Runs;

/// <summary>An order.</summary>
/// <param name="Name">What it is called.</param>
/// <param name="Customer">Who ordered it.</param>
/// <param name="Due">The day it is due, as <c>yyyy-MM-dd</c>, or empty.</param>
/// <param name="Note">Anything worth remembering.</param>
public sealed record Job(
    [property: MaxLength(DocumentGate.LongestName)] string Name,
    [property: MaxLength(DocumentGate.LongestName)] string Customer,
    [property: MaxLength(20)] string Due,
    string Note = ""
)
{
    /// <summary>The time of that day, as typed; empty for when the workshop closes.</summary>
    [MaxLength(Stock.WorkHours.MostLetters)]
    public string DueAt { get; init; } = "";

    /// <summary>The order that it was taken from, by id; empty for one that was begun by hand.</summary>
    [MaxLength(DocumentGate.LongestName)]
    public string OrderId { get; init; } = "";

    /// <summary>Whether it is done with and put away: it and its runs are out of the week, the day and what waits to be cut.</summary>
    public bool IsPutAway { get; init; }
}
