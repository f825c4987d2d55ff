using System.Collections;
using System.Collections.Concurrent;
using System.ComponentModel.DataAnnotations;
using System.Globalization;
using System.Reflection;
using System.Text.Json;
using System.Text.Json.Serialization;
using Cabida.Core.Findings;
using Cabida.Core.Wording;

namespace Cabida.Core.Documents;

/// <summary>
/// Looks at what came from outside before anything is worked out from it or kept: words that are words, numbers that are
/// numbers of a size that means something, choices that there are, lists of a length that somebody made, and nothing
/// missing where something belongs. A field says what it bears with <see cref="RangeAttribute"/> or
/// <see cref="MaxLengthAttribute"/>; what says nothing has the bounds below. What a maker may type and mend later (a length
/// that cannot be read) is no matter of the gate.
/// </summary>
public static class DocumentGate
{
    /// <summary>A number without bounds of its own is at most so large, either way.</summary>
    public const double MostNumber = 1e6;

    /// <summary>Words without bounds of their own are at most so long.</summary>
    public const int MostLetters = 4000;

    /// <summary>A name is at most so long.</summary>
    public const int LongestName = 300;

    /// <summary>A list without bounds of its own has at most so many.</summary>
    public const int MostItems = 2000;

    private const int MostDepth = 24;
    private const int MostProblems = 12;

    /// <summary>Values in a document altogether; an outline followed on a scan has ten thousand points at the very most.</summary>
    private const int MostValues = 200_000;

    private static readonly ConcurrentDictionary<System.Type, IReadOnlyList<Field>> Known = new();

    /// <summary>What cannot be taken of a document; nothing when all of it can.</summary>
    public static IReadOnlyList<Finding> ProblemsOf(object document)
    {
        ArgumentNullException.ThrowIfNull(document);
        var look = new Look();
        look.At(document, "", null, 0);
        return look.Problems;
    }

    /// <summary>Whether the gate looks at values of a type when they come as part of a request.</summary>
    public static bool LooksAt(System.Type type)
    {
        ArgumentNullException.ThrowIfNull(type);
        return type.Namespace?.StartsWith("Cabida.", StringComparison.Ordinal) == true;
    }

    private sealed record Field(string Name, PropertyInfo Property, bool MayLack, bool ItemsMayLack, RangeAttribute? Range, int? MaxLength);

    private static IReadOnlyList<Field> FieldsOf(System.Type type) => Known.GetOrAdd(type, t =>
        {
            var nullability = new NullabilityInfoContext();
            return
            [
                .. t.GetProperties(BindingFlags.Public | BindingFlags.Instance)
                    .Where(p => p.GetIndexParameters().Length == 0 && p.CanWrite && p.GetCustomAttribute<JsonIgnoreAttribute>() is null)
                    .Select(p => FieldOf(p, nullability.Create(p))),
            ];
        });

    private static Field FieldOf(PropertyInfo property, NullabilityInfo info)
    {
        var item = info.ElementType ?? (info.GenericTypeArguments.Length > 0 ? info.GenericTypeArguments[^1] : null);
        return new Field(
            JsonNamingPolicy.CamelCase.ConvertName(property.Name),
            property,
            info.ReadState == NullabilityState.Nullable,
            item?.ReadState == NullabilityState.Nullable,
            property.GetCustomAttribute<RangeAttribute>(),
            property.GetCustomAttribute<MaxLengthAttribute>()?.Length
        );
    }

    /// <summary>One look through a document.</summary>
    private sealed class Look
    {
        private readonly List<Finding> problems = [];
        private int values;

        public IReadOnlyList<Finding> Problems => problems;

