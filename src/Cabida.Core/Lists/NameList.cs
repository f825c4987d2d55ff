using System.Globalization;
using Cabida.Core.Findings;
using Cabida.Core.Motifs;
using Cabida.Core.Runs;
using Cabida.Core.Wording;

namespace Cabida.Core.Lists;

/// <summary>A list of names read line by line. What was typed stays as it was; what it makes is beside it.</summary>
/// <param name="Pieces">One piece per usable line, in order.</param>
/// <param name="Notes">What to say about its lines, those that stop first.</param>
/// <param name="Lines">How many lines hold anything, a heading left out.</param>
/// <param name="Beyond">How many more things there would be to say.</param>
public sealed record NameList(IReadOnlyList<Piece> Pieces, IReadOnlyList<Finding> Notes, int Lines, int Beyond)
{
    /// <summary>What a column is called that says how many are made.</summary>
    public const string Quantity = "quantity";

    /// <summary>What a column is called that says the size of a garment.</summary>
    public const string Size = "size";

    /// <summary>The most pieces one run holds.</summary>
    public const int MostPieces = 1000;

    /// <summary>The most copies of one piece.</summary>
    public const int MostCopies = 500;

    /// <summary>The most letters one name holds.</summary>
    public const int LongestName = 80;

    private const int MostNotes = 60;

    /// <summary>Reads a list of which every line is a name.</summary>
    /// <param name="typed">One name a line.</param>
    /// <param name="before">The pieces there were.</param>
    public static NameList Read(string typed, IReadOnlyList<Piece> before) => Read(typed, ListColumns.NamesOnly, before);

    /// <summary>Reads a list. Lines that were there before keep their pieces, wherever they stand now.</summary>
    /// <param name="typed">The list as typed or pasted.</param>
    /// <param name="columns">What its columns are.</param>
    /// <param name="before">The pieces there were.</param>
    /// <param name="away">Pieces whose rows left the list before, to be known again.</param>
    public static NameList Read(string typed, ListColumns columns, IReadOnlyList<Piece> before, IReadOnlyList<Piece>? away = null)
    {
        ArgumentNullException.ThrowIfNull(typed);
        ArgumentNullException.ThrowIfNull(columns);
        ArgumentNullException.ThrowIfNull(before);
        var reading = new Reading(columns);
        var rows = ListRows.Of(typed);
        var last = rows.Count;
        while (last > 0 && rows[last - 1].All(c => CleanedText.Of(c).Text.Length == 0))
        {
            last--;
        }

        var heading = columns.HasHeading ? 1 : 0;
        for (var i = heading; i < last; i++)
        {
            reading.Row(i + 1, rows[i]);
        }

        reading.Judge();
        var notes = reading.Notes.OrderBy(n => n.Severity).ThenBy(n => n.Line).ToList();
        return new NameList(
            new KnownPieces(before, away ?? []).For(reading.Rows),
            [.. notes.Take(MostNotes)],
            reading.Filled,
            Math.Max(0, notes.Count - MostNotes)
        );
    }

    /// <summary>
    /// The pieces that are away once a list was read: those that were, and those that left it with something that would be missed
    /// when their rows came back. The latest stay.
    /// </summary>
    /// <param name="before">The pieces there were.</param>
    /// <param name="away">Those that were away.</param>
    /// <param name="now">The pieces there are.</param>
    /// <param name="verdicts">What the customer said of them.</param>
    public static IReadOnlyList<Piece> AwayAfter(
        IReadOnlyList<Piece> before,
        IReadOnlyList<Piece> away,
        IReadOnlyList<Piece> now,
        RunVerdicts verdicts
    )
    {
        ArgumentNullException.ThrowIfNull(before);
        ArgumentNullException.ThrowIfNull(verdicts);
        var here = now.Select(p => p.Id).ToHashSet(StringComparer.Ordinal);
        return
        [
            .. before
                .Where(p => verdicts.Of(p) is not null || p.AllOwn.Any(o => !o.IsNone))
                .Concat(away)
                .Where(p => !here.Contains(p.Id))
                .DistinctBy(p => p.Id)
                .Take(MostAway),
        ];
    }

