namespace Cabida.Formats.Quotations;

/// <summary>A line of a quotation: a run.</summary>
/// <param name="What">What it is.</param>
/// <param name="About">On what goods, with what.</param>
/// <param name="Count">How many pieces.</param>
/// <param name="Each">What one is sold for; null where that is to be agreed.</param>
/// <param name="Total">What all of them are.</param>
public sealed record QuotationLine(string What, string About, int Count, decimal? Each, decimal? Total);

/// <summary>A quotation for an order.</summary>
/// <param name="Workshop">Whose it is.</param>
/// <param name="Contact">How they are reached.</param>
/// <param name="Job">What is ordered.</param>
/// <param name="Customer">For whom.</param>
/// <param name="Due">The day it is due, as <c>yyyy-MM-dd</c>; empty without one.</param>
/// <param name="On">The day it is written, likewise.</param>
/// <param name="Lines">The runs.</param>
/// <param name="Total">The sum of all; null where a line is to be agreed.</param>
/// <param name="Currency">The sign of the currency; may be empty.</param>
public sealed record Quotation(
    string Workshop,
    string Contact,
    string Job,
    string Customer,
    string Due,
    string On,
    IReadOnlyList<QuotationLine> Lines,
    decimal? Total,
    string Currency
);
