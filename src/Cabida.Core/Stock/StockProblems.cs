using Cabida.Core.Findings;
using Cabida.Core.Measures;
using Cabida.Core.Wording;

namespace Cabida.Core.Stock;

/// <summary>Reads every length of films and cutters and reports what cannot be used.</summary>
public static class StockProblems
{
    /// <summary>Problems of a film.</summary>
    public static IReadOnlyList<Finding> Of(Film film)
    {
        ArgumentNullException.ThrowIfNull(film);
        return
        [
            .. Named(film.Name),
            .. OfLimits(film),
            .. Optional("laidWithin", film.LaidWithin, LengthRange.Uncertainty),
            .. Read("width", film.Width, LengthRange.Object),
            .. Read("length", film.Length, LengthRange.Object),
            .. film.Heat.Problems().Select(p => Finding.Unusable($"heat.{p.Field}", p.Problem)),
        ];
    }

    /// <summary>Problems of the limits of a film: an empty one is the usual.</summary>
    public static IReadOnlyList<Finding> OfLimits(Film film)
    {
        ArgumentNullException.ThrowIfNull(film);
        var limits = new (string Field, TypedLength Typed)[]
        {
            ("thinnestStroke", film.ThinnestStroke),
            ("narrowestGap", film.NarrowestGap),
            ("smallestAcross", film.SmallestAcross),
            ("tieWidth", film.TieWidth),
        };
        return
        [
            .. limits.Where(l => !l.Typed.IsEmpty).SelectMany(l => Read(l.Field, l.Typed, LengthRange.FilmLimit)),
            .. SurfaceArea.Read(film.SmallestArea).Problem is { } area ? [Finding.Unusable("smallestArea", area)] : Array.Empty<Finding>(),
        ];
    }

    /// <summary>Problems of a cutter.</summary>
    public static IReadOnlyList<Finding> Of(Cutter cutter)
    {
        ArgumentNullException.ThrowIfNull(cutter);
        return
        [
            .. Named(cutter.Name),
            .. Read("reachWidth", cutter.ReachWidth, LengthRange.Object),
            .. Read("reachLength", cutter.ReachLength, LengthRange.Object),
            .. cutter.Carriers.SelectMany((c, i) => Of(c).Select(f => Within($"carriers.{i}", f))),
            .. cutter.Carriers.GroupBy(c => c.Id).Where(g => g.Count() > 1).Select(_ => Finding.Unusable("carriers", Twice)),
            .. Optional("rollers.width", cutter.Rollers.Width, LengthRange.Object),
            .. Optional("rollers.longest", cutter.Rollers.Longest, StockItem.RollLength),
            .. Optional("rollers.lead", cutter.Rollers.Lead, LengthRange.Margin),
            .. Optional("rollers.tail", cutter.Rollers.Tail, LengthRange.Margin),
            .. Of(cutter.Rollers.Proved).Select(f => Within("rollers.proved", f)),
            .. Optional("cutsWithin", cutter.CutsWithin, LengthRange.Uncertainty),
            .. Optional("blade.offset", cutter.Blade.Offset, BladeLengths),
            .. Optional("blade.overcut", cutter.Blade.Overcut, BladeLengths),
        ];
    }

    /// <summary>Problems of the maker's own settings.</summary>
    public static IReadOnlyList<Finding> Of(Workshop workshop)
    {
        ArgumentNullException.ThrowIfNull(workshop);
        return
        [
            .. workshop.Hours.SelectMany((h, i) => h.Problems().Select(p => Finding.Unusable($"hours.{i}.{p.Field}", p.Problem))),
            .. workshop.Rates.Problems().Select(p => Finding.Unusable($"rates.{p.Field}", p.Problem)),
            .. workshop.Address.Trim().Length > 0 && workshop.AddressRead is null
                ?
                [
                    Finding.Unusable(
                        "address",
                        Phrase.Say($"{workshop.Address:strong} is no address. It begins as the browser shows it: http://name:5080.")
                    ),
                ]
                : NoFindings,
        ];
    }