    /// <summary>So many pieces that left a list are known again.</summary>
    public const int MostAway = 500;

    /// <summary>A list while it is read.</summary>
    private sealed class Reading(ListColumns columns)
    {
        private readonly int nameAt = columns.Fields.Count == 0 ? 0 : columns.Fields.ToList().IndexOf(Fields.Name);
        private readonly List<(int Line, IReadOnlyList<string> Cells)> lines = [];
        private int beyond;

        public List<Piece> Rows { get; } = [];

        public List<Finding> Notes { get; } = [];

        public int Filled { get; private set; }

        public void Row(int line, IReadOnlyList<string> cells)
        {
            // Without columns a line is a name, whatever blanks it holds.
            IReadOnlyList<string> row = columns.Fields.Count == 0 ? [string.Join(' ', cells)] : cells;
            if (row.All(c => CleanedText.Of(c).Text.Length == 0))
            {
                Stop(line, Phrase.Say($"Line {line} is empty: it makes no piece."), new LineChange(line, null).Offered("Take it away"));
                return;
            }

            Filled++;
            if (nameAt < 0 || nameAt >= row.Count)
            {
                Stop(
                    line,
                    nameAt < 0
                        ? Phrase.Say($"No column is the name: line {line} makes no piece.")
                        : Phrase.Say(
                            $"Line {line} has {row.Count} {(row.Count == 1 ? "column" : "columns")}; its name should stand in "
                                + $"column {nameAt + 1}. It makes no piece."
                        )
                );
                return;
            }

            var whole = CleanedText.Of(row[nameAt]);
            // A column of quantities says how many; without one the name may.
            var counted = columns.Fields.Contains(Quantity) ? null : CountedName.Of(whole.Text);
            var name = counted is { } of ? whole with { Text = of.Name } : whole;
            var letters = new StringInfo(name.Text).LengthInTextElements;
            if (letters is 0 or > LongestName)
            {
                Stop(
                    line,
                    letters == 0
                        ? Phrase.Say($"Line {line} has no name: it makes no piece.")
                        : Phrase.Say(
                            $"Line {line} has {letters} letters; a name holds {LongestName}. It is kept here, but makes no piece "
                                + $"until it is shorter."
                        )
                );
                return;
            }

            var copies = counted?.Count ?? CopiesOf(line, row);
            if (copies == 0)
            {
                Notes.Add(
                    Noted(
                        line,
                        Severity.Look,
                        Phrase.Say($"Line {line} wants 0 of {name.Text:strong}: none is made."),
                        new LineChange(line, null).Offered("Take it away")
                    )
                );
                return;
            }

            if (counted is not null)
            {
                Notes.Add(Noted(line, Severity.Told, Phrase.Say($"Line {line} is read as {copies} of {name.Text:strong}.")));
            }

            if (Rows.Count == MostPieces)
            {
                beyond++;
                return;
            }

            if (name.Done != CleaningDone.None)
            {
                Notes.Add(
                    Noted(
                        line,
                        Severity.Told,
                        Phrase.Say($"Line {line}: {Said(name.Done)} in {name.Text:strong}."),
                        new LineChange(line, Line(row, name.Text)).Offered("Write it so")
                    )
                );
            }

            lines.Add((line, row));
            Rows.Add(new Piece("", name.Text) { Values = ValuesOf(row), Copies = Math.Min(copies, MostCopies) });
        }

        /// <summary>Once all is read: what is doubled, and what looks like a mistake beside the rest.</summary>
        public void Judge()
        {
            var usual = new Suspicions([.. Rows.Select(r => r.Name)]);
            var first = new Dictionary<string, int>(StringComparer.Ordinal);
            for (var i = 0; i < Rows.Count; i++)
            {
                var (line, cells) = lines[i];
                var key = string.Join(
                    '\n',
                    Rows[i].Values.OrderBy(v => v.Key, StringComparer.Ordinal).Select(v => v.Value).Prepend(Rows[i].Name)
                );
                if (!first.TryAdd(key, line))
                {
                    Notes.Add(
                        Noted(
                            line,
                            Severity.Look,
                            Phrase.Say($"Line {line} repeats line {first[key]}, {Rows[i].Name:strong}. Both are made."),
                            new LineChange(line, null).Offered("Take it away")
                        )
                    );
                }

                foreach (var suspicion in usual.Of(Rows[i].Name))
                {
                    Notes.Add(
                        Noted(
                            line,
                            Severity.Look,
                            Phrase.Say($"Line {line}: {suspicion.Message}"),
                            RemedyFor(line, suspicion, cells, Rows[i])
                        )
                    );
                }
            }

            if (beyond > 0)
            {
                Notes.Add(
                    Noted(
                        0,
                        Severity.Stop,
                        Phrase.Say(
                            $"{Filled} names; a run holds {MostPieces}. The first {MostPieces} make pieces; the other {beyond} are "
                                + $"kept here. Put them in a second run."
                        )
                    )
                );
            }
        }

