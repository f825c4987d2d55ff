using System.Globalization;
using Cabida.Core.Findings;
using Cabida.Core.Lists;
using Cabida.Core.Motifs;
using Cabida.Core.Wording;

namespace Cabida.Core.Orders;

/// <summary>A line of an order, read.</summary>
/// <param name="At">Where it stands in the order, the first being 0.</param>
/// <param name="Line">As it came.</param>
/// <param name="Offer">The offer that is meant; null where that is not known.</param>
/// <param name="Name">The name; empty where none belongs on the goods.</param>
/// <param name="Copies">How many are made.</param>
/// <param name="Values">What other fields of the offer say, the size among them.</param>
/// <param name="Notes">What was noticed, heaviest first.</param>
public sealed record ReadLine(
    int At,
    OrderLine Line,
    SoldOffer? Offer,
    string Name,
    int Copies,
    IReadOnlyDictionary<string, string> Values,
    IReadOnlyList<Finding> Notes
)
{
    /// <summary>Whether it can be taken as it stands.</summary>
    public bool MayBeTaken => Offer is not null && Notes.All(n => n.Severity != Severity.Stop);
}

/// <summary>An order read by what the workshop offers.</summary>
/// <param name="Due">The day it is wanted; null where it says none that can be read.</param>
/// <param name="Lines">Its lines.</param>
/// <param name="Notes">What was noticed of all of it.</param>
public sealed record ReadOrder(DateOnly? Due, IReadOnlyList<ReadLine> Lines, IReadOnlyList<Finding> Notes)
{
    /// <summary>Reads what an order says.</summary>
    /// <param name="sheet">What it says.</param>
    /// <param name="book">The offers.</param>
    public static ReadOrder Of(OrderSheet sheet, OfferBook book)
    {
        ArgumentNullException.ThrowIfNull(sheet);
        ArgumentNullException.ThrowIfNull(book);
        var notes = new List<Finding>();
        var due = DueDay.Read(sheet.Due);
        if (due.Problem is { } unread)
        {
            notes.Add(new Finding(Rule.OrderLine, Severity.Look, unread) { Fields = ["due"] });
        }

        var strange = sheet.Lines.SelectMany(l => l.Fields.Keys).Distinct(StringComparer.Ordinal).Where(f => !book.AllFields.Contains(f));
        if (strange.Order(StringComparer.Ordinal).ToList() is { Count: > 0 } unknown)
        {
            notes.Add(
                new Finding(
                    Rule.OrderLine,
                    Severity.Told,
                    Phrase.Say($"What no offer has a field for is left out: {string.Join(", ", unknown):strong}.")
                )
            );
        }

        if (sheet.Lines.Count == 0)
        {
            notes.Add(new Finding(Rule.OrderLine, Severity.Stop, Phrase.Say($"It orders nothing.")));
        }

        var first = new Dictionary<string, int>(StringComparer.Ordinal);
        return new ReadOrder(due.ValueOrDefault, [.. sheet.Lines.Select((l, i) => LineOf(l, i, book, first))], notes);
    }

    private static ReadLine LineOf(OrderLine line, int at, OfferBook book, Dictionary<string, int> first)
    {
        var notes = new List<Finding>();
        void Note(Severity severity, Phrase message) => notes.Add(new Finding(Rule.OrderLine, severity, message) { Line = at + 1 });
        var meant = book.Meant(line.Offer);
        var offer = meant.ValueOrDefault;
        if (meant.Problem is { } unknown)
        {
            Note(Severity.Stop, unknown);
        }

        if (offer?.Offer.IsRetired == true)
        {
            Note(Severity.Look, Phrase.Say($"{offer.Offer.Name:strong} is sold no more."));
        }

        var name = CleanedText.Of(line[Fields.Name]);
        if (offer is { HasName: true } && name.Text.Length == 0)
        {
            Note(Severity.Stop, Phrase.Say($"It says no name, and {offer.Offer.Name:strong} bears one."));
        }

        if (name.Text.Length > NameList.LongestName)
        {
            Note(
                Severity.Stop,
                Phrase.Say($"Its name is {name.Text.Length} letters long; {NameList.LongestName} is the most. Is it a remark?")
            );
        }

        if (offer is { HasName: false } && name.Text.Length > 0)
        {
            Note(Severity.Look, Phrase.Say($"It says {name.Text:strong}, and {offer.Offer.Name} bears no name."));
        }

        var copies = CopiesOf(line.Quantity);
        if (copies is null)
        {
            Note(
                Severity.Stop,
                Phrase.Say($"{line.Quantity:strong} is no number of pieces from 1 to {NameList.MostCopies}. Type how many are made.")
            );
        }

        var values = ValuesOf(line, offer, book.AllFields, Note);
        if (!first.TryAdd(OrderKeys.Of(line), at))
        {
            Note(Severity.Look, Phrase.Say($"It says the same as line {first[OrderKeys.Of(line)] + 1}: both are made."));
        }

        // What bears no name is told apart by what it is.
        var called = name.Text.Length > 0 ? name.Text : offer?.Offer.Name ?? "";
        return new ReadLine(at, line, offer, called, copies ?? 1, values, [.. notes.OrderBy(n => n.Severity)]);
    }

    private static Dictionary<string, string> ValuesOf(
        OrderLine line,
        SoldOffer? offer,
        IReadOnlySet<string> known,
        Action<Severity, Phrase> note
    )
    {
        var values = new Dictionary<string, string>(StringComparer.Ordinal);
        foreach (var (field, said) in line.Fields.OrderBy(f => f.Key, StringComparer.Ordinal))
        {
            var value = CleanedText.Of(said).Text;
            if (field == Fields.Name || value.Length == 0 || offer is null)
            {
                continue;
            }

            if (field == NameList.Size ? offer.Sizes.Count > 0 : offer.Fields.Contains(field))
            {
                values[field] = value;
            }
            else if (known.Contains(field))
            {
                note(Severity.Look, Phrase.Say($"Its {field} {value:strong} is left out: {offer.Offer.Name} has no such field."));
            }
        }

        if (values.TryGetValue(NameList.Size, out var size))
        {
            var made = SizeOf(offer!, size);
            if (made is null)
            {
                note(Severity.Stop, Phrase.Say($"{offer!.Offer.Name:strong} has no size {size}. It has {string.Join(", ", offer.Sizes)}."));
            }

            values[NameList.Size] = made ?? size;
        }
        else if (offer?.Sizes.Count > 1)
        {
            note(Severity.Stop, Phrase.Say($"It says no size. {offer.Offer.Name:strong} has {string.Join(", ", offer.Sizes)}."));
        }

        return values;
    }

    private static string? SizeOf(SoldOffer offer, string said) =>
        offer.Sizes.FirstOrDefault(s => string.Equals(s, said, StringComparison.OrdinalIgnoreCase));

    /// <summary>How many; null where that cannot be read. Nothing said is one; <c>2.0</c>, <c>2 x</c> and <c>2 pcs</c> are two.</summary>
    private static int? CopiesOf(string typed)
    {
        var text = CleanedText.Of(typed).Text;
        if (text.Length == 0)
        {
            return 1;
        }

        var digits = text.TrimEnd(Unit).TrimEnd();
        return
            double.TryParse(digits.Replace(',', '.'), NumberStyles.AllowDecimalPoint, CultureInfo.InvariantCulture, out var n)
            && n == Math.Floor(n)
            && n is >= 1 and <= NameList.MostCopies
            ? (int)n
            : null;
    }

    /// <summary>What may stand behind a number of pieces.</summary>
    private static readonly char[] Unit = [.. "xX×.pcsPCStkTK"];
}
