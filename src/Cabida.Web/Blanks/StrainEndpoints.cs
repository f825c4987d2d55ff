using Cabida.Core.Blanks;
using Cabida.Core.Drawings;
using Cabida.Core.Measures;
using Cabida.Core.Wording;
using Cabida.Store;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Cabida.Web.Blanks;

/// <summary>What a film may cover of a bellied wall around one height.</summary>
/// <param name="FilmId">The film.</param>
/// <param name="Film">Its name.</param>
/// <param name="Stretch">How much it may stretch, as a share.</param>
/// <param name="Gather">How much it may gather.</param>
/// <param name="Band">The tallest full-turn band.</param>
/// <param name="Patch">The largest smaller side of a patch.</param>
internal sealed record FilmReach(string FilmId, string Film, double Stretch, double Gather, double Band, double Patch);

/// <summary>The strain along a bellied wall.</summary>
/// <param name="Drawing">The wall's outline and the strain beside it.</param>
/// <param name="At">The height the figures are for, along the wall.</param>
/// <param name="Films">What each film of the stock may cover around it.</param>
/// <param name="Words">The profile in words.</param>
internal sealed record StrainView(DrawingView Drawing, double At, IReadOnlyList<FilmReach> Films, IReadOnlyList<Phrase> Words);

internal static class StrainEndpoints
{
    public static void MapStrain(this RouteGroupBuilder api) =>
        api.MapGet(
                "/blanks/{id}/strain",
                async Task<Results<Ok<StrainView>, NotFound>> (
                    string id,
                    string? film,
                    Cabida.Store.Library library,
                    CancellationToken stop
                ) =>
                {
                    if (
                        await library.Find(DocumentKinds.Blank, id, stop) is not { } stored
                        || BlankSheet.Of(stored.Document).Sizes[0] is not { Bellied: { } wall } sheet
                    )
                    {
                        return TypedResults.NotFound();
                    }

                    var belly = wall.Belly;
                    var zone = sheet.OnWall?.Zone;
                    var half = zone is null ? (belly.Highest - belly.Lowest) / 2 : zone.Height.Value.Millimetres / 2;
                    var middle = zone?.MiddleHeight ?? belly.Lowest + half;
                    var films = await library.All(DocumentKinds.Film, stop);
                    var inHand = films.FirstOrDefault(f => f.Id == film) ?? (films.Count > 0 ? films[0] : null);
                    var strain = FilmStrain.OfBand(belly, middle - half, middle + half);
                    StrainAt most = strain.MaxBy(s => s.Strain),
                        least = strain.MinBy(s => s.Strain);
                    return TypedResults.Ok(
                        new StrainView(
                            DrawingView.Of(StrainDrawing.Of(wall, middle - half, middle + half, inHand?.Document.Gives)),
                            middle,
                            [
                                .. films.Select(f => new FilmReach(
                                    f.Id,
                                    f.Document.Name,
                                    f.Document.Gives.Stretch,
                                    f.Document.Gives.Gather,
                                    FilmStrain.TallestBand(belly, middle, f.Document.Gives),
                                    FilmStrain.LargestPatch(belly, middle, f.Document.Gives)
                                )),
                            ],
                            [
                                inHand is null
                                    ? Phrase.Say($"Right of the line a film stretches, left of it it gathers.")
                                    : Phrase.Say(
                                        $"Right of the line a film stretches, left of it it gathers; dashed is what "
                                            + $"{inHand.Document.Name} gives, {100 * inHand.Document.Gives.Stretch:0.0} % and "
                                            + $"{100 * inHand.Document.Gives.Gather:0.0} %."
                                    ),
                                Phrase.Say(
                                    $"A full turn over {Length.Mm(2 * half)} stretches by up to "
                                        + $"{100 * Math.Max(0, most.Strain):0.00} % (at {Length.Mm(most.V)}) and gathers by up to "
                                        + $"{100 * Math.Max(0, -least.Strain):0.00} %."
                                ),
                                Phrase.Say(
                                    $"The wall curves by {1e5 * belly.CurvatureAt(middle):0.00} · 10⁻⁵ per mm² at {Length.Mm(middle)}."
                                ),
                            ]
                        )
                    );
                }
            )
            .WithTags("Shelf")
            .WithName("GetStrain");
}
