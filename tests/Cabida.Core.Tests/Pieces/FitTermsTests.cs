using Cabida.Core.Measures;
using Cabida.Core.Motifs;
using Cabida.Core.Pieces;
using Cabida.Core.Runs;

namespace Cabida.Core.Tests.Pieces;

public class FitTermsTests
{
    /// <summary>
    /// What of a set-up changes no fit: what it is called, whose it is, and what is looked at only once pieces are fitted.
    /// </summary>
    private static readonly string[] Otherwise =
    [
        nameof(RunSetUp.Name),
        nameof(RunSetUp.JobId),
        nameof(RunSetUp.Cutter),
        nameof(RunSetUp.Care),
        nameof(RunSetUp.ScissorsRoom),
        nameof(RunSetUp.MostBow),
        nameof(RunSetUp.SeenThrough),
        nameof(RunSetUp.Kept),
        nameof(RunSetUp.Weeding),
        nameof(RunSetUp.Layers),
        nameof(RunSetUp.LayerMarks),
        nameof(RunSetUp.PressId),
        nameof(RunSetUp.Steps),
        nameof(RunSetUp.Price),
    ];

    [Fact]
    public void Whatever_a_set_up_holds_is_a_term_of_the_fit_or_is_named_as_none()
    {
        var named = typeof(FitTerms).GetProperties().Select(p => p.Name).Where(n => n != nameof(FitTerms.Key));
        typeof(RunSetUp).GetProperties().Select(p => p.Name).ShouldBe(named.Concat(Otherwise), ignoreOrder: true);
    }

    [Fact]
    public void Each_term_is_carried_and_tells_terms_apart_and_nothing_else_does()
    {
        var one = SetUp;
        var terms = FitTerms.Of(one);
        foreach (var term in typeof(FitTerms).GetProperties().Where(p => p.Name != nameof(FitTerms.Key)))
        {
            term.GetValue(terms).ShouldBe(typeof(RunSetUp).GetProperty(term.Name)!.GetValue(one), term.Name);
        }

        RunSetUp[] others =
        [
            one with
            {
                Blank = new Pin("mug", 3),
            },
            one with
            {
                Size = "L",
            },
            one with
            {
                Zone = "left",
            },
            one with
            {
                Motif = null,
            },
            one with
            {
                Film = new Pin("copper", 1),
            },
            one with
            {
                Films = [],
            },
            one with
            {
                Sides = [],
            },
            one with
            {
                Sizing = Sizing.OneScale,
            },
            one with
            {
                LetterHeight = TypedLength.Mm(9),
            },
            one with
            {
                ScaleTyped = "90",
            },
            one with
            {
                GroupBy = "size",
            },
            one with
            {
                GroupHeights = [new GroupHeight("M", TypedLength.Mm(7))],
            },
            one with
            {
                Placing = Placing.Free,
            },
            one with
            {
                Centring = Centring.Weight,
            },
            one with
            {
                Right = TypedLength.Mm(1),
            },
            one with
            {
                Up = TypedLength.Mm(1),
            },
            one with
            {
                Taper = TaperWay.Followed,
            },
            one with
            {
                Concessions = [new Concession(ConcessionKind.TwoLines)],
            },
        ];
        others.Select(o => FitTerms.Of(o).Key).Append(terms.Key).ShouldBeUnique();
        FitTerms
            .Of(one with { Name = "Other", Cutter = new Pin("c", 1), ScissorsRoom = TypedLength.Mm(9), MostBow = TypedLength.Mm(2) })
            .Key.ShouldBe(terms.Key);
    }

    private static RunSetUp SetUp =>
        new(
            "Mugs",
            "job",
            new Pin("mug", 2),
            new Pin("crew", 1),
            new Pin("navy", 1),
            null,
            Sizing.OneLetterHeight,
            TypedLength.Mm(8),
            TypedLength.Mm(5)
        )
        {
            Films = [new Pin("cream", 1)],
            Sides = [new RunSide("side-2", new Pin("tram", 1), "right")],
        };
}
