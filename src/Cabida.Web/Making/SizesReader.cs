using Cabida.Core.Bench;
using Cabida.Core.Measures;
using Cabida.Core.Pieces;
using Cabida.Core.Runs;
using Cabida.Core.Wording;
using Cabida.Web.Runs;

namespace Cabida.Web.Making;

/// <summary>A side of a piece that can be measured once it is made; millimetres.</summary>
/// <param name="Piece">The piece.</param>
/// <param name="Side">Which of its sides, the first being 0.</param>
/// <param name="Name">The piece's name, with the zone where it has several sides.</param>
/// <param name="Width">The width it is to have.</param>
/// <param name="Height">The height.</param>
/// <param name="ExpectedWidth">The width that is to be expected by what was measured so far.</param>
/// <param name="ExpectedHeight">The height, likewise.</param>
/// <param name="Measured">What was measured on it; null where nothing was.</param>
/// <param name="OffWidth">How much wider it became than it was to be; null where that was not measured.</param>
/// <param name="OffHeight">How much higher.</param>
/// <param name="Notes">What is to be said of what was typed.</param>
internal sealed record SizeRow(
    string Piece,
    int Side,
    string Name,
    double Width,
    double Height,
    double ExpectedWidth,
    double ExpectedHeight,
    MeasuredPiece? Measured,
    double? OffWidth,
    double? OffHeight,
    IReadOnlyList<Phrase> Notes
);

/// <summary>What was measured on the pieces of a run, estimated against real.</summary>
/// <param name="Rows">Its pieces, side by side.</param>
/// <param name="Learned">What was learned, film by film.</param>
internal sealed record SizesView(IReadOnlyList<SizeRow> Rows, IReadOnlyList<Phrase> Learned);

/// <summary>Reads how large pieces were to become and became.</summary>
internal sealed class SizesReader(FittedPieces fitted, MakingMemory memory)
{
    /// <summary>The sizes of a run; nothing while its set-up lacks something.</summary>
    public async Task<SizesView> Of(ReadRun run, CancellationToken stop)
    {
        if (run.Surface is null)
        {
            return new SizesView([], []);
        }

        var (making, book) = (await memory.Of(run.Id, stop), await memory.Book(stop));
        var rows = new List<SizeRow>();
        foreach (var piece in run.Run.Pieces)
        {
            stop.ThrowIfCancellationRequested();
            rows.AddRange(SidesOf(run, piece).Select(s => RowOf(run, s, making, book)));
        }

        return new SizesView(rows, Learned(run, book));
    }

    /// <summary>What was learned of the films of a run.</summary>
    public static IReadOnlyList<Phrase> Learned(ReadRun run, BenchBook book)
    {
        var (said, cutter) = (new List<Phrase>(), run.Run.SetUp.Cutter?.Id ?? "");
        foreach (var film in run.Run.SetUp.NamedFilms())
        {
            var of = SizesLearned.Of(book.Sizes, cutter, film);
            if (run.Basis is { } basis && of.IsSure)
            {
                said.Add(
                    Phrase.Say(
                        $"{basis.FilmOf(film).Name:strong} from {run.Cutter?.Name} becomes {Way(of.Width, "wider", "narrower")} and "
                            + $"{Way(of.Height, "higher", "lower")} than asked, by {Math.Max(of.Width.Entries, of.Height.Entries)} "
                            + $"measured pieces: of {Length.Mm(100)} × {Length.Mm(100)} come {Length.Mm(of.Width.Expected(100)):fine} × "
                            + $"{Length.Mm(of.Height.Expected(100)):fine}."
                    )
                );
            }
        }

        return said;
    }

