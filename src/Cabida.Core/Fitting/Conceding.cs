using Cabida.Core.Measures;
using Cabida.Core.Runs;
using Cabida.Core.Wording;

namespace Cabida.Core.Fitting;

/// <summary>A concession that was made for a piece.</summary>
/// <param name="Kind">What was done.</param>
/// <param name="Message">How far, in words.</param>
public sealed record Conceded(ConcessionKind Kind, Phrase Message);

/// <summary>
/// Concessions for a piece that does not fit at the size of its set: in the maker's order, each as far as it must go and no
/// further than its limit, until the piece fits; what was conceded on the way and turns out not to be needed is taken back.
/// </summary>
internal sealed class Conceding(PieceSetting setting, FitBasis basis)
{
    /// <summary>Closing up and making smaller go in steps of a tenth of a hundredth.</summary>
    private const double StepsPerPercent = 10;

    /// <summary>
    /// The sides that the piece is short of at the size of its set, before anything is conceded; where none is told, those it is centred
    /// between.
    /// </summary>
    private readonly Once<ShortSides> shortSides = new(() =>
    {
        var set = setting.Set(setting.Own);
        if (setting.WantedScale(set) is not { } scale)
        {
            return ShortSides.None;
        }

        var place = set.Laying.PlaceAt(set.Composition, scale, setting.RulesFor(set.Composition));
        return set.Laying.RoomsAt(set.Composition, place) is { } rooms ? MarginSteps.ShortOf(rooms) : ShortSides.None;
    });

    /// <summary>A tried concession: which, and how many of its steps.</summary>
    private readonly record struct Step(Concession Concession, int Steps);

    /// <summary>What several concessions amount to.</summary>
    /// <param name="Set">The setting.</param>
    /// <param name="Smaller">Less than the set's size by this share.</param>
    /// <param name="Place">Where it stands.</param>
    internal sealed record Result(Setting Set, double Smaller, FitPlace Place)
    {
        /// <summary>What was conceded, in order.</summary>
        public IReadOnlyList<Conceded> Made { get; init; } = [];
    }

    /// <summary>The piece as it fits with the least that has to be conceded; null when it does not fit with all of it.</summary>
    public Result? Find()
    {
        var made = new List<Step>();
        foreach (var concession in basis.Concessions)
        {
            var most = MostSteps(concession);
            if (most == 0)
            {
                continue;
            }

            made.Add(new(concession, most));
            if (Fits(made) is null)
            {
                continue;
            }

            // The last first: it goes only as far as it must once the earlier ones have gone to their limits.
            for (var i = made.Count - 1; i >= 0; i--)
            {
                made[i] = made[i] with { Steps = LeastSteps(made, i) };
            }

            made.RemoveAll(s => s.Steps == 0);
            var result = Fits(made)!;
            return result with { Made = [.. made.Select(s => new Conceded(s.Concession.Kind, Say(s, result)))] };
        }

        return null;
    }

    private int MostSteps(Concession c) =>
        c.Kind switch
        {
            ConcessionKind.CloseUp => (int)Math.Round(Math.Clamp(c.Percent, 0, Concession.MostCloseUp) * StepsPerPercent),
            ConcessionKind.Margin => basis.Margins.Most(shortSides.Value, Least(c)),
            ConcessionKind.TwoLines => setting.Name is { } name
            && PieceVariant.CanBreak(name)
            && setting.Own.Lines is null
            && NameBreaks.Of(setting.Words).Any()
                ? 1
                : 0,
            ConcessionKind.Face => setting.Own.TypefaceId.Length == 0
            && basis.Faces.Find(c.TypefaceId) is not null
            && c.TypefaceId != setting.Name?.TypefaceId
                ? 1
                : 0,
            ConcessionKind.Smaller => (int)Math.Round(Math.Clamp(c.Percent, 0, Concession.MostSmaller) * StepsPerPercent),
            _ => throw new ArgumentOutOfRangeException(nameof(c)),
        };

    private static double Least(Concession c) => c.LeastMargin.OrZero(LengthRange.Margin).Millimetres;

    private int LeastSteps(List<Step> made, int at)
    {
        var (none, enough) = (-1, made[at].Steps);
        while (enough - none > 1)
        {
            var middle = (none + enough) / 2;
            var tried = made.ToList();
            tried[at] = made[at] with { Steps = middle };
            (none, enough) = Fits(tried) is null ? (middle, enough) : (none, middle);
        }

        return enough;
    }

    private Result? Fits(List<Step> steps)
    {
        var (variant, zone, smaller, breaks) = (setting.Own, basis.Zone, 0.0, false);
        foreach (var (c, n) in steps.Where(s => s.Steps > 0))
        {
            switch (c.Kind)
            {
                case ConcessionKind.CloseUp:
                    variant = variant with { CloseUp = variant.CloseUp + (n * 10 / StepsPerPercent) };
                    break;
                case ConcessionKind.Margin when basis.Margins.ZoneWith(basis.Margins.At(shortSides.Value, n, Least(c))) is { } wider:
                    zone = wider;
                    break;
                case ConcessionKind.TwoLines:
                    breaks = true;
                    break;
                case ConcessionKind.Face:
                    variant = variant with { TypefaceId = c.TypefaceId };
                    break;
                case ConcessionKind.Smaller:
                    smaller = n / StepsPerPercent / 100;
                    break;
                default:
                    return null;
            }
        }

        var set = breaks ? BestBreak(variant, zone) : setting.Set(variant, zone);
        if (
            setting.WantedScale(set, smaller) is not { } scale
            || (variant.TypefaceId != setting.Own.TypefaceId && set.Composition.Lacking.Any())
        )
        {
            return null;
        }

        var place = set.Laying.PlaceAt(set.Composition, scale, setting.RulesFor(set.Composition));
        return set.Laying.Fits(set.Composition, place) ? new Result(set, smaller, place) : null;
    }

    /// <summary>The best place for a line break is the one that leaves the narrowest piece.</summary>
    private Setting BestBreak(PieceVariant variant, Blanks.Zone zone) =>
        NameBreaks
            .Of(setting.Words)
            .Select(lines => setting.Set(variant with { Lines = lines }, zone))
            .MinBy(s =>
                s.Composition.Lines.Where(l => setting.Name is { } name && l.Key.IsLineOf(name.Id)).Max(l => l.Value.BoxAt(1)?.Width ?? 0)
            )!;

    private Phrase Say(Step step, Result result) =>
        step.Concession.Kind switch
        {
            ConcessionKind.CloseUp => Phrase.Say($"closed up {step.Steps / StepsPerPercent:0.0} %"),
            ConcessionKind.Margin => MarginSteps.Say(
                shortSides.Value,
                basis.Margins.At(shortSides.Value, step.Steps, Least(step.Concession))
            ),
            ConcessionKind.TwoLines => Phrase.Say($"two lines"),
            ConcessionKind.Face => Phrase.Say($"{basis.Faces.Find(step.Concession.TypefaceId)?.Info.Name ?? ""}"),
            _ => Phrase.Say($"{100 * result.Smaller:0.0} % smaller"),
        };
}
