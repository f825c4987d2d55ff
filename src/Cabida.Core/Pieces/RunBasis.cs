using System.Collections.Concurrent;
using System.Globalization;
using Cabida.Core.Blanks;
using Cabida.Core.Fitting;
using Cabida.Core.Geometry;
using Cabida.Core.Measures;
using Cabida.Core.Motifs;
using Cabida.Core.Runs;
using Cabida.Core.Wording;

namespace Cabida.Core.Pieces;

/// <summary>What a run says of how its pieces are fitted, as the core takes it.</summary>
internal static class RunBasis
{
    /// <summary>The ground of a zone of a size.</summary>
    /// <param name="run">The set-up.</param>
    /// <param name="pinned">What it pins; its blank and film are chosen.</param>
    /// <param name="size">The size of the blank.</param>
    /// <param name="laid">The zone on it; it has room.</param>
    /// <param name="motif">The motif of the side.</param>
    /// <param name="atHand">The typefaces and graphics at hand.</param>
    public static FitBasis Of(RunSetUp run, PinnedDocuments pinned, SizeSheet size, LaidZone laid, Motif motif, AtHand atHand)
    {
        var blank = pinned.Blank!;
        double? Height(TypedLength typed) => typed.Read(LengthRange.Artwork).ValueOrDefault?.Value.Millimetres;
        var oneHeight = run.Sizing == Sizing.OneLetterHeight;
        return new FitBasis(
            run.Centring is { } centring ? motif with { Centring = centring } : motif,
            laid.Wall,
            laid.Panel,
            laid.Zone!,
            pinned.Film!,
            oneHeight ? Height(run.LetterHeight) : null,
            atHand
        )
        {
            Mats = size.MatsOf(laid),
            Material = blank.Material,
            Films = pinned.Films,
            Scale = run.Sizing == Sizing.OneScale ? ScaleOf(run.ScaleTyped) : null,
            Groups = (
                oneHeight ? run.GroupBy : "",
                run.GroupHeights.DistinctBy(g => g.Group)
                    .Where(g => Height(g.LetterHeight) is not null)
                    .ToDictionary(g => g.Group, g => Height(g.LetterHeight)!.Value, StringComparer.Ordinal)
            ),
            Rules = new FitRules(
                run.Placing,
                Turning.Upright,
                0,
                new PlanePoint(run.Right.OrZero(LengthRange.Offset).Millimetres, run.Up.OrZero(LengthRange.Offset).Millimetres)
            ),
            Taper = run.Taper,
            Concessions = run.Sizing == Sizing.EachLargest ? [] : run.Concessions,
            Margins = run.Concessions.Any(c => c.Kind == ConcessionKind.Margin) ? MarginsOf(blank, size.Size, laid) : MarginSteps.None,
        };
    }

    /// <summary>
    /// The scale that is meant by <c>85</c>, <c>85 %</c> or <c>0.85</c> of one; null when it cannot be read or makes no sense.
    /// </summary>
    public static double? ScaleOf(string typed)
    {
        var text = typed.Replace("%", "", StringComparison.Ordinal).Replace(',', '.').Trim();
        return double.TryParse(text, NumberStyles.AllowDecimalPoint, CultureInfo.InvariantCulture, out var n) && n is >= 1 and <= 10_000
            ? n / 100
            : null;
    }

    /// <summary>The zone laid out again with other margins; each once, when it is asked for.</summary>
    private static MarginSteps MarginsOf(Blank blank, string size, LaidZone laid)
    {
        double Read(TypedLength t) => t.OrZero(LengthRange.Margin).Millimetres;
        var (spec, m, zones) = (laid.Spec, laid.Spec.Margins, new ConcurrentDictionary<SideInsets, Once<Zone?>>());
        var own = new SideInsets(Read(m.Left), Read(m.Right), Read(m.Bottom), Read(m.Top));
        return new MarginSteps(own, insets => zones
                .GetOrAdd(insets, by => new Once<Zone?>(() =>
                {
                    var cut = spec with
                    {
                        Margins = new ZoneMargins(
                            TypedLength.Mm(by.Top),
                            TypedLength.Mm(by.Bottom),
                            TypedLength.Mm(by.Left),
                            TypedLength.Mm(by.Right)
                        ),
                    };
                    return BlankSheet.Of(blank with { Zones = [cut] }).SizeOf(size).ZoneOf(cut.Id)?.ZoneInPlaceOf(laid);
                }))
                .Value);
    }
}
