using Cabida.Core.Pieces;
using Cabida.Core.Pressing;
using Cabida.Core.Wording;
using Cabida.Store;

namespace Cabida.Web.Bench;

/// <summary>A press that can be chosen.</summary>
internal sealed record BenchPressChoice(string Id, string Name);

/// <summary>How a run is pressed, as the card has it.</summary>
/// <param name="PressId">The press; empty while none is chosen or there.</param>
/// <param name="Press">What it is called.</param>
/// <param name="OffBy">How much hotter it is than it shows; degrees Celsius.</param>
/// <param name="Choices">The presses there are.</param>
/// <param name="Lacks">What has to be known before anything is planned.</param>
/// <param name="Lines">What is done, in order.</param>
/// <param name="Conflict">Why it cannot be done.</param>
/// <param name="Artwork">Where the platen is laid, by size and face.</param>
/// <param name="Seconds">The seconds that one piece is under the press.</param>
internal sealed record BenchPress(
    string PressId,
    string Press,
    double OffBy,
    IReadOnlyList<BenchPressChoice> Choices,
    IReadOnlyList<Phrase> Lacks,
    IReadOnlyList<PressLine> Lines,
    PressConflict? Conflict,
    IReadOnlyList<PressedArtwork> Artwork,
    int Seconds
);

/// <summary>Plans how runs are pressed, with presses and films as they are in the stock now.</summary>
internal sealed class PressReader(Cabida.Store.Library library)
{
    /// <summary>How a run is pressed; null where nothing of it is.</summary>
    /// <param name="run">A run that lacks nothing.</param>
    /// <param name="pieces">Its pieces, fitted.</param>
    /// <param name="stop">Ends it.</param>
    public async Task<BenchPress?> Of(ReadRun run, IReadOnlyList<FittedPiece> pieces, CancellationToken stop)
    {
        var presses = await library.All(DocumentKinds.Press, stop);
        var films = await library.All(DocumentKinds.Film, stop);
        var wanted = run.Run.SetUp.PressId;
        var press = presses.FirstOrDefault(p => p.Id == wanted) ?? (wanted.Length == 0 && presses is [var only] ? only : null);
        var planned = Outcome<RunPressing?>.Try(() =>
            RunPressing.Of(run, pieces, press?.Document, films.ToDictionary(f => f.Id, f => f.Document, StringComparer.Ordinal))
        );
        if (planned is { Ok: true, Value: null })
        {
            return null;
        }

        var plan = planned.ValueOrDefault ?? new RunPressing([planned.Problem!], [], null, [], 0);
        return new BenchPress(
            press?.Id ?? "",
            press?.Document.Name ?? "",
            press?.Document.OffBy ?? 0,
            [.. presses.Select(p => new BenchPressChoice(p.Id, p.Document.Name))],
            plan.Lacks,
            plan.Lines,
            plan.Conflict,
            plan.Artwork,
            plan.Seconds
        );
    }
}