    /// <summary>What was measured, as the workshop remembers it; null where nothing readable was typed.</summary>
    public SizeMade? MadeOf(ReadRun run, MeasuredPiece measured)
    {
        var piece = run.Run.Pieces.FirstOrDefault(p => p.Id == measured.Piece);
        if (
            run.Surface is null
            || piece is null
            || SidesOf(run, piece).FirstOrDefault(s => s.Side == measured.Side) is not { Size: { } size } side
        )
        {
            return null;
        }

        var (width, height) = (Read(measured.Width), Read(measured.Height));
        return width is null && height is null
            ? null
            : new SizeMade(
                KeyOf(run.Id, measured),
                Core.Stock.WeedingTook.Shortened($"{piece.Name}, {run.Run.Name}"),
                run.Run.SetUp.Cutter?.Id ?? "",
                side.FilmId,
                size.Width,
                size.Height,
                width ?? 0,
                height ?? 0
            );
    }

    /// <summary>Tells apart what was measured.</summary>
    public static string KeyOf(string runId, MeasuredPiece measured) =>
        FormattableString.Invariant($"{runId} {measured.Piece} {measured.Side}");

    private sealed record SideSize(Piece Piece, int Side, string Zone, string FilmId, MadeSize Size);

    private IEnumerable<SideSize> SidesOf(ReadRun run, Piece piece)
    {
        var on = run.SurfaceOf(piece);
        var sides = on.Sides.Select(s => (s.Laid, s.Basis)).Prepend((on.Laid, on.Basis)).ToList();
        var own = run.Run.SetUp.Film?.Id ?? "";
        return fitted
            .Of(run, piece)
            .Fits.Select((fit, i) => (fit, i))
            .Where(f => f.i < sides.Count && !f.fit.Ink.IsEmpty)
            .Select(f =>
            {
                // What lies beneath decides how large all of it is: other films are laid on it.
                var film = f.fit.Films is [var first, ..] ? first.Film.FilmId : "";
                var zone = sides.Count > 1 ? sides[f.i].Laid.Spec.Name : "";
                return new SideSize(piece, f.i, zone, film.Length > 0 ? film : own, MadeSize.Of(f.fit, sides[f.i].Basis)!);
            });
    }

    private static SizeRow RowOf(ReadRun run, SideSize of, Core.Runs.Making making, BenchBook book)
    {
        var learned = SizesLearned.Of(book.Sizes, run.Run.SetUp.Cutter?.Id ?? "", of.FilmId);
        var measured = making.Measured.FirstOrDefault(m => m.Piece == of.Piece.Id && m.Side == of.Side);
        var notes = new List<Phrase>();
        double? Off(TypedLength? typed, double asked, string what)
        {
            if (typed is null || typed.IsEmpty)
            {
                return null;
            }

            var read = typed.Read(LengthRange.Artwork);
            if (read.Problem is { } problem)
            {
                notes.Add(problem);
                return null;
            }

            var real = read.Value.Value.Millimetres;
            if (!SizeFactor.Counts(asked, real))
            {
                notes.Add(
                    Phrase.Say(
                        $"The {what} is more than {100 * SizeFactor.MostOff}% off what was asked: measure it again. "
                            + $"It is kept and not counted."
                    )
                );
            }

            return real - asked;
        }

        var (width, height) = (Off(measured?.Width, of.Size.Width, "width"), Off(measured?.Height, of.Size.Height, "height"));
        return new SizeRow(
            of.Piece.Id,
            of.Side,
            of.Zone.Length > 0 ? $"{of.Piece.Name}, {of.Zone}" : of.Piece.Name,
            of.Size.Width,
            of.Size.Height,
            learned.Width.Expected(of.Size.Width),
            learned.Height.Expected(of.Size.Height),
            measured,
            width,
            height,
            notes
        );
    }

    private static string Way(SizeFactor factor, string more, string less) =>
        factor.IsSure
            ? FormattableString.Invariant($"{100 * Math.Abs(factor.By - 1):0.##}% {(factor.By > 1 ? more : less)}")
            : $"no {more}";

    private static double? Read(TypedLength typed) =>
        typed.IsEmpty ? null : typed.Read(LengthRange.Artwork).ValueOrDefault?.Value.Millimetres;
}
