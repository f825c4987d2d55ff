using System.Text;
using Cabida.Formats.Lists;

namespace Cabida.Formats.Tests.Lists;

public class OldEncodingsTests
{
    [Theory]
    [InlineData("windows-1250", "Małgorzata Nowak\nŁucja Wiśniewska\nJędrzej Kozioł\nStanisław Zając\nAgnieszka")]
    [InlineData("iso-8859-2", "Małgorzata Nowak\nŁucja Wiśniewska\nJędrzej Kozioł\nStanisław Zając\nAgnieszka")]
    [InlineData("windows-1250", "Jiří Dvořák\nZdeňka Šťastná\nKvětoslav Růžička\nOndřej Němec\nTomáš")]
    [InlineData("windows-1250", "Erzsébet Kővári\nGyörgy Szűcs\nTünde Erdős\nLászló\nÁgnes Füredi")]
    [InlineData("windows-1250", "Ştefan Ţurcanu\nIonuţ\nMădălina Crişan\nRăzvan\nIleana Bălan")]
    [InlineData("windows-1254", "Ayşegül Yıldız\nİlker Çağlar\nGökçe Şahin\nIşıl Doğan\nUğur")]
    [InlineData("windows-1257", "Jānis Bērziņš\nĢirts Kalniņš\nŠarūnas\nŽivilė Petrauskaitė\nKristīne Ozoliņa\nRūta Žukauskienė")]
    [InlineData("windows-1252", "Jürgen Müller\nHélène Lefèvre\nBegoña Ibáñez\nÅsa Sjöström\nJoão Conceição\nRagnheiður Þórsdóttir")]
    [InlineData("windows-1253", "Θεοδώρα Μακρή\nΝίκος\nΑλέξανδρος Ζώης\nΕλένη")]
    [InlineData("windows-1251", "Наталья Оврагова\nЮрий\nАнгелина Щукина\nЇванна")]
    public void A_list_is_read_as_it_was_stored(string encoding, string names)
    {
        Encoding.RegisterProvider(CodePagesEncodingProvider.Instance);
        var read = ListFile.Read("orders.csv", Encoding.GetEncoding(encoding).GetBytes(names), ListFileReading.Guessed).Value;
        string.Join('\n', read.Rows.Select(r => r[0])).ShouldBe(names);
    }
}
