using Cabida.Core.Measures;
using Cabida.Core.Wording;

namespace Cabida.Core.Stock;

/// <summary>Something typed on the stock page that cannot be used.</summary>
/// <param name="Field">The field.</param>
/// <param name="Message">What is wrong.</param>
public sealed record StockProblem(string Field, Phrase Message);

/// <summary>Reads every length of films and cutters and reports what cannot be used.</summary>
public static class StockProblems
{
    /// <summary>Problems of a film.</summary>
    public static IReadOnlyList<StockProblem> Of(Film film)
    {
        ArgumentNullException.ThrowIfNull(film);
        return
        [
            .. Named(film.Name),
            .. Read("thinnestStroke", film.ThinnestStroke, LengthRange.Artwork),
            .. Read("width", film.Width, LengthRange.Object),
            .. Read("length", film.Length, LengthRange.Object),
            .. Temperature.Read(film.PressedAt).Problem is { } heat ? [new StockProblem("pressedAt", heat)] : Array.Empty<StockProblem>(),
        ];
    }

    /// <summary>Problems of a cutter.</summary>
    public static IReadOnlyList<StockProblem> Of(Cutter cutter)
    {
        ArgumentNullException.ThrowIfNull(cutter);
        return
        [
            .. Named(cutter.Name),
            .. Read("reachWidth", cutter.ReachWidth, LengthRange.Object),
            .. Read("reachLength", cutter.ReachLength, LengthRange.Object),
        ];
    }

    private static IEnumerable<StockProblem> Named(string name) =>
        string.IsNullOrWhiteSpace(name) ? [new("name", Phrase.Say($"Give it a name, so that it can be found again."))] : [];

    private static IEnumerable<StockProblem> Read(string field, TypedLength typed, LengthRange range) =>
        typed.Read(range).Problem is { } problem ? [new(field, problem)] : [];
}
