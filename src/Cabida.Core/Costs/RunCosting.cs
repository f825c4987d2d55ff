using Cabida.Core.Measures;
using Cabida.Core.Runs;
using Cabida.Core.Steps;
using Cabida.Core.Stock;
using Cabida.Core.Wording;

namespace Cabida.Core.Costs;

/// <summary>A film of a run as it is reckoned.</summary>
/// <param name="Film">What it is called.</param>
/// <param name="Charged">The area that the run pays for: its share of what its loads use, less what is kept; square millimetres.</param>
/// <param name="PerSquareMetre">What a square metre costs; null where that is not noted.</param>
/// <param name="Taped">The area that transfer tape lies on; square millimetres, zero for a film that takes none.</param>
public sealed record FilmUse(string Film, double Charged, decimal? PerSquareMetre, double Taped);

/// <summary>What a run's cost follows from.</summary>
/// <param name="Pieces">How many pieces are made.</param>
/// <param name="Films">Its films.</param>
/// <param name="Blank">What one plain blank costs; null where that is not noted.</param>
/// <param name="Steps">Its steps.</param>
/// <param name="CutMinutes">How long the cutter takes.</param>
/// <param name="WeedMinutes">Of the hands, how long weeding takes, which grows with the pieces.</param>
public sealed record CostFacts(
    int Pieces,
    IReadOnlyList<FilmUse> Films,
    decimal? Blank,
    IReadOnlyList<ReadStep> Steps,
    double CutMinutes,
    double WeedMinutes
);

/// <summary>What a line of a cost is of.</summary>
public enum CostKind
{
    /// <summary>Film.</summary>
    Film,

    /// <summary>Transfer tape.</summary>
    Tape,

    /// <summary>Plain goods.</summary>
    Blank,

    /// <summary>What goes with a piece.</summary>
    Extra,

    /// <summary>The cutter's time.</summary>
    Cutter,

    /// <summary>The maker's time.</summary>
    Hands,
}

/// <summary>A line of a cost.</summary>
/// <param name="Kind">What it is of.</param>
/// <param name="What">What it is.</param>
/// <param name="Sum">Where it comes from.</param>
/// <param name="Amount">What it comes to, to the hundredth; null where a price is not noted.</param>
public sealed record CostLine(CostKind Kind, string What, Phrase Sum, decimal? Amount);

/// <summary>What a run costs and is sold for; to the hundredth, each sum of what is shown (calculations 6.14).</summary>
/// <param name="Lines">What it is made up of.</param>
/// <param name="Cost">The sum of the lines.</param>
/// <param name="Overheads">Overheads on that.</param>
/// <param name="OverheadsSum">Where they come from.</param>
/// <param name="Margin">Margin on both.</param>
/// <param name="MarginSum">Where it comes from.</param>
/// <param name="Price">All together: what the run is sold for as it is reckoned.</param>
/// <param name="Each">What one piece is sold for: the agreed price, else what it comes to.</param>
/// <param name="Agreed">Whether that was agreed.</param>
/// <param name="Earned">By the agreed price, what is left beyond cost and overheads; null without one.</param>
/// <param name="IsWhole">Whether every price is noted.</param>
/// <param name="More">What so many more would cost, and be sold for, each.</param>
/// <param name="Problems">What cannot be used of what was typed.</param>
public sealed record RunCost(
    IReadOnlyList<CostLine> Lines,
    decimal Cost,
    decimal Overheads,
    Phrase OverheadsSum,
    decimal Margin,
    Phrase MarginSum,
    decimal Price,
    decimal Each,
    bool Agreed,
    decimal? Earned,
    bool IsWhole,
    MoreCost More,
    IReadOnlyList<Findings.Finding> Problems
);

/// <summary>What further pieces would cost.</summary>
/// <param name="Count">How many more.</param>
/// <param name="Cost">What they cost, overheads with them.</param>
/// <param name="Each">What each would be sold for by the same margin.</param>
/// <param name="EachOfAll">What each of all pieces would then be sold for.</param>
public sealed record MoreCost(int Count, decimal Cost, decimal Each, decimal EachOfAll);

/// <summary>Reckons what a run costs (calculations 6.14). Money is decimal, rounded line by line, so that what is shown adds up.</summary>
public static class RunCosting
{
    private const double SquareMetre = 1e6;

    /// <summary>What a run costs.</summary>
    /// <param name="facts">What it follows from.</param>
    /// <param name="rates">What the workshop reckons with; what cannot be read counts for nothing.</param>
    /// <param name="price">What was typed for the run.</param>
    /// <param name="more">For how many more it is told.</param>
    public static RunCost Of(CostFacts facts, Rates rates, RunPrice price, int more)
    {
        ArgumentNullException.ThrowIfNull(facts);
        ArgumentNullException.ThrowIfNull(rates);
        ArgumentNullException.ThrowIfNull(price);
        var lines = Lines(facts, rates, price);
        var after = more == 0 ? lines : Lines(With(facts, more), rates, price);
        var (now, then) = (Total(lines, rates), Total(after, rates));
        var agreed = TypedAmount.Read(price.Agreed).ValueOrDefault;
        var count = Math.Max(1, facts.Pieces);
        return new RunCost(
            lines,
            now.Cost,
            now.Overheads,
            Phrase.Say($"{Percent(rates.Overheads):0.##} % of {Money(now.Cost, rates)}"),
            now.Margin,
            Phrase.Say($"{Percent(rates.Margin):0.##} % of {Money(now.Cost + now.Overheads, rates)}"),
            now.Price,
            agreed ?? Rounded(now.Price / count),
            agreed is not null,
            agreed is { } each ? (each * facts.Pieces) - now.Cost - now.Overheads : null,
            lines.All(l => l.Amount is not null),
            new MoreCost(
                more,
                then.Cost + then.Overheads - now.Cost - now.Overheads,
                more > 0 ? Rounded((then.Price - now.Price) / more) : 0,
                Rounded(then.Price / Math.Max(1, facts.Pieces + more))
            ),
            [.. ProblemsOf(price)]
        );
    }

