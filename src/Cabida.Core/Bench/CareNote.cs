using Cabida.Core.Blanks;
using Cabida.Core.Runs;
using Cabida.Core.Stock;

namespace Cabida.Core.Bench;

/// <summary>What of a run the words of its care note follow from.</summary>
/// <param name="Films">Its films.</param>
/// <param name="Surface">What kind of goods it is on.</param>
/// <param name="Material">What they are made of.</param>
/// <param name="Steps">The steps of its making.</param>
/// <param name="SeenThrough">Whether something of it lies behind clear goods.</param>
public sealed record CareFacts(
    IReadOnlyList<Film> Films,
    SurfaceKind Surface,
    Material Material,
    IReadOnlyList<MakingStep> Steps,
    bool SeenThrough
);

/// <summary>
/// How the customer takes care of a made thing, in a few short lines for a card that is packed with it. The lines are offered from film,
/// goods and steps; the maker's own words take their place.
/// </summary>
public static class CareNote
{
    /// <summary>The lines of the note: the maker's own, or those that are offered where none were typed.</summary>
    /// <param name="typed">What was typed; a line break parts lines.</param>
    /// <param name="facts">What the offered ones follow from.</param>
    public static IReadOnlyList<string> Lines(string typed, CareFacts facts)
    {
        ArgumentNullException.ThrowIfNull(typed);
        var own = typed.Split('\n', StringSplitOptions.TrimEntries | StringSplitOptions.RemoveEmptyEntries);
        return own.Length > 0 ? own : Offered(facts);
    }

    /// <summary>The lines that film, goods and steps ask for, what is urgent first: the product's own.</summary>
    public static IReadOnlyList<string> Offered(CareFacts facts)
    {
        ArgumentNullException.ThrowIfNull(facts);
        var lines = new List<string>();
        lines.AddRange(OnGoods(facts, Worn.Of(facts)));
        if (facts.Steps.Any(s => s.Kind == StepKind.Varnish))
        {
            lines.Add("Its varnish goes on hardening for a week: put nothing on it until then.");
        }

        if (facts.SeenThrough)
        {
            lines.Add("The artwork is on the back: wipe that side softly, or not at all.");
        }

        return lines;
    }

    private static IEnumerable<string> OnGoods(CareFacts facts, Worn worn) =>
        facts.Surface switch
        {
            SurfaceKind.Garment => OnCloth(worn),
            // Goods of cloth that are measured flat: a pennant, a towel.
            SurfaceKind.Flat when facts.Material.Finish == Finish.Cloth => OnCloth(worn),
            SurfaceKind.Framed => InFrame(facts, worn),
            SurfaceKind.Flat => OnPanel(worn),
            _ => OnVessel(facts, worn),
        };

    private static IEnumerable<string> OnCloth(Worn worn)
    {
        if (worn.HasFilm || worn.HasPaint)
        {
            yield return worn.HasFilm ? "Leave it a day before its first wash." : "Leave it three days before its first wash.";
        }

        yield return "Wash it inside out at 30 °C, with like colours.";
        yield return "No bleach, no softener, no dryer: hang it up.";
        if (worn.HasFilm || worn.HasPaint)
        {
            yield return "Iron it inside out, never over the artwork.";
        }
    }

    private static IEnumerable<string> OnVessel(CareFacts facts, Worn worn)
    {
        if (worn.HasFilm)
        {
            yield return "Leave it three days before its first wash.";
            yield return "Wash it by hand with a soft sponge; do not let it soak.";
            yield return "Not for the dishwasher.";
        }
        else if (worn.HasPaint)
        {
            yield return "Leave it three days before its first wash.";
            yield return "Wash it by hand with a soft sponge, no scourer.";
        }

        if (IsMetal(facts.Material))
        {
            yield return "Not for the microwave.";
        }
    }

    private static IEnumerable<string> OnPanel(Worn worn)
    {
        if (worn.HasFilm || worn.HasPaint)
        {
            yield return "Leave it three days before it gets wet.";
        }

        if (worn.HasCard)
        {
            yield return "Keep it dry, and out of strong sun.";
            yield return "Dust it with a dry brush.";
            yield break;
        }

        yield return "Wipe it with a soft damp cloth and a drop of soap.";
        yield return "No scourer, no spirit, no pressure washer.";
    }

    private static IEnumerable<string> InFrame(CareFacts facts, Worn worn)
    {
        yield return worn.HasCard || worn.HasFilm ? "Hang it out of strong sun and away from damp walls." : "Hang it away from damp walls.";
        yield return facts.Material.Opacity == Opacity.Clear || worn.HasCard
            ? "Spray the cloth, not the pane, and wipe it dry."
            : "Wipe it with a soft dry cloth.";
    }

    /// <summary>Whether the maker's words or the finish say metal, which sparks in a microwave.</summary>
    private static bool IsMetal(Material material) =>
        material.Finish == Finish.Brushed
        || material
            .Name.Split([' ', ',', '-', '/', '.'], StringSplitOptions.RemoveEmptyEntries)
            .Any(w => Metals.Any(m => w.StartsWith(m, StringComparison.OrdinalIgnoreCase)));

    private static readonly string[] Metals = ["steel", "stainless", "metal", "enamel", "alumin", "copper", "brass"];

    /// <summary>What is on the goods when they leave the workshop.</summary>
    private sealed record Worn(bool HasFilm, bool HasPaint, bool HasCard)
    {
        public static Worn Of(CareFacts facts)
        {
            var stays = facts.Films.Where(f => f.Purpose == FilmPurpose.Stays).ToList();
            return new Worn(
                stays.Any(f => f.Material is FilmMaterial.Vinyl or FilmMaterial.HeatTransfer),
                facts.Films.Any(f => f.Purpose != FilmPurpose.Stays) || facts.Steps.Any(s => s.Kind == StepKind.Paint),
                stays.Any(f => f.Material == FilmMaterial.Card)
            );
        }
    }
}
