using Cabida.Core.Geometry;
using Cabida.Core.Measures;
using Cabida.Core.Wording;

namespace Cabida.Core.Checking;

/// <summary>What is small in words: by what it is across where that is too little, otherwise by the disc of the same area.</summary>
internal static class SmallWords
{
    public static PlacesWords Of(CheckedFilm film, IReadOnlyList<SmallArea> small, (string One, string Many) what, string holds)
    {
        var limits = film.Limits;
        if (small.FirstOrDefault(s => s.Inscribed < limits.SpeckAcross) is { } narrow)
        {
            return new(
                what,
                narrow.Inscribed,
                limits.SpeckAcross,
                Phrase.Say($"{holds} from {Length.Mm(limits.SpeckAcross):fine} across.")
            );
        }

        var disc = small.Min(s => 2 * Math.Sqrt(s.Area / Math.PI));
        return new(
            what,
            disc,
            limits.SpeckDisc,
            Phrase.Say($"by its area, as a disc; {holds} of the area of a disc from {Length.Mm(limits.SpeckDisc):fine} across.")
        );
    }
}