        public void At(object value, string path, Field? field, int depth)
        {
            if (problems.Count >= MostProblems || values > MostValues)
            {
                return;
            }

            if (++values > MostValues)
            {
                problems.Add(
                    Finding.Unusable(path, Phrase.Say($"There is more in it than {MostValues} values; nobody made so much by hand."))
                );
                return;
            }

            switch (value)
            {
                case string text:
                    Text(text, path, field?.MaxLength ?? MostLetters);
                    break;
                case double or float:
                    Number(Convert.ToDouble(value, CultureInfo.InvariantCulture), path, field?.Range);
                    break;
                case int or long or short or byte:
                    Number(Convert.ToDouble(value, CultureInfo.InvariantCulture), path, field?.Range);
                    break;
                case Enum:
                    if (!Enum.IsDefined(value.GetType(), value))
                    {
                        Problem(path, Phrase.Say($"There is no such choice."));
                    }

                    break;
                case bool or DateTime or Guid:
                    break;
                case IDictionary map:
                    Map(map, path, field, depth);
                    break;
                case IEnumerable list:
                    List(list, path, field, depth);
                    break;
                default:
                    Whole(value, path, depth);
                    break;
            }
        }

        private void Whole(object value, string path, int depth)
        {
            if (depth > MostDepth)
            {
                Problem(path, Phrase.Say($"Groups lie within one another more than {MostDepth} deep."));
                return;
            }

            foreach (var field in FieldsOf(value.GetType()))
            {
                var at = path.Length == 0 ? field.Name : $"{path}.{field.Name}";
                if (field.Property.GetValue(value) is { } held)
                {
                    At(held, at, field, depth + 1);
                }
                else if (!field.MayLack)
                {
                    Problem(at, Phrase.Say($"Something belongs here."));
                }
            }
        }

        private void List(IEnumerable list, string path, Field? field, int depth)
        {
            var most = field?.MaxLength ?? MostItems;
            var count = list is ICollection known ? known.Count : list.Cast<object?>().Count();
            if (count > most)
            {
                Problem(path, Phrase.Say($"There are {count}; there may be {most}."));
                return;
            }

            var at = 0;
            foreach (var item in list)
            {
                Item(item, $"{path}[{at++}]", field, depth);
            }
        }

        private void Map(IDictionary map, string path, Field? field, int depth)
        {
            if (map.Count > (field?.MaxLength ?? MostItems))
            {
                Problem(path, Phrase.Say($"There are {map.Count}; there may be {field?.MaxLength ?? MostItems}."));
                return;
            }

            foreach (DictionaryEntry entry in map)
            {
                Text((string)entry.Key, path, MostLetters);
                Item(entry.Value, $"{path}[{entry.Key}]", field, depth);
            }
        }

        private void Item(object? item, string path, Field? field, int depth)
        {
            if (item is not null)
            {
                // Bounds of a list's length are not those of the words in it.
                At(item, path, item is string && field is not null ? field with { MaxLength = null } : field, depth + 1);
            }
            else if (field?.ItemsMayLack != true)
            {
                Problem(path, Phrase.Say($"Something belongs here."));
            }
        }

        private void Text(string text, string path, int most)
        {
            if (text.Length > most)
            {
                Problem(path, Phrase.Say($"It is {text.Length} letters long; {most} is the most."));
            }
            else if (!IsText(text))
            {
                Problem(path, Phrase.Say($"It holds half of a sign, or one that no text has. Type it again."));
            }
        }

        private void Number(double number, string path, RangeAttribute? range)
        {
            if (!double.IsFinite(number))
            {
                Problem(path, Phrase.Say($"It is no number."));
                return;
            }

            var least = range is null ? -MostNumber : Convert.ToDouble(range.Minimum, CultureInfo.InvariantCulture);
            var most = range is null ? MostNumber : Convert.ToDouble(range.Maximum, CultureInfo.InvariantCulture);
            if (number < least || number > most)
            {
                Problem(path, Phrase.Say($"{number:G6} is out of all reason here; it may lie between {least:G6} and {most:G6}."));
            }
        }

        private void Problem(string path, Phrase message)
        {
            if (problems.Count < MostProblems)
            {
                problems.Add(Finding.Unusable(path, message));
            }
        }
    }

    /// <summary>Whether every sign is whole and may stand in a text.</summary>
    private static bool IsText(string text)
    {
        for (var i = 0; i < text.Length; i++)
        {
            if (char.IsHighSurrogate(text[i]) && i + 1 < text.Length && char.IsLowSurrogate(text[i + 1]))
            {
                i++;
            }
            else if (char.IsSurrogate(text[i]) || text[i] is '\0' or '\uffff' or '\ufffe')
            {
                return false;
            }
        }

        return true;
    }
}
