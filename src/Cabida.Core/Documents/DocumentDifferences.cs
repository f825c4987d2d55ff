using System.Collections;
using System.Collections.Concurrent;
using System.Globalization;
using System.Reflection;
using System.Text;
using System.Text.Json.Serialization;
using Cabida.Core.Measures;

namespace Cabida.Core.Documents;

/// <summary>
/// Tells in words how two states of a document differ. It walks whatever records a document is made of: items of a list are known again by
/// their ids, or by the choices and names that tell them apart, so that one put in between makes no difference of those after it.
/// </summary>
public static class DocumentDifferences
{
    private const int MostTold = 12;
    private const int MostLetters = 60;
    private const int MostDepth = 24;

    /// <summary>A list of points or words longer than this is not spelled out.</summary>
    private const int MostSpelled = 6;

    private static readonly ConcurrentDictionary<System.Type, IReadOnlyList<PropertyInfo>> Known = new();

    /// <summary>How two states differ.</summary>
    /// <param name="before">The state before.</param>
    /// <param name="after">The state after, of the same type.</param>
    /// <param name="nameOf">What something is called whose id a field holds: the field, then the id; null for unknown.</param>
    public static Differences Of<T>(T before, T after, Func<string, string, string?>? nameOf = null)
        where T : class
    {
        var found = new Walk(nameOf ?? ((_, _) => null));
        found.At(before, after, "", "", 0);
        return new Differences([.. found.All.Take(MostTold)], Math.Max(0, found.All.Count - MostTold));
    }

    private sealed class Walk(Func<string, string, string?> nameOf)
    {
        public List<Difference> All { get; } = [];

        public void At(object? before, object? after, string field, string where, int depth)
        {
            if (Equals(before, after) || depth > MostDepth)
            {
                return;
            }

            if (IsPlain(before ?? after))
            {
                Say(where, Said(before, field), Said(after, field));
            }
            else if ((before ?? after) is IEnumerable)
            {
                Lists([.. Items(before)], [.. Items(after)], field, where, depth);
            }
            else if (before is null || after is null || before.GetType() != after.GetType())
            {
                Say(where, before is null ? "" : LabelOf(before), after is null ? "" : LabelOf(after));
            }
            else
            {
                foreach (var property in PropertiesOf(before.GetType()))
                {
                    var at = Joined(where, Words(property.Name));
                    At(property.GetValue(before), property.GetValue(after), property.Name, at, depth + 1);
                }
            }
        }

        private void Lists(List<object> before, List<object> after, string field, string where, int depth)
        {
            if (before.Concat(after).All(IsPlain))
            {
                if (!before.SequenceEqual(after))
                {
                    Say(where, Spelled(before, field), Spelled(after, field));
                }

                return;
            }

            var (was, now) = (Keyed(before), Keyed(after));
            foreach (var (key, item) in was)
            {
                var at = Joined(Outer(where), LabelOf(item));
                if (now.TryGetValue(key, out var same))
                {
                    At(item, same, field, at, depth + 1);
                }
                else
                {
                    Say(at, "there", "");
                }
            }

            foreach (var (key, item) in now.Where(n => !was.ContainsKey(n.Key)))
            {
                Say(Joined(Outer(where), LabelOf(item)), "", "there");
            }

            if (was.Keys.Where(now.ContainsKey).SequenceEqual(now.Keys.Where(was.ContainsKey)) is false)
            {
                Say(where, "in another order", "as it is now");
            }
        }

        private void Say(string where, string before, string after)
        {
            // What reads the same differs in something that words do not hold: a picture's place, an outline's points.
            All.Add(before == after ? new Difference(where, "as it was", "another") : new Difference(where, before, after));
        }

        private string Spelled(List<object> items, string field) =>
            items.Count > MostSpelled ? $"{items.Count} of them" : Cut(string.Join(", ", items.Select(i => Said(i, field))));

        private string Said(object? value, string field) =>
            value switch
            {
                null or "" => "",
                string id when field.EndsWith("Id", StringComparison.Ordinal) => Cut(nameOf(field, id) ?? "another"),
                string text => Cut(text),
                TypedLength { IsEmpty: true } => "",
                TypedLength typed => Cut(typed.Text.Trim() + (char.IsDigit(typed.Text.Trim()[^1]) ? UnitOf(typed) : "")),
                bool yes => yes ? "yes" : "no",
                Enum choice => Words(choice.ToString()),
                double number => number.ToString("0.####", CultureInfo.InvariantCulture),
                IFormattable other => other.ToString(null, CultureInfo.InvariantCulture),
                _ => "",
            };
    }

