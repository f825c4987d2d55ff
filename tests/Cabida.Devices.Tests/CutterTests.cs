using Cabida.Core.Cutting;
using Cabida.Core.Geometry;
using Cabida.Core.Stock;
using Cabida.Devices.Cutting;
using Cabida.Formats.Cutting;
using Cabida.StandIns;

namespace Cabida.Devices.Tests;

/// <summary>The cutter stand-in with a clock in the hand: what it cuts, when, and what it will not.</summary>
public class CutterTests
{
    private static readonly CutSettings Good = new("45°", "2", "90 g", "20 cm/s", "1");
    private readonly HandClock clock = new();
    private readonly CutterStandIn cutter;

    public CutterTests() => cutter = new CutterStandIn((f, c) => LoadReading.Lines(f, c, SvgNumbers.Per96), clock);

    [Fact]
    public void A_square_takes_what_it_takes_by_hand_and_the_blade_is_where_it_should_be()
    {
        cutter.Take(Load("a", Square(50, 50, 100)));
        // Lifted to the nearest corner: √2 · 50 is short of v²/a = 80, so 2 √(70.71/2000). Four sides of 100/200 + 200/2000.
        var there = 2 * Math.Sqrt(50 * Math.Sqrt(2) / 2000);
        var lift = CutterStandIn.Speeds.Lift;
        First().SecondsLeft.ShouldBe((2 * there) + (2 * lift) + 2.4, 1e-3);
        clock.Pass(there / 2);
        cutter.Look().IsDown.ShouldBeFalse();
        Near(cutter.Look().At, 25, 25);
        clock.Pass((there / 2) + lift + 1.2);
        Near(cutter.Look().At, 150, 150);
        cutter.Look().IsDown.ShouldBeTrue();
        First().Share.ShouldBe(0.5, 1e-3);

        // Paused it stands still, lifted, for as long as one likes.
        cutter.Do(new CutterOrder(CutterCommand.Pause, "a"));
        clock.Pass(3600);
        (cutter.Look().State, cutter.Look().IsDown).ShouldBe((CutterState.Paused, false));
        First().Share.ShouldBe(0.5, 1e-3);
        cutter.Do(new CutterOrder(CutterCommand.GoOn, "a"));
        clock.Pass(1.2 + lift + there - 0.01);
        First().Cut.ShouldBe(1);
        clock.Pass(0.02);
        cutter.Look().State.ShouldBe(CutterState.Idle);
        cutter.Look().Jobs[0].State.ShouldBe(CutJobState.Done);
    }

    [Fact]
    public void A_test_cut_comes_first_for_each_film_and_all_its_settings()
    {
        Refuses(Load("a", Square(50, 50, 100)) with { WithoutTest = false }).ShouldContain("test cut");
        cutter.Take(Load("t", Square(10, 10, 10)) with { IsTest = true });
        Refuses(Load("a", Square(50, 50, 100)) with { WithoutTest = false }).ShouldContain("test cut");
        clock.Pass(60);
        cutter.Take(Load("a", Square(50, 50, 100)) with { WithoutTest = false }).Jobs.Count.ShouldBe(2);
        Refuses(Load("b", Square(50, 50, 100), Good with { Pressure = "95 g" }) with { WithoutTest = false }).ShouldContain("test cut");
        Refuses(Load("b", Square(50, 50, 100), film: "gold") with { WithoutTest = false }).ShouldContain("test cut");
        // Sent twice it is cut once.
        cutter.Take(Load("a", Square(50, 50, 100))).Jobs.Count.ShouldBe(2);
    }

    [Fact]
    public void Lines_outside_the_reach_are_warned_of_and_left_out()
    {
        cutter.Take(Load("a", [.. Square(50, 50, 100), .. Square(250, 20, 60), .. Square(-4, 200, 30)]));
        First().Warnings.ShouldBe([new CutterWarning(CutterWarningKind.OutsideReach, 2, 18)], new Roughly());
        cutter.Look().State.ShouldBe(CutterState.Held);
        clock.Pass(600);
        First().Seconds.ShouldBe(0);
        Should.Throw<CutterRefusedException>(() => cutter.Do(new CutterOrder(CutterCommand.GoOn, "a")));
        cutter.Do(new CutterOrder(CutterCommand.AllTheSame, "a"));
        var sheet = cutter.SheetOf("a");
        sheet.Strokes.Count(s => !s.IsReached).ShouldBe(2);
        clock.Pass(600);
        // 2.4 seconds of cutting and the way there; the second square would take 1.6 more.
        cutter.Look().Jobs[0].Seconds.ShouldBeLessThan(3.8);
        cutter.Look().Jobs[0].State.ShouldBe(CutJobState.Done);
    }

