using System.ComponentModel.DataAnnotations;
using Cabida.Core.Documents;

namespace Cabida.Core.Blanks;

/// <summary>
/// A further face of a thing, flat and with an outline and readings of its own: a lid, a sleeve, a cap's front panel, the end of a
/// box. Its readings are kept with those of the blank, under its id.
/// </summary>
/// <param name="Id">Tells it apart within its blank.</param>
/// <param name="Name">What it is called.</param>
public sealed record FaceSpec(string Id, [property: MaxLength(DocumentGate.LongestName)] string Name)
{
    /// <summary>The most faces of their own that a thing has.</summary>
    public const int Most = 12;

    /// <summary>Its outline.</summary>
    public PanelOutline Outline { get; init; } = new();
}
