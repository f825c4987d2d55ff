using System.Globalization;
using Cabida.Core.Measures;
using Cabida.Core.Motifs;
using Cabida.Core.Runs;
using Cabida.Core.Type;

namespace Cabida.Core.Fitting;

/// <summary>How the line with the name is set in one piece, where that differs from the motif: by hand or by concession.</summary>
/// <param name="CloseUp">Closed up by so many thousandths of an em.</param>
/// <param name="TypefaceId">Its typeface; empty for the motif's.</param>
/// <param name="Lines">Its words on two lines; null for one.</param>
internal sealed record PieceVariant(double CloseUp, string TypefaceId, (string First, string Second)? Lines)
{
    /// <summary>What is changed of parts so that the piece can be cut.</summary>
    public IReadOnlyList<PartMend> Mends { get; init; } = [];

    /// <summary>The gap between the ink of two lines, as a share of the height of capitals.</summary>
    private const double LineGap = 0.25;

    /// <summary>As the piece's own overrides have it.</summary>
    public static PieceVariant Of(Overrides own)
    {
        var lines = own.TwoLines.ReplaceLineEndings("\n").Split('\n', 2, StringSplitOptions.TrimEntries);
        return new(-own.Spacing, own.TypefaceId, lines is [{ Length: > 0 }, { Length: > 0 }] ? (lines[0], lines[1]) : null)
        {
            Mends = own.Mends,
        };
    }

    /// <summary>The motif with its name line set so, and with the piece's own letters.</summary>
    /// <param name="motif">The motif.</param>
    /// <param name="nameId">Its line with the name.</param>
    /// <param name="words">What that line says in the piece.</param>
    /// <param name="letters">Letters in other forms.</param>
    public Motif On(Motif motif, string? nameId, string words, IReadOnlyList<PieceLetter> letters)
    {
        // A name on two lines is mended on both of them.
        var mended = Mends.Aggregate(motif, (m, mend) => mend.On(m));
        return CloseUp == 0 && TypefaceId.Length == 0 && Lines is null && letters.Count == 0
            ? mended
            : mended with
            {
                Parts = [.. mended.Parts.Select(p => Set(p, nameId, words, letters))],
            };
    }

    private Part Set(Part part, string? nameId, string words, IReadOnlyList<PieceLetter> letters) =>
        part switch
        {
            GroupPart group => group with { Parts = [.. group.Parts.Select(p => Set(p, nameId, words, letters))] },
            LetteringPart line => Named(
                line with
                {
                    Alternates = [.. line.Alternates, .. letters.Where(l => l.PartId == line.Id).Select(l => l.Form)],
                },
                line.Id == nameId ? words : null
            ),
            _ => part,
        };

    private Part Named(LetteringPart line, string? words)
    {
        if (words is null)
        {
            return line;
        }

        var set = line with { Spacing = line.Spacing - CloseUp, TypefaceId = TypefaceId.Length > 0 ? TypefaceId : line.TypefaceId };
        return Lines is { } lines && CanBreak(line)
            ? Broken(set with { Alternates = [.. line.Alternates.SelectMany(a => OnLines(a, words, lines))] }, lines)
            : set;
    }

    /// <summary>Whether a line can be broken: only one sized by its capitals keeps its size on two lines.</summary>
    public static bool CanBreak(LetteringPart line) =>
        line is { SizedBy: LetteringSize.CapitalHeight, Shape: Type.LineShape.Straight, Stretching: Stretching.None };

    /// <summary>A letter's form where the letter has come to stand: the line that has it now says other words.</summary>
    private static IEnumerable<Alternate> OnLines(Alternate form, string words, (string First, string Second) lines)
    {
        if (form.Scope != AlternateScope.Place || form.Words != words)
        {
            return [form];
        }

        // Only white space was lost, so letters keep their order.
        var at = Elements(words).Take(form.Index).Count(e => !string.IsNullOrWhiteSpace(e));
        return new[] { lines.First, lines.Second }
            .SelectMany(line => Elements(line).Select((e, i) => (Line: line, Letter: e, Index: i)))
            .Where(l => !string.IsNullOrWhiteSpace(l.Letter))
            .Skip(at)
            .Take(1)
            .Where(l => l.Letter == form.Letter)
            .Select(l => form with { Words = l.Line, Index = l.Index });
    }

    private static IEnumerable<string> Elements(string words) =>
        StringInfo.ParseCombiningCharacters(words).Select(at => StringInfo.GetNextTextElement(words, at));

    private static GroupPart Broken(LetteringPart line, (string First, string Second) lines)
    {
        LetteringPart Line(int number, string words, MotifLength gap) =>
            line with
            {
                BrokenLine = number,
                Text = words,
                // The name begins on the first line and ends on the second.
                Alternates = [.. line.Alternates.Where(a => a.Scope != (number == 1 ? AlternateScope.Last : AlternateScope.First))],
                Place = PartPlace.Below,
                Gap = gap,
                FromBaseline = false,
                Anchor = Anchor.OnStack,
                Nudge = Nudge.None,
                Action = PartAction.Adds,
                Turn = 0,
                Flipped = false,
            };
        var gap = line.Size with { Typed = TypedLength.Mm(line.Size.Typed.OrZero(LengthRange.Artwork).Millimetres * LineGap) };
        return new GroupPart(line.Id, line.Place, line.Gap, [Line(1, lines.First, gap), Line(2, lines.Second, gap)], RowAlignment.Centre)
        {
            Label = line.Label,
            Anchor = line.Anchor,
            Nudge = line.Nudge,
            Action = line.Action,
            OnePiece = line.OnePiece,
            Tied = line.Tied,
            Clearance = line.Clearance,
            FilmId = line.FilmId,
            Ply = line.Ply,
            Turn = line.Turn,
            Flipped = line.Flipped,
            Centring = line.Centring,
        };
    }
}
