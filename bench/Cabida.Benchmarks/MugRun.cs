using Cabida.Core.Blanks;
using Cabida.Core.Fitting;
using Cabida.Core.Measures;
using Cabida.Core.Motifs;
using Cabida.Core.Stock;
using Cabida.Core.Type;
using Cabida.Typography;

namespace Cabida.Benchmarks;

/// <summary>
/// A mug, a script motif and names of twelve letters, none of them twice, so that no joined line is ever found in a cache.
/// </summary>
internal static class MugRun
{
    private const string Consonants = "bcdfghjklmnprstvwyz";
    private const string Vowels = "aeiou";
    private const int Syllables = 6;

    public static ShippedTypefaces Faces { get; } = new();

    public static FitBasis Of(InkCache cache) => Of(new AtHand(Faces, cache));

    public static FitBasis Of(AtHand atHand)
    {
        static MeasuredDimension Read(DimensionKind kind, MeasuringTool tool, string typed) =>
            new(kind, [new ReadingLine(tool, [new TypedLength(typed)])]);
        var sheet = BlankSheet.Of(
            new Blank(
                "Mug",
                SurfaceKind.Straight,
                [
                    Read(DimensionKind.Girth, MeasuringTool.SoftTape, "259"),
                    Read(DimensionKind.Height, MeasuringTool.SteelRule, "94"),
                    Read(DimensionKind.Handle, MeasuringTool.SteelRule, "42"),
                ]
            )
            {
                Zones =
                [
                    new ZoneSpec("wrap", "Wrap")
                    {
                        Margins = new(TypedLength.Mm(10), TypedLength.Mm(12), TypedLength.Mm(8), TypedLength.Mm(8)),
                    },
                ],
            }
        );
        var film = new Film(
            "Film",
            "#000000",
            FilmPurpose.Stays,
            false,
            TypedLength.Mm(0.8),
            TypedLength.Mm(300),
            TypedLength.Mm(300),
            new("", "", "", "", "")
        );
        return new FitBasis(Motif, sheet.Wall, null, sheet.Zone!, film, null, atHand);
    }

    public static Motif Motif { get; } =
        new(
            "Name",
            RowAlignment.Centre,
            [
                new LetteringPart(
                    "name",
                    PartPlace.Below,
                    MotifLength.Scales(0),
                    "{name}",
                    "kaushan-script",
                    LetteringSize.CapitalHeight,
                    MotifLength.Scales(20),
                    0
                ),
            ]
        );

    /// <summary>
    /// The n-th name: six syllables of a consonant and a vowel, scattered so that neighbours differ everywhere. No two are the same.
    /// </summary>
    public static string Name(int n)
    {
        var syllables = Consonants.Length * Vowels.Length;
        // A multiplier without a common factor with the number of names visits each once.
        var rest = (ulong)n * 618_033_988_749ul % (ulong)Math.Pow(syllables, Syllables);
        var letters = new char[2 * Syllables];
        for (var i = 0; i < Syllables; i++)
        {
            var syllable = (int)(rest % (ulong)syllables);
            rest /= (ulong)syllables;
            letters[2 * i] = Consonants[syllable / Vowels.Length];
            letters[(2 * i) + 1] = Vowels[syllable % Vowels.Length];
        }

        letters[0] = char.ToUpperInvariant(letters[0]);
        return new string(letters);
    }
}
