using Cabida.Core.Steps;
using CsCheck;

namespace Cabida.Core.Tests.Steps;

public sealed class StepPlanTests
{
    private static BenchChain Chain(string run, double due, params (double Hands, double Wait)[] tasks) =>
        new(run, [.. tasks.Select((t, i) => new BenchTask(run, $"{i}", t.Hands, t.Wait))], due);

    [Fact]
    public void The_wait_of_one_run_is_used_by_the_hands_of_another()
    {
        // Paint 10, dry 60, varnish 10; meanwhile the other run takes 40 and 15. Done by 300.
        var plan = StepPlanning.Backwards(
            [Chain("boards", 300, (10, 60), (10, 0)), Chain("mugs", 300, (40, 0), (15, 0))],
            OpenHours.Always,
            0
        );
        plan.IsBest.ShouldBeTrue();
        plan.Late.ShouldBeEmpty();
        Holds(plan, 300);
        plan.Tasks.Min(t => t.From).ShouldBe(220);
        plan.Tasks.Select(t => t.Task.Run).ShouldBe(["boards", "mugs", "mugs", "boards"]);
    }

    [Fact]
    public void What_cannot_be_met_is_told_with_how_late_it_is()
    {
        var plan = StepPlanning.Backwards([Chain("a", 50, (30, 0), (10, 0)), Chain("b", 45, (30, 0))], OpenHours.Always, 0);
        plan.Late.ShouldBe([new LateRun("a", 20)]);
        plan.Tasks.Select(t => (t.Task.Run, t.From)).ShouldBe([("b", 0), ("a", 30), ("a", 60)]);
    }

    [Fact]
    public void Hands_rest_while_the_workshop_is_closed_and_paint_dries_on()
    {
        // Open 9 to 12 on two days (in minutes); 150 of hands, then 100 of drying, then 20.
        var open = new OpenHours([new Stretch(540, 720), new Stretch(1980, 2160)]);
        var plan = StepPlanning.Backwards([Chain("a", 2160, (150, 100), (20, 0))], open, 0);
        plan.Tasks[1].From.ShouldBe(2140);
        plan.Tasks[0].Hands.ShouldBe([new Stretch(630, 720), new Stretch(1980, 2040)]);
        plan.Tasks[0].Ready.ShouldBe(2140);
    }

    [Fact]
    public void Hours_that_end_before_all_is_done_are_told() =>
        StepPlanning
            .Backwards([Chain("a", 100, (200, 0))], new OpenHours([new Stretch(0, 150)]), 0)
            .Late.ShouldHaveSingleItem()
            .By.ShouldBe(double.PositiveInfinity);

    [Fact]
    public void Nothing_to_do_is_no_plan_and_a_step_may_take_no_time()
    {
        StepPlanning.Backwards([Chain("a", 100)], OpenHours.Always, 0).ShouldBe(StepPlan.Empty);
        Holds(StepPlanning.Backwards([Chain("a", 100, (0, 10), (0, 0), (5, 0))], OpenHours.Always, 0), 100);
    }

    [Fact]
    public void It_begins_as_late_as_the_best_of_all_ways_begins() =>
        Chains.Sample(
            chains =>
            {
                var plan = StepPlanning.Backwards(chains, EveryStepPlan.Hours, -1000);
                plan.IsBest.ShouldBeTrue();
                Follows(plan, chains);
                var start = 60;
                while (!EveryStepPlan.IsPossible(chains, start, c => (int)c.Due))
                {
                    start--;
                }

                plan.Tasks.Min(t => t.From).ShouldBe(start);
            },
            iter: 150
        );

    [Fact]
    public void From_now_on_nothing_is_later_than_it_must_be() =>
        Chains.Sample(
            chains =>
            {
                var plan = StepPlanning.FromNow(chains, EveryStepPlan.Hours, 3);
                Follows(plan, chains);
                plan.Tasks.ShouldAllBe(t => t.From >= 3);
                var by = 0;
                while (!EveryStepPlan.IsPossible(chains, 3, c => (int)c.Due + by))
                {
                    by++;
                }

                plan.Late.Select(l => l.By).DefaultIfEmpty(0).Max().ShouldBe(by, 1e-6);
            },
            iter: 150
        );

    [Fact]
    public void A_hundred_runs_are_planned_and_the_plan_holds()
    {
        var chains = Enumerable
            .Range(0, 100)
            .Select(i => Chain($"{i}", 5000 + (i * 37 % 900), (5 + (i % 7), 60), (3, i % 5 * 10), (2, 0)))
            .ToList();
        var plan = StepPlanning.Backwards(chains, OpenHours.Always, 0);
        plan.Late.ShouldBeEmpty();
        plan.IsBest.ShouldBeFalse();
        Follows(plan, chains);
    }

    private static readonly Gen<BenchChain[]> Chains = Gen.Select(Gen.Int[1, 5], Gen.Int[0, 6])
        .Select(t => ((double)t.Item1, (double)t.Item2))
        .Array[1, 3]
        .Array[1, 2]
        .SelectMany(all => Gen.Int[30, 60].Array[all.Length].Select(due => all.Select((t, i) => Chain($"{i}", due[i], t)).ToArray()));

    /// <summary>One pair of hands, each step after the wait of the one before it, all of every run.</summary>
    private static void Follows(StepPlan plan, IReadOnlyList<BenchChain> chains)
    {
        var hands = plan.Tasks.SelectMany(t => t.Hands).Where(s => s.Length > 0).OrderBy(s => s.From).ToList();
        hands.Zip(hands.Skip(1)).ShouldAllBe(p => p.First.To <= p.Second.From + 1e-6);
        foreach (var chain in chains)
        {
            var own = plan.Tasks.Where(t => t.Task.Run == chain.Run).ToList();
            own.Select(t => t.Task).ShouldBe(chain.Tasks);
            own.Zip(own.Skip(1)).ShouldAllBe(p => p.First.Ready <= p.Second.From + 1e-6);
            own.ShouldAllBe(t => Math.Abs(t.Hands.Sum(s => s.Length) - t.Task.Hands) < 1e-6);
        }
    }

    private static void Holds(StepPlan plan, double due) => plan.Tasks.ShouldAllBe(t => t.Ready <= due + 1e-6);
}
