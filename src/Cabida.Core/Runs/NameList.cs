using System.Globalization;
using Cabida.Core.Wording;

namespace Cabida.Core.Runs;

/// <summary>Something to say about a line of a list.</summary>
/// <param name="Line">The line, from 1; 0 for the whole list.</param>
/// <param name="Stops">Whether the line makes no piece because of it.</param>
/// <param name="Message">What it is.</param>
public sealed record NameNote(int Line, bool Stops, Phrase Message);

/// <summary>A list of names read line by line. What was typed stays as it was; what it makes is beside it.</summary>
/// <param name="Pieces">One piece per usable line, in order.</param>
/// <param name="Notes">What to say about its lines.</param>
/// <param name="Lines">How many lines hold anything.</param>
public sealed record NameList(IReadOnlyList<Piece> Pieces, IReadOnlyList<NameNote> Notes, int Lines)
{
    /// <summary>The most pieces one run holds.</summary>
    public const int MostPieces = 1000;

    /// <summary>The most letters one name holds.</summary>
    public const int LongestName = 80;

    private const int MostNotes = 40;

    /// <summary>Reads a list. Lines that were there before keep their pieces' ids, wherever they stand now.</summary>
    /// <param name="typed">One name a line.</param>
    /// <param name="before">The pieces there were.</param>
    public static NameList Read(string typed, IReadOnlyList<Piece> before)
    {
        ArgumentNullException.ThrowIfNull(typed);
        ArgumentNullException.ThrowIfNull(before);
        var known = before.GroupBy(p => p.Name, StringComparer.Ordinal).ToDictionary(g => g.Key, g => new Queue<Piece>(g), StringComparer.Ordinal);
        var taken = before.Select(p => p.Id).ToHashSet(StringComparer.Ordinal);
        var pieces = new List<Piece>();
        var notes = new List<NameNote>();
        var firstLine = new Dictionary<string, int>(StringComparer.Ordinal);
        var (line, filled, beyond) = (0, 0, 0);
        var lines = typed.ReplaceLineEndings("\n").Split('\n');
        foreach (var raw in lines)
        {
            line++;
            var name = Cleaned(raw);
            if (name.Length == 0)
            {
                if (lines.Skip(line).Any(l => Cleaned(l).Length > 0))
                {
                    notes.Add(new(line, true, Phrase.Say($"Line {line} is empty: it makes no piece.")));
                }

                continue;
            }

            filled++;
            var letters = new StringInfo(name).LengthInTextElements;
            if (letters > LongestName)
            {
                notes.Add(new(line, true, Phrase.Say($"Line {line} has {letters} letters; a name holds {LongestName}. It is kept here, but makes no piece until it is shorter.")));
                continue;
            }

            if (pieces.Count == MostPieces)
            {
                beyond++;
                continue;
            }

            if (firstLine.TryGetValue(name, out var first))
            {
                notes.Add(new(line, false, Phrase.Say($"Line {line} repeats line {first}, {name:strong}. Both are made.")));
            }
            else
            {
                firstLine[name] = line;
            }

            pieces.Add(known.TryGetValue(name, out var queue) && queue.TryDequeue(out var same) ? same : new Piece(FreshId(name, taken), name));
        }

        var shown = notes.Take(MostNotes).ToList();
        if (notes.Count > shown.Count)
        {
            shown.Add(new(0, false, Phrase.Say($"And {notes.Count - shown.Count} more lines like these.")));
        }

        if (beyond > 0)
        {
            shown.Insert(0, new(0, true, Phrase.Say(
                $"{filled} names; a run holds {MostPieces}. The first {MostPieces} make pieces; the other {beyond} are kept here. Put them in a second run.")));
        }

        return new NameList(pieces, shown, filled);
    }

    /// <summary>Without surrounding blanks and control characters, inner blanks single, in composed form.</summary>
    private static string Cleaned(string raw) => string.Join(' ', new string([.. raw.Where(c => !char.IsControl(c) || c == '\t')])
        .Normalize(System.Text.NormalizationForm.FormC).Split((char[]?)null, StringSplitOptions.RemoveEmptyEntries));

    /// <summary>An id made from the name, so that the same list makes the same ids.</summary>
    private static string FreshId(string name, HashSet<string> taken)
    {
        var stem = Convert.ToHexStringLower(System.Security.Cryptography.SHA256.HashData(System.Text.Encoding.UTF8.GetBytes(name)))[..10];
        for (var n = 1; ; n++)
        {
            var id = n == 1 ? stem : $"{stem}-{n}";
            if (taken.Add(id))
            {
                return id;
            }
        }
    }
}
