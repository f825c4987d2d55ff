using Cabida.Core.Lists;

namespace Cabida.Core.Tests.Lists;

/// <summary>A hundred entries in a dozen tongues, made up: half of them are as they should be, half have what lists have.</summary>
public class HundredEntriesTests
{
    private static readonly string[] Sound =
    [
        "Margaret O’Shea",
        "Tom Brightwater",
        "DeShawn Mills",
        "Fiona McIntosh",
        "Mary-Anne Lodge", // English
        "Jürgen Weißhaupt",
        "Käthe von der Höh",
        "Björn Süß",
        "Annegret Kühl", // German
        "Hélène Dufœuil",
        "Loïc Garçonnet",
        "Anaïs",
        "Jean-François Hébrard", // French
        "Begoña Ibáñez",
        "Íñigo",
        "Sofía de la Peña", // Spanish
        "Małgorzata Żółć",
        "Wojciech Śnieg",
        "Łucja",
        "Jędrzej", // Polish
        "Jiří Dvořáček",
        "Zdeňka Šťastná",
        "Květoslav", // Czech
        "Ayşegül Yıldız",
        "İlker Çağlar",
        "Gökçe", // Turkish
        "Θεοδώρα Μακρή",
        "Νίκος",
        "Αλέξανδρος", // Greek
        "Наталья Оврагова",
        "Юрий",
        "Ангелина Щукина", // Russian
        "ნინო ბერიძე",
        "გიორგი",
        "თამარ", // Georgian
        "Nguyễn Thị Ánh",
        "Trần Bảo Ngọc",
        "Phượng", // Vietnamese
        "Ọláyínká Adébáyọ̀",
        "Títílayọ̀",
        "Abímbọ́lá", // Yoruba
        "Ming Ming",
        "Líadan Ní Bhriain",
        "Ragnheiður Þórsdóttir",
        "J. R. Osei Jr.",
        "AJ",
        "Max Hu",
        "Jānis Bērziņš",
        "Šarūnė",
        "Kata",
    ];

    private static readonly string[] Wrong =
    [
        "Bram, Ada, Jo, Hazel",
        "Ada; Bram",
        "Ada/Bram/Jo",
        "Zoë | Siân",
        "2 x Bram",
        "Bram x2",
        "Bram (3)",
        "Ada;3",
        "3× Łucja",
        "0 x Ada",
        "MÃ¼ller",
        "JosÃ©",
        "HÃ©lÃ¨ne",
        "MaÅ‚gorzata",
        "BegoÃ±a",
        "AIice",
        "EIla",
        "WiIliam",
        "LiLy",
        "MarTin",
        "BraM",
        "Anna Anna",
        "Jürgen Jürgen",
        "TBC",
        "tbd",
        "N/A",
        "unknown",
        "To be confirmed",
        "xxx",
        "MARGARET",
        "ŁUCJA",
        "ivo",
        "наташа",
        "Mart1n",
        "0livia",
        "3. Osei",
        "• Osei",
        "12) Hana",
        "Kowalska, Zofia",
        "Bram,",
        "Siân!!",
        "Rosa 🌹",
        "M\u0430rta",
        "Ν\u0438ko",
        "1234",
        "🙂🙂",
        "Wolfeschlegelsteinhausenbergerdorffin",
        "  Hana  B ",
        "Zoe\u0308",
        "Ola\u200b",
    ];

    [Fact]
    public void No_more_than_two_misses_and_two_false_alarms()
    {
        Sound.Length.ShouldBe(50);
        Wrong.Length.ShouldBe(50);
        bool Noted(string entry) =>
            NameList.Read($"{entry}\n{string.Join('\n', Sound.Where(s => s != entry).Take(30))}", []).Notes.Any(n => n.Line == 1);
        var (misses, alarms) = (Wrong.Where(w => !Noted(w)).ToList(), Sound.Where(Noted).ToList());
        misses.Count.ShouldBeLessThanOrEqualTo(2, string.Join("; ", misses));
        alarms.Count.ShouldBeLessThanOrEqualTo(2, string.Join("; ", alarms));
    }

    [Theory]
    [InlineData("2 x Bram", "Bram", 2)]
    [InlineData("2x Bram", "Bram", 2)]
    [InlineData("12 × Hana B.", "Hana B.", 12)]
    [InlineData("Bram x2", "Bram", 2)]
    [InlineData("Bram ×3", "Bram", 3)]
    [InlineData("Bram (4)", "Bram", 4)]
    [InlineData("Ada;3", "Ada", 3)]
    [InlineData("Łucja : 5 szt.", "Łucja", 5)]
    public void A_number_beside_a_name_is_how_many_are_made(string typed, string name, int copies)
    {
        var piece = NameList.Read(typed, []).Pieces.ShouldHaveSingleItem();
        (piece.Name, piece.Copies).ShouldBe((name, copies));
    }

    [Fact]
    public void Nothing_is_made_where_none_is_wanted()
    {
        NameList.Read("0 x Ada\nBram", []).Pieces.Select(p => p.Name).ShouldBe(["Bram"]);
        var table = NameList.Read("Ada\t0\nBram\t2", new ListColumns(["name", NameList.Quantity], false), []);
        table.Pieces.Select(p => (p.Name, p.Copies)).ShouldBe([("Bram", 2)]);
        table.Notes.ShouldContain(n => n.Line == 1 && n.Message.ToString().Contains("none is made"));
    }

    [Fact]
    public void Names_on_one_line_are_parted_by_one_remedy()
    {
        var note = NameList.Read("Bram, Ada, Jo, Hazel", []).Notes.Single();
        NameList
            .Read("Bram, Ada, Jo, Hazel".Mended(note.Remedies[0]), [])
            .Pieces.Select(p => p.Name)
            .ShouldBe(["Bram", "Ada", "Jo", "Hazel"]);
    }

    [Theory]
    [InlineData("Imię;Ilość")]
    [InlineData("Vorname;Anzahl")]
    [InlineData("Prénom;Quantité")]
    [InlineData("Name;Menge")]
    [InlineData("Nombre;Cantidad")]
    [InlineData("Jméno;Počet")]
    [InlineData("Adı;Adet")]
    [InlineData("Όνομα;Ποσότητα")]
    [InlineData("Имя;Кол-во")]
    [InlineData("Tên;Số lượng")]
    [InlineData("Naam;Aantal:")]
    [InlineData("Név;Darab")]
    public void Headings_are_known_in_the_tongues_orders_come_in(string heading)
    {
        var columns = ListColumns.Guess([heading.Split(';'), ["Bram", "2"], ["Ada", "1"]], []);
        columns.HasHeading.ShouldBeTrue();
        columns.Fields.ShouldBe(["name", NameList.Quantity]);
    }
}
