using System.Globalization;
using System.Text.RegularExpressions;
using Cabida.Formats.Care;
using Cabida.Formats.Tests.Cutting;

namespace Cabida.Formats.Tests.Care;

/// <summary>Care notes as another program reads them.</summary>
public sealed class CareSheetPdfTests : IDisposable
{
    private const double MillimetresPerPoint = 25.4 / 72;

    private readonly string folder = Directory.CreateTempSubdirectory("cabida").FullName;

    public void Dispose() => Directory.Delete(folder, recursive: true);

    private string Written(CareSheet sheet, CarePaper paper)
    {
        var file = Path.Combine(folder, "care.pdf");
        File.WriteAllBytes(file, CareSheetPdf.Write(sheet, [], paper));
        return file;
    }

    /// <summary>Where words lie; millimetres from the upper left of their page.</summary>
    private static List<(string Word, double Left, double Top, double Right, double Bottom)> Words(string file) =>
        [
            .. Regex
                .Matches(
                    OtherPrograms.Run("pdftotext", "-bbox", file, "-"),
                    "<word xMin=\"([^\"]+)\" yMin=\"([^\"]+)\" xMax=\"([^\"]+)\" yMax=\"([^\"]+)\">([^<]*)</word>"
                )
                .Select(m => (m.Groups[5].Value, Mm(m, 1), Mm(m, 2), Mm(m, 3), Mm(m, 4))),
        ];

    private static double Mm(Match match, int group) =>
        double.Parse(match.Groups[group].Value, CultureInfo.InvariantCulture) * MillimetresPerPoint;

    [Theory]
    [InlineData(false, 10)]
    [InlineData(true, 8)]
    public void A_card_for_every_name_eighty_five_by_fifty_five_of_each_other(bool letter, int onPage)
    {
        var paper = letter ? CarePaper.Letter : CarePaper.A4;
        paper.OnPage.ShouldBe(onPage);
        List<string> names = [.. Enumerable.Range(0, onPage + 1).Select(i => $"Name{i}")];
        var file = Written(new CareSheet("Lantern Yard", "by the shed", ["By hand."], names), paper);
        OtherPrograms.Run("pdfinfo", file).ShouldContain("Pages:           2");
        var at = Words(file).Where(w => w.Word.StartsWith("Name", StringComparison.Ordinal)).ToList();
        at.Select(w => w.Word).Order(StringComparer.Ordinal).ShouldBe(names.Order(StringComparer.Ordinal));
        var (first, beside, below) = (at.First(w => w.Word == "Name0"), at.First(w => w.Word == "Name1"), at.First(w => w.Word == "Name2"));
        (beside.Left - first.Left).ShouldBe(85, 0.1);
        (below.Top - first.Top).ShouldBe(55, 0.1);
    }

    [Fact]
    public void A_long_note_is_set_smaller_and_never_leaves_its_card()
    {
        var words = string.Join(' ', Enumerable.Repeat("washing", 75));
        var sheet = new CareSheet("Lantern Yard", "by the shed", [words], ["Name"]);
        CareSheetPdf.WordsOf(sheet, hasMark: false).ShouldBeLessThan(CareSheetPdf.WordsOf(sheet with { Lines = ["washing"] }, false));
        var all = Words(Written(sheet, CarePaper.A4));
        all.Count(w => w.Word == "washing").ShouldBe(75);
        all.Max(w => w.Right).ShouldBeLessThan(CarePaper.A4.Left + CarePaper.CardWidth);
        all.Max(w => w.Bottom).ShouldBeLessThan(CarePaper.A4.Top + CarePaper.CardHeight);
        // A word for which no row is wide enough is made smaller, and lines of one letter each still lie on the card.
        var odd = Words(Written(sheet with { Lines = [new string('w', 300), .. Enumerable.Repeat("w", 150)] }, CarePaper.A4));
        odd.Max(w => w.Right).ShouldBeLessThan(CarePaper.A4.Left + CarePaper.CardWidth);
        odd.Max(w => w.Bottom).ShouldBeLessThan(CarePaper.A4.Top + CarePaper.CardHeight);
    }
}
