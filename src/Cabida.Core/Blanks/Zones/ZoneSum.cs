using Cabida.Core.Measures;
using Cabida.Core.Wording;

namespace Cabida.Core.Blanks;

/// <summary>
/// Where a workable size comes from, as a sum that adds up: what it starts from, less what each limit took, as the zone was
/// carved. The figures are those of the shapes themselves, so that none is said that was not used.
/// </summary>
internal sealed class ZoneSum
{
    /// <summary>Less than this is no term of a sum; millimetres.</summary>
    private const double WorthSaying = 0.05;

    private readonly List<(Phrase Words, double Took)> terms = [];
    private readonly Phrase start;
    private readonly double from;

    /// <summary>A sum that starts from something.</summary>
    /// <param name="start">What that is, with its figure.</param>
    /// <param name="from">The figure; millimetres.</param>
    public ZoneSum(Phrase start, Length from) => (this.start, this.from) = (start, from.Millimetres);

    /// <summary>Less a typed length, as it stands.</summary>
    public ZoneSum Less(string what, Length by) => Less(Phrase.Say($"{what} {by}"), by.Millimetres);

    /// <summary>Less what two sides take: told once where both are the same.</summary>
    public ZoneSum LessBoth(string what, string a, Length left, string b, Length right) =>
        left == right
            ? Less(what.Length > 0 ? Phrase.Say($"2 × {what} {left}") : Phrase.Say($"2 × {left}"), 2 * left.Millimetres)
            : Less(a, left).Less(b, right);

    /// <summary>Less so much.</summary>
    public ZoneSum Less(Phrase words, double took)
    {
        if (Math.Abs(took) > 1e-9)
        {
            terms.Add((words, took));
        }

        return this;
    }

    /// <summary>The sum for a result; what the terms leave unexplained is what something else took.</summary>
    /// <param name="is1">The result: nominal with its uncertainty.</param>
    /// <param name="way">How the result is called: wide, high.</param>
    /// <param name="rest">What took the rest.</param>
    public Phrase For(Dimension is1, Phrase way, string rest)
    {
        var took = from - terms.Sum(t => t.Took) - is1.Value.Millimetres;
        var sum = Phrase.Say($"{is1.Cautious:strong} {way} = {start}");
        foreach (var (words, _) in terms)
        {
            sum = Phrase.Say($"{sum} − {words}");
        }

        if (Math.Abs(took) >= WorthSaying)
        {
            sum = took > 0 ? Phrase.Say($"{sum} − {Length.Mm(took)} for {rest}") : Phrase.Say($"{sum} + {Length.Mm(-took)} for {rest}");
        }

        return is1.Uncertainty.Millimetres >= WorthSaying ? Phrase.Say($"{sum} − {is1.Uncertainty} uncertainty") : sum;
    }
}
