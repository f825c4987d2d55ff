using Cabida.Core.Checking;
using Cabida.Core.Findings;
using Cabida.Core.Geometry;
using Cabida.Core.Pieces;
using Cabida.Core.Tests.Checking;

namespace Cabida.Core.Tests.Pieces;

public class SetFindingsTests
{
    [Fact]
    public void What_several_pieces_have_in_common_is_told_once_with_the_worst_of_them_first()
    {
        var set = SetFindings.Of([Bar("Bo", 0.6), Bar("Ida", 0.9), Bar("Al", 0.5), Bar("Una", 0.7)]);
        var thin = set.ShouldHaveSingleItem();
        thin.Finding.Rule.ShouldBe(Rule.ThinStrokes);
        thin.Finding.Message.ToString().ShouldBe("The names are too thin in 3 of 4: from 0.50 mm, and the film bears 0.80 mm.");
        thin.Pieces.ShouldBe(["Al", "Bo", "Una"]);
    }

    [Fact]
    public void The_same_words_are_called_by_them_and_one_piece_alone_is_no_set()
    {
        SetFindings
            .Of([Bar("Bo", 0.6), Bar("Bo", 0.9), Renamed(Bar("Bo", 0.7), "third")])
            .ShouldHaveSingleItem()
            .Finding.Message.ToString()
            .ShouldStartWith("Bo is too thin in 2 of 3");
        SetFindings.Of([Bar("Bo", 0.6), Bar("Ida", 0.9)]).ShouldBeEmpty();
        SetFindings.Of([]).ShouldBeEmpty();
    }

    private static CheckedPiece Bar(string name, double width)
    {
        var piece = Checks.Looked(ChecksTests.Piece(name, ChecksTests.Zone, Outlines.Rectangle(new Box(0, 0, 40, width))));
        return new CheckedPiece(new FittedPiece(piece.Fit, []), piece, piece.Findings);
    }

    private static CheckedPiece Renamed(CheckedPiece piece, string id) =>
        piece with
        {
            Piece = piece.Piece with { Fit = piece.Piece.Fit with { Piece = piece.Piece.Fit.Piece with { Id = id } } },
        };
}
