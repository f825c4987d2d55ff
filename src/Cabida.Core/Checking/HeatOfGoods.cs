using Cabida.Core.Stock;
using Cabida.Core.Wording;

namespace Cabida.Core.Checking;

/// <summary>Films that are pressed hotter than the goods stand: the goods would be spoilt, so nothing may be cut for them.</summary>
public sealed class HeatOfGoods : ICheck
{
    /// <inheritdoc/>
    public IEnumerable<Finding> Look(CheckedPiece piece)
    {
        ArgumentNullException.ThrowIfNull(piece);
        return piece.Material is not { } material
            ? []
            : piece
                .Films.Select(f => f.Film)
                .DistinctBy(f => (f.Name, f.PressedAt))
                .Select(f => FilmOnBlank.TooHot(f, material))
                .OfType<Phrase>()
                .Select(p => Phrase.Say($"{p} Take another film, or correct what the goods stand."))
                .Select(p => new Finding(Rule.HeatOfGoods, Severity.Stop, null, null, null, p));
    }
}
