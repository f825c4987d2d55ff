using System.Collections;
using System.Reflection;
using System.Text.Json.Serialization;

namespace Cabida.Store.Tests;

/// <summary>
/// A version that writes fields which the one before does not know counts the form of the library up, so that the one before does not
/// open it and drop them.
/// </summary>
public class LibraryFormTests
{
    private static readonly string File = Path.Combine(AppContext.BaseDirectory, "Forms", "documents.txt");

    [Fact]
    public void The_fields_of_all_documents_are_those_of_the_form_that_is_written()
    {
        string[] told = [$"form {LibraryForm.Current}", .. Fields()];
        var actual = Path.Combine(AppContext.BaseDirectory, "documents.txt");
        System.IO.File.WriteAllText(actual, string.Join('\n', told) + "\n");
        var known = System.IO.File.ReadAllLines(File);
        told.Except(known)
            .Concat(known.Except(told))
            .ShouldBeEmpty(
                $"Documents have other fields than form {LibraryForm.Current}. Count LibraryForm.Current up once for what is released next, "
                    + $"and put {actual} in the place of tests/Cabida.Store.Tests/Forms/documents.txt."
            );
    }

    /// <summary>Every field that is written into a document, as "Type.Field", in order.</summary>
    private static SortedSet<string> Fields()
    {
        var open = new Queue<Type>(DocumentKinds.All.SelectMany(k => k.Rows).Select(r => r.GetType().GetGenericArguments()[0]));
        var (seen, fields) = (new HashSet<Type>(), new SortedSet<string>(StringComparer.Ordinal));
        while (open.TryDequeue(out var type))
        {
            if (!type.FullName!.StartsWith("Cabida.Core", StringComparison.Ordinal) || !seen.Add(type))
            {
                continue;
            }

            if (type.IsEnum)
            {
                fields.UnionWith(Enum.GetNames(type).Select(n => $"{type.Name}.{n}"));
                continue;
            }

            foreach (var kind in type.GetCustomAttributes<JsonDerivedTypeAttribute>())
            {
                fields.Add($"{type.Name}:{kind.TypeDiscriminator}");
                open.Enqueue(kind.DerivedType);
            }

            foreach (var field in type.GetProperties(BindingFlags.Public | BindingFlags.Instance))
            {
                if (
                    field.GetIndexParameters().Length > 0
                    || field.GetCustomAttribute<JsonIgnoreAttribute>() is { Condition: JsonIgnoreCondition.Always }
                )
                {
                    continue;
                }

                // What follows from others is written as well, and read from nowhere.
                if (field.SetMethod is null && !typeof(IEnumerable).IsAssignableFrom(field.PropertyType))
                {
                    continue;
                }

                fields.Add($"{type.Name}.{field.Name}");
                foreach (var of in Types(field.PropertyType))
                {
                    open.Enqueue(of);
                }
            }
        }

        return fields;
    }

    private static IEnumerable<Type> Types(Type type) =>
        type.IsArray ? Types(type.GetElementType()!)
        : type.IsGenericType ? type.GetGenericArguments().SelectMany(Types)
        : [type];
}
