using Cabida.Core.Blanks;
using Cabida.Core.Fitting;
using Cabida.Core.Measures;
using Cabida.Core.Motifs;
using Cabida.Core.Stock;
using Cabida.Core.Type;
using Cabida.Typography;

namespace Cabida.Benchmarks;

/// <summary>A mug, a script motif and names of twelve letters, none of them twice, so that no joined line is ever found in a cache.</summary>
internal static class Ground
{
    private const string Stems = "konstantinos bartholomews christopherm alexandrinas wilhelminaro";

    public static ShippedTypefaces Faces { get; } = new();

    public static RunGround Of(InkCache cache)
    {
        static MeasuredDimension Read(DimensionKind kind, MeasuringTool tool, string typed) => new(kind, [new ReadingLine(tool, [new TypedLength(typed)])]);
        var sheet = BlankSheet.Of(new Blank(
            "Mug",
            SurfaceKind.Straight,
            [Read(DimensionKind.Girth, MeasuringTool.SoftTape, "259"), Read(DimensionKind.Height, MeasuringTool.SteelRule, "94"), Read(DimensionKind.Handle, MeasuringTool.SteelRule, "42")],
            new ClearMargins(TypedLength.Mm(10), TypedLength.Mm(12), TypedLength.Mm(8))));
        var film = new Film("Film", "#000000", FilmPurpose.Stays, false, TypedLength.Mm(0.8), TypedLength.Mm(300), TypedLength.Mm(300), new("", "", "", "", ""));
        return new RunGround(Motif, sheet.Wall!, sheet.Zone!, film, null, Faces, cache);
    }

    public static Motif Motif { get; } = new("Name", RowAlignment.Centre,
        [new LetteringPart("name", PartPlace.Below, MotifLength.Scales(0), "{name}", "kaushan-script", LetteringSize.CapitalHeight, MotifLength.Scales(20), 0)]);

    /// <summary>The n-th name: a turned and doubled stem, twelve letters, the first a capital.</summary>
    public static string Name(int n)
    {
        var stems = Stems.Split(' ');
        var stem = stems[n % stems.Length];
        var letters = stem.ToCharArray();
        // A permutation that differs for every n of a run: factorial digits of n move letters about.
        var rest = n / stems.Length;
        for (var i = letters.Length - 1; i > 0 && rest > 0; i--)
        {
            var j = rest % (i + 1);
            rest /= i + 1;
            (letters[i], letters[(i + j) % letters.Length]) = (letters[(i + j) % letters.Length], letters[i]);
        }

        return char.ToUpperInvariant(letters[0]) + new string(letters, 1, letters.Length - 1);
    }
}
