using System.Text;

namespace Cabida.Formats.Lists;

/// <summary>
/// Which of the encodings from before Unicode a text is in: the one in which most of its words could be words. A word could be
/// one when all of its letters belong to the alphabet of one language that the encoding serves.
/// </summary>
internal static class OldEncodings
{
    private const int Fits = 3;
    private const int IsNoWord = -4;

    /// <summary>
    /// An encoding with what its languages write beyond plain letters, in small letters. The first wins where several do.
    /// </summary>
    private static readonly (string Name, string[] Alphabets)[] All =
    [
        (
            "windows-1252",
            ["äöüß", "àâæçéèêëîïôœùûüÿ", "áéíñóúü", "áâãàçéêíóôõú", "àèéìòùî", "æøåäöéüò", "ëïéèöüáó", "áðéíóúýþæö", "àçèéíïòóúü"]
        ),
        ("windows-1250", ["ąćęłńóśźż", "áčďéěíňóřšťúůýž", "áäčďéíĺľňóôŕšťúýž", "áéíóöőúüű", "ăâîşţ", "čćđšž", "äöüß"]),
        ("windows-1257", ["ąčęėįšųūž", "āčēģīķļņōŗšūž", "äõöüšž"]),
        ("windows-1254", ["çğıöşüâîûi̇"]),
        ("iso-8859-2", ["ąćęłńóśźż", "áčďéěíňóřšťúůýž", "áäčďéíĺľňóôŕšťúýž", "áéíóöőúüű", "čćđšž"]),
        ("windows-1253", ["αβγδεζηθικλμνξοπρσςτυφχψωάέήίόύώϊϋΐΰ"]),
        ("windows-1251", ["абвгдеёжзийклмнопрстуфхцчшщъыьэюяіїєґўђјљњћџ"]),
    ];

    /// <summary>The likeliest of them.</summary>
    public static string Guess(byte[] file) => All.MaxBy(e => Score(Encoding.GetEncoding(e.Name).GetString(file), e.Alphabets)).Name;

    private static int Score(string text, string[] alphabets)
    {
        var score = 0;
        var byLanguage = new int[alphabets.Length];
        foreach (
            var word in text.Split(
                [' ', '\t', '\r', '\n', ';', ',', '|', '"', '-', '/', '(', ')', '.', ':', '\''],
                StringSplitOptions.RemoveEmptyEntries
            )
        )
        {
            if (word.All(c => c < 128))
            {
                continue;
            }

            var letters = word.Where(c => c >= 128).Select(char.ToLowerInvariant).ToList();
            var isWord = word.All(char.IsLetter) && !word.Skip(1).Any(char.IsUpper) || word.All(c => char.IsUpper(c) || c == 'ß');
            // A thorn begins an Icelandic word; within a word it is a letter of another encoding.
            var thorn = word.IndexOfAny(['þ', 'Þ'], 1) > 0;
            if (!isWord || thorn)
            {
                score += IsNoWord;
                continue;
            }

            // Greek and Cyrillic words are all of their letters; Latin ones have accents here and there.
            var fits = alphabets
                .Select(a =>
                    letters.All(l => a.Contains(l, StringComparison.Ordinal))
                    && (letters.Count == word.Length || a[0] < 'Ͱ')
                    && !EndsWrong(word)
                )
                .ToList();
            score += fits.Contains(true) ? Fits : -1;
            for (var i = 0; i < fits.Count; i++)
            {
                byLanguage[i] += fits[i] ? 1 : 0;
            }
        }

        // Names of one list are mostly of one language.
        return score + byLanguage.Max();
    }

    /// <summary>The sigma that ends words within one.</summary>
    private static bool EndsWrong(string word) => word.IndexOf('ς') is >= 0 and var at && at + 1 < word.Length;
}