    private static string UnitOf(TypedLength typed) => typed.Unit == LengthUnit.Millimetre ? " mm" : " in";

    private static IEnumerable<object> Items(object? list) =>
        list switch
        {
            null => [],
            IDictionary map => map.Cast<DictionaryEntry>().Select(e => (object)KeyValuePair.Create((string)e.Key, e.Value)),
            IEnumerable items => items.Cast<object>().Where(i => i is not null),
            _ => [],
        };

    /// <summary>Items by what tells them apart; two that nothing tells apart are told apart by their turn.</summary>
    private static Dictionary<string, object> Keyed(List<object> items)
    {
        var keyed = new Dictionary<string, object>(StringComparer.Ordinal);
        foreach (var item in items)
        {
            var key = KeyOf(item);
            for (var turn = 2; !keyed.TryAdd(key, item); turn++)
            {
                key = FormattableString.Invariant($"{KeyOf(item)}\n{turn}");
            }
        }

        return keyed;
    }

    private static string KeyOf(object item)
    {
        if (item is KeyValuePair<string, object?> entry)
        {
            return entry.Key;
        }

        var properties = PropertiesOf(item.GetType());
        return properties.FirstOrDefault(p => p.Name == "Id")?.GetValue(item) is string { Length: > 0 } id
            ? id
            : string.Join('\n', properties.Where(TellsApart).Select(p => p.GetValue(item)));
    }

    /// <summary>Choices, ids and the names of kinds tell items apart; what they measure does not.</summary>
    private static bool TellsApart(PropertyInfo property) =>
        property.PropertyType.IsEnum
        || (
            property.PropertyType == typeof(string)
            && (property.Name is "Of" or "Face" || property.Name.EndsWith("Id", StringComparison.Ordinal))
        );

    /// <summary>What an item is called: by its name, its words, its kind.</summary>
    private static string LabelOf(object item)
    {
        if (item is KeyValuePair<string, object?> entry)
        {
            return entry.Key;
        }

        var properties = PropertiesOf(item.GetType());
        var called = properties
            .Where(p => p.Name is "Name" or "Text")
            .Select(p => p.GetValue(item))
            .OfType<string>()
            .FirstOrDefault(t => t.Length > 0);
        if (called is not null)
        {
            return Cut(called);
        }

        var kind = properties.FirstOrDefault(p => p.PropertyType.IsEnum)?.GetValue(item)?.ToString();
        var of = properties.FirstOrDefault(p => p.Name == "Of")?.GetValue(item) as string;
        return Words(kind ?? item.GetType().Name) + (string.IsNullOrEmpty(of) ? "" : $" {of}");
    }

    private static bool IsPlain(object? value) =>
        value is null or string or TypedLength or Enum or ValueType and not KeyValuePair<string, object?> and not IEnumerable;

    private static IReadOnlyList<PropertyInfo> PropertiesOf(System.Type type) =>
        Known.GetOrAdd(type, t =>
            [
                .. t.GetProperties(BindingFlags.Public | BindingFlags.Instance)
                    .Where(p => p.GetIndexParameters().Length == 0 && p.CanWrite && p.GetCustomAttribute<JsonIgnoreAttribute>() is null),
            ]
        );

    /// <summary>The place without the name of the list itself: items say what they are.</summary>
    private static string Outer(string where) =>
        where.Contains(", ", StringComparison.Ordinal) ? where[..where.LastIndexOf(", ", StringComparison.Ordinal)] : "";

    private static string Joined(string where, string next) => where.Length == 0 ? next : $"{where}, {next}";

    /// <summary>A name of the code as words: <c>ThinnestStroke</c> is <c>thinnest stroke</c>; an id is what it is of.</summary>
    private static string Words(string name)
    {
        var plain = name.Length > 2 && name.EndsWith("Id", StringComparison.Ordinal) ? name[..^2] : name;
        var words = new StringBuilder(plain.Length + 8);
        for (var i = 0; i < plain.Length; i++)
        {
            if (i > 0 && char.IsUpper(plain[i]) && !char.IsUpper(plain[i - 1]))
            {
                words.Append(' ');
            }

            words.Append(char.ToLowerInvariant(plain[i]));
        }

        return words.ToString();
    }

    private static string Cut(string text)
    {
        var line = text.ReplaceLineEndings(" / ").Trim();
        return line.Length <= MostLetters ? line : $"{line[..(MostLetters - 1)]}…";
    }
}