    [Fact]
    public void Film_that_ends_stops_it_before_the_line_that_it_does_not_hold()
    {
        cutter.Take(Load("a", [.. Square(10, 10, 50), .. Square(10, 150, 50)], until: 120));
        clock.Pass(600);
        cutter.Look().State.ShouldBe(CutterState.OutOfFilm);
        First().Cut.ShouldBe(1);
        // Put in too short a piece it stops again; what was cut is not cut twice.
        cutter.Do(new CutterOrder(CutterCommand.FilmIsIn, "a", 180));
        clock.Pass(600);
        cutter.Look().State.ShouldBe(CutterState.OutOfFilm);
        cutter.Do(new CutterOrder(CutterCommand.FilmIsIn, "a", 200));
        clock.Pass(600);
        cutter.Look().Jobs[0].State.ShouldBe(CutJobState.Done);
        cutter.Look().Jobs[0].Seconds.ShouldBe(First().Seconds);
    }

    [Fact]
    public void The_next_load_waits_for_its_own_film_and_one_that_is_taken_back_lets_it_come()
    {
        cutter.Take(Load("a", Square(10, 10, 50)));
        cutter.Take(Load("b", Square(10, 10, 50)));
        cutter.Take(Load("c", Square(10, 10, 50)));
        Should.Throw<CutterRefusedException>(() => cutter.Do(new CutterOrder(CutterCommand.Pause, "b")));
        clock.Pass(600);
        cutter.Look().State.ShouldBe(CutterState.WaitsForFilm);
        First().Id.ShouldBe("b");
        cutter.Do(new CutterOrder(CutterCommand.TakeBack, "b"));
        First().Id.ShouldBe("c");
        cutter.Do(new CutterOrder(CutterCommand.FilmIsIn, "c"));
        clock.Pass(600);
        cutter
            .Look()
            .Jobs.Select(j => (j.Id, j.State))
            .ShouldBe([("c", CutJobState.Done), ("b", CutJobState.TakenBack), ("a", CutJobState.Done)]);
    }

    [Fact]
    public void What_was_cut_before_is_not_cut_again()
    {
        IReadOnlyList<IReadOnlyList<PlanePoint>> lines = [.. Square(10, 10, 50), .. Square(80, 10, 50), .. Square(150, 10, 50)];
        cutter.Take(Load("a", lines));
        var whole = First().SecondsLeft;
        cutter.Do(new CutterOrder(CutterCommand.TakeBack, "a"));
        cutter.Take(Load("a", lines) with { From = 2 });
        (First().Cut, First().Lines).ShouldBe((2, 3));
        First().SecondsLeft.ShouldBeLessThan(whole / 2);
    }

    /// <summary>Vinyl is 0.08 on a backing of 0.12 and takes 900 g to the millimetre, card 0.25 on its carrier and 250 g.</summary>
    [Theory]
    [InlineData(FilmMaterial.Vinyl, "90 g", "1", "2", 1.6, 0.1, null)]
    [InlineData(FilmMaterial.Vinyl, "0,9 N", "", "", null, 0.102, null)]
    [InlineData(FilmMaterial.Vinyl, "60 g", "1", "2", 1.6, 0.0667, CutterWarningKind.NotThrough)]
    [InlineData(FilmMaterial.Vinyl, "90 g", "2", "0.5", 1.6, 0.1, null)]
    [InlineData(FilmMaterial.Vinyl, "180 g", "1", "0.3 mm", 1.6, 0.2, CutterWarningKind.RightThrough)]
    [InlineData(FilmMaterial.Card, "70 g", "1", "1.5", 1.6, 0.28, null)]
    [InlineData(FilmMaterial.Card, "70 g", "1", "1.5", null, 0.28, CutterWarningKind.RightThrough)]
    public void It_cuts_as_deep_as_force_passes_and_blade_let_it(
        FilmMaterial material,
        string force,
        string passes,
        string stands,
        double? carrier,
        double depth,
        CutterWarningKind? warning
    )
    {
        var film = new FilmIn("film", "sheet", "Film", material, null, carrier, 300);
        var cut = BladeDepth.Of(new CutSettings("45°", stands, force, "", passes), film);
        cut!.Depth.ShouldBe(depth, 1e-3);
        (BladeDepth.Warning(cut)?.Kind).ShouldBe(warning);
    }

    [Theory]
    [InlineData("", "1")]
    [InlineData("33", "1")]
    [InlineData("strong", "1")]
    [InlineData("90 g", "some")]
    [InlineData("90 g", "0")]
    public void Where_it_cannot_tell_how_deep_it_cuts_it_says_so_and_cuts(string force, string passes)
    {
        cutter.Take(Load("a", Square(10, 10, 50), Good with { Pressure = force, Passes = passes }));
        First().Depth.ShouldBeNull();
        First().Warnings.ShouldBe([new CutterWarning(CutterWarningKind.DepthUnknown, 0, 0)]);
        cutter.Look().State.ShouldBe(CutterState.Cutting);
    }

