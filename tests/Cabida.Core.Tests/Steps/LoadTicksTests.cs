using Cabida.Core.Runs;
using Cabida.Core.Steps;
using CsCheck;

namespace Cabida.Core.Tests.Steps;

public class LoadTicksTests
{
    private static LoadOfRun Load(string id, params string[] pieces) => new(id, pieces.ToHashSet(StringComparer.Ordinal));

    private static readonly LoadOfRun[] Loads = [Load("navy", "a", "b"), Load("cream", "b", "c")];

    private static Making Tick(Making making, string load, PieceStage stage, bool isBack = false, params string[] notCut) =>
        LoadTicks.Tick(making, Loads, load, stage, isBack, p => !notCut.Contains(p));

    [Fact]
    public void A_piece_of_two_films_is_weeded_once_both_loads_are()
    {
        var one = Tick(Making.None, "navy", PieceStage.Weeded);
        one.Ticked.Keys.ShouldBe(["a"]);
        var both = Tick(one, "cream", PieceStage.Weeded);
        both.Ticked.Keys.ShouldBe(["a", "b", "c"], ignoreOrder: true);
        // The load that is further does not carry what lies on both.
        Tick(both, "navy", PieceStage.Packed).Ticked["b"].ShouldBe(PieceStage.Weeded);
    }

    [Fact]
    public void A_piece_of_which_something_is_not_cut_yet_waits_and_one_that_was_ticked_further_stays()
    {
        Tick(Making.None, "navy", PieceStage.Weeded, false, "a").Ticked.ShouldBeEmpty();
        var packed = Making.None.With(["a"], PieceStage.Packed, false);
        Tick(packed, "navy", PieceStage.Weeded).Ticked["a"].ShouldBe(PieceStage.Packed);
    }

    [Fact]
    public void Taken_back_it_takes_its_pieces_back_and_leaves_those_of_others()
    {
        var done = Tick(Tick(Making.None, "navy", PieceStage.Packed), "cream", PieceStage.Packed);
        var back = Tick(done, "navy", PieceStage.Weeded, isBack: true);
        back.LoadsTicked.ShouldBe(
            new Dictionary<string, PieceStage> { ["navy"] = PieceStage.Weeded, ["cream"] = PieceStage.Packed },
            ignoreOrder: true
        );
        (back.Ticked["a"], back.Ticked["b"], back.Ticked["c"]).ShouldBe((PieceStage.Weeded, PieceStage.Weeded, PieceStage.Packed));
        // Taken back to being cut, which is known without, nothing of it is remembered.
        Tick(back, "navy", PieceStage.Cut, isBack: true).LoadsTicked.Keys.ShouldBe(["cream"]);
    }

    [Fact]
    public void Whatever_is_ticked_a_piece_is_as_far_as_the_least_of_its_loads() =>
        Gen.Select(Gen.Int[0, 2], Gen.Enum<PieceStage>())
            .Array[1, 12]
            .Sample(ticks =>
            {
                LoadOfRun[] loads = [Load("0", "a", "b"), Load("1", "b", "c"), Load("2", "c", "a", "d")];
                var (making, furthest) = (Making.None, new PieceStage[3]);
                foreach (var (load, stage) in ticks)
                {
                    making = LoadTicks.Tick(making, loads, $"{load}", stage, false, _ => true);
                    furthest[load] = stage > furthest[load] ? stage : furthest[load];
                }

                foreach (var piece in new[] { "a", "b", "c", "d" })
                {
                    var least = loads.Select((l, i) => (l, i)).Where(l => l.l.Pieces.Contains(piece)).Min(l => furthest[l.i]);
                    var ticked = making.Ticked.GetValueOrDefault(piece);
                    (ticked >= PieceStage.Weeded ? ticked : PieceStage.Cut).ShouldBe(least >= PieceStage.Weeded ? least : PieceStage.Cut);
                }
            });
}
