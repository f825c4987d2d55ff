namespace Cabida.Core.Lists;

/// <summary>What the columns of a list are taken for.</summary>
/// <param name="Fields">By column: a field, <see cref="NameList.Quantity"/>, or empty for what is left out.</param>
/// <param name="HasHeading">Whether the first row names the columns.</param>
public sealed record ListColumns(IReadOnlyList<string> Fields, bool HasHeading)
{
    /// <summary>Every line is a name.</summary>
    public static ListColumns NamesOnly { get; } = new([], false);

    /// <summary>What a column of names is headed by, in the tongues orders come in.</summary>
    private static readonly string[] NameWords =
    [
        "name",
        "names",
        "first name",
        "given name",
        "forename",
        "full name",
        "vorname",
        "nom",
        "prénom",
        "nombre",
        "nombres",
        "nome",
        "nomi",
        "naam",
        "voornaam",
        "navn",
        "fornavn",
        "namn",
        "förnamn",
        "nimi",
        "etunimi",
        "imię",
        "imię i nazwisko",
        "jméno",
        "meno",
        "név",
        "keresztnév",
        "nume",
        "prenume",
        "ime",
        "vardas",
        "vārds",
        "ad",
        "adı",
        "isim",
        "όνομα",
        "ονοματεπώνυμο",
        "имя",
        "имена",
        "ім'я",
        "ім’я",
        "име",
        "სახელი",
        "tên",
        "họ tên",
        "nama",
        "jina",
        "orúkọ",
        "שם",
        "اسم",
        "الاسم",
        "ชื่อ",
        "名前",
        "姓名",
        "名字",
        "이름",
    ];

    /// <summary>What a column of quantities is headed by.</summary>
    private static readonly string[] QuantityWords =
    [
        "quantity",
        "qty",
        "count",
        "number",
        "pieces",
        "pcs",
        "copies",
        "how many",
        "amount",
        "anzahl",
        "menge",
        "stück",
        "stk",
        "quantité",
        "qté",
        "qte",
        "cantidad",
        "cant",
        "unidades",
        "quantità",
        "qtà",
        "pezzi",
        "quantidade",
        "qtd",
        "aantal",
        "stuks",
        "antal",
        "antall",
        "määrä",
        "kpl",
        "kogus",
        "tk",
        "ilość",
        "liczba",
        "sztuk",
        "szt",
        "počet",
        "množství",
        "množstvo",
        "ks",
        "kusů",
        "mennyiség",
        "darab",
        "db",
        "cantitate",
        "buc",
        "količina",
        "kom",
        "kiekis",
        "vnt",
        "skaits",
        "gab",
        "adet",
        "miktar",
        "ποσότητα",
        "τεμάχια",
        "τεμ",
        "количество",
        "кол-во",
        "шт",
        "кількість",
        "к-сть",
        "количина",
        "რაოდენობა",
        "số lượng",
        "sl",
        "jumlah",
        "idadi",
        "iye",
        "כמות",
        "الكمية",
        "العدد",
        "จำนวน",
        "数量",
        "個数",
        "수량",
    ];

    /// <summary>Guesses what columns are: by their heading where there is one, else the first column with words is the name.</summary>
    /// <param name="rows">The rows.</param>
    /// <param name="fields">The fields that the motif has.</param>
    public static ListColumns Guess(IReadOnlyList<IReadOnlyList<string>> rows, IReadOnlyList<string> fields)
    {
        ArgumentNullException.ThrowIfNull(rows);
        ArgumentNullException.ThrowIfNull(fields);
        var filled = rows.FirstOrDefault(r => r.Any(c => c.Trim().Length > 0)) ?? [];
        var width = rows.Count == 0 ? 0 : rows.Max(r => r.Count);
        if (width <= 1 && !IsHeading(filled, fields))
        {
            return NamesOnly;
        }

        var heading = IsHeading(filled, fields);
        var columns = new string[width];
        for (var i = 0; i < width; i++)
        {
            columns[i] = heading && i < filled.Count ? FieldFor(filled[i], fields) : "";
        }

        if (!columns.Contains(Motifs.Fields.Name))
        {
            var body = rows.Skip(heading ? 1 : 0).Take(50).ToList();
            var name = Enumerable
                .Range(0, width)
                .FirstOrDefault(
                    i => columns[i].Length == 0 && body.Count(r => i < r.Count && r[i].Any(char.IsLetter)) * 2 >= body.Count,
                    0
                );
            columns[name] = Motifs.Fields.Name;
        }

        return new([.. columns.Select((c, i) => Array.IndexOf(columns, c) == i ? c : "")], heading);
    }

    /// <summary>
    /// Whether a row says just what the columns are: so nothing else is lost when it is taken for their heading. A list with
    /// fewer columns may say so of those it has, if they are two or more.
    /// </summary>
    public bool IsHeading(IReadOnlyList<string> row)
    {
        ArgumentNullException.ThrowIfNull(row);
        var used = Fields.Count(f => f.Length > 0);
        var there = Fields.Take(row.Count).Select((f, i) => (Field: f, Cell: row[i])).Where(c => c.Field.Length > 0).ToList();
        return there.Count >= Math.Clamp(used, 1, 2) && there.All(c => FieldFor(c.Cell, Fields) == c.Field);
    }

    private static bool IsHeading(IReadOnlyList<string> row, IReadOnlyList<string> fields) =>
        row.Any(c =>
            FieldFor(c, fields) is { } field
            && (
                field.Length > 0
                && (
                    fields.Contains(field) && field != Motifs.Fields.Name
                    || NameWords.Contains(Plain(c))
                    || QuantityWords.Contains(Plain(c))
                )
            )
        );

    /// <summary>
    /// What a heading says its column is, in the tongues orders come in: a field, the size, how many; empty for anything else.
    /// </summary>
    /// <param name="heading">The heading.</param>
    /// <param name="fields">The fields there are.</param>
    public static string FieldFor(string heading, IReadOnlyList<string> fields) =>
        Plain(heading ?? throw new ArgumentNullException(nameof(heading))) switch
        {
            var h when NameWords.Contains(h) => Motifs.Fields.Name,
            var h when QuantityWords.Contains(h) => NameList.Quantity,
            var h => fields.FirstOrDefault(f => f == h) ?? (h == NameList.Size ? NameList.Size : ""),
        };

    private static string Plain(string heading) => CleanedText.Of(heading).Text.ToLowerInvariant().TrimEnd(':', '.', ' ');
}
