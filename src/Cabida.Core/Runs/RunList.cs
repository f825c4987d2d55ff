using System.ComponentModel.DataAnnotations;

namespace Cabida.Core.Runs;

/// <summary>The list of a run and the pieces that it makes.</summary>
/// <param name="NamesTyped">The list as typed or pasted, one name a line.</param>
/// <param name="Pieces">The pieces that it makes.</param>
public sealed record RunList([property: MaxLength(RunList.MostTyped)] string NamesTyped, IReadOnlyList<Piece> Pieces)
{
    /// <summary>The most letters a list may have as typed.</summary>
    public const int MostTyped = 400_000;

    /// <summary>No names yet.</summary>
    public static RunList Empty { get; } = new("", []);

    /// <summary>
    /// What the columns of the list are: fields, <c>quantity</c>, or empty for what is left out. None while a line is a
    /// name.
    /// </summary>
    [MaxLength(100)]
    public IReadOnlyList<string> Columns { get; init; } = [];

    /// <summary>Whether the first line of the list names its columns.</summary>
    public bool HasHeading { get; init; }

    /// <summary>
    /// Pieces whose rows left the list with something that was set by hand or said of them; they have it again when their rows come back.
    /// </summary>
    public IReadOnlyList<Piece> Away { get; init; } = [];
}
