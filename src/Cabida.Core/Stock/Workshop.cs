namespace Cabida.Core.Stock;

/// <summary>The maker's own: what stands on proofs and cards.</summary>
/// <param name="Name">What the workshop is called.</param>
/// <param name="Contact">How it is reached: a line or two.</param>
/// <param name="MarkId">Its mark, a graphic; empty without one.</param>
public sealed record Workshop(string Name, string Contact, string MarkId)
{
    /// <summary>The id of the only one there is.</summary>
    public const string Only = "workshop";

    /// <summary>The typefaces that are offered first, by id.</summary>
    [System.ComponentModel.DataAnnotations.MaxLength(500)]
    public IReadOnlyList<string> Favourites { get; init; } = [];

    /// <summary>
    /// Where Cabida is reached from the bench's tablet, as <c>http://bench.local:5080</c>; empty for the address that a card is asked for
    /// by.
    /// </summary>
    [System.ComponentModel.DataAnnotations.MaxLength(Documents.DocumentGate.LongestName)]
    public string Address { get; init; } = "";

    /// <summary>That address without what may end it; null where it is none.</summary>
    [System.Text.Json.Serialization.JsonIgnore]
    public string? AddressRead =>
        Uri.TryCreate(Address.Trim(), UriKind.Absolute, out var at) && (at.Scheme is "http" or "https")
            ? Address.Trim().TrimEnd('/')
            : null;

    /// <summary>What it reckons with.</summary>
    public Rates Rates { get; init; } = Rates.None;

    /// <summary>When it is open, Monday first; none for the usual.</summary>
    [System.ComponentModel.DataAnnotations.MaxLength(WorkHours.Days)]
    public IReadOnlyList<WorkHours> Hours { get; init; } = [];

    /// <summary>When it is open on a day of the week, Monday being 0.</summary>
    public WorkHours HoursOf(int day) => Hours.Count == WorkHours.Days ? Hours[day] : WorkHours.Usual[day];

    /// <summary>Before anything was typed.</summary>
    public static Workshop Unnamed { get; } = new("", "", "");
}