    [Fact]
    public void Numbers_of_an_svg_are_taken_for_what_its_program_is_set_to()
    {
        var drawing = Drawing([.. Square(20, 30, 100), .. Square(40, 50, 10)]);
        var right = LoadReading.Lines("svg", CutSvg.Write(drawing, SvgNumbers.Per96), SvgNumbers.Per96);
        var wrong = LoadReading.Lines("svg", CutSvg.Write(drawing), SvgNumbers.Per96);
        Width(right).ShouldBe(100, 0.01);
        Width(wrong).ShouldBe(100 * 25.4 / 96, 0.01);
        // What lies within another is cut first, in either format.
        right[0].Max(p => p.X).ShouldBe(50, 0.01);
        var hpgl = LoadReading.Lines("hpgl", CutHpgl.Write(drawing), SvgNumbers.Per96);
        hpgl[0].Max(p => p.X).ShouldBe(50, 0.03);
        CutTime.Of(hpgl, CutterStandIn.Speeds).LengthDown.ShouldBe(CutTime.Of(right, CutterStandIn.Speeds).LengthDown, 0.1);
    }

    [Theory]
    [InlineData("svg", "")]
    [InlineData("svg", "<svg/>")]
    [InlineData("svg", "<svg width='10mm' height='10mm' viewBox='0 0 0 0'><path d='M0 0L5 5Z'/></svg>")]
    [InlineData("svg", "<svg width='10mm' height='10mm' viewBox='0 0 10 10'><path d='M0L5 5Z'/></svg>")]
    [InlineData("svg", "<svg width='10mm' height='10mm' viewBox='0 0 10 10'/>")]
    [InlineData("hpgl", "IN;PD1;")]
    [InlineData("hpgl", "PD1e400,4;")]
    [InlineData("hpgl", "")]
    [InlineData("dxf", "0\nEOF")]
    public void What_cannot_be_read_is_refused_and_it_goes_on(string format, string content)
    {
        Refuses(Load("a", Square(10, 10, 50)) with { Format = format, Content = content }).ShouldNotBeEmpty();
        cutter.Take(Load("b", Square(10, 10, 50))).State.ShouldBe(CutterState.Cutting);
    }

    private JobInCutter First() => cutter.Look().Jobs[0];

    private string Refuses(CutJob job) => Should.Throw<CutterRefusedException>(() => cutter.Take(job)).Message;

    private static void Near(PlanePoint at, double x, double y) => at.To(new PlanePoint(x, y)).ShouldBeLessThan(0.05);

    private static double Width(IReadOnlyList<IReadOnlyList<PlanePoint>> lines) =>
        lines.SelectMany(l => l).Max(p => p.X) - lines.SelectMany(l => l).Min(p => p.X);

    /// <summary>A load on a sheet of its own, as HPGL without a knife.</summary>
    internal static CutJob Load(
        string id,
        IReadOnlyList<IReadOnlyList<PlanePoint>> lines,
        CutSettings? settings = null,
        string film = "navy",
        double until = 292
    ) =>
        new(
            id,
            $"Load {id}",
            "hpgl",
            CutHpgl.Write(Drawing(lines)),
            292,
            292,
            new FilmIn(film, id, "Navy vinyl", FilmMaterial.Vinyl, null, 1.6, until),
            settings ?? Good
        )
        {
            WithoutTest = true,
        };

    internal static IReadOnlyList<IReadOnlyList<PlanePoint>> Square(double x, double y, double side) =>
        [
            [new(x, y), new(x + side, y), new(x + side, y + side), new(x, y + side)],
        ];

    private static CutDrawing Drawing(IReadOnlyList<IReadOnlyList<PlanePoint>> lines) =>
        new(
            "Test",
            292,
            292,
            [
                new CutLayer(
                    "Navy vinyl",
                    "#203050",
                    [
                        new CutGroup(
                            "All",
                            [
                                .. lines.Select(l => new CutLine(
                                    new Contour(l[0], [.. l.Skip(1).Append(l[0]).Select(p => new LineSegmentTo(p))]),
                                    true,
                                    CutLineKind.Ink
                                )),
                            ]
                        ),
                    ]
                ),
            ]
        );

    private sealed class Roughly : IEqualityComparer<CutterWarning>
    {
        public bool Equals(CutterWarning? x, CutterWarning? y) =>
            x!.Kind == y!.Kind && x.Count == y.Count && Math.Abs(x.Millimetres - y.Millimetres) < 0.05;

        public int GetHashCode(CutterWarning obj) => (int)obj.Kind;
    }
}

/// <summary>A clock that goes on when it is told to.</summary>
internal sealed class HandClock : TimeProvider
{
    private long ticks;

    public override long TimestampFrequency => TimeSpan.TicksPerSecond;

    public override long GetTimestamp() => ticks;

    public void Pass(double seconds) => ticks += (long)Math.Round(seconds * TimeSpan.TicksPerSecond);
}
