using Cabida.Core.Lists;
using CsCheck;

namespace Cabida.Core.Tests.Lists;

public class NameListPropertyTests
{
    private static readonly Gen<string> Lists = Gen.String[Gen.Char["aBß \t\nŁé\r"], 0, 120];

    [Fact]
    public void Every_filled_line_makes_a_piece_or_a_note_that_says_why_not() =>
        Lists.Sample(typed =>
        {
            var list = NameList.Read(typed, []);
            return list.Lines - list.Pieces.Count <= list.Notes.Count(n => n.Stops) + Math.Max(0, list.Lines - NameList.MostPieces);
        });

    [Fact]
    public void Reading_the_same_list_again_changes_no_piece() =>
        Lists.Sample(typed =>
        {
            var first = NameList.Read(typed, []).Pieces;
            return NameList.Read(typed, first).Pieces.SequenceEqual(first);
        });

    [Fact]
    public void Ids_are_never_shared_and_names_never_blank() =>
        Gen.Select(Lists, Lists)
            .Sample(
                (before, after) =>
                {
                    var pieces = NameList.Read(after, NameList.Read(before, []).Pieces).Pieces;
                    return pieces.Select(p => p.Id).Distinct().Count() == pieces.Count && pieces.All(p => p.Name.Trim().Length > 0);
                }
            );

    [Fact]
    public void Turning_a_list_round_keeps_each_names_piece() =>
        Gen.Int[2, 40]
            .Sample(n =>
            {
                var names = Enumerable.Range(1, n).Select(i => $"Name {i}").ToList();
                var first = NameList.Read(string.Join('\n', names), []).Pieces;
                var turned = NameList.Read(string.Join('\n', Enumerable.Reverse(names)), first).Pieces;
                return turned.OrderBy(p => p.Id, StringComparer.Ordinal).SequenceEqual(first.OrderBy(p => p.Id, StringComparer.Ordinal));
            });
}