    /// <summary>Problems of a press.</summary>
    public static IReadOnlyList<Finding> Of(Press press)
    {
        ArgumentNullException.ThrowIfNull(press);
        var heats = new[] { ("hottest", press.Hottest), ("shows", press.Shows), ("measured", press.Measured) };
        List<Finding> found =
        [
            .. Named(press.Name),
            .. Read("platenWidth", press.PlatenWidth, LengthRange.Object),
            .. Read("platenHeight", press.PlatenHeight, LengthRange.Object),
            .. Optional("overlap", press.Overlap, LengthRange.Margin),
            .. heats.SelectMany(h => Temperature.Read(h.Item2).Problem is { } wrong ? [Finding.Unusable(h.Item1, wrong)] : NoFindings),
        ];
        if (string.IsNullOrWhiteSpace(press.Shows) != string.IsNullOrWhiteSpace(press.Measured))
        {
            var (lacking, words) = string.IsNullOrWhiteSpace(press.Shows)
                ? ("shows", "What did it show when that was measured?")
                : ("measured", "What did a thermometer read then?");
            found.Add(Finding.Unusable(lacking, Phrase.Say($"{words}")));
        }
        else if (Math.Abs(press.OffBy) > MostOff)
        {
            found.Add(
                Finding.Unusable(
                    "measured",
                    Phrase.Say($"{Math.Abs(press.OffBy):0.#} degrees off: one of the two was read or typed wrongly.")
                )
            );
        }

        double Side(TypedLength typed) => typed.OrZero(LengthRange.Object).Millimetres;
        if (found.Count == 0 && Math.Min(Side(press.PlatenWidth), Side(press.PlatenHeight)) <= press.OverlapOr)
        {
            found.Add(Finding.Unusable("overlap", Phrase.Say($"Positions cannot overlap by as much as the platen is wide or high.")));
        }

        return found;
    }

    /// <summary>No press is off by more; degrees Celsius.</summary>
    private const double MostOff = 60;

    private static Finding[] NoFindings => [];

    /// <summary>Problems of what there is of a film.</summary>
    public static IReadOnlyList<Finding> Of(FilmStock stock)
    {
        ArgumentNullException.ThrowIfNull(stock);
        return
        [
            .. Optional("edgeMargin", stock.EdgeMargin, LengthRange.Margin),
            .. Optional("thickness", stock.Thickness, LengthRange.Thickness),
            .. TypedAmount.Read(stock.PerSquareMetre).Problem is { } price ? [Finding.Unusable("perSquareMetre", price)] : NoFindings,
            .. stock.Items.SelectMany((item, i) => Of(item).Select(f => Within($"items.{i}", f))),
            .. stock.Items.GroupBy(i => i.Id).Where(g => g.Count() > 1).Select(_ => Finding.Unusable("items", Twice)),
        ];
    }

    private static readonly LengthRange BladeLengths = new(Length.Zero, Length.Mm(10));
    private static readonly Phrase Twice = Phrase.Say($"Two of them are told apart by the same id.");

    private static List<Finding> Of(StockItem item)
    {
        var rectangle = item.Outline.Count == 0;
        IEnumerable<Finding> lengths = rectangle
            ?
            [
                .. Read("width", item.Width, LengthRange.Object),
                .. Read("length", item.Length, item.Form == StockForm.Roll ? StockItem.RollLength : LengthRange.Object),
            ]
            : [];
        return
        [
            .. lengths,
            .. rectangle || item.Shape().Problem is not { } crossed ? [] : (Finding[])[Finding.Unusable("outline", crossed)],
            .. rectangle || item.Form == StockForm.OffCut
                ? []
                : (Finding[])[Finding.Unusable("form", Phrase.Say($"Only an off-cut has an outline of its own."))],
        ];
    }