    /// <summary>The same run with so many more pieces like those it has: what is done once stays, all else grows with them.</summary>
    private static CostFacts With(CostFacts facts, int more)
    {
        var by = (double)(facts.Pieces + more) / Math.Max(1, facts.Pieces);
        var weed = facts.WeedMinutes * (by - 1);
        return facts with
        {
            Pieces = facts.Pieces + more,
            Films = [.. facts.Films.Select(f => f with { Charged = f.Charged * by, Taped = f.Taped * by })],
            CutMinutes = facts.CutMinutes * by,
            WeedMinutes = facts.WeedMinutes * by,
            Steps =
            [
                .. facts.Steps.Select(s =>
                    s with
                    {
                        Hands =
                            s.Time.HandsOn(facts.Pieces + more)
                            + (s.Step.Kind == StepKind.Weed && s.Step.PerBatch.Trim().Length == 0 ? weed : 0),
                    }
                ),
            ],
        };
    }

    private static List<CostLine> Lines(CostFacts facts, Rates rates, RunPrice price)
    {
        decimal? Read(string typed) => TypedAmount.Read(typed).ValueOrDefault;
        var lines = new List<CostLine>();
        foreach (var film in facts.Films)
        {
            lines.Add(Area(CostKind.Film, film.Film, film.Charged, film.PerSquareMetre, rates));
        }

        var taped = facts.Films.Sum(f => f.Taped);
        if (taped > 0 && Read(rates.Tape) is { } tape)
        {
            lines.Add(Area(CostKind.Tape, "Transfer tape", taped, tape, rates));
        }

        lines.Add(Each(CostKind.Blank, "Plain goods", facts.Pieces, Read(price.Blank) ?? facts.Blank, rates));
        lines.AddRange(price.Extras.Select(e => Each(CostKind.Extra, e.Name, facts.Pieces, Read(e.Each), rates)));
        if (Read(rates.CutterHour) is { } cutter)
        {
            lines.Add(Time(CostKind.Cutter, "Cutter", facts.CutMinutes, cutter, rates));
        }

        lines.AddRange(
            facts.Steps.Where(s => s.Hands > 0).Select(s => Time(CostKind.Hands, s.Step.Called, s.Hands, Read(rates.Hour), rates))
        );
        return lines;
    }

    private static CostLine Area(CostKind kind, string what, double area, decimal? perSquareMetre, Rates rates)
    {
        var metres = area / SquareMetre;
        return perSquareMetre is { } price
            ? new CostLine(
                kind,
                what,
                Phrase.Say($"{metres:0.0000} m² × {Money(price, rates)} a square metre"),
                Rounded((decimal)metres * price)
            )
            : new CostLine(kind, what, Phrase.Say($"{metres:0.0000} m²; what a square metre costs is not noted"), null);
    }

    private static CostLine Each(CostKind kind, string what, int count, decimal? each, Rates rates) =>
        each is { } price
            ? new CostLine(kind, what, Phrase.Say($"{count} × {Money(price, rates)}"), Rounded(count * price))
            : new CostLine(kind, what, Phrase.Say($"{count}; what one costs is not noted"), null);

    private static CostLine Time(CostKind kind, string what, double minutes, decimal? hour, Rates rates) =>
        hour is { } price
            ? new CostLine(
                kind,
                what,
                Phrase.Say($"{minutes:0.0} min × {Money(price, rates)} an hour"),
                Rounded((decimal)minutes * price / 60)
            )
            : new CostLine(kind, what, Phrase.Say($"{minutes:0.0} min; what an hour costs is not noted"), null);

    private static (decimal Cost, decimal Overheads, decimal Margin, decimal Price) Total(IReadOnlyList<CostLine> lines, Rates rates)
    {
        decimal Share(string typed) => TypedAmount.Share(typed).ValueOrDefault ?? 0;
        var cost = lines.Sum(l => l.Amount ?? 0);
        var overheads = Rounded(cost * Share(rates.Overheads));
        var margin = Rounded((cost + overheads) * Share(rates.Margin));
        return (cost, overheads, margin, cost + overheads + margin);
    }

    private static decimal Percent(string typed) => 100 * (TypedAmount.Share(typed).ValueOrDefault ?? 0);

    /// <summary>What cannot be used of a price as it is typed.</summary>
    /// <param name="price">The price.</param>
    public static IEnumerable<Findings.Finding> ProblemsOf(RunPrice price)
    {
        var fields = price.Extras.Select((e, i) => ($"price.extras.{i}", e.Each));
        foreach (var (field, typed) in fields.Append(("price.blank", price.Blank)).Append(("price.agreed", price.Agreed)))
        {
            if (TypedAmount.Read(typed).Problem is { } problem)
            {
                yield return Findings.Finding.Unusable(field, problem);
            }
        }
    }

    /// <summary>An amount with the workshop's sign of currency.</summary>
    public static string Money(decimal amount, Rates rates)
    {
        ArgumentNullException.ThrowIfNull(rates);
        var figure = FormattableString.Invariant($"{amount:0.00##}");
        return rates.Currency.Trim() is { Length: > 0 } sign ? $"{sign} {figure}" : figure;
    }

    private static decimal Rounded(decimal amount) => Math.Round(amount, 2, MidpointRounding.AwayFromZero);
}
