using Cabida.Core.Measures;
using Cabida.Core.Wording;

namespace Cabida.Core.Checking;

/// <summary>Films that are pressed hotter than the goods stand: the goods would be spoilt, so nothing may be cut for them.</summary>
public sealed class HeatOfGoods : ICheck
{
    /// <inheritdoc/>
    public IEnumerable<Finding> Look(CheckedPiece piece)
    {
        ArgumentNullException.ThrowIfNull(piece);
        if (piece.Material is not { } material || Temperature.Read(material.StandsHeat).ValueOrDefault is not { } most)
        {
            yield break;
        }

        var goods = material.Name.Length > 0 ? material.Name : "the goods";
        foreach (var film in piece.Films.Select(f => f.Film).DistinctBy(f => (f.Name, f.PressedAt)))
        {
            if (Temperature.Read(film.PressedAt).ValueOrDefault is { } heat && heat.Celsius > most.Celsius)
            {
                yield return new Finding(Rule.HeatOfGoods, Severity.Stop, null, null, null, Phrase.Say(
                    $"{film.Name:strong} is pressed at {heat.Celsius:0} °C, and {goods} stand{(material.Name.Length > 0 ? "s" : "")} {most.Celsius:0} °C. Take another film, or correct what the goods stand."));
            }
        }
    }
}