    private static List<Finding> Of(Carrier carrier) =>
        [
            .. Named(carrier.Name),
            .. Read("width", carrier.Width, LengthRange.Object),
            .. Read("length", carrier.Length, LengthRange.Object),
            .. Read("reachWidth", carrier.ReachWidth, LengthRange.Object),
            .. Read("reachLength", carrier.ReachLength, LengthRange.Object),
            .. Optional("left", carrier.Left, LengthRange.Margin),
            .. Optional("foot", carrier.Foot, LengthRange.Margin),
            .. Optional("thickness", carrier.Thickness, LengthRange.Thickness),
            .. Beyond(carrier),
            .. Of(carrier.Proved).Select(f => Within("proved", f)),
        ];

    /// <summary>A reach that goes beyond its carrier.</summary>
    private static IEnumerable<Finding> Beyond(Carrier carrier)
    {
        double Of(TypedLength typed) => typed.OrZero(LengthRange.Object).Millimetres;
        double Begins(TypedLength typed, double nominal, double reach) =>
            typed.IsEmpty ? Math.Max(0, (nominal - reach) / 2) : typed.OrZero(LengthRange.Margin).Millimetres;
        foreach (
            var (field, nominal, reach, begins) in ((string, TypedLength, TypedLength, TypedLength)[])
                [
                    ("reachWidth", carrier.Width, carrier.ReachWidth, carrier.Left),
                    ("reachLength", carrier.Length, carrier.ReachLength, carrier.Foot),
                ]
        )
        {
            var end = Begins(begins, Of(nominal), Of(reach)) + Of(reach);
            if (Of(nominal) > 0 && Of(reach) > 0 && end > Of(nominal) + 1e-6)
            {
                yield return Finding.Unusable(
                    field,
                    Phrase.Say($"It would end at {Length.Mm(end)}, and the carrier ends at {Length.Mm(Of(nominal))}.")
                );
            }
        }
    }

    private static List<Finding> Of(ProvingSquare square)
    {
        if (square.IsNone)
        {
            return [];
        }

        var found = square.Fields.SelectMany(f => Read(f.Field, f.Typed, f.Range)).ToList();
        double Of(TypedLength typed, LengthRange range) => typed.OrZero(range).Millimetres;
        // The diagonals of what the sides make, at the most: sides and diagonals of different squares do not go together.
        var sum = Math.Pow(Of(square.Across, ProvingSquare.Sides), 2) + Math.Pow(Of(square.Along, ProvingSquare.Sides), 2);
        var diagonals = Math.Pow(Of(square.Rising, ProvingSquare.Diagonals), 2) + Math.Pow(Of(square.Falling, ProvingSquare.Diagonals), 2);
        return found.Count > 0 || Math.Abs((diagonals / 2) - sum) < SquareOff * sum
            ? found
            :
            [
                Finding.Unusable(
                    "rising",
                    Phrase.Say($"These diagonals do not belong to these sides: one of the four was read wrongly, or is of another square.")
                ),
            ];
    }

    /// <summary>By this share the squares of sides and diagonals may differ (they are equal in every parallelogram): 0.7 of 141.</summary>
    private const double SquareOff = 0.01;

    private static Finding Within(string path, Finding finding) => finding with { Fields = [.. finding.Fields.Select(f => $"{path}.{f}")] };

    private static IEnumerable<Finding> Optional(string field, TypedLength typed, LengthRange range) =>
        typed.IsEmpty ? [] : Read(field, typed, range);

    private static IEnumerable<Finding> Named(string name) =>
        string.IsNullOrWhiteSpace(name) ? [Finding.Unusable("name", Phrase.Say($"Give it a name, so that it can be found again."))] : [];

    private static IEnumerable<Finding> Read(string field, TypedLength typed, LengthRange range) =>
        typed.Read(range).Problem is { } problem ? [Finding.Unusable(field, problem)] : [];
}
