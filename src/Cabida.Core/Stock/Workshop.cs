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

    /// <summary>Before anything was typed.</summary>
    public static Workshop Unnamed { get; } = new("", "", "");
}