        private Remedy? RemedyFor(int line, Suspicion suspicion, IReadOnlyList<string> cells, Piece piece) =>
            suspicion switch
            {
                { IsNoName: true } => new LineChange(line, null).Offered("Take it away"),
                { Several: { } names } => new LineChange(line, string.Join('\n', names.Select(n => Line(cells, n)))).Offered(
                    $"Make it {names.Count} names"
                ),
                { Instead: { } instead } when instead != piece.Name => new LineChange(
                    line,
                    Line(cells, Counted(instead, cells, piece))
                ).Offered($"Make it {instead}"),
                _ => null,
            };

        /// <summary>A name with the number that stood beside it, where no column has it.</summary>
        private string Counted(string name, IReadOnlyList<string> cells, Piece piece) =>
            !columns.Fields.Contains(Quantity)
            && CountedName.Of(CleanedText.Of(columns.Fields.Count == 0 ? string.Join(' ', cells) : cells[nameAt]).Text) is not null
                ? $"{piece.Copies} x {name}"
                : name;

        private void Stop(int line, Phrase message, Remedy? remedy = null) => Notes.Add(Noted(line, Severity.Stop, message, remedy));

        private static Finding Noted(int line, Severity severity, Phrase message, Remedy? remedy = null) =>
            new(Rule.ListLine, severity, message) { Line = line, Remedies = remedy is null ? [] : [remedy] };

        private string Line(IReadOnlyList<string> row, string name) =>
            columns.Fields.Count == 0 ? name : string.Join('\t', row.Select((c, i) => i == nameAt ? name : c));

        private IReadOnlyDictionary<string, string> ValuesOf(IReadOnlyList<string> row)
        {
            var values = new Dictionary<string, string>(StringComparer.Ordinal);
            for (var i = 0; i < columns.Fields.Count; i++)
            {
                if (
                    columns.Fields[i] is { Length: > 0 } field and not (Fields.Name or Quantity)
                    && i < row.Count
                    && CleanedText.Of(row[i]).Text is { Length: > 0 } value
                )
                {
                    values[field] = value;
                }
            }

            return values.Count == 0 ? Piece.NoValues : values;
        }

        private int CopiesOf(int line, IReadOnlyList<string> row)
        {
            var at = columns.Fields.ToList().IndexOf(Quantity);
            if (at < 0 || at >= row.Count || CleanedText.Of(row[at]).Text is not { Length: > 0 } typed)
            {
                return 1;
            }

            if (
                double.TryParse(typed, NumberStyles.AllowDecimalPoint, CultureInfo.InvariantCulture, out var n)
                && n == Math.Floor(n)
                && n is >= 0 and <= MostCopies
            )
            {
                return (int)n;
            }

            Notes.Add(
                Noted(
                    line,
                    Severity.Look,
                    Phrase.Say($"Line {line}: {typed:strong} is no number of pieces from 0 to {MostCopies}; one is made.")
                )
            );
            return 1;
        }

        private static string Said(CleaningDone done) =>
            string.Join(
                " and ",
                new[]
                {
                    done.HasFlag(CleaningDone.Spaces) ? "blanks were tidied" : "",
                    done.HasFlag(CleaningDone.Invisible) ? "invisible characters were taken out" : "",
                    done.HasFlag(CleaningDone.Composed) ? "accents and letters were put together" : "",
                }.Where(s => s.Length > 0)
            );
    }
}
